import { leftOf, numberCards } from '../../play/deck';
import { firstOf, impossible, inOrder, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { type CompareParameters, DEFAULTS, SCHEMA } from './parameters';
import { createTable } from './playOut';

/** The largest value a player's cards can make. */
function largest(p: CompareParameters): number {
  if (p.join === 'number') return p.highest * 10 ** (p.cards - 1) + (p.cards > 1 ? 10 ** (p.cards - 1) - 1 : 0);
  return p.join === 'product' ? p.highest ** p.cards : p.highest * p.cards;
}

export const compareCards: Mechanism<CompareParameters> = {
  id: 'compare-cards',
  title: 'Compare cards',
  words: ['Everyone turns the agreed number of cards.', 'Join them as agreed and say what they make.', 'Compare: who has more, and by how much?', 'Whoever has more (or less, if agreed) takes the round; when equal, the next round counts double.', 'After the last round count the rounds you took.'],
  played: { with: ['cards'], does: ['compares', 'adds', 'multiplies'], moves: ['compares-round'], who: ['in-turn'], ends: ['rounds', 'all-gone'] },
  earlyEnding: 'Turn one last round in which the least takes it.',
  told: ['turns cards that make {x}', 'takes the round with {x}'],
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['equalRounds'],
  headStart: 'rounds',
  check: (p) =>
    firstOf(
      inOrder(p.lowest, p.highest, 'highest', 'card'),
      p.cards === 1 && p.join !== 'sum' && p.join !== 'number' && impossible('join', 'One card has nothing to be joined with.'),
      p.join === 'number' && p.highest > 9 && impossible('highest', 'Digits side by side go up to 9.'),
      p.join === 'product' && largest(p) > 10_000 && impossible('highest', 'Such products are too large for a card game.'),
      leftOf(numberCards(p.lowest, p.highest, p.copies), p.missing).length < p.cards && impossible('copies', 'The deck holds fewer cards than one player turns.'),
    ),
  checkTable: (seats) => {
    const p = seats[0]!.parameters;
    return firstOf(sharedBy(seats, ['goal', 'tie', 'rounds', 'join']), leftOf(numberCards(p.lowest, p.highest, p.copies), p.missing).length < p.cards * seats.length && impossible('copies', 'The deck holds fewer cards than the players turn in one round.'));
  },
  channels: (_p, seats) => {
    const high = Math.max(...seats.map((s) => s.parameters.highest));
    const most = Math.min(1000, Math.max(...seats.map((s) => largest(s.parameters))));
    const all = most <= 200 ? ([0, most] as const) : ([0, 0] as const);
    return [
      { op: 'add', unknown: 'result', rep: 'numerals', a: [0, high * 2], b: [0, high] },
      { op: 'subtract', unknown: 'result', rep: 'numerals', a: [0, high], b: [0, high] },
      { op: 'multiply', unknown: 'result', rep: 'numerals', a: [0, Math.min(500, high * high)], b: [0, high] },
      { op: 'compare', unknown: 'result', rep: 'numerals', a: all, b: all },
      { op: 'subtract', unknown: 'result', rep: 'numerals', a: all, b: all },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  materials: (p) => [p.join === 'number' ? { kind: 'digit-cards-0-9', quantity: 1 } : { kind: 'number-deck-1-10', quantity: Math.max(1, Math.ceil(p.copies / 4)) }],
  sheets: (p) => [{ sheet: 'number-cards', copies: 1, data: { low: p.lowest, high: p.highest, copies: p.copies } }],
};
