import { alone, type HowTo } from '../../play/howTo';
import { many, smallerThan } from '../../play/say';
import type { CoverShapeParameters } from './parameters';

export function howTo(p: CoverShapeParameters): HowTo {
  const rows = Math.max(p.shortest, Math.floor((p.shortest + p.longest) / 2));
  const columns = p.longest;
  const joined = p.figure === 'two-joined';
  const outline: [number, number][] = [
    [0, 0],
    [columns, 0],
    [columns, rows],
    [0, rows],
  ];
  const second: [number, number][] = [
    [columns, 0],
    [columns + p.shortest, 0],
    [columns + p.shortest, p.shortest],
    [columns, p.shortest],
  ];
  const area = rows * columns;
  return {
    setUp: [
      `Lay out unit tiles and the figure cards: ${p.figure === 'rectangles' ? 'rectangles' : joined ? 'two rectangles joined' : 'rectangles, and two rectangles joined'}.`,
      `Sides are ${p.shortest} to ${p.longest} tiles long.`,
    ],
    turn: [
      `Draw a figure card${p.estimate ? ' and say how many tiles will cover it' : ''}.`,
      p.work === 'counting-tiles'
        ? 'Cover it without gaps or overlaps and count the tiles.'
        : p.work === 'adding-rows'
          ? 'Cover it row by row and add each row to what you have.'
          : 'Lay tiles along two sides only, and multiply the sides.',
      ...(p.figure === 'rectangles' ? [] : ['Is it two rectangles? Find both and add them.']),
    ],
    scoring: [`Right is worth 2 points${p.estimate ? '; saying it nearly right beforehand 1 more' : ''}.`],
    end: `Everyone finishes ${many(p.tasks, 'figure')}.`,
    ask: 'How do you know without counting every tile?',
    tool: 'Cover all of it and count by rows.',
    smaller: `Use sides to ${Math.max(p.shortest + 1, smallerThan(p.longest))}.`,
    presence: alone,
    pictures: [
      {
        picture: { draw: 'shape', columns: columns + (joined ? p.shortest : 0), rows, outlines: joined ? [outline, second] : [outline] },
        say: 'Look at the shape.',
      },
      {
        picture: {
          draw: 'grid',
          rows: Math.min(rows, 8),
          columns: Math.min(columns, 10),
          lit: p.work === 'sides-times' ? [] : Array.from({ length: Math.min(columns, 10) }, (_, i) => i),
          rowNames: p.work === 'counting-tiles' ? [] : [columns],
        },
        say: p.work === 'sides-times' ? 'Lay two sides.' : 'Cover it with tiles.',
      },
      { picture: { draw: 'say', words: String(area) }, say: 'Say how many.' },
    ],
  };
}
