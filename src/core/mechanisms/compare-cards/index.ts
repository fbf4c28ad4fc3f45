import type { Representation } from '../../items/item';
import type { Problem } from '../../shared/codes';
import { leftOf, numberCards } from '../../play/deck';
import { firstOf, impossible, inOrder, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { type CompareParameters, DEFAULTS, SCHEMA, withOne } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

const isWithOne = (p: CompareParameters): boolean => (withOne as readonly string[]).includes(p.join);

/** The largest value a player's cards can make. */
function largest(p: CompareParameters): number {
  if (p.join === 'fraction') return 1;
  if (p.join === 'number') return p.highest * 10 ** (p.cards - 1) + (p.cards > 1 ? 10 ** (p.cards - 1) - 1 : 0);
  return p.join === 'product' ? p.highest ** p.cards : p.highest * p.cards * p.worth;
}

/** What keeps the cards from making fractions. */
function fractionProblem(p: CompareParameters): Problem | false {
  if (p.cards > 2) return impossible('cards', 'A fraction is made of two cards, or of one over an agreed bottom number.');
  if (p.lowest < 1) return impossible('lowest', 'Nought makes no fraction to compare; begin with one.');
  if (p.bottom === 1) return impossible('bottom', 'Over one a card stays whole; take two or more.');
  if (p.highest > 20) return impossible('highest', 'Cards up to 20 make fractions that a child can picture.');
  // Bottom numbers of differences must stay below a hundred, as fractions are written here.
  if (p.howMuchMore && p.bottom === 0 && p.highest > 10)
    return impossible('highest', 'With cards up to 10 the differences stay fractions that a child can write.');
  return false;
}

/** A comparison laid on a line is seen there. */
const repOf = (p: CompareParameters): Representation => (p.onLine ? 'number-line' : 'numerals');

export const compareCards: Mechanism<CompareParameters> = {
  id: 'compare-cards',
  title: 'Compare cards',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Everyone turns the agreed number of cards.',
    'Join them as agreed and say what they make; for a fraction the smaller goes on top.',
    'Compare: who has more, and by how much?',
    'Whoever has more (or less, if agreed) takes the round; when equal, the next round counts double.',
    'After the last round count the rounds you took.',
  ],
  played: {
    with: ['cards'],
    does: ['compares', 'adds', 'multiplies'],
    moves: ['compares-round'],
    who: ['in-turn'],
    ends: ['rounds', 'all-gone'],
  },
  earlyEnding: 'Turn one last round in which the least takes it.',
  told: ['turns cards that make {x}', 'takes the round with {x}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['equalRounds'],
  headStart: 'rounds',
  check: (p) =>
    firstOf(
      inOrder(p.lowest, p.highest, 'highest', 'card'),
      p.join === 'fraction' && fractionProblem(p),
      p.cards === 1 &&
        p.join !== 'fraction' &&
        p.join !== 'sum' &&
        p.join !== 'number' &&
        !isWithOne(p) &&
        impossible('join', 'One card has nothing to be joined with.'),
      isWithOne(p) && p.cards > 1 && impossible('cards', 'One card each is enough beside an agreed number.'),
      isWithOne(p) && p.lowest < 1 && impossible('lowest', 'Begin with one beside an agreed number.'),
      p.join === 'taken-from' && p.highest >= p.by && impossible('by', `A card of ${p.highest} cannot be taken from ${p.by}.`),
      p.join === 'so-much-less' &&
        p.lowest * p.worth < p.by &&
        impossible('by', `${p.by} less than a card of ${p.lowest * p.worth} is below zero.`),
      isWithOne(p) && p.highest * p.by > 100_000 && impossible('by', 'Such numbers are too large for a card game.'),
      p.worth > 1 &&
        p.join !== 'up-to-the-next' &&
        p.join !== 'so-much-more' &&
        p.join !== 'so-much-less' &&
        p.join !== 'sum' &&
        p.join !== 'difference' &&
        impossible('worth', 'Tens, hundreds and thousands can be added, subtracted or compared here, nothing else.'),
      p.lowest < 0 && p.join !== 'sum' && impossible('lowest', 'Numbers below zero can be compared or added here, nothing else.'),
      p.join === 'number' && p.highest > 9 && impossible('highest', 'Digits side by side go up to 9.'),
      p.join === 'product' && largest(p) > 10_000 && impossible('highest', 'Such products are too large for a card game.'),
      leftOf(numberCards(p.lowest, p.highest, p.copies), p.missing).length < p.cards &&
        impossible('copies', 'The deck holds fewer cards than one player turns.'),
    ),
  checkTable: (seats) => {
    const p = seats[0]!.parameters;
    return firstOf(
      sharedBy(seats, [
        'goal',
        'tie',
        'rounds',
        'join',
        'by',
        'onLine',
        ...(p.join === 'fraction' && p.howMuchMore ? (['bottom'] as const) : []),
      ]),
      leftOf(numberCards(p.lowest, p.highest, p.copies), p.missing).length < p.cards * seats.length &&
        impossible('copies', 'The deck holds fewer cards than the players turn in one round.'),
    );
  },
  channels: (p, seats) => {
    if (p.join === 'fraction') {
      // Fractions do not lie on a dense grid; they are counted by name.
      const none = { a: [0, 0], b: [0, 0], unknown: 'result' } as const;
      return [
        { op: 'add', rep: 'numerals', ...none },
        { op: 'subtract', rep: 'numerals', ...none },
        { op: 'multiply', rep: 'numerals', ...none },
        { op: 'compare-fraction', rep: repOf(p), ...none },
        { op: 'subtract-fraction', rep: 'numerals', ...none },
      ];
    }
    if (isWithOne(p)) {
      // Made of a card and an agreed number: few, and counted by name.
      const none = { a: [0, 0], b: [0, 0], rep: 'numerals' } as const;
      return [
        { op: 'add', unknown: 'result', ...none },
        { op: 'subtract', unknown: 'result', ...none },
        { op: 'multiply', unknown: 'result', ...none },
        { op: 'compare', unknown: 'result', ...none },
        { op: 'subtract', unknown: 'result', ...none },
        { op: 'divide', unknown: 'result', ...none },
        { op: 'add', unknown: 'b', ...none },
      ];
    }
    // Large sums are few and far between, so they are counted by name.
    const high = Math.max(...seats.map((s) => (s.parameters.worth > 10 ? 0 : s.parameters.highest * s.parameters.worth)));
    const most = Math.min(1000, Math.max(...seats.map((s) => largest(s.parameters))));
    const all = most <= 200 ? ([0, most] as const) : ([0, 0] as const);
    return [
      { op: 'add', unknown: 'result', rep: 'numerals', a: [0, high * 2], b: [0, high] },
      { op: 'subtract', unknown: 'result', rep: 'numerals', a: [0, high], b: [0, high] },
      { op: 'multiply', unknown: 'result', rep: 'numerals', a: [0, Math.min(500, high * high)], b: [0, high] },
      { op: 'compare', unknown: 'result', rep: repOf(p), a: all, b: all },
      { op: 'subtract', unknown: 'result', rep: 'numerals', a: all, b: all },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  // What lies below nought is a deck of its own.
  needs: (p) => [
    p.join === 'number' ? { cards: [p.lowest, p.highest], each: 1 } : { cards: [p.lowest, p.highest], each: p.copies },
    ...(p.join === 'fraction' && p.onLine ? [{ kind: 'number-line', quantity: 1 }] : []),
  ],
  sheets: (p) => [{ sheet: 'number-cards', copies: 1, data: { low: p.lowest, high: p.highest, copies: p.copies } }],
};
