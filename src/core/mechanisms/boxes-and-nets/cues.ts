import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['boxes and nets', 'fill the box', 'fold the net', 'pattern block puzzle', 'tangram puzzle'],
  signs: [
    ['fold & cube|box|solid', 2.5],
    ['layers & cubes', 2.5],
    ['pieces & silhouette|picture|outline|shape', 2.5],
    ['blocks ~ fill|make & shape|picture|hexagon', 2.5],
    ['net|nets & fold|opposite|flaps', 4.5],
    ['cubes & box|boxes|volume|layer|layers', 4.5],
    ['tangram|tangrams|pattern block|blocks & fill|puzzle|make|cover|picture', 4.5],
  ],
  numbers: [],
  values: [
    ['net|nets', { task: 'which-face-opposite' }],
    ['tangram|tangrams|pattern block', { task: 'build-from-pieces' }],
  ],
};
