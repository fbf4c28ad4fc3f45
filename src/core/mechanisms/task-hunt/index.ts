import { fourOperations } from '../../play/arithmetic';
import { firstOf, impossible } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type HuntParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const taskHunt: Mechanism<HuntParameters> = {
  id: 'task-hunt',
  title: 'Task hunt',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Hide the task cards about the room, or pass them round the table.',
    'Find a card, look at its letter or number, and find the same box on your sheet.',
    'Write the answer there.',
    'Go on to the next card; the order does not matter.',
    'It is a check-in: nobody has to finish.',
  ],
  played: {
    with: ['cards', 'paper'],
    does: ['adds', 'takes-away', 'multiplies'],
    moves: ['writes'],
    who: ['all-at-once'],
    ends: ['rounds'],
  },
  earlyEnding: 'Everyone puts a ring round the box they are surest of and one they would like to talk about.',
  told: ['finds a card with {x} and {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 12 },
  extraMeasures: ['boxesFilled'],
  headStart: null,
  check: (p) =>
    firstOf(
      p.highest < 2 * p.lowest + 1 &&
        impossible('highest', `With no number below ${p.lowest} results must reach at least ${2 * p.lowest + 1}.`),
      p.operations.some((o) => o === 'multiply' || o === 'divide') &&
        Math.max(1, p.lowest) ** 2 > p.highest &&
        impossible('highest', 'No product of two such numbers is as small as that.'),
      p.operations.some((o) => o === 'multiply' || o === 'divide') &&
        p.lowest > 12 &&
        impossible('lowest', 'Products are made of numbers up to twelve.'),
    ),
  channels: (_p, seats) => {
    const most = Math.min(200, Math.max(...seats.map((s) => s.parameters.highest)));
    const spans = { a: [0, most], b: [0, most] } as const;
    return [
      ...fourOperations.map((op) => ({ op, unknown: 'result' as const, rep: 'numerals' as const, ...spans })),
      ...fourOperations.map((op) => ({ op, unknown: 'b' as const, rep: 'numerals' as const, ...spans })),
      { op: 'read-numeral', unknown: 'result', rep: 'numerals', a: [0, 20], b: [0, 0] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (_p, seats) => [
    { kind: 'task-card-set', quantity: 1 },
    { kind: 'recording-sheet', quantity: seats },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: (p, seats) => [{ sheet: 'task-cards', copies: 1, data: { ...p, sheets: seats } }],
};
