import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['factor take', 'take the factors', 'factor capture', 'factors game'],
  signs: [
    ['crosses|cross out|off & factors|factor', 2.5],
    ['factors ~ opponent|partner|other|neighbour|neighbor', 2.5],
    ['score ~ number & factors', 2.5],
    ['prime|primes & pick|choose|take', 2.5],
    ['factor|factors & take|takes|cross|circle|get|gets & number|numbers|chart|list', 4],
    ['pick|choose a number & factors|factor', 4],
  ],
  numbers: [['1 to #', 'highest']],
  values: [],
};
