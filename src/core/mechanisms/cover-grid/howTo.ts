import { needed, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { CoverParameters } from './parameters';
import { answersOf, poolOf, tasksOf } from './rules';
import { type ActHalf, actHalves, isActHalf } from '../../play/actHalves';

const called: Readonly<Record<Exclude<CoverParameters['relation'], ActHalf>, string>> = {
  number: 'a number',
  sum: 'two numbers to add',
  difference: 'two numbers to take apart',
  product: 'two numbers to multiply',
  round: 'a number to round',
};

export function howTo(p: CoverParameters): HowTo {
  const { relation } = p;
  const act = isActHalf(relation) ? actHalves[relation] : null;
  const pool: readonly (number | string)[] = act ? answersOf(p) : poolOf(p);
  const calls = isActHalf(relation) ? relation.replaceAll('-', ' ') : called[relation];
  const task = tasksOf(p)[0];
  const example = act && task ? act.pair(task[0], task[1])[0] : calls;
  const cells = Array.from({ length: p.size ** 2 }, (_, i): number | string => pool[(i * 5 + 2) % pool.length]!);
  const middle = (p.size ** 2 - 1) / 2;
  if (p.freeCentre && p.size % 2 === 1) cells[middle] = '★';
  const row = Array.from({ length: p.size }, (_, i) => i);
  const whole = p.lines === 'whole-card';
  return {
    setUp: [
      act
        ? `Everyone rules ${p.size} by ${p.size} boxes and fills them with answers from the list, each in its own order.`
        : `Everyone takes a card of ${p.size} by ${p.size} numbers; no two are alike.`,
      act
        ? `${pool.length} tasks may be called; answers start at ${p.lowest} where they are numbers.`
        : `The numbers start at ${pool[0]}, and ${pool.length} different ones may be called.`,
      ...(p.freeCentre && p.size % 2 === 1 ? ['Cover the middle at once.'] : []),
    ],
    turn: [
      act ? `The caller turns a task (${act.both.split(', and')[0]!}) and reads it, twice.` : `The caller reads ${calls}, twice.`,
      p.relation === 'number' ? 'Look for it.' : 'Work it out; everyone does, also those who do not have it.',
      'Is it on your card? Cover it.',
    ],
    scoring: [],
    end: whole
      ? 'The first to cover the whole card says so and reads it back.'
      : `The first with ${many(p.linesToWin, 'full line')} says so and reads it back: ${p.lines === 'rows' ? 'rows count' : p.lines === 'rows-columns' ? 'rows and columns count' : 'rows, columns and slanting lines count'}.`,
    ask: 'Which number are you waiting for, and what would make it?',
    tool:
      p.relation === 'product' ? 'Draw the rows.' : p.relation === 'round' ? 'Find it on a number line.' : 'Use a number line or counters.',
    smaller: `Use cards of ${Math.max(2, p.size - 1)} by ${Math.max(2, p.size - 1)} with numbers from ${Math.max(0, Math.min(p.lowest, smallerThan(Math.max(2, p.lowest))))}.`,
    presence: needed('calls the numbers'),
    pictures: [
      { picture: { draw: 'say', words: p.relation === 'number' ? `${pool[2]}` : example }, say: 'Listen to the caller.' },
      {
        picture: {
          draw: 'grid',
          rows: p.size,
          columns: p.size,
          cells,
          lit: [p.size],
          done: [...row.slice(0, 1), ...(p.freeCentre && p.size % 2 === 1 ? [middle] : [])],
        },
        say: 'Cover it if you have it.',
      },
      {
        picture: { draw: 'grid', rows: p.size, columns: p.size, cells, done: whole ? cells.map((_, i) => i) : row },
        say: whole ? 'The whole card is covered!' : 'A full line!',
      },
    ],
  };
}
