import { inOrder } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { type CoverShapeParameters, DEFAULTS, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const coverTheShape: Mechanism<CoverShapeParameters> = {
  id: 'cover-the-shape',
  title: 'Cover the shape',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Draw a figure card and say how many unit tiles will cover it.',
    'Cover it without gaps and without overlaps, or only its two sides.',
    'Find the number: count, add row by row, or multiply the sides.',
    'A joined figure is two rectangles; add them.',
    'Compare with your estimate; close ones score.',
  ],
  played: { with: ['tiles', 'things'], does: ['counts', 'multiplies'], moves: ['covers'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Put the figures in order by what they hold and check one pair.',
  told: ['covers a rectangle with {x} tiles', 'covers a joined figure with {x} tiles'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['miscounted'],
  headStart: 'points',
  check: (p) => inOrder(p.shortest, p.longest, 'longest', 'side'),
  channels: (_p, seats) => {
    const side = Math.max(...seats.map((s) => s.parameters.longest));
    const most = side * side;
    return [
      { op: 'count', unknown: 'result', rep: 'shape', a: [0, most], b: [0, 0] },
      { op: 'add', unknown: 'result', rep: 'shape', a: [0, most], b: [0, side] },
      { op: 'area', unknown: 'result', rep: 'shape', a: [0, side], b: [0, side] },
      { op: 'add', unknown: 'result', rep: 'shape', a: [0, most], b: [0, most] },
      { op: 'compare', unknown: 'result', rep: 'shape', a: [0, 3 * most], b: [0, 2 * most] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p, seats) => [{ kind: 'unit-tiles', quantity: Math.min(60, p.longest ** 2) * seats }],
  sheets: (p, seats) => [
    { sheet: 'figure-cards', copies: seats, data: { figure: p.figure, shortest: p.shortest, longest: p.longest, count: p.tasks } },
  ],
};
