import { type Box, circle, type Hue, polygon, rect } from './box';

/**
 * Marks of a range: a shape with a colour of its own, so that sets are told apart by either. None is more than another: no
 * counts, no sizes, no order that a child could read as higher.
 */
export const rangeMarks = ['none', 'leaf', 'tile', 'kite', 'lamp', 'arrow', 'crossing'] as const;
export type RangeMark = (typeof rangeMarks)[number];

export const hueOf: Readonly<Record<Exclude<RangeMark, 'none'>, Hue>> = {
  leaf: 'moss',
  tile: 'indigo',
  kite: 'plum',
  lamp: 'ochre',
  arrow: 'teal',
  crossing: 'vermilion',
};

/** The mark in a square of side `s` at (x, y). */
export function markBoxes(mark: RangeMark, x: number, y: number, s: number): Box[] {
  if (mark === 'none') return [];
  const style = { fill: hueOf[mark], frame: true } as const;
  const at = (points: readonly (readonly [number, number])[]): Box =>
    polygon(
      points.map(([px, py]) => [x + px * s, y + py * s] as const),
      style,
    );
  // Two equal arcs from tip to tip, lying aslant.
  const leaf = Array.from({ length: 24 }, (_, i) => {
    const along = i <= 12 ? i / 12 : (24 - i) / 12;
    const off = (i <= 12 ? 0.3 : -0.3) * Math.sin(Math.PI * along);
    return [along + off * 0.7, 1 - along + off * 0.7] as const;
  });
  switch (mark) {
    case 'leaf':
      return [at(leaf)];
    case 'tile':
      return [rect(x + 0.06 * s, y + 0.06 * s, 0.88 * s, 0.88 * s, style)];
    case 'kite':
      return [
        at([
          [0.5, 0],
          [1, 0.5],
          [0.5, 1],
          [0, 0.5],
        ]),
      ];
    case 'lamp':
      return [circle(x + s / 2, y + s / 2, s / 2, style)];
    case 'arrow':
      return [
        at([
          [0.5, 0],
          [1, 1],
          [0, 1],
        ]),
      ];
    case 'crossing':
      return [rect(x + 0.34 * s, y, 0.32 * s, s, style), rect(x, y + 0.34 * s, s, 0.32 * s, style)];
  }
}
