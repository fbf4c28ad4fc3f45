import { alone, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { FactorTakeParameters } from './parameters';

export function howTo(p: FactorTakeParameters): HowTo {
  const pick = Math.min(p.highest, 10);
  const factors = Array.from({ length: pick - 1 }, (_, i) => i + 1).filter((d) => pick % d === 0);
  const columns = p.highest <= 30 ? 6 : 10;
  const rows = Math.ceil(Math.min(p.highest, 60) / columns);
  const takes = p.takes === 'its-factors';
  return {
    setUp: [`Write the numbers 1 to ${p.highest} where all can see them.`],
    turn: [
      'Take a number: it is crossed out and yours.',
      takes
        ? 'The next player takes every factor of it that is still there, and says why each is one.'
        : 'The next player names every factor of it that is still there.',
      p.noFactor === 'is-barred'
        ? 'A number whose factors are all gone cannot be taken.'
        : 'A number whose factors are all gone gives the others nothing: look for these.',
      'Add what you took to your score. Go round there and back again, so that the last to pick is the next to begin.',
    ],
    scoring: ['What you take is what you score.'],
    end: `Stop after ${many(p.picks, 'pick')} each, or when nothing can be taken.`,
    ask: 'What would the others get if you took that one?',
    tool: 'Lay counters in rows: which rows come out even?',
    smaller: `Use the numbers to ${Math.max(10, smallerThan(p.highest))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'grid', rows, columns, cells: Array.from({ length: p.highest }, (_, i) => i + 1) }, say: 'Here are the numbers.' },
      {
        picture: {
          draw: 'grid',
          rows,
          columns,
          cells: Array.from({ length: p.highest }, (_, i) => i + 1),
          lit: [pick - 1],
          done: factors.map((d) => d - 1),
        },
        say: 'Take one; the others get its factors.',
      },
      { picture: { draw: 'say', words: factors.join(', ') }, say: 'Name the factors.' },
    ],
  };
}
