import { inOrder, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { DEFAULTS, type RemainderParameters, SCHEMA } from './parameters';
import { createTable } from './playOut';

export const remainderRace: Mechanism<RemainderParameters> = {
  id: 'remainder-race',
  title: 'Race by what is left over',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Draw how many there are, and by how many they are shared.',
    'Say what is left over and move so far.',
    'The first at the end of the track has done it.',
  ],
  played: { with: ['cards', 'board'], does: ['multiplies'], moves: ['races'], who: ['in-turn'], ends: ['first-home'] },
  earlyEnding: 'Everyone says what would have brought them to the end in one move.',
  told: ['shares {x} by {y} and moves by the rest'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: [],
  headStart: 'spaces',
  check: (p) => inOrder(p.lowest, p.highest, 'highest', 'number'),
  checkTable: (seats) => sharedBy(seats, ['goal']),
  channels: (p) => [
    { op: 'remainder', unknown: 'result', rep: p.story === 'a-story' ? 'story-groups' : 'numerals', a: [5, 200], b: [2, 12] },
    { op: 'divide', unknown: 'result', rep: 'numerals', a: [5, 200], b: [2, 12] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    { cards: [p.lowest, p.highest], each: 1 },
    { cards: [2, p.divisors], each: 4 },
    { kind: 'track-board', quantity: 1 },
    { kind: 'pegs', quantity: seats },
  ],
  sheets: (p) => [
    { sheet: 'number-cards', copies: 1, data: { low: p.lowest, high: p.highest, copies: 1 } },
    { sheet: 'track-board', copies: 1, data: { start: 0, end: p.goal } },
  ],
};
