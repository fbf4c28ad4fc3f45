import { type Box, circle, line, polygon, rect } from '../box';
import { fitted } from '../letters';
import { written } from './numeral';

/** Ticks of a scale: marks every `step`, a number every five of them, from below to above the value. */
const scaleOf = (value: number, step: number): { readonly low: number; readonly high: number } => {
  const span = step * 10;
  const low = Math.floor(value / span) * span - (value % span === 0 && value !== 0 ? span : 0);
  return { low, high: low + 2 * span };
};

/** Numbers round a dial at most. */
const mostNumbers = 8;
/** A dial so small, in millimetres, has room for fewer. */
const smallDialMm = 22;
const mostOnSmall = 4;

/** A weighing scale's dial with its pointer: where it points is the answer. */
export function gauge(value: number, step: number, x: number, y: number, w: number, h: number): Box[] {
  const { low, high } =
    value < 0 ? scaleOf(value, step) : { low: 0, high: Math.max(step * 10, Math.ceil(value / (step * 10)) * step * 10) };
  const r = Math.min(w / 2, h / 1.5) * 0.98;
  const [cx, cy] = [x + w / 2, y + (h + r * 0.7) / 2];
  const angle = (v: number): number => ((-110 + (220 * (v - low)) / (high - low) - 90) * Math.PI) / 180;
  const at = (v: number, k: number): readonly [number, number] => [cx + r * k * Math.cos(angle(v)), cy + r * k * Math.sin(angle(v))];
  const marks = Math.round((high - low) / step);
  const most = r < smallDialMm ? mostOnSmall : mostNumbers;
  // Numbers are written as often as they can be told apart.
  const every = [1, 2, 5, 10, 20, 50].find((n) => marks / n <= most && marks % n === 0) ?? marks;
  const boxes: Box[] = [circle(cx, cy, r, { line: 'ink', width: 0.5, fill: 'white' })];
  for (let i = 0; i <= marks; i++) {
    const v = low + i * step;
    const big = i % every === 0;
    const [a, b] = [at(v, 0.96), at(v, big ? 0.84 : 0.9)];
    if (marks <= 100 || big) boxes.push(line(a[0], a[1], b[0], b[1], { width: big ? 0.45 : 0.2 }));
    if (!big) continue;
    const [tx, ty] = at(v, 0.68);
    boxes.push(fitted(tx - r * 0.2, ty - r * 0.08, r * 0.4, r * 0.16, written(v), { most: 12 }));
  }
  const [px, py] = at(value, 0.86);
  return [...boxes, line(cx, cy, px, py, { line: 'vermilion', width: 0.8 }), circle(cx, cy, r * 0.06, { fill: 'ink' })];
}

/** A thermometer filled up to its value. */
export function thermometer(value: number, x: number, y: number, w: number, h: number): Box[] {
  const low = Math.min(-10, Math.floor((value - 1) / 10) * 10);
  const high = Math.max(low + 30, Math.ceil((value + 1) / 10) * 10);
  const [top, bottom] = [y + 3, y + h - 10];
  const at = (v: number): number => bottom - ((bottom - top) * (v - low)) / (high - low);
  const cx = x + w * 0.4;
  const boxes: Box[] = [
    rect(cx - 2.2, top - 2, 4.4, bottom - top + 6, { line: 'ink', width: 0.4, fill: 'white' }),
    circle(cx, bottom + 5, 4.6, { line: 'ink', width: 0.4, fill: 'vermilion' }),
    rect(cx - 1.2, at(value), 2.4, bottom + 4 - at(value), { fill: 'vermilion' }),
  ];
  for (let v = low; v <= high; v++) {
    const big = v % 10 === 0;
    boxes.push(line(cx + 2.6, at(v), cx + (big ? 7 : v % 5 === 0 ? 5.4 : 4.2), at(v), { width: big ? 0.4 : 0.18 }));
    if (big) boxes.push(fitted(cx + 8, at(v) - 2.2, 12, 4.4, `${written(v)}°`, { most: 13, align: 'start' }));
  }
  return boxes;
}

/** A line graph with one marked point: its height is the answer. */
export function lineGraph(value: number, x: number, y: number, w: number, h: number): Box[] {
  const high = Math.max(20, Math.ceil(value / 20) * 20);
  const [left, foot] = [x + 10, y + h - 4];
  const at = (v: number): number => foot - ((h - 8) * v) / high;
  const boxes: Box[] = [line(left, y + 2, left, foot, { width: 0.4 }), line(left, foot, x + w, foot, { width: 0.4 })];
  for (let v = 0; v <= high; v += high / 4) {
    boxes.push(line(left, at(v), x + w, at(v), { line: 'pale', width: 0.2 }));
    boxes.push(fitted(x, at(v) - 1.8, 8.5, 3.6, String(v), { most: 10, align: 'end' }));
  }
  // The other points lie off the marked one, so that the eye has to go across.
  const others = [0.35, 0.8, -1, 0.55, 0.2].map((k) => (k < 0 ? value : Math.round((high * k) / 5) * 5));
  const place = (i: number): number => left + ((w - 14) * (i + 0.5)) / others.length;
  others.slice(1).forEach((v, i) => boxes.push(line(place(i), at(others[i]!), place(i + 1), at(v), { line: 'indigo', width: 0.5 })));
  boxes.push(circle(place(2), at(value), 1.8, { fill: 'vermilion' }));
  return boxes;
}

/** Crosses over a line of quarters: how many stand over the marked place is the answer. */
export function linePlot(quarters: number, count: number, x: number, y: number, w: number, h: number): Box[] {
  const first = Math.max(0, Math.floor((quarters - 3) / 4) * 4);
  const foot = y + h - 9;
  const place = (q: number): number => x + 4 + ((w - 8) * (q - first)) / 8;
  const boxes: Box[] = [line(x + 1, foot, x + w - 1, foot, { width: 0.4 })];
  for (let q = first; q <= first + 8; q++) {
    boxes.push(line(place(q), foot - (q % 4 === 0 ? 1.6 : 0.9), place(q), foot + 1, { width: 0.3 }));
    if (q % 4 === 0) boxes.push(fitted(place(q) - 4, foot + 2, 8, 4, String(q / 4), { most: 12 }));
  }
  const step = Math.min(4.4, (h - 12) / 9);
  const crosses = (q: number, n: number): void => {
    for (let i = 0; i < n; i++) {
      const [cx, cy] = [place(q), foot - 3 - i * step];
      const k = Math.min(1.5, step * 0.34);
      boxes.push(line(cx - k, cy - k, cx + k, cy + k, { width: 0.5 }), line(cx - k, cy + k, cx + k, cy - k, { width: 0.5 }));
    }
  };
  for (let q = first; q <= first + 8; q++) crosses(q, q === quarters ? count : (q * 5 + 3) % 4);
  boxes.push(
    polygon(
      [
        [place(quarters), foot + 1.4],
        [place(quarters) - 1.4, foot + 4],
        [place(quarters) + 1.4, foot + 4],
      ],
      { fill: 'vermilion' },
    ),
  );
  return boxes;
}
