import { firstOf, impossible, ownOnly } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, SCHEMA, type TakeAwayParameters } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const takeAwayPiles: Mechanism<TakeAwayParameters> = {
  id: 'take-away-piles',
  title: 'Take-away piles',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Make the piles and count them together.',
    'In turn, take some from one pile, at most the agreed number, and say how many are left.',
    'As a counting race, add some to the number said before instead.',
    'Whoever takes the last one wins, or loses, as agreed.',
    'Play again and look for the numbers that always lose.',
  ],
  played: { with: ['things'], does: ['takes-away', 'adds'], moves: ['takes'], who: ['in-turn'], ends: ['all-gone'] },
  earlyEnding: 'Stop and ask: whose turn would you rather have now, and why?',
  told: ['takes {x}; {y} are left in that pile', 'adds {x} and says {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 4 },
  extraMeasures: [],
  headStart: null,
  check: (p) =>
    firstOf(
      p.form === 'say-up-to' && p.piles > 1 && impossible('piles', 'A counting race has one number, so one pile.'),
      p.most >= p.size && impossible('most', 'With so many in one turn the first player takes everything.'),
    ),
  checkTable: (seats) => ownOnly(seats, ['most']),
  channels: (p, seats) => {
    const most = Math.max(...seats.map((s) => s.parameters.most));
    return [
      { op: 'subtract', unknown: 'result', rep: 'dots', a: [0, p.size], b: [0, most] },
      { op: 'add', unknown: 'result', rep: 'words', a: [0, p.size], b: [0, most] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p) => (p.form === 'take-away' ? [{ kind: 'two-colour-counters', quantity: p.size * p.piles }] : []),
  sheets: () => [],
};
