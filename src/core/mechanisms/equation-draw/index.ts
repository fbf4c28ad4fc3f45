import { operationChannels } from '../../play/arithmetic';
import { leftOf, numberCards } from '../../play/deck';
import { firstOf, impossible, inOrder, sharedBy } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { DEFAULTS, type EquationParameters, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';

const deckSize = (p: EquationParameters): number => leftOf(numberCards(p.lowest, p.highest, p.copies), p.missing).length + p.wild;

export const equationDraw: Mechanism<EquationParameters> = {
  id: 'equation-draw',
  title: 'Equation draw',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Everyone holds a hand of number cards.',
    'In turn, look for a true equation among your cards and lay it down, saying it aloud.',
    'Draw as many cards as you used, or none, as agreed.',
    'Without an equation, change one card or draw one.',
    'When nobody can go on, count the cards you have laid.',
  ],
  played: { with: ['cards'], does: ['adds', 'takes-away', 'multiplies'], moves: ['lays-down'], who: ['in-turn'], ends: ['all-gone'] },
  earlyEnding: 'Lay all hands open and look for one last equation together.',
  told: ['lays an equation of {x} cards with {y} on one side', 'finds none among {x} cards; {y} are left to draw'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 1, max: 5 },
  extraMeasures: ['cardsLeft'],
  headStart: 'cards',
  check: (p) =>
    firstOf(
      inOrder(p.lowest, p.highest, 'highest', 'card'),
      deckSize(p) <= p.hand && impossible('copies', 'The deck is no larger than one hand.'),
      p.operations.every((o) => o === 'divide') && p.lowest === 0 && p.highest < 4 && impossible('operations', 'Nothing to divide.'),
    ),
  checkTable: (seats) => {
    const wanted = seats.reduce((sum, s) => sum + s.parameters.hand, 0);
    return firstOf(
      sharedBy(seats, ['lowest', 'highest', 'copies', 'wild', 'missing']),
      deckSize(seats[0]!.parameters) <= wanted &&
        impossible('hand', `${seats.length} hands need ${wanted} cards and the deck has ${deckSize(seats[0]!.parameters)}.`),
    );
  },
  channels: (_p, seats) => {
    const high = Math.max(...seats.map((s) => s.parameters.highest));
    return [
      ...operationChannels().map((c) => ({ ...c, a: [0, high] as const, b: [0, high] as const })),
      { op: 'compose', unknown: 'b', rep: 'expression', a: [0, 2 * high], b: [0, high] },
    ];
  },
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    { cards: [p.lowest, p.highest], each: p.copies },
    ...(p.wild > 0 ? [{ kind: 'wild-cards', quantity: 1 }] : []),
    { kind: 'card-stand', quantity: seats },
  ],
  sheets: (p) => [{ sheet: 'number-cards', copies: 1, data: { low: p.lowest, high: p.highest, copies: p.copies, wild: p.wild } }],
};
