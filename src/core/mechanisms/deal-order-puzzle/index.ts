import { numberCards } from '../../play/needs';
import { firstOf, impossible } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type DealOrderParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { arrangement, comesOutInOrder } from './rules';

export const dealOrderPuzzle: Mechanism<DealOrderParameters> = {
  id: 'deal-order-puzzle',
  title: 'Deal in order',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Take the cards and arrange them so that the deal shows them in order.',
    'The deal: one card face up on the table, the next underneath the packet, and so on as agreed.',
    'Build a plan with slots for the places, or try and mend.',
    'Deal to check. Where did it go wrong? Keep what was right.',
    'Show it to someone, and let them find out how.',
  ],
  played: { with: ['cards'], does: ['goes-on'], moves: ['puts-in-order'], who: ['all-at-once'], ends: ['full'] },
  earlyEnding: 'Lay the finished part in a row and deal it slowly together.',
  told: ['deals the packet in order, at try {x}', 'deals, and card {x} comes wrong'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['tries'],
  headStart: null,
  check: (p) =>
    firstOf(
      p.under === 0 && p.pattern === 'always-as-many' && impossible('under', 'With nothing put underneath there is no puzzle.'),
      !comesOutInOrder(p, arrangement(p)) && impossible('cards', 'This deal cannot be arranged.'),
    ),
  channels: (_p, seats) => {
    const cards = Math.max(...seats.map((s) => s.parameters.cards));
    const most = (cards + 1) * Math.max(...seats.map((s) => s.parameters.step));
    return [
      { op: 'next-in-sequence', unknown: 'result', rep: 'numerals', a: [0, most], b: [0, 10] },
      { op: 'count', unknown: 'result', rep: 'pieces', a: [0, cards], b: [0, 0] },
      { op: 'next-in-sequence', unknown: 'result', rep: 'numerals', a: [0, most], b: [-10, 0] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p, seats) => [p.step === 1 ? { cards: [1, p.cards], each: seats } : { kind: numberCards, quantity: seats }],
  sheets: (p, seats) => [{ sheet: 'slot-row', copies: p.help === 'row-of-slots' ? seats : 0, data: { ...p } }],
};
