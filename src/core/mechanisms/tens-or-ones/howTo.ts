import { alone, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { TensParameters } from './parameters';
import { unitOf } from './rules';

const names: Readonly<Record<TensParameters['units'], readonly [string, string]>> = {
  'tens-or-ones': ['tens', 'ones'],
  'hundreds-or-tens': ['hundreds', 'tens'],
  'ones-or-tenths': ['ones', 'tenths'],
  'tenths-or-hundredths': ['tenths', 'hundredths'],
};
/** So many smaller units, as the number is written. */
export function written(p: TensParameters, n: number): string {
  const { worth, decimal } = unitOf(p);
  return decimal ? String(Number(((n * worth) / 1000).toFixed(2))) : String(n * worth);
}

export function howTo(p: TensParameters): HowTo {
  const [big, small] = names[p.units];
  const die = Math.min(4, p.faces);
  return {
    setUp: [`Everyone rules two columns, ${big} and ${small}, ${p.throws} lines long.`],
    turn: [
      `One die from 1 to ${p.faces} is thrown for all.`,
      `Decide at once: does it count as ${big} or as ${small}? Write it down for good.`,
      'Add it to your total.',
      `After ${many(p.throws, 'throw')} say how far your total is from ${written(p, p.target)}.`,
    ],
    scoring: [
      `The nearest to ${written(p, p.target)} takes the round: one point. A tie is nobody’s.${p.over === 'is-out' ? ' Above it you are out of the round.' : ''}`,
    ],
    end: `Play ${many(p.rounds, 'round')}.`,
    ask: `Why did you take it as ${big}, or as ${small}?`,
    tool: 'Lay rods and cubes in the columns as you go.',
    smaller: `Play ${Math.max(3, smallerThan(p.throws))} throws.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'dice', faces: [die] }, say: 'One throw for all.' },
      {
        picture: { draw: 'grid', rows: 3, columns: 2, cells: [die, '', '', 2, '', ''], lit: [0], done: [3], columnNames: [big, small] },
        say: `${big[0]!.toUpperCase()}${big.slice(1)} or ${small}?`,
      },
      {
        picture: {
          draw: 'line',
          low: 0,
          high: written(p, p.target),
          marks: [[0.9, written(p, Math.round(p.target * 0.9))]],
          shaded: [0, 0.9],
        },
        say: 'Who is nearest?',
      },
    ],
  };
}
