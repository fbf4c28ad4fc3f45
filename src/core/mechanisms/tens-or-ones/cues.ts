import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['tens or ones', 'ones or tens', 'closest to one hundred', 'nearest to a hundred', 'close to 100'],
  signs: [
    ['seven|7 rolls|throws & hundred|100', 2.5],
    ['place value & roll|die|dice & total|add|sum', 2.5],
    ['each roll|throw & tens|ones', 2.5],
    ['without going over & hundred|100|target', 2.5],
    ['decide|choose|pick ~ tens|ten & ones|one & roll|die|dice|throw', 4],
    ['as tens|ten or ones|one', 4],
    ['close|closest|nearest ~ 100|hundred & without ~ over & roll|die|dice|throw', 3],
  ],
  numbers: [
    ['# rolls|throws|turns', 'throws'],
    ['close|closest|nearest ~ #', 'target'],
  ],
  values: [],
};
