import { type Box, line, polygon, type Point, rect, text } from '../box';
import { fitted, figureHeight, sizeFor, textWidth } from '../letters';

/** Degrees between two corners of a drawn arc: at 40 mm it strays less than 0.02 mm from the circle. */
const arcStep = 3;

/** A slice of a circle, clockwise from the top, by degrees. */
export function slice(cx: number, cy: number, r: number, from: number, to: number, style: Parameters<typeof polygon>[1]): Box {
  const n = Math.max(1, Math.ceil((to - from) / arcStep));
  // A whole circle has no corner in its middle.
  const points: Point[] = to - from >= 360 ? [] : [[cx, cy]];
  for (let i = 0; i <= n; i++) {
    const a = ((from + ((to - from) * i) / n - 90) * Math.PI) / 180;
    points.push([cx + r * Math.cos(a), cy + r * Math.sin(a)]);
  }
  return polygon(points, style);
}

/** A circle in `of` equal slices, the first `n` filled. */
export const pie = (n: number, of: number, cx: number, cy: number, r: number): Box[] =>
  Array.from({ length: of }, (_, i) =>
    slice(cx, cy, r, (360 * i) / of, (360 * (i + 1)) / of, { line: 'ink', width: 0.4, fill: i < n ? 'teal' : 'white' }),
  );

/** A bar in `of` equal parts, the first `n` filled. */
export const bar = (n: number, of: number, x: number, y: number, w: number, h: number): Box[] =>
  Array.from({ length: of }, (_, i) => rect(x + (w * i) / of, y, w / of, h, { line: 'ink', width: 0.4, fill: i < n ? 'indigo' : 'white' }));

/** A fraction with a level bar, as large as its box allows. */
export function fractionText(n: number, of: number, x: number, y: number, w: number, h: number, fill: Box['fill'] = 'ink'): Box[] {
  const whole = of === 1;
  if (whole) return [fitted(x, y, w, h * 0.6, String(n), { bold: true, fill })].map((b) => ({ ...b, y: y + h * 0.2 }));
  const wide = Math.max(String(n).length, String(of).length) === 1 ? '0' : '00';
  const size = sizeFor(wide, w * 0.9, h * 0.38, 400, true);
  const half = textWidth(wide, size, true) / 2 + 1;
  const f = figureHeight(size);
  const mid = y + h / 2;
  return [
    text(x, mid - f * 1.45, w, f, String(n), size, { bold: true, fill }),
    line(x + w / 2 - half, mid, x + w / 2 + half, mid, { line: fill ?? 'ink', width: Math.max(0.4, f * 0.09) }),
    text(x, mid + f * 0.45, w, f, String(of), size, { bold: true, fill }),
  ];
}
