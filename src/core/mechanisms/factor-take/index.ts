import { sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { DEFAULTS, type FactorTakeParameters, SCHEMA } from './parameters';
import { createTable } from './playOut';

export const factorTake: Mechanism<FactorTakeParameters> = {
  id: 'factor-take',
  title: 'Take the number, give the factors',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'The numbers lie open.',
    'Take one and score it; the next player takes its factors that are still there.',
    'Whoever has most at the end has chosen best.',
  ],
  played: { with: ['paper'], does: ['multiplies', 'adds'], moves: ['takes'], who: ['in-turn'], ends: ['all-gone', 'score'] },
  earlyEnding: 'Cross out what is left together: which of them are primes?',
  told: ['takes {x}; {y} of its factors are still there'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 4 },
  extraMeasures: ['numbersLeft'],
  headStart: 'points',
  check: () => null,
  checkTable: (seats) => sharedBy(seats, ['highest', 'takes', 'noFactor', 'picks']),
  channels: (p) => [
    { op: 'factor', unknown: 'result', rep: 'numerals', a: [1, p.highest], b: [1, p.highest] },
    { op: 'prime', unknown: 'result', rep: 'numerals', a: [1, p.highest], b: [0, 0] },
    { op: 'add', unknown: 'result', rep: 'numerals', a: [0, p.highest * 12], b: [0, p.highest] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (_p, seats) => [
    { kind: 'paper', quantity: 1 },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: () => [],
};
