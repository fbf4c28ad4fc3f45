import { firstOf, sharedBy, impossible } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, SCHEMA, type StackParameters } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const stackOrLineUp: Mechanism<StackParameters> = {
  id: 'stack-or-line-up',
  title: 'Stack or line up',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Say how many pieces you will manage.',
    'Stack them, or line them up as far as the edge, until they topple or run out.',
    'Count them.',
    'Compare with what you said, and with your neighbour.',
    'Build again: closer this time?',
  ],
  played: { with: ['things'], does: ['counts', 'compares'], moves: ['builds'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Build one tower together with all the pieces and count it down as it is taken apart.',
  told: ['builds with {x} pieces'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['meanPieces'],
  headStart: 'points',
  check: (p) => firstOf(p.steady > p.pieces && impossible('steady', 'More pieces stand than there are.')),
  checkTable: (seats) => sharedBy(seats, ['rounds']),
  channels: (_p, seats) => {
    const most = Math.max(...seats.map((s) => s.parameters.pieces)) + 5;
    return [
      { op: 'count', unknown: 'result', rep: 'pieces', a: [0, most], b: [0, 0] },
      { op: 'compare', unknown: 'result', rep: 'pieces', a: [0, most], b: [0, most] },
      { op: 'subtract', unknown: 'result', rep: 'pieces', a: [0, most], b: [0, most] },
      { op: 'next-in-sequence', unknown: 'result', rep: 'pieces', a: [0, most], b: [0, 5] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p, seats) => [
    {
      kind: p.build === 'stacked' ? 'linking-cubes' : 'dominoes',
      quantity: p.build === 'stacked' ? p.pieces * seats : Math.ceil(seats / 2),
    },
  ],
  sheets: () => [],
};
