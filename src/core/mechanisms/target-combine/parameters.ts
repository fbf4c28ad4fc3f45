import type { ParameterSchema } from '../mechanism';

export type Intermediates = 'rational' | 'integer' | 'natural' | 'non-negative';
export type CombineOperation = 'add' | 'subtract' | 'multiply' | 'divide';

export interface TargetCombineParameters {
  /** Numbers dealt. */
  numbers: number;
  lowest: number;
  highest: number;
  copies: number;
  /** `deck`: without return inside a hand; `return`: dice, or cards that go back. */
  draw: 'deck' | 'return';
  target: number;
  /** What stands on the cards: n, n and −n, n halves, or n tenths. */
  cards: 'whole' | 'with-negatives' | 'halves' | 'tenths';
  /** Every number exactly once, or as many of them as possible. */
  use: 'all' | 'as-many-as-possible';
  /** Two hands on a card, of which exactly one works. */
  twoOnACard: boolean;
  /** A hand is laid aside after so many minutes; 0 for no limit. */
  timeBox: number;
  operations: CombineOperation[];
  intermediates: Intermediates;
  /** Only hands of this difficulty are dealt. */
  leastStars: number;
  mostStars: number;
  /** Unsolvable hands are dealt too; saying so is then the answer. */
  unsolvable: boolean;
  hands: number;
  /** Lines a player tries before passing. */
  tries: number;
  bonusSecondWay: boolean;
}

export const DEFAULTS = {
  numbers: 4,
  lowest: 1,
  highest: 10,
  copies: 4,
  draw: 'deck',
  target: 24,
  cards: 'whole',
  use: 'all',
  twoOnACard: false,
  timeBox: 0,
  operations: ['add', 'subtract', 'multiply', 'divide'],
  intermediates: 'rational',
  leastStars: 1,
  mostStars: 3,
  unsolvable: false,
  hands: 6,
  tries: 6,
  bonusSecondWay: false,
} satisfies TargetCombineParameters as TargetCombineParameters;

export const SCHEMA: ParameterSchema = {
  type: 'object',
  additionalProperties: false,
  properties: {
    numbers: { type: 'integer', minimum: 2, maximum: 4, title: 'Numbers dealt' },
    lowest: { type: 'integer', minimum: 0, maximum: 20, title: 'Lowest number' },
    highest: { type: 'integer', minimum: 2, maximum: 25, title: 'Highest number' },
    copies: { type: 'integer', minimum: 1, maximum: 8, title: 'Copies of each number' },
    draw: { enum: ['deck', 'return'], title: 'Draws' },
    target: { type: 'integer', minimum: 0, maximum: 200, title: 'Target' },
    cards: { enum: ['whole', 'with-negatives', 'halves', 'tenths'], title: 'On the cards' },
    use: { enum: ['all', 'as-many-as-possible'], title: 'Numbers to use' },
    twoOnACard: { type: 'boolean', title: 'Two hands on a card, exactly one works' },
    timeBox: { type: 'integer', minimum: 0, maximum: 20, title: 'Minutes for a hand (0: no limit)' },
    operations: {
      type: 'array',
      minItems: 1,
      uniqueItems: true,
      items: { enum: ['add', 'subtract', 'multiply', 'divide'] },
      title: 'Operations',
    },
    intermediates: { enum: ['rational', 'integer', 'natural', 'non-negative'], title: 'On the way' },
    leastStars: { type: 'integer', minimum: 1, maximum: 3, title: 'Fewest stars' },
    mostStars: { type: 'integer', minimum: 1, maximum: 3, title: 'Most stars' },
    unsolvable: { type: 'boolean', title: 'Hands as they are drawn, solvable or not' },
    hands: { type: 'integer', minimum: 1, maximum: 20, title: 'Hands a game' },
    tries: { type: 'integer', minimum: 1, maximum: 20, title: 'Lines tried before passing' },
    bonusSecondWay: { type: 'boolean', title: 'A second way scores' },
  },
};
