import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['claim rectangles', 'rectangle claim', 'block out', 'squares and rectangles', 'fill the field'],
  signs: [
    ['length & width & dice|roll|die', 2.5],
    ['most squares ~ win|wins|claimed|covered', 2.5],
    ['no room|space|fit & rectangle|array', 2.5],
    ['graph|grid|squared paper & outline|draw|color', 2.5],
    ['rectangle|rectangles|array|arrays & grid|graph|squared paper & roll|dice|throw', 4.5],
    ['rectangle|array|arrays ~ draw|claim|color|colour|shade', 3],
    ['area & dice|roll|throw & grid|squares', 2.5],
  ],
  numbers: [],
  values: [['perimeter|around', { says: 'way-round' }]],
};
