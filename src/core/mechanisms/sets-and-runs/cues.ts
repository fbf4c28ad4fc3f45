import type { Cues } from '../../recognise/cue';

/** What people write about games of this family. */
export const CUES: Cues = {
  names: ['sets and runs', 'rummy', 'math rummy', 'fraction rummy', 'three of a kind rummy', 'gin'],
  signs: [
    ['three|3 cards & same & draw|discard', 2.5],
    ['melds|meld', 2.5],
    ['pick up & discard & set|run|sets', 2.5],
    ['run ~ multiples|numbers & hand|cards', 2.5],
    ['rummy', 6],
    ['set|sets|run|runs of three|3 & draw|discard|hand|lay down', 4],
    ['draw & discard & set|sets|three|run', 3.5],
  ],
  numbers: [],
  values: [['percent|percents|decimal|decimals', { cards: 'one-amount-as-fraction-percent-decimal' }]],
};
