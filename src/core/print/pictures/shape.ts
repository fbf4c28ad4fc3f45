import { shapeAt } from '../../items/acts/shapes';
import { type Box, circle, path, type Point, polygon, rect } from '../box';
import { fitted } from '../letters';

/** Turns points about the origin, clockwise on paper. */
const turn = (points: readonly Point[], degrees: number): Point[] => {
  const a = (degrees * Math.PI) / 180;
  return points.map(([x, y]) => [x * Math.cos(a) - y * Math.sin(a), x * Math.sin(a) + y * Math.cos(a)] as const);
};

/** Points made to fit a box, in its middle. */
function fit(points: readonly Point[], x: number, y: number, w: number, h: number): Point[] {
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const [lowX, highX, lowY, highY] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const k = Math.min(w / (highX - lowX), h / (highY - lowY));
  const [dx, dy] = [x + (w - k * (highX - lowX)) / 2, y + (h - k * (highY - lowY)) / 2];
  return points.map(([px, py]) => [dx + k * (px - lowX), dy + k * (py - lowY)] as const);
}

const roundPoints = (wide: number, high: number, n = 72): Point[] =>
  Array.from({ length: n }, (_, i) => [wide * Math.cos((2 * Math.PI * i) / n), high * Math.sin((2 * Math.PI * i) / n)] as const);

/** A flat shape or a solid of the catalogue of shapes, lying turned by so many degrees. */
export function shape(index: number, degrees: number, x: number, y: number, w: number, h: number): Box[] {
  const s = shapeAt(index);
  const style = { line: 'ink', width: 0.6, fill: 'wash' } as const;
  if (s.solid) return solid(s.id, x, y, w, h);
  if (s.id === 'circle') return [polygon(fit(roundPoints(1, 1), x, y, w, h), style)];
  if (s.id === 'oval') return [polygon(fit(turn(roundPoints(1.5, 1), degrees), x, y, w, h), style)];
  return [
    polygon(
      fit(
        turn(
          s.corners.map(([px, py]) => [px, -py] as const),
          degrees,
        ),
        x,
        y,
        w,
        h,
      ),
      style,
    ),
  ];
}

/** Solids are drawn as one sees them from the front and a little above; hidden edges are dashed. */
function solid(id: string, x: number, y: number, w: number, h: number): Box[] {
  const k = Math.min(w, h);
  const [ox, oy] = [x + (w - k) / 2, y + (h - k) / 2];
  const p = (px: number, py: number): Point => [ox + px * k, oy + py * k];
  const seen = (...points: Point[]): Box => path(points, { line: 'ink', width: 0.6 });
  const hidden = (...points: Point[]): Box => path(points, { line: 'soft', width: 0.4, dashed: true });
  const face = (...points: Point[]): Box => polygon(points, { line: 'ink', width: 0.6, fill: 'wash' });
  const arc = (cx: number, cy: number, rx: number, ry: number, from: number, to: number): Point[] =>
    Array.from({ length: 37 }, (_, i) => {
      const a = ((from + ((to - from) * i) / 36) * Math.PI) / 180;
      return p(cx + rx * Math.cos(a), cy + ry * Math.sin(a));
    });
  const block = (wide: number, high: number, deep: number): Box[] => {
    const [l, b] = [0.5 - (wide + deep) / 2, 0.5 + (high + deep) / 2];
    return [
      hidden(p(l, b), p(l + deep, b - deep), p(l + deep + wide, b - deep)),
      hidden(p(l + deep, b - deep), p(l + deep, b - deep - high)),
      face(p(l, b), p(l + wide, b), p(l + wide, b - high), p(l, b - high)),
      face(p(l, b - high), p(l + wide, b - high), p(l + wide + deep, b - high - deep), p(l + deep, b - high - deep)),
      face(p(l + wide, b), p(l + wide + deep, b - deep), p(l + wide + deep, b - high - deep), p(l + wide, b - high)),
    ];
  };
  switch (id) {
    case 'cube':
      return block(0.58, 0.58, 0.24);
    case 'box':
      return block(0.66, 0.34, 0.22);
    case 'pyramid':
      return [
        hidden(p(0.05, 0.85), p(0.32, 0.62), p(0.95, 0.62)),
        hidden(p(0.32, 0.62), p(0.5, 0.08)),
        face(p(0.05, 0.85), p(0.68, 0.85), p(0.5, 0.08)),
        face(p(0.68, 0.85), p(0.95, 0.62), p(0.5, 0.08)),
      ];
    case 'prism':
      return [
        hidden(p(0.02, 0.82), p(0.36, 0.6), p(0.86, 0.6)),
        hidden(p(0.36, 0.6), p(0.61, 0.18)),
        face(p(0.02, 0.82), p(0.52, 0.82), p(0.27, 0.4)),
        face(p(0.52, 0.82), p(0.86, 0.6), p(0.61, 0.18), p(0.27, 0.4)),
      ];
    case 'ball':
      return [
        circle(ox + k / 2, oy + k / 2, k * 0.42, { line: 'ink', width: 0.6, fill: 'wash' }),
        path(arc(0.5, 0.5, 0.42, 0.14, 0, 180), { line: 'soft', width: 0.4 }),
        hidden(...arc(0.5, 0.5, 0.42, 0.14, 180, 360)),
      ];
    case 'can':
      return [
        rect(ox + 0.2 * k, oy + 0.2 * k, 0.6 * k, 0.6 * k, { fill: 'wash' }),
        polygon(arc(0.5, 0.8, 0.3, 0.11, 0, 360), { fill: 'wash' }),
        polygon(arc(0.5, 0.2, 0.3, 0.11, 0, 360), { line: 'ink', width: 0.6, fill: 'white' }),
        seen(p(0.2, 0.2), p(0.2, 0.8)),
        seen(p(0.8, 0.2), p(0.8, 0.8)),
        seen(...arc(0.5, 0.8, 0.3, 0.11, 0, 180)),
        hidden(...arc(0.5, 0.8, 0.3, 0.11, 180, 360)),
      ];
    default:
      return [
        polygon([p(0.5, 0.08), ...arc(0.5, 0.8, 0.34, 0.12, 0, 180)], { fill: 'wash' }),
        seen(p(0.16, 0.8), p(0.5, 0.08), p(0.84, 0.8)),
        seen(...arc(0.5, 0.8, 0.34, 0.12, 0, 180)),
        hidden(...arc(0.5, 0.8, 0.34, 0.12, 180, 360)),
      ];
  }
}

/** A figure with its two measures written beside: a way round or an area is asked for. */
export function measured(
  figure: 'rectangle' | 'triangle' | 'slanting' | 'joined',
  a: number,
  b: number,
  x: number,
  y: number,
  w: number,
  h: number,
): Box[] {
  const style = { line: 'ink', width: 0.6, fill: 'wash' } as const;
  const [l, t, ww, hh] = [x + w * 0.16, y + h * 0.16, w * 0.68, h * 0.56];
  const label = (words: string, cx: number, cy: number): Box => fitted(cx - 9, cy - 2.4, 18, 4.8, words, { most: 15, bold: true });
  if (figure === 'joined')
    return [
      rect(l, t, ww * 0.55, hh, style),
      rect(l + ww * 0.55, t + hh * 0.4, ww * 0.45, hh * 0.6, style),
      label(String(a), l + ww * 0.275, t + hh / 2),
      label(String(b), l + ww * 0.775, t + hh * 0.7),
      label('squares', x + w / 2, t + hh + 6),
    ];
  const lean = figure === 'rectangle' ? 0 : ww * 0.2;
  const points: Point[] =
    figure === 'triangle'
      ? [
          [l, t + hh],
          [l + ww, t + hh],
          [l + ww * 0.35, t],
        ]
      : [
          [l, t + hh],
          [l + ww - lean, t + hh],
          [l + ww, t],
          [l + lean, t],
        ];
  const top = figure === 'triangle' ? l + ww * 0.35 : l + lean;
  const height =
    figure === 'rectangle'
      ? []
      : [
          path(
            [
              [top, t],
              [top, t + hh],
            ],
            { line: 'vermilion', width: 0.4, dashed: true },
          ),
        ];
  return [
    polygon(points, style),
    ...height,
    label(String(a), l + (ww - lean) / 2, t + hh + 5),
    label(String(b), figure === 'rectangle' ? l - 6 : top + 6, t + hh / 2),
  ];
}
