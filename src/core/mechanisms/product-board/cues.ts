import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['product board', 'product game', 'factor strip', 'multiplication four in a row', 'times four in a row'],
  signs: [
    ['connect four|4 & multiply|product|factors', 2.5],
    ['strip ~ factors|numbers & board|grid', 2.5],
    ['cover|claim ~ product & row', 2.5],
    ['bottom ~ strip|row|factors & marker|clip|paperclip', 2.5],
    ['four|4|three|3|five|5 in a row|line & product|products|factor|factors|multiply|times', 4.5],
    ['move one marker|paper clip|paperclip|clip', 3.5],
    ['factor|factors ~ marker|markers|clip|clips|paperclip', 4],
  ],
  numbers: [['# in a row|line', 'inLine']],
  values: [['add|sum|sums & in a row|line', { operation: 'added' }]],
};
