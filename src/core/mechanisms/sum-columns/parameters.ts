import type { ParameterSchema } from '../mechanism';

export interface SumColumnsParameters {
  /** Dice (or cards) joined on each turn. */
  dice: number;
  /** Highest number on a die or card. */
  highestFace: number;
  /** Lowest number on a die or card. */
  lowestFace: number;
  combine: 'sum' | 'difference';
  /** `return`: dice, or cards that go back at once; `no-return`: a deck dealt to its end. */
  draw: 'return' | 'no-return';
  /** Copies of each number when drawing without return. */
  copies: number;
  /** Marks that fill a column. */
  height: number;
  firstColumn: number;
  lastColumn: number;
  /** Columns each player picks before play; 0 for a race that everyone watches together. */
  picks: number;
}

export const DEFAULTS = {
  dice: 2,
  highestFace: 6,
  lowestFace: 1,
  combine: 'sum',
  draw: 'return',
  copies: 4,
  height: 10,
  firstColumn: 1,
  lastColumn: 12,
  picks: 2,
} satisfies SumColumnsParameters as SumColumnsParameters;

export const SCHEMA: ParameterSchema = {
  type: 'object',
  additionalProperties: false,
  properties: {
    dice: { type: 'integer', minimum: 2, maximum: 3, title: 'Dice' },
    highestFace: { type: 'integer', minimum: 3, maximum: 20, title: 'Highest number' },
    lowestFace: { type: 'integer', minimum: 0, maximum: 1, title: 'Lowest number' },
    combine: { enum: ['sum', 'difference'], title: 'Join by' },
    draw: { enum: ['return', 'no-return'], title: 'Draws' },
    copies: { type: 'integer', minimum: 1, maximum: 8, title: 'Copies of each card' },
    height: { type: 'integer', minimum: 2, maximum: 20, title: 'Marks to fill a column' },
    firstColumn: { type: 'integer', minimum: 0, maximum: 60, title: 'First column' },
    lastColumn: { type: 'integer', minimum: 1, maximum: 60, title: 'Last column' },
    picks: { type: 'integer', minimum: 0, maximum: 5, title: 'Columns picked before play' },
  },
};
