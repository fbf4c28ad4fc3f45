import { alone, type HowTo } from '../../play/howTo';
import { smallerThan } from '../../play/say';
import type { ClaimRectanglesParameters } from './parameters';

export function howTo(p: ClaimRectanglesParameters): HowTo {
  const [x, y] = [Math.max(2, Math.round(p.faces * 0.5)), Math.max(3, Math.round(p.faces * 0.8))];
  const rectangle = (c: number, r: number, w: number, h: number): [number, number][] => [
    [c, r],
    [c + w, r],
    [c + w, r + h],
    [c, r + h],
  ];
  const says =
    p.says === 'area'
      ? 'how many squares it has'
      : p.says === 'way-round'
        ? 'how far it is round'
        : 'how many squares it has and how far it is round';
  return {
    setUp: [
      p.paper === 'is-shared'
        ? `Lay one sheet of squared paper, ${p.rows} by ${p.columns} squares, in the middle.`
        : `Everyone takes squared paper, ${p.rows} by ${p.columns} squares.`,
      'Everyone takes a pencil of another colour.',
    ],
    turn: [
      `Throw two dice from 1 to ${p.faces}: they are the sides of a rectangle.`,
      `Draw it along the lines where it is free, lying or standing, and say ${says}.`,
      p.total ? 'Add its squares to your total.' : 'Write its squares into it.',
      'No room for it? The next player throws.',
    ],
    scoring: ['Each square you have claimed is a point.'],
    end: 'When nobody finds room one after another, count your squares.',
    ask: 'How do you know how many squares it has without counting each?',
    tool: 'Count by rows.',
    smaller: `Use dice to ${Math.max(4, smallerThan(p.faces))}.`,
    presence: alone,
    pictures: [
      { picture: { draw: 'dice', faces: [x, y], joined: '×' }, say: 'Throw two dice.' },
      {
        picture: {
          draw: 'shape',
          columns: Math.min(12, p.columns),
          rows: Math.min(8, p.rows),
          outlines: [rectangle(0, 0, y, x), rectangle(y, 0, 2, 3)],
        },
        say: 'Draw your rectangle.',
      },
      { picture: { draw: 'say', words: `${x} × ${y}` }, say: 'Say how many squares.' },
    ],
  };
}
