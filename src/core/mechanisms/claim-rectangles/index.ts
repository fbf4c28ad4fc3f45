import { impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { type ClaimRectanglesParameters, DEFAULTS, SCHEMA } from './parameters';
import { createTable } from './playOut';

export const claimRectangles: Mechanism<ClaimRectanglesParameters> = {
  id: 'claim-rectangles',
  title: 'Claim rectangles',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Two dice give the sides of a rectangle.',
    'Draw it on squared paper where there is room, and say how many squares it has.',
    'When nobody finds room any more, count your squares.',
  ],
  played: { with: ['dice', 'paper'], does: ['multiplies'], moves: ['fills', 'covers'], who: ['in-turn'], ends: ['full'] },
  earlyEnding: 'Everyone counts the squares claimed so far; which rectangle was the best find?',
  told: ['claims {x} squares and has {y}', 'finds no room for {x} by {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 4 },
  extraMeasures: ['squaresLeft'],
  headStart: 'squares',
  check: (p) => (p.faces > Math.max(p.rows, p.columns) ? impossible('faces', `A side of ${p.faces} has no room on this paper.`) : null),
  checkTable: (seats) => sharedBy(seats, ['rows', 'columns', 'paper']),
  channels: (p) => [
    { op: 'area', unknown: 'result', rep: 'shape', a: [1, p.faces], b: [1, p.faces] },
    { op: 'perimeter', unknown: 'result', rep: 'shape', a: [1, p.faces], b: [1, p.faces] },
    { op: 'add', unknown: 'result', rep: 'numerals', a: [0, p.rows * p.columns], b: [0, p.faces ** 2] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    { chances: [1, p.faces], count: 2 },
    { kind: 'squared-paper', quantity: p.paper === 'is-shared' ? 1 : seats },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: () => [],
};
