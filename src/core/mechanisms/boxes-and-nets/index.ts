import { cubeNets } from '../../items/acts/shapes';
import { sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { type BoxesParameters, DEFAULTS, SCHEMA } from './parameters';
import { createTable } from './playOut';

export const boxesAndNets: Mechanism<BoxesParameters> = {
  id: 'boxes-and-nets',
  title: 'Boxes, nets and figures',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'A card shows a box, a net or a figure.',
    'Say what it will hold, how it folds, or how many pieces it takes.',
    'Make it and see; the others bet.',
  ],
  played: {
    with: ['things', 'cards'],
    does: ['multiplies', 'counts'],
    moves: ['builds', 'covers', 'guesses'],
    who: ['in-turn'],
    ends: ['rounds'],
  },
  earlyEnding: 'Build the last card together and let everyone say how they knew.',
  told: ['says {x} cubes in {y} layers', 'folds: square {x} lies opposite to {y}', 'lays a figure of {x} pieces'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: [],
  headStart: 'points',
  check: () => null,
  checkTable: (seats) => sharedBy(seats, ['task', 'bets', 'cards']),
  channels: (p) => [
    { op: 'area', unknown: 'result', rep: 'pieces', a: [2, 6], b: [2, 6] },
    { op: 'volume', unknown: 'result', rep: 'pieces', a: [4, 36], b: [2, 6] },
    { op: 'net-opposite', unknown: 'result', rep: 'shape', a: [0, cubeNets.length - 1], b: [0, 5] },
    { op: 'build-shape', unknown: 'result', rep: 'shape', a: [2, p.pieces], b: [0, 0] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p) =>
    p.task === 'how-many-cubes'
      ? [{ kind: 'linking-cubes', quantity: Math.min(60, p.longest ** 3) }]
      : p.task === 'which-face-opposite'
        ? [
            { kind: 'squared-paper', quantity: 11 },
            { kind: 'scissors', quantity: 1 },
          ]
        : [{ kind: 'tangram-pieces', quantity: 1 }],
  sheets: (p) => [
    p.task === 'which-face-opposite'
      ? { sheet: 'net-sheet', copies: 1, data: {} }
      : p.task === 'how-many-cubes'
        ? {
            sheet: 'figure-cards',
            copies: 1,
            data: { figure: 'boxes-of-cubes', longest: p.longest, count: Math.min(12, (p.longest - 1) ** 3) },
          }
        : { sheet: 'figure-cards', copies: 1, data: { figure: 'joined-squares', pieces: p.pieces, count: 12 } },
  ],
};
