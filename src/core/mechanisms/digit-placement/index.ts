import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { ItemChannel } from '../../simulate/itemChannel';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type PlacementParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

/** Numbers beyond three digits are counted apart from the dense tally. */
const denseNumber = 999;

export const digitPlacement: Mechanism<PlacementParameters> = {
  id: 'digit-placement',
  title: 'Digit placement',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Draw one column for each digit on your sheet.',
    'A digit is drawn; everyone writes it at once into one of the empty columns, for good.',
    'Low digits often go to the small columns, but keep the ones column for odd or even.',
    'When the columns are full, read your number aloud.',
    'The best number for the goal takes the round.',
  ],
  played: { with: ['cards', 'paper'], does: ['places-digits'], moves: ['fills'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Draw the remaining digits of this round face up and place them together as well as can be.',
  told: ['has made {x}', 'takes the round with {x}', 'puts {x} into a column that is expected to cost {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 8 },
  extraMeasures: ['meanNumber', 'spoiled', 'costOfChoices'],
  headStart: 'rounds',
  check: (p) =>
    firstOf(
      p.goal === 'nearest' && p.target >= 10 ** p.columns && impossible('target', `${p.columns} columns cannot come near ${p.target}.`),
      p.goal === 'nearest' && p.columns > 4 && impossible('columns', 'Nearest to a target is worked out for up to four columns.'),
    ),
  checkTable: (seats) => sharedBy(seats, ['draw', 'goal', 'rounds', 'ownDigits', 'columns']),
  channels: (p): ItemChannel[] => {
    const numbers = [0, p.columns <= 2 ? 99 : denseNumber] as const;
    const pair = p.columns <= 2 ? ([0, 99] as const) : ([0, 0] as const);
    return [
      { op: 'place-digit', unknown: 'result', rep: 'numerals', a: [0, 9], b: [0, 5] },
      { op: 'read-numeral', unknown: 'result', rep: 'numerals', a: numbers, b: [0, 0] },
      { op: 'compare', unknown: 'result', rep: 'numerals', a: pair, b: pair },
      { op: 'subtract', unknown: 'result', rep: 'numerals', a: pair, b: pair },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (_p, seats) => [
    { cards: [0, 9], each: 1 },
    { kind: 'recording-sheet', quantity: seats },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: (p, seats) => [{ sheet: 'place-columns', copies: seats, data: { columns: p.columns, rounds: p.rounds, tally: p.tally } }],
};
