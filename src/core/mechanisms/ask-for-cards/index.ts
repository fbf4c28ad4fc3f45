import type { ItemChannel } from '../../simulate/itemChannel';
import { firstOf, impossible, inOrder, ownOnly } from '../../play/refuse';
import type { Mechanism } from '../mechanism';
import { type AskParameters, DEFAULTS, SCHEMA } from './parameters';
import { howTo } from './howTo';
import { createTable } from './playOut';
import { bottomsOf, deckOf, possibleGroups } from './rules';

function channels(p: AskParameters): ItemChannel[] {
  const most = p.highest + p.number;
  const span = { a: [0, most], b: [0, Math.max(p.highest, p.number)] } as const;
  const fraction: ItemChannel = { op: 'name-fraction', unknown: 'result', rep: 'numerals', a: [0, 1], b: [0, 0] };
  if (p.relation === 'are-equal-fractions')
    return [fraction, { op: 'equivalent-fraction', unknown: 'result', rep: 'numerals', a: [0, 1], b: [0, 1] }, fraction];
  if (p.relation === 'make-a-sum')
    return [{ op: 'add', unknown: 'b', rep: 'numerals', ...span }, { op: 'add', unknown: 'result', rep: 'numerals', ...span }, fraction];
  if (p.relation === 'differ-by')
    return [
      { op: 'subtract', unknown: 'a', rep: 'numerals', ...span },
      { op: 'subtract', unknown: 'result', rep: 'numerals', ...span },
      fraction,
    ];
  return [
    { op: 'read-numeral', unknown: 'result', rep: 'numerals', a: [0, p.highest], b: [0, p.highest] },
    { op: 'compare', unknown: 'result', rep: 'numerals', a: [0, p.highest], b: [0, p.highest] },
    fraction,
  ];
}

export const askForCards: Mechanism<AskParameters> = {
  id: 'ask-for-cards',
  title: 'Ask for cards',
  cues: async () => (await import('./cues')).CUES,
  words: [
    'Deal the hands; the rest is the draw pile.',
    'Lay down cards that belong together.',
    'In turn, ask one player for the card that one of yours needs.',
    'Got it: lay them down and ask again. Not there: draw, and the next player asks.',
    'Listen: what others ask for is what they hold.',
  ],
  played: { with: ['cards'], does: ['partner'], moves: ['collects'], who: ['in-turn'], ends: ['all-gone'] },
  earlyEnding: 'Put all hands together in the middle and find the remaining pairs as one team.',
  told: ['asks for what goes with {x} and gets {y}', 'asks for what goes with {x}: nobody there has it', 'lays down {x} and {y}'],
  howTo,
  parametersSchema: SCHEMA,
  defaults: DEFAULTS,
  seats: { min: 2, max: 5 },
  extraMeasures: ['hits', 'misses'],
  headStart: 'pairs',
  check: (p) =>
    firstOf(
      inOrder(p.lowest, p.highest, 'highest', 'card'),
      p.relation === 'are-equal' &&
        p.copies < (p.together === 'pairs' ? 2 : 3) &&
        impossible('copies', `Equal cards need at least ${p.together === 'pairs' ? 2 : 3} copies of each.`),
      p.relation === 'are-equal-fractions' &&
        p.copies < (p.together === 'pairs' ? 2 : 3) &&
        impossible('copies', 'Equal fractions need that many forms of each.'),
      possibleGroups(p) === 0 && impossible('number', `No cards from ${p.lowest} to ${p.highest} belong together this way.`),
      deckOf(p).length > 300 && impossible('copies', 'That is more than 300 cards.'),
    ),
  checkTable: (seats) => {
    const cards = deckOf(seats[0]!.parameters).length;
    return firstOf(
      ownOnly(seats, ['hand']),
      seats[0]!.parameters.drawPile &&
        cards < seats.reduce((sum, s) => sum + s.parameters.hand, 0) &&
        impossible('hand', `The deck has only ${cards} cards.`),
    );
  },
  channels,
  range: () => ({ low: 0, highA: 1, highB: 1 }),
  simultaneous: () => false,
  createTable,
  needs: (p, seats) => [
    p.relation === 'are-equal-fractions'
      ? { kind: 'pair-cards', quantity: 1 }
      : p.by > 1
        ? { kind: 'number-cards', quantity: 1 }
        : { cards: [p.lowest, p.highest], each: p.copies },
    { kind: 'card-stand', quantity: seats },
  ],
  sheets: (p) => [
    p.relation === 'are-equal-fractions'
      ? { sheet: 'fraction-cards', copies: 1, data: { fractions: 'equal-ones', copies: 1, forms: p.copies, bottoms: bottomsOf(p.copies) } }
      : { sheet: 'number-cards', copies: 1, data: { low: p.lowest, high: p.highest, by: p.by, copies: p.copies } },
  ],
};
