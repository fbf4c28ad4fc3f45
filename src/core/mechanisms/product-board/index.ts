import { firstOf, impossible, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { howTo } from './howTo';
import { DEFAULTS, type ProductBoardParameters, SCHEMA } from './parameters';
import { createTable } from './playOut';

export const productBoard: Mechanism<ProductBoardParameters> = {
  id: 'product-board',
  title: 'Product board',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Two markers stand on a strip of factors.',
    'Move one marker; what the two make may be claimed on the board.',
    'The first with enough squares in a line wins.',
  ],
  played: {
    with: ['board', 'things'],
    does: ['multiplies', 'adds'],
    moves: ['fills', 'takes'],
    who: ['in-turn'],
    ends: ['full', 'first-home'],
  },
  earlyEnding: 'Look for the line that is nearest to being full, and say which factors it still needs.',
  told: ['makes {x} and has claimed {y}', 'can claim nothing and moves a marker to {x}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 3 },
  extraMeasures: [],
  headStart: null,
  check: (p) => firstOf(p.highest - p.lowest < 3 && impossible('highest', 'With so few factors there is no board; take a higher one.')),
  checkTable: (seats) => sharedBy(seats, ['highest', 'lowest', 'inLine', 'operation', 'board']),
  channels: (p) => [
    {
      op: p.operation === 'multiplied' ? 'multiply' : 'add',
      unknown: 'result',
      rep: 'numerals',
      a: [p.lowest, p.highest],
      b: [p.lowest, p.highest],
    },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    { kind: 'product-board', quantity: 1 },
    { kind: 'two-colour-counters', quantity: 18 * Math.max(1, seats - 1) + (p.highest > 0 ? 2 : 0) },
  ],
  sheets: (p) => [{ sheet: 'product-board', copies: 1, data: { ...p } }],
};
