import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['remainder race', 'leftovers', 'remainder game', 'left over race'],
  signs: [
    ['divide & remainder & board|track|spaces', 2.5],
    ['what is left|over & move|steps|spaces', 2.5],
    ['remainder ~ spaces|steps', 2.5],
    ['division & left over|remainder|remainders & roll|dice|draw', 2.5],
    ['remainder|remainders & move|race|score|points|keep', 4.5],
    ['left over|leftover|leftovers & divide|share|divided', 4],
  ],
  numbers: [],
  values: [],
};
