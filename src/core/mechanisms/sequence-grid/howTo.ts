import { alone, type HowTo } from '../../play/howTo';
import { many } from '../../play/say';
import type { SequenceParameters } from './parameters';

export function howTo(p: SequenceParameters): HowTo {
  const sign = p.direction === 'forward' ? p.step : -p.step;
  const value = (i: number): number => p.start + i * sign;
  const rows = Math.min(p.rows, 5);
  const blank = (i: number): boolean =>
    p.blanks === 'every-other'
      ? i % 2 === 1
      : p.blanks === 'a-row'
        ? Math.floor(i / p.columns) === 1
        : p.blanks === 'a-column'
          ? i % p.columns === 1
          : p.blanks === 'all-but-first'
            ? i > 0
            : (i * 7) % 100 < p.share;
  const cells = Array.from({ length: rows * p.columns }, (_, i) => (blank(i) ? '' : value(i)));
  const first = cells.findIndex((c) => c === '');
  const which = {
    'every-other': 'every other cell is',
    'a-row': 'one row is',
    'a-column': 'one column is',
    scattered: `about ${p.share} of 100 cells are`,
    'all-but-first': 'all cells but the first are',
  }[p.blanks];
  return {
    setUp: [
      `${p.form === 'each-own-grid' ? 'Everyone takes a grid' : 'Lay one grid in the middle'} of ${p.rows} rows of ${p.columns}; ${which} blank.`,
      `It starts at ${p.start} and counts ${p.direction === 'forward' ? 'forward' : 'back'} in steps of ${p.step}.`,
    ],
    turn: [
      p.form === 'each-own-grid'
        ? 'Fill the next blank on your grid and say the number.'
        : 'In turn, fill the next blank and say the number.',
      ...(p.sayRow ? ['When a row is full, read it aloud.'] : []),
      'Look down a column: what does it do?',
    ],
    scoring: [p.form === 'each-own-grid' ? 'Each cell that is right is a point.' : 'Each cell that is right is a point for all of you.'],
    end: `Done when ${p.form === 'each-own-grid' ? 'everyone’s blanks are' : 'the last blank is'} filled.`,
    ask: 'How do you know what comes there?',
    tool: 'Use a number line or a hundred chart.',
    smaller: `Fill ${many(Math.max(1, Math.floor(p.rows / 2)), 'row')} only.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'grid', rows, columns: p.columns, cells }, say: 'Look at the numbers.' },
      {
        picture: {
          draw: 'grid',
          rows,
          columns: p.columns,
          cells: cells.map((c, i) => (i === first ? value(i) : c)),
          lit: first >= 0 ? [first] : [],
        },
        say: 'What comes here?',
      },
      { picture: { draw: 'say', words: [0, 1, 2].map(value).join(', ') }, say: 'Read the row.' },
    ],
  };
}
