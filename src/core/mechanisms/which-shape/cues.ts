import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['which shape', 'guess the shape', 'shape detective', 'mystery shape', 'which shape am i', 'feely bag shapes'],
  signs: [
    ['sides|corners & guess|mystery|secret|question|questions', 2.5],
    ['turn down|flip down & shape|shapes', 2.5],
    ['twenty|20 questions & shape|shapes', 2.5],
    ['describe & shape|shapes & guess|hidden', 2.5],
    ['shape|shapes|solid|solids & yes|no|question|questions|guess|secret|mystery', 4.5],
    ['attribute|attributes & guess|question|questions', 4],
  ],
  numbers: [['# shapes|blocks', 'laid']],
  values: [['solid|solids|3d', { shapes: 'solids' }]],
};
