import { alone, type HowTo } from '../../play/howTo';
import { fromTo, smallerThan } from '../../play/say';
import type { ProductBoardParameters } from './parameters';
import { boardOf, join } from './rules';

export function howTo(p: ProductBoardParameters): HowTo {
  const board = boardOf(p);
  const [x, y] = [Math.min(p.highest, 6), Math.min(p.highest, p.lowest + 3)];
  const made = join(p, x, y);
  const square = board.of.get(made)?.[0] ?? 0;
  const first = board.lines[0]!;
  const does = p.operation === 'multiplied' ? 'Multiply' : 'Add';
  return {
    setUp: [
      `Lay the board of ${board.size} by ${board.size} numbers (board ${p.board}) and below it the strip ${fromTo(p.lowest, p.highest)}.`,
      'Put two markers anywhere on the strip; each player has counters of another colour.',
    ],
    turn: [
      'Move one of the two markers to another number; both may stand on one.',
      `${does} the two marked numbers, say it, and claim a free square with that number.`,
      'Think of the next player: one marker stays where you leave it.',
    ],
    scoring: [],
    end: `${p.inLine} in a line win, but play the round out: two lines are level. If nobody can make one, nobody has lost.`,
    ask: 'Which squares can you reach by moving one marker?',
    tool: p.operation === 'multiplied' ? 'Use a table of products.' : 'Use a number line.',
    smaller: `Use factors to ${Math.max(5, smallerThan(p.highest))}.`.replace(
      'factors',
      p.operation === 'multiplied' ? 'factors' : 'numbers',
    ),
    presence: alone,
    pictures: [
      { picture: { draw: 'cards', values: [x, y], joined: p.operation === 'multiplied' ? '×' : '+' }, say: 'Move one marker.' },
      {
        picture: { draw: 'grid', rows: board.size, columns: board.size, cells: board.number, lit: [square], done: [first[0]!, first[1]!] },
        say: 'Claim the number they make.',
      },
      { picture: { draw: 'grid', rows: board.size, columns: board.size, cells: board.number, done: first }, say: `${p.inLine} in a line!` },
    ],
  };
}
