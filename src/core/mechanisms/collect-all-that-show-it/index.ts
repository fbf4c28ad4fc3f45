import { firstOf, impossible, inOrder, ownOnly } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { type CollectParameters, DEFAULTS, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

export const collectAll: Mechanism<CollectParameters> = {
  id: 'collect-all-that-show-it',
  title: 'Collect all that show it',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Spread the pieces face up.',
    'Throw and say the number.',
    'Gather every piece that shows it: together, in turn, or each for oneself.',
    'Nothing left of that number? The next player throws.',
    'When the table is bare, count what was gathered.',
  ],
  played: { with: ['dice', 'cards'], does: ['counts'], moves: ['collects'], who: ['together', 'in-turn'], ends: ['all-gone'] },
  earlyEnding: 'Sort the pieces that are left by number, and see which number came least.',
  told: ['throws {x}: {y} pieces show it', 'throws {x}: none are left'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 6 },
  extraMeasures: ['piecesLeft', 'overlooked'],
  headStart: 'pieces',
  check: (p) =>
    firstOf(
      inOrder(p.lowest + 1, p.highest, 'highest', 'number'),
      p.thrown === 'two-dice-sum' && p.highest < p.lowest + 3 && impossible('highest', 'The sum of two dice needs a wider range.'),
    ),
  checkTable: (seats) => ownOnly(seats, []),
  channels: (p) => [
    { op: 'subitise', unknown: 'result', rep: 'pips', a: [0, p.highest], b: [0, 0] },
    { op: 'add', unknown: 'result', rep: 'pips', a: [0, p.highest], b: [0, p.highest] },
    { op: 'compare', unknown: 'result', rep: p.shows, a: [0, p.highest], b: [0, p.highest] },
    { op: 'count', unknown: 'result', rep: 'pieces', a: [0, 6], b: [0, 0] },
  ],
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p) => [
    p.thrown === 'one-die'
      ? { chances: [p.lowest, p.highest], count: 1 }
      : { chances: [Math.ceil(p.lowest / 2), Math.floor(p.highest / 2)], count: 2 },
    p.shows === 'ten-frame'
      ? { kind: 'ten-frame-cards', quantity: 1 }
      : p.shows === 'numerals' || p.shows === 'words'
        ? { cards: [p.lowest, p.highest], each: p.each }
        : { kind: 'dot-cards', quantity: 1 },
  ],
  sheets: (p) => [
    {
      sheet: 'amount-cards',
      copies: 1,
      data: { low: p.lowest, high: p.highest, each: p.each, looks: [p.shows === 'pips' ? 'like-a-die' : p.shows] },
    },
  ],
};
