import { alone, type HowTo } from '../../play/howTo';
import { many } from '../../play/say';
import type { PlacementParameters } from './parameters';

const places = ['ones', 'tens', 'hundreds', 'thousands', 'ten thousands', 'hundred thousands'];

export function howTo(p: PlacementParameters): HowTo {
  const names = places.slice(0, p.columns).reverse();
  const goal =
    p.goal === 'nearest' ? `nearest to ${p.target}` : p.goal === 'odd' || p.goal === 'even' ? `${p.goal}, and as large as can be` : p.goal;
  const digits = [7, 3, 8, 1, 5, 2].slice(0, p.columns);
  return {
    setUp: [
      `Everyone draws ${p.columns} columns: ${names.join(', ')}.`,
      p.draw === 'kept'
        ? 'Lay the digit cards 0 to 9 face down; a drawn digit is gone for this round.'
        : 'Lay the digit cards 0 to 9 face down; a drawn digit goes back.',
    ],
    turn: [
      p.ownDigits
        ? 'Draw a digit of your own and write it at once into an empty column, for good.'
        : 'One digit is drawn for all; write it at once into one of your empty columns, for good.',
      `When the columns are full${p.readAloud ? ', read your number aloud' : ', show your number'}.`,
      `Whose number is ${goal}? Compare.`,
      ...(p.tally ? ['Say how far your number is from your neighbour’s, and note it.'] : []),
    ],
    scoring: [
      `The ${p.goal === 'nearest' ? 'nearest' : p.goal === 'smallest' ? 'smallest' : 'best'} number takes the round: one point. A tie is nobody’s.`,
    ],
    end: `Play ${many(p.rounds, 'round')}.`,
    ask: 'Why did you put that digit there?',
    tool: 'Lay the digits on a place-value mat and read each arrangement.',
    smaller: `Play with ${Math.max(2, p.columns - 1)} columns.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'cards', values: [digits[0]!], lit: [0] }, say: 'A digit is drawn.' },
      {
        picture: {
          draw: 'grid',
          rows: 1,
          columns: p.columns,
          cells: digits.map((d, i) => (i === 0 ? d : i === p.columns - 1 ? digits[1]! : '')),
          lit: [0],
          done: [p.columns - 1],
          columnNames: names.map((n) => n[0]!.toUpperCase()),
        },
        say: 'Write it in a column.',
      },
      { picture: { draw: 'say', words: digits.join('') }, say: 'Read your number.' },
    ],
  };
}
