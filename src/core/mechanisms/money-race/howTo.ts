import { type Country, priceIn } from '../../play/country';
import { alone, type HowTo } from '../../play/howTo';
import { many } from '../../play/say';
import type { MoneyParameters } from './parameters';

export function howTo(p: MoneyParameters, country: Country): HowTo {
  const price = (hundredths: number): string => priceIn(country, hundredths);
  const cost = Math.min(p.dearest * 100, 2 * 100 - p.priceStep);
  return {
    setUp: [
      `Everyone has ${price(100 * p.purse)} in a purse and a sheet to write on.`,
      `Turn ${many(p.stall, 'price card')} for the stall: up to ${price(100 * p.dearest)}, by ${price(p.priceStep)}.`,
    ],
    turn: [
      'Buy one thing that you can pay for.',
      p.pays === 'the-exact-sum' ? 'Pay exactly and say what you have left.' : 'Pay with a note and say the change.',
      'Add the price to what you have spent; turn another card for the stall.',
      'Nothing you can pay for? Change one card of the stall; that is your turn.',
    ],
    scoring: [
      p.aim === 'buys-most-things'
        ? 'Each thing you bought is a point.'
        : 'What you have spent is your score: spend as nearly all as you can.',
    ],
    end: `Stop after ${many(p.turns, 'turn')} each.`,
    ask: 'What can you still buy, and what would be left?',
    tool: 'Lay the price with coins.',
    smaller: p.priceStep === 50 ? 'Use whole units only.' : `Use prices that go by ${price(50)}.`,
    presence: alone,
    pictures: [
      {
        picture: { draw: 'cards', values: [price(cost), price(p.priceStep * 7), price(100)].slice(0, Math.max(2, p.stall)) },
        say: 'What will you buy?',
      },
      {
        picture: {
          draw: 'cards',
          values: [price(100 * Math.ceil(cost / 100)), price(cost)],
          joined: '−',
          makes: price(Math.ceil(cost / 100) * 100 - cost),
        },
        say: p.pays === 'the-exact-sum' ? 'Pay it.' : 'Pay with a note: what is the change?',
      },
      { picture: { draw: 'say', words: price(cost) }, say: 'Write what you spent.' },
    ],
  };
}
