import { firstOf, impossible, ownOnly } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { DEFAULTS, SCHEMA, type SetsParameters } from './parameters';
import { createTable } from './playOut';
import { groupsOf, setSize } from './rules';

const offGrid = { a: [0, 0], b: [0, 0] } as const;

export const setsAndRuns: Mechanism<SetsParameters> = {
  id: 'sets-and-runs',
  title: 'Sets and runs',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Everyone holds a hand of cards.',
    'Draw, lay down three that belong together, put one away.',
    'The first with enough sets has done it.',
  ],
  played: {
    with: ['cards'],
    does: ['partner', 'adds', 'multiplies'],
    moves: ['lays-down', 'collects'],
    who: ['in-turn'],
    ends: ['score', 'first-home'],
  },
  earlyEnding: 'Lay all hands open and find one more set together.',
  told: ['lays down a set of {x} and has {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 4 },
  extraMeasures: [],
  headStart: 'sets',
  check: (p) =>
    firstOf(
      p.highest < p.lowest + 3 && impossible('highest', 'Between so few numbers there are too few sets.'),
      groupsOf(p).length < p.sets + 2 && impossible('sets', `There are cards for ${groupsOf(p).length} sets only.`),
      p.hand > groupsOf(p).length * setSize && impossible('hand', 'There are not so many cards.'),
    ),
  checkTable: (seats) =>
    ownOnly(seats, ['hand']) ??
    firstOf(
      seats.reduce((n, s) => n + s.parameters.hand + 1, 0) + seats[0]!.parameters.open > groupsOf(seats[0]!.parameters).length * setSize &&
        impossible('hand', 'There are not cards enough for so many hands; deal fewer, or take more numbers.'),
    ),
  channels: () => [
    { op: 'percent-name', unknown: 'result', rep: 'numerals', ...offGrid },
    { op: 'read-decimal', unknown: 'result', rep: 'numerals', ...offGrid },
    { op: 'simplify-fraction', unknown: 'result', rep: 'numerals', ...offGrid },
    { op: 'power', unknown: 'result', rep: 'numerals', a: [1, 12], b: [2, 3] },
    { op: 'multiply', unknown: 'result', rep: 'numerals', a: [1, 30], b: [1, 12] },
    { op: 'add', unknown: 'result', rep: 'expression', a: [0, 62], b: [0, 62] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (_p, seats) => [
    { kind: 'pair-cards', quantity: 1 },
    { kind: 'card-stand', quantity: seats },
  ],
  sheets: (p) => [{ sheet: 'set-cards', copies: 1, data: { ...p } }],
};
