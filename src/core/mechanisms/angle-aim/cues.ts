import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['angle aim', 'angle draw', 'protractor game', 'estimate the angle', 'angle golf'],
  signs: [
    ['protractor & guess|check|measure|estimate', 2.5],
    ['acute|obtuse|right & draw|guess|estimate', 2.5],
    ['degrees & closest|nearest|within', 2.5],
    ['open|fold ~ arms|angle & guess', 2.5],
    ['angle|angles|protractor|degrees & draw|estimate|guess|closest|measure', 5],
    ['angle|angles & missing|sum|straight|180', 4],
  ],
  numbers: [],
  values: [['missing|sum', { play: 'finds-the-missing-one' }]],
};
