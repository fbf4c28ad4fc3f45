import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['estimate the jar', 'estimation jar', 'guess how many', 'how many in the jar', 'estimation station'],
  signs: [
    ['sticky note & jar|guess', 2.5],
    ['closest|nearest & jar|count|guess', 2.5],
    ['handful & guess|estimate', 2.5],
    ['marbles|beans|buttons|jelly ~ jar|bottle & guess|estimate', 2.5],
    ['write ~ guess & jar|count', 2.5],
    ['jar|jars & guess|estimate|estimation|how many', 5],
    ['estimate|guess ~ how many & count|tens', 3],
  ],
  numbers: [],
  values: [],
};
