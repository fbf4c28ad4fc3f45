import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: [
    'digit hop',
    'place hop',
    'hop to the digit',
    'number hop',
    'place value hop',
    'jump to the digit',
    'next digit',
    'hundred board hop',
    'digit jump',
    'leap to the digit',
    'place value jump',
  ],
  signs: [
    [
      'hop|hops|jump|jumps|leap|leaps|move|moves|go|ahead|forward|skip ~ digit|ones|tens|number|space|square & digit|digits|place|ones|tens',
      4.5,
    ],
    ['hop|hops|jump|jumps|leap & digit|digits|ones|tens|place & board|chart|next|nearest|card|number|line', 3.5],
    ['next|nearest|closest number|space|square|spot ~ digit|with|ones|tens|# & hop|jump|move|go|ahead|board|chart|peg', 3],
    ["# in|at the ones|tens|one's|ten's|hundreds", 2],
    ['digit|digits|ones|tens & hop|jump|hops|jumps|leap|ahead', 2],
    ['hundred|100 board|chart', 1],
    ['base ten', -3],
    ['biggest|largest', -3],
    ['fill|blank|blanks', -3],
    ['ones|tens ~ tens|ones & hop|jump|leap|hops', 2.5],
  ],
  numbers: [['hundred|0|1 board|to|# #', 'end']],
  values: [['ones|tens & hundreds', { places: 'ones-tens-hundreds', end: 1000 }]],
};
