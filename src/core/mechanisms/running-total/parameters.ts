import type { ParameterSchema } from '../mechanism';

export interface RunningTotalParameters {
  direction: 'up' | 'down' | 'up-and-down';
  /** Lower and upper end of the total. */
  low: number;
  high: number;
  /** The end must be met exactly, or may be passed. */
  landing: 'exact' | 'beyond';
  handSize: number;
  lowestCard: number;
  highestCard: number;
  copies: number;
  takeTen: number;
  reverse: number;
  skip: number;
  /** Cards that bring the total to the nearest ten. */
  round: number;
  /** Landing on a multiple of this gives a token; 0 for no bonus. */
  bonusStep: number;
  /** A card equal to the one just played takes a token from whoever holds most. */
  matchTop: boolean;
  /** `deck`: dealt without return; `return`: every draw from the whole deck. */
  draw: 'deck' | 'return';
  deckOut: 'reshuffle' | 'ends';
  roundsToWin: number;
  /** Cards gone from the deck, each named once for every copy. */
  missing: readonly number[];
}

export const DEFAULTS = {
  direction: 'up',
  low: 0,
  high: 100,
  landing: 'exact',
  handSize: 4,
  lowestCard: 1,
  highestCard: 10,
  copies: 4,
  takeTen: 4,
  reverse: 2,
  skip: 2,
  round: 0,
  bonusStep: 0,
  matchTop: false,
  draw: 'deck',
  deckOut: 'reshuffle',
  roundsToWin: 1,
  missing: [],
} satisfies RunningTotalParameters as RunningTotalParameters;

export const SCHEMA: ParameterSchema = {
  type: 'object',
  additionalProperties: false,
  properties: {
    direction: { enum: ['up', 'down', 'up-and-down'], title: 'Direction' },
    low: { type: 'integer', minimum: 0, maximum: 200, title: 'Lower end' },
    high: { type: 'integer', minimum: 5, maximum: 300, title: 'Upper end' },
    landing: { enum: ['exact', 'beyond'], title: 'Landing' },
    handSize: { type: 'integer', minimum: 1, maximum: 7, title: 'Cards in hand' },
    lowestCard: { type: 'integer', minimum: 1, maximum: 20, title: 'Lowest card' },
    highestCard: { type: 'integer', minimum: 1, maximum: 50, title: 'Highest card' },
    copies: { type: 'integer', minimum: 1, maximum: 10, title: 'Copies of each card' },
    takeTen: { type: 'integer', minimum: 0, maximum: 12, title: 'Take-ten cards' },
    reverse: { type: 'integer', minimum: 0, maximum: 8, title: 'Turn-round cards' },
    skip: { type: 'integer', minimum: 0, maximum: 8, title: 'Pass-over cards' },
    round: { type: 'integer', minimum: 0, maximum: 8, title: 'Round-it cards' },
    bonusStep: { enum: [0, 5, 10, 20, 25], title: 'Bonus on multiples of' },
    matchTop: { type: 'boolean', title: 'A matching card takes a token' },
    draw: { enum: ['deck', 'return'], title: 'Draws' },
    deckOut: { enum: ['reshuffle', 'ends'], title: 'When the deck is out' },
    missing: { type: 'array', maxItems: 40, items: { type: 'integer', minimum: 0, maximum: 100 }, title: 'Cards that are missing' },
    roundsToWin: { type: 'integer', minimum: 1, maximum: 5, title: 'Rounds to win' },
  },
};
