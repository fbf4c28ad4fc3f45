import { firstOf, impossible } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { type BeamParameters, DEFAULTS, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

const most = (p: BeamParameters): number => p.left * p.pegs * (p.multiples ? 3 : 1);

export const balanceTheBeam: Mechanism<BeamParameters> = {
  id: 'balance-the-beam',
  title: 'Balance the beam',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Hang the weights of a task card on the beam, one side complete, the other with one missing.',
    'Say which side would sink if you let go.',
    'Work out where the missing weight must hang so that both sides are equal.',
    'Hang it there and let go: the beam answers.',
    'Write it with an equals sign: what is on the left is as much as what is on the right.',
  ],
  played: { with: ['things'], does: ['adds', 'balances'], moves: ['balances'], who: ['in-turn'], ends: ['rounds'] },
  earlyEnding: 'One last riddle for all: two weights on one side, any way to balance them.',
  told: ['balances {x} with a weight at {y}', 'sees the beam tip, and finds that {x} wants {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 4 },
  extraMeasures: ['tipped'],
  headStart: 'tasks',
  check: (p) =>
    firstOf(
      p.right === 1 &&
        !p.multiples &&
        impossible('right', 'One weight on the right only copies a peg; let two hang there, or several on one peg.'),
      p.left > p.right && impossible('left', 'With more weights on the left than on the right, some tasks could not be balanced.'),
    ),
  channels: (_p, seats) => {
    const high = Math.max(...seats.map((s) => most(s.parameters)));
    return [
      { op: 'add', unknown: 'result', rep: 'pieces', a: [0, high], b: [0, high] },
      { op: 'multiply', unknown: 'result', rep: 'pieces', a: [0, 3], b: [0, 20] },
      { op: 'balance', unknown: 'result', rep: 'pieces', a: [0, high], b: [0, high] },
      { op: 'compare', unknown: 'result', rep: 'pieces', a: [0, high], b: [0, high] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: () => [{ kind: 'balance-beam', quantity: 1 }],
  sheets: (p, seats) => [{ sheet: 'beam-tasks', copies: 1, data: { ...p, count: Math.min(60, p.tasks * seats) } }],
};
