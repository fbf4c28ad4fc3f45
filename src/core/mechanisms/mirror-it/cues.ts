import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: [
    'mirror it',
    'mirror',
    'symmetry',
    'mirror images',
    'symmetry squares',
    'finish the face',
    'other half',
    'butterfly',
    'mirror designs',
    'slanted mirror',
    'reflections',
    'finish the picture',
    'half a picture',
    'mirror pictures',
    'symmetry grid',
  ],
  signs: [
    ['mirror|mirrors & half|line|color|colour|copy|check|picture|pictures|grid|same|finish|draw|squares|side|match|matches', 4],
    ['mirror|mirrors', 3],
    ['symmetry|symmetric|symmetrical', 3.5],
    ['other|missing|second|half half|side|a ~ match|matches|color|colour|draw|finish|grid|line|picture|same|picture|squares', 3.5],
    ['half ~ picture|coloured|colored|drawn|done|given|shown & other|finish|grid|draw|complete', 3],
    ['reflect|reflects|reflection|reflected', 2.5],
    ['fold ~ line|half & match|check|picture|paint|same|sides', 2],
    ['butterfly|face|leaf', 1.5],
    ['clock|dice', -3],
    ['symmetry ~ wheel', -3],
    ['copy|colour|color ~ other side & line|squares|wings|mirror|half', 2.5],
    ['finish|complete ~ picture|drawing|shape & half|side|sides|mirror|other', 3],
    ['both sides ~ same', 1.5],
  ],
  numbers: [
    ['# times|by # grid', 'grid', 'rows'],
    ['# times # & grid', 'grid', 'rows'],
  ],
  values: [
    ['diagonal|slanted|slanting', { line: 'slanting' }],
    ['check|mirror', { check: true }],
  ],
};
