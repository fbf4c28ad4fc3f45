import type { Rng } from '../../shared/rng';
import { uniform } from '../../shared/rng';
import { type Box, circle, line, type Point, rect } from '../box';
import { boxedParagraph } from '../letters';
import { numeral, written } from './numeral';

/** Ways in which an amount can be shown. */
export const amountLooks = [
  'numerals',
  'dots',
  'like-a-die',
  'ten-frame',
  'two-rows',
  'ring',
  'scattered',
  'two-groups',
  'tally',
  'words',
  'beads',
  'base-ten',
  'fingers-of-five',
] as const;
export type AmountLook = (typeof amountLooks)[number];

/** The largest amount a look can show clearly on a card. */
export const mostShown: Readonly<Record<AmountLook, number>> = {
  numerals: 9_999_999,
  dots: 20,
  'like-a-die': 12,
  'ten-frame': 20,
  'two-rows': 20,
  ring: 12,
  scattered: 12,
  'two-groups': 12,
  tally: 30,
  words: 100,
  beads: 100,
  'base-ten': 999,
  'fingers-of-five': 20,
};

const ones = ['nothing', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
const teens = ['eleven', 'twelve', 'thirteen', 'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen'];
const tens = ['', '', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];

/** A whole number from 0 to 100 in words; zero is said so. */
export function inWords(n: number): string {
  if (n === 0) return 'zero';
  if (n === 100) return 'one hundred';
  if (n <= 10) return ones[n]!;
  if (n < 20) return teens[n - 11]!;
  return n % 10 === 0 ? tens[n / 10]! : `${tens[Math.floor(n / 10)]!}-${ones[n % 10]!}`;
}

/** Where the pips of a die's side lie, in units of a square of side 1. */
const pips: Readonly<Record<number, readonly Point[]>> = {
  0: [],
  1: [[0.5, 0.5]],
  2: [
    [0.25, 0.25],
    [0.75, 0.75],
  ],
  3: [
    [0.25, 0.25],
    [0.5, 0.5],
    [0.75, 0.75],
  ],
  4: [
    [0.25, 0.25],
    [0.75, 0.25],
    [0.25, 0.75],
    [0.75, 0.75],
  ],
  5: [
    [0.25, 0.25],
    [0.75, 0.25],
    [0.5, 0.5],
    [0.25, 0.75],
    [0.75, 0.75],
  ],
  6: [
    [0.25, 0.25],
    [0.75, 0.25],
    [0.25, 0.5],
    [0.75, 0.5],
    [0.25, 0.75],
    [0.75, 0.75],
  ],
};

/** A square of pips as on a die. */
export const diePips = (n: number, x: number, y: number, s: number): Box[] =>
  pips[n]!.map(([px, py]) => circle(x + px * s, y + py * s, s * 0.1, { fill: 'ink' }));

/** Fills a row of ten by fives, so that 7 is seen as five and two. */
function tenFrame(n: number, x: number, y: number, w: number, h: number): Box[] {
  const frames = n > 10 ? 2 : 1;
  const cell = Math.min(w / 5, h / (2 * frames + (frames - 1) * 0.4));
  const boxes: Box[] = [];
  const left = x + (w - 5 * cell) / 2;
  const high = frames * 2 * cell + (frames - 1) * 0.4 * cell;
  for (let f = 0; f < frames; f++) {
    const top = y + (h - high) / 2 + f * 2.4 * cell;
    for (let i = 0; i < 10; i++) {
      const [cx, cy] = [left + (i % 5) * cell, top + Math.floor(i / 5) * cell];
      boxes.push(rect(cx, cy, cell, cell, { line: 'ink', width: 0.4, frame: true }));
      if (f * 10 + i < n) boxes.push(circle(cx + cell / 2, cy + cell / 2, cell * 0.34, { fill: 'vermilion' }));
    }
  }
  return boxes;
}

/** Two rows side by side: what is odd has one without a partner. */
function twoRows(n: number, x: number, y: number, w: number, h: number): Box[] {
  const columns = Math.max(1, Math.ceil(n / 2));
  const cell = Math.min(w / columns, h / 2, 14);
  const left = x + (w - columns * cell) / 2;
  const top = y + (h - 2 * cell) / 2;
  return Array.from({ length: n }, (_, i) =>
    circle(left + (Math.floor(i / 2) + 0.5) * cell, top + ((i % 2) + 0.5) * cell, cell * 0.36, { fill: 'teal' }),
  );
}

function ring(n: number, x: number, y: number, w: number, h: number): Box[] {
  const r = Math.min(w, h) * 0.36;
  const dot = n === 1 ? r * 0.3 : Math.min(r * 0.3, r * Math.sin(Math.PI / n) * 0.72);
  return Array.from({ length: n }, (_, i) => {
    const a = (i / n) * 2 * Math.PI - Math.PI / 2;
    return circle(x + w / 2 + (n === 1 ? 0 : r * Math.cos(a)), y + h / 2 + (n === 1 ? 0 : r * Math.sin(a)), dot, { fill: 'ink' });
  });
}

/** Dots anywhere, none nearer to another than a dot's width. */
function scattered(n: number, x: number, y: number, w: number, h: number, rng: Rng): Box[] {
  const dot = Math.min(w, h) * 0.065;
  const found: Point[] = [];
  for (let tries = 0; found.length < n && tries < 5000; tries++) {
    const p: Point = [x + dot + uniform(rng) * (w - 2 * dot), y + dot + uniform(rng) * (h - 2 * dot)];
    if (found.every(([qx, qy]) => Math.hypot(p[0] - qx, p[1] - qy) > dot * 3.2)) found.push(p);
  }
  return found.map(([cx, cy]) => circle(cx, cy, dot, { fill: 'ink' }));
}

/** Fives in rows, as on a card that is to be seen at a glance. */
function dots(n: number, x: number, y: number, w: number, h: number): Box[] {
  if (n <= 6) {
    const s = Math.min(w, h);
    return diePips(n, x + (w - s) / 2, y + (h - s) / 2, s);
  }
  const rows = Math.ceil(n / 5);
  const cell = Math.min(w / 5, h / rows, 12);
  const left = x + (w - 5 * cell) / 2;
  const top = y + (h - rows * cell) / 2;
  return Array.from({ length: n }, (_, i) =>
    circle(left + ((i % 5) + 0.5) * cell, top + (Math.floor(i / 5) + 0.5) * cell, cell * 0.34, {
      fill: Math.floor(i / 5) % 2 === 0 ? 'ink' : 'vermilion',
    }),
  );
}

function tally(n: number, x: number, y: number, w: number, h: number): Box[] {
  const groups = Math.max(1, Math.ceil(n / 5));
  const aRow = Math.min(groups, 3);
  const rows = Math.ceil(groups / aRow);
  const cw = Math.min(w / aRow, 22);
  const ch = Math.min(h / rows, 20);
  const left = x + (w - aRow * cw) / 2;
  const top = y + (h - rows * ch) / 2;
  const style = { line: 'ink', width: 0.9 } as const;
  return Array.from({ length: n }, (_, i) => {
    const g = Math.floor(i / 5);
    const gx = left + (g % aRow) * cw + cw * 0.12;
    const gy = top + Math.floor(g / aRow) * ch + ch * 0.12;
    const [gw, gh] = [cw * 0.76, ch * 0.76];
    if (i % 5 === 4) return line(gx - gw * 0.06, gy + gh * 0.85, gx + gw * 0.92, gy + gh * 0.15, style);
    const lx = gx + ((i % 5) + 0.4) * (gw / 4);
    return line(lx, gy, lx, gy + gh, style);
  });
}

/** Beads in rows of ten whose colour changes after five. */
function beads(n: number, x: number, y: number, w: number, h: number): Box[] {
  const rows = Math.max(1, Math.ceil(n / 10));
  const step = Math.min(w / 10.4, h / rows);
  const left = x + (w - 10 * step) / 2;
  const top = y + (h - rows * step) / 2;
  const wires = Array.from({ length: rows }, (_, r) =>
    line(left - 1, top + (r + 0.5) * step, left + 10 * step + 1, top + (r + 0.5) * step, { line: 'soft', width: 0.3 }),
  );
  const strung = Array.from({ length: n }, (_, i) =>
    circle(left + ((i % 10) + 0.5) * step, top + (Math.floor(i / 10) + 0.5) * step, step * 0.44, {
      fill: i % 10 < 5 ? 'vermilion' : 'white',
      line: 'ink',
      width: 0.3,
    }),
  );
  return [...wires, ...strung];
}

/** Squares of a hundred, rods of ten, and ones, all of the same unit. */
function baseTen(n: number, x: number, y: number, w: number, h: number): Box[] {
  const [hundreds, rods, units] = [Math.floor(n / 100), Math.floor(n / 10) % 10, n % 10];
  const rowsOfHundreds = Math.ceil(hundreds / 3);
  const wide = Math.max(hundreds > 0 ? Math.min(3, hundreds) * 11 : 0, rods * 1.5 + (units > 0 ? 3 : 0) + (units > 5 ? 1.5 : 0), 6);
  const high = rowsOfHundreds * 11 + (rods + units > 0 ? 10 : 0);
  const u = Math.min(w / wide, h / Math.max(high, 10), 3.2);
  const left = x + (w - wide * u) / 2;
  const top = y + (h - high * u) / 2;
  const boxes: Box[] = [];
  const style = { line: 'ink', width: Math.min(0.3, u / 6) } as const;
  for (let i = 0; i < hundreds; i++) {
    const [hx, hy] = [left + (i % 3) * 11 * u, top + Math.floor(i / 3) * 11 * u];
    boxes.push(rect(hx, hy, 10 * u, 10 * u, { ...style, fill: 'wash' }));
    for (let k = 1; k < 10; k++)
      boxes.push(
        line(hx + k * u, hy, hx + k * u, hy + 10 * u, { line: 'soft', width: 0.12 }),
        line(hx, hy + k * u, hx + 10 * u, hy + k * u, { line: 'soft', width: 0.12 }),
      );
  }
  const low = top + rowsOfHundreds * 11 * u;
  for (let i = 0; i < rods; i++) {
    const rx = left + i * 1.5 * u;
    boxes.push(rect(rx, low, u, 10 * u, { ...style, fill: 'teal' }));
    for (let k = 1; k < 10; k++) boxes.push(line(rx, low + k * u, rx + u, low + k * u, { line: 'white', width: 0.15 }));
  }
  for (let i = 0; i < units; i++) {
    const ux = left + rods * 1.5 * u + (Math.floor(i / 5) + 0.6) * 1.5 * u;
    boxes.push(rect(ux, low + 10 * u - (i % 5) * 2 * u - u, u, u, { ...style, fill: 'ochre' }));
  }
  return boxes;
}

/** Fives as full hands of bars and the rest beside, drawn as bars: no pictures of hands to puzzle over. */
function fives(n: number, x: number, y: number, w: number, h: number): Box[] {
  const rows = Math.max(1, Math.ceil(n / 5));
  const rh = Math.min(h / rows, 14);
  const cell = Math.min(w / 5.5, rh * 0.9);
  const top = y + (h - rows * rh) / 2;
  return Array.from({ length: n }, (_, i) => {
    const row = Math.floor(i / 5);
    const left = x + (w - 5 * cell) / 2;
    return rect(left + (i % 5) * cell + cell * 0.14, top + row * rh + rh * 0.1, cell * 0.72, rh * 0.8, {
      fill: row % 2 === 0 ? 'indigo' : 'ochre',
    });
  });
}

/** Looks of which nothing at all would be left of a nought. */
const looksEmpty: ReadonlySet<AmountLook> = new Set([
  'dots',
  'like-a-die',
  'two-rows',
  'ring',
  'scattered',
  'two-groups',
  'tally',
  'base-ten',
  'fingers-of-five',
]);

function emptyPlace(x: number, y: number, w: number, h: number): Box {
  const s = Math.min(w, h) * 0.7;
  return rect(x + (w - s) / 2, y + (h - s) / 2, s, s, { line: 'soft', width: 0.5, dashed: true, frame: true });
}

/** Draws an amount in a box; the chance source places what is scattered. */
export function amount(look: AmountLook, n: number, x: number, y: number, w: number, h: number, rng: Rng): Box[] {
  // Nothing is shown as a place where nothing lies, or the card would be taken for a back.
  if (n === 0 && looksEmpty.has(look)) return [emptyPlace(x, y, w, h)];
  switch (look) {
    case 'numerals':
      return numeral(x, y, w, h, written(n));
    case 'words':
      return boxedParagraph(x, y, w, h, inWords(n), 34, 12, { bold: true });
    case 'dots':
      return dots(n, x, y, w, h);
    case 'like-a-die': {
      if (n <= 6) {
        const s = Math.min(w, h);
        return diePips(n, x + (w - s) / 2, y + (h - s) / 2, s);
      }
      const s = Math.min(w, h / 2);
      const first = Math.min(6, Math.ceil(n / 2));
      return [...diePips(first, x + (w - s) / 2, y + h / 2 - s, s), ...diePips(n - first, x + (w - s) / 2, y + h / 2, s)];
    }
    case 'ten-frame':
      return tenFrame(n, x, y, w, h);
    case 'two-rows':
      return twoRows(n, x, y, w, h);
    case 'ring':
      return ring(n, x, y, w, h);
    case 'scattered':
      return scattered(n, x, y, w, h, rng);
    case 'two-groups': {
      const s = Math.min(w / 2 - 2, h);
      const first = Math.ceil(n / 2);
      return [...diePips(first, x + w / 4 - s / 2, y + (h - s) / 2, s), ...diePips(n - first, x + (3 * w) / 4 - s / 2, y + (h - s) / 2, s)];
    }
    case 'tally':
      return tally(n, x, y, w, h);
    case 'beads':
      return beads(n, x, y, w, h);
    case 'base-ten':
      return baseTen(n, x, y, w, h);
    case 'fingers-of-five':
      return fives(n, x, y, w, h);
  }
}
