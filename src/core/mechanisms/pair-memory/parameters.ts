import type { Representation } from '../../items/item';
import type { ParameterSchema } from '../mechanism';

export interface PairMemoryParameters {
  /** Two cards belong together when they make `sum`, differ by `gap`, show the same amount, or are equal fractions. */
  relation: 'sum' | 'equal' | 'difference' | 'equal-fraction';
  sum: number;
  gap: number;
  lowestCard: number;
  highestCard: number;
  /** Cards go up in steps of this. */
  by: number;
  rows: number;
  columns: number;
  extraTurn: boolean;
  /** How many of the last flips a player remembers; −1 for all, 0 for none. */
  memory: number;
  /** How the first and the second card of a pair look. */
  firstLook: Representation;
  secondLook: Representation;
}

export const DEFAULTS = {
  relation: 'sum',
  sum: 10,
  gap: 2,
  lowestCard: 1,
  highestCard: 9,
  by: 1,
  rows: 3,
  columns: 4,
  extraTurn: true,
  memory: 6,
  firstLook: 'numerals',
  secondLook: 'numerals',
} satisfies PairMemoryParameters as PairMemoryParameters;

const looks = ['numerals', 'dots', 'ten-frame', 'pips', 'beads', 'words'];

export const SCHEMA: ParameterSchema = {
  type: 'object',
  additionalProperties: false,
  properties: {
    relation: { enum: ['sum', 'difference', 'equal', 'equal-fraction'], title: 'A pair' },
    sum: { type: 'integer', minimum: 1, maximum: 100, title: 'Pairs make' },
    gap: { type: 'integer', minimum: 1, maximum: 50, title: 'Pairs differ by' },
    lowestCard: { type: 'integer', minimum: 0, maximum: 50, title: 'Lowest card' },
    highestCard: { type: 'integer', minimum: 1, maximum: 100, title: 'Highest card' },
    by: { type: 'integer', minimum: 1, maximum: 50, title: 'Cards go by' },
    rows: { type: 'integer', minimum: 1, maximum: 8, title: 'Rows' },
    columns: { type: 'integer', minimum: 2, maximum: 10, title: 'Columns' },
    extraTurn: { type: 'boolean', title: 'A pair gives another turn' },
    memory: { type: 'integer', minimum: -1, maximum: 80, title: 'Flips remembered' },
    firstLook: { enum: looks, title: 'First card shows' },
    secondLook: { enum: looks, title: 'Second card shows' },
  },
};
