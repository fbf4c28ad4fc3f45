import { fourOperations } from '../../play/arithmetic';
import { inOrder } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, SCHEMA, type WheelParameters } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const factWheel: Mechanism<WheelParameters> = {
  id: 'fact-wheel',
  title: 'Fact wheel',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'A number stands in the middle of the wheel, others round its rim.',
    'Spin, or go round, or take the rim in mixed order.',
    'Join the rim number with the middle and say the whole fact.',
    'Turn it round, or undo it with the opposite, if agreed.',
    'A star beside the facts you knew at once; the others come again.',
  ],
  played: { with: ['board', 'paper'], does: ['adds', 'takes-away', 'multiplies'], moves: ['says'], who: ['in-turn'], ends: ['rounds'] },
  earlyEnding: 'Each names the fact that was hardest, and all say it together.',
  told: ['says the fact with {x} and {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['comesAgain'],
  headStart: null,
  check: (p) => inOrder(p.from, p.to, 'to', 'outer number'),
  channels: (_p, seats) => {
    const fixed = Math.max(...seats.map((s) => s.parameters.fixed));
    const to = Math.max(...seats.map((s) => s.parameters.to));
    const side = Math.min(200, Math.max(fixed, to));
    return fourOperations.map((op) => ({
      op,
      unknown: 'result',
      rep: 'numerals',
      a: [0, op === 'divide' ? Math.min(1000, fixed * to) : op === 'subtract' ? fixed + to : side],
      b: [0, side],
    }));
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (_p, seats) => [
    { kind: 'fact-wheel', quantity: 1 },
    { kind: 'recording-sheet', quantity: seats },
  ],
  sheets: (p, seats) => [
    {
      sheet: 'fact-wheel',
      copies: 1,
      data: { operation: p.operation, fixed: p.fixed, from: p.from, to: p.to, wheels: Math.min(6, seats) },
    },
  ],
};
