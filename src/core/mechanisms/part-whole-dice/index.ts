import { inOrder, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type PartWholeParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const partWholeDice: Mechanism<PartWholeParameters> = {
  id: 'part-whole-dice',
  title: 'Part and whole with dice',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Throw two dice: the larger number is the whole, the smaller one part.',
    'Say the missing part.',
    'Colour one box for it on your grid.',
    'With no box left for it, the throw is lost, or goes to a neighbour if agreed.',
    'Play until a row is full, or the whole grid, or the throws are used up.',
  ],
  played: { with: ['dice', 'paper'], does: ['takes-away', 'partner'], moves: ['fills'], who: ['in-turn'], ends: ['full'] },
  earlyEnding: 'Count the coloured boxes on all grids together: how many did the table find?',
  told: ['throws a whole of {x}: {y} is missing, and colours it', 'throws a whole of {x}: {y} is missing, but that row is full'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['throwsGiven'],
  headStart: 'boxes',
  check: (p) => inOrder(p.lowestFace + 2, p.faces, 'faces', 'number'),
  checkTable: (seats) => sharedBy(seats, ['ends', 'rounds', 'takeOther']),
  channels: (_p, seats) => {
    const high = Math.max(...seats.map((s) => s.parameters.faces));
    return [
      { op: 'add', unknown: 'b', rep: 'pips', a: [0, high], b: [0, high] },
      { op: 'subtract', unknown: 'result', rep: 'pips', a: [0, high], b: [0, high] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    { chances: [p.lowestFace, p.faces], count: 2 },
    { kind: 'recording-sheet', quantity: seats },
    { kind: 'pencils', quantity: seats },
  ],
  sheets: (p, seats) => [
    { sheet: 'colour-grid', copies: Math.ceil(seats / 2), data: { rows: p.faces - p.lowestFace + 1, cells: p.cells } },
  ],
};
