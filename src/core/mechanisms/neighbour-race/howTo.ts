import { alone, type HowTo } from '../../play/howTo';
import { smallerThan } from '../../play/say';
import type { NeighbourParameters } from './parameters';
import { makeBoard } from './rules';

export function howTo(p: NeighbourParameters): HowTo {
  const board = makeBoard(p);
  const plus = p.rule === 'here-plus-die';
  const here = board ? board.number[1]! : 4;
  const ahead = board ? board.number[1 + p.width]! : 6;
  const die = plus ? Math.max(1, ahead - here) : 2;
  const thrown = p.choose === 1 ? `a die from 1 to ${p.faces}` : `two dice from 1 to ${p.faces}, use one of them`;
  const cells = board ? Array.from({ length: 3 * p.width }, (_, i) => board.number[1 + i]!) : [];
  return {
    setUp: [
      `Pegs start below a board of ${p.rows} rows of ${p.width} spaces (board ${p.board}).`,
      `Each space leads to ${p.ways} spaces of the next row.`,
    ],
    turn: [
      plus
        ? `Throw ${thrown} and add it to the number you stand on.`
        : `Throw ${thrown}: which number ahead of you can it be multiplied up to?`,
      plus
        ? 'If a space ahead has that number, move there; otherwise stay.'
        : 'If the die is a factor of a number ahead, move there; otherwise stay.',
      p.occupied === 'is-blocked'
        ? 'A space with a peg on it is blocked.'
        : p.occupied === 'sends-back'
          ? 'A peg you land on goes back to the start.'
          : 'Several pegs may share a space.',
    ],
    scoring: [],
    end:
      p.finish === 'exact'
        ? 'Once somebody is on the last space (it wants the exact number too), the round is played out.'
        : 'Once somebody is past the last row (any throw will do there), the round is played out.',
    ask: plus ? 'Which throws would move you now?' : 'Which throws are factors of the numbers ahead?',
    tool: plus ? 'Count on along a number line.' : 'Lay the number in rows of the die with counters.',
    smaller: p.rows > 4 ? `Race over ${Math.max(4, smallerThan(p.rows))} rows.` : 'Share every space.',
    presence: alone,
    pictures: [
      { picture: { draw: 'dice', faces: [die] }, say: 'Throw.' },
      {
        picture: { draw: 'grid', rows: 3, columns: p.width, cells, done: [0], lit: [p.width] },
        say: plus ? 'Add. Does a space ahead have that number?' : 'Is it a factor of a number ahead?',
      },
      {
        picture: { draw: 'say', words: plus ? `${here} + ${die} = ${here + die}` : `${die} goes into ${2 * die}` },
        say: 'Move if it fits.',
      },
    ],
  };
}
