import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['find the spot', 'coordinate hide and seek', 'hidden treasure grid', 'coordinates hunt', 'grid hide'],
  signs: [
    ['x|along & y|up & hidden|hide|secret', 2.5],
    ['warmer|colder|closer & grid|point', 2.5],
    ['north|south|east|west & grid|point|guess', 2.5],
    ['axes|axis & guess|find', 2.5],
    ['coordinate|coordinates|ordered pair|pairs & find|guess|hide|hidden|hunt', 5],
    ['coordinate|coordinates & grid|axes|axis|quadrant|quadrants', 4],
  ],
  numbers: [],
  values: [['four|4 quadrants', { quarters: 'four-quarters' }]],
};
