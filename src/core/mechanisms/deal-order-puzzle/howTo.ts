import { nearby, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { DealOrderParameters } from './parameters';

export function howTo(p: DealOrderParameters): HowTo {
  const numbers = Array.from({ length: p.cards }, (_, i) => (i + 1) * p.step);
  const order = p.direction === 'rising' ? numbers : [...numbers].reverse();
  const under =
    p.pattern === 'one-more-each-time'
      ? `first ${many(p.under, 'card')} underneath, then one more each time`
      : p.under === 0
        ? 'no card underneath'
        : `${many(p.under, 'card')} underneath the packet`;
  return {
    setUp: [
      `Take ${many(p.cards, 'card')} that count by ${p.step === 1 ? 'ones' : `${p.step}s`}: ${numbers[0]}, ${numbers[1]}, … ${numbers.at(-1)}.`,
      p.help === 'row-of-slots'
        ? `Lay out a row of ${p.cards} slots.`
        : p.help === 'first-half-given'
          ? 'The first half of the packet is given.'
          : 'There is no help this time: think it through.',
    ],
    turn: [
      `Put the packet in such an order that the deal shows ${order[0]}, ${order[1]}, … ${order.at(-1)}.`,
      p.starts === 'dealt'
        ? `The deal: one card face up on the table, ${under}, and so on.`
        : `The deal: ${under} first, then one card face up on the table, and so on.`,
      'Deal to check. Where did it go wrong? Keep what was right and build on from there.',
    ],
    scoring: [],
    end: 'Done when the whole packet comes out in order; show it to somebody.',
    ask: 'How did you know where the next card belongs?',
    tool: 'Deal a packet of blank cards and number them as they come.',
    smaller: `Use ${Math.max(4, smallerThan(p.cards))} cards.`,
    presence: nearby('shows the deal once'),
    pictures: [
      { picture: { draw: 'cards', values: order.slice(0, 6).map(() => null) }, say: 'Put the cards in a secret order.' },
      {
        picture: { draw: 'cards', values: [order[0]!, ...order.slice(1, 6).map(() => null)], lit: [0] },
        say: 'One on the table, some underneath.',
      },
      { picture: { draw: 'cards', values: order.slice(0, 6) }, say: 'They come out in order!' },
    ],
  };
}
