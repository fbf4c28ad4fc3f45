import { sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { DEFAULTS, SCHEMA, type SpotParameters } from './parameters';
import { createTable } from './playOut';

export const findTheSpot: Mechanism<SpotParameters> = {
  id: 'find-the-spot',
  title: 'Find the spot',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'A helper hides spots on a grid.',
    'Name points by their two numbers, along first, and mark them.',
    'After each guess the helper gives a clue.',
    'All win together when the spots are found in time.',
  ],
  played: { with: ['paper', 'board'], does: ['counts'], moves: ['guesses'], who: ['together'], ends: ['rounds'] },
  earlyEnding: 'The hider shows the spot; everyone says which clue would have led there.',
  told: ['guesses {x} along and {y} up', 'finds the spot at {x} along and {y} up'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['spotsFound'],
  headStart: null,
  check: () => null,
  checkTable: (seats) => sharedBy(seats, ['size', 'quarters', 'spots', 'clue', 'guesses', 'sayMoves']),
  channels: (p) => [
    { op: 'plot-point', unknown: 'result', rep: 'numerals', a: [-p.size, p.size], b: [-p.size, p.size] },
    { op: 'add', unknown: 'result', rep: 'number-line', a: [0, 2 * p.size], b: [0, 2 * p.size] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: () => [
    { kind: 'coordinate-grid', quantity: 1 },
    { kind: 'pencils', quantity: 2 },
  ],
  sheets: (p) => [{ sheet: 'coordinate-grid', copies: 1, data: { size: p.size, quarters: p.quarters } }],
};
