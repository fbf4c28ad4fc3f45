import type { Country } from '../../play/country';
import { alone, type HowTo } from '../../play/howTo';
import { listed, many, smallerThan } from '../../play/say';
import type { LotParameters } from './parameters';

export function howTo(p: LotParameters, country: Country): HowTo {
  const coins = p.pieces === 'coins';
  const values = [...p.coins].sort((a, b) => b - a);
  const lot = Array.from(
    { length: Math.min(p.most, Math.max(p.fewest, 5)) },
    (_, i) => values[Math.min(values.length - 1, Math.floor(i / 2))]!,
  );
  const amount = lot.reduce((a, b) => a + b, 0);
  const n = Math.min(p.most, Math.max(p.fewest, p.group * 2 + 3));
  const heaps: [number][] =
    p.group === 1
      ? [[n]]
      : [
          ...Array.from({ length: Math.floor(n / p.group) }, (): [number] => [p.group]),
          ...(n % p.group ? [[n % p.group] as [number]] : []),
        ];
  return {
    setUp: [
      coins
        ? `Make lots of ${p.fewest} to ${p.most} coins: ${listed([...p.coins].sort((a, b) => a - b))} ${country.money.parts}.`
        : `Make lots of ${p.fewest} to ${p.most} counters.`,
    ],
    turn: [
      coins
        ? p.order === 'largest-first'
          ? 'Take a lot and sort it, the largest coins first.'
          : 'Take a lot and count the coins as they lie.'
        : p.group === 1
          ? 'Take a lot and count it one by one.'
          : `Take a lot and put it into groups of ${p.group}.`,
      coins
        ? 'Count along and say how much it is altogether.'
        : p.group === 1
          ? 'Say how many there are.'
          : `Count along in steps of ${p.group}, then the ones that are left over.`,
      ...(p.change === 'from-a-price' && coins ? ['Turn price cards until your lot pays for one: pay it and say the change.'] : []),
      ...(p.recount ? ['Your neighbour counts it again in another way.'] : []),
    ],
    scoring: ['A lot counted right is a point.'],
    end: `Everyone counts ${many(p.lots, 'lot')}.`,
    ask: coins ? 'Which coin did you count first, and why?' : 'How can you count them without missing one?',
    tool: coins ? 'Lay the coins along a hundred chart.' : 'Move each one across a line as you count it.',
    smaller: `Use at most ${Math.max(p.fewest, smallerThan(p.most))} ${coins ? 'coins' : 'counters'}.`,
    presence: alone,
    pictures: [
      { picture: coins ? { draw: 'coins', values: [...lot].reverse() } : { draw: 'things', heaps: [[n]] }, say: 'Tip out a lot.' },
      {
        picture: coins ? { draw: 'coins', values: lot, makes: String(amount) } : { draw: 'things', heaps },
        say: coins || p.group === 1 ? 'Count it.' : 'Make groups and count.',
      },
      { picture: { draw: 'say', words: String(coins ? amount : n) }, say: 'Say how much.' },
    ],
  };
}
