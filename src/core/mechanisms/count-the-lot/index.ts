import { coinsIn } from '../../play/country';
import { inOrder } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type LotParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const countTheLot: Mechanism<LotParameters> = {
  id: 'count-the-lot',
  title: 'Count the lot',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Take a bag or a card with a lot of coins or counters.',
    'Sort first: the largest coins, or groups of the agreed size.',
    'Count along and say how much it is altogether.',
    'A neighbour may count again in another order.',
    'Say the change, if there is a price.',
  ],
  played: { with: ['things'], does: ['counts', 'adds'], moves: ['counts-up'], who: ['all-at-once'], ends: ['rounds'] },
  earlyEnding: 'Put all lots together and find out what the whole table has.',
  told: ['counts {x} pieces', 'counts {x} coins worth {y}'],
  howTo,
  inCountry: (p, country) => (p.pieces === 'coins' ? { ...p, coins: coinsIn(country, p.coins) } : p),
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['miscounted'],
  headStart: null,
  check: (p) => inOrder(p.fewest, p.most, 'most', 'number of pieces'),
  channels: (_p, seats) => {
    const pieces = Math.max(...seats.map((s) => s.parameters.most));
    const coin = Math.max(...seats.flatMap((s) => s.parameters.coins));
    const amount = Math.min(600, pieces * coin);
    return [
      { op: 'count-money', unknown: 'result', rep: 'coins', a: [0, amount], b: [0, pieces] },
      { op: 'add', unknown: 'result', rep: 'coins', a: [0, amount], b: [0, coin] },
      { op: 'count', unknown: 'result', rep: 'pieces', a: [0, pieces], b: [0, 0] },
      { op: 'next-in-sequence', unknown: 'result', rep: 'pieces', a: [0, pieces], b: [0, 10] },
      { op: 'subtract', unknown: 'result', rep: 'coins', a: [0, Math.min(200, amount)], b: [0, Math.min(200, amount)] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => true,
  createTable,
  needs: (p, seats) => [p.pieces === 'coins' ? { kind: 'coins', quantity: 1 } : { kind: 'two-colour-counters', quantity: p.most * seats }],
  sheets: (p) => [
    ...(p.pieces === 'coins' && p.change === 'from-a-price'
      ? [{ sheet: 'price-cards', copies: 1, data: { step: 1, dearest: 1, highest: usualPrice(p), count: 24 } }]
      : []),
    ...(p.pieces === 'coins'
      ? [{ sheet: 'coin-cards', copies: 1, data: { coins: p.coins, fewest: p.fewest, most: p.most, count: 12 } }]
      : []),
  ],
};

/** What a lot of middling coins is worth: most lots pay for most prices below. */
const usualPrice = (p: LotParameters): number =>
  Math.max(1, Math.round(((p.fewest + p.most) / 2) * (p.coins.reduce((sum: number, c) => sum + c, 0) / p.coins.length)));
