import type { Picture } from '../../play/picture';
import { type Box, circle, line, path, type Point, polygon, rect } from '../box';
import { boxedParagraph, fitted } from '../letters';
import { diePips } from './amount';

type Of<K extends Picture['draw']> = Extract<Picture, { draw: K }>;
type Area = { readonly x: number; readonly y: number; readonly w: number; readonly h: number };

/** Signs of the pictures on screen that no face on paper has, by one that says as much. */
const onPaper: Readonly<Record<string, string>> = { '⠿': '∷', '⚙': '⊛' };
const word = (say: string | number, x: number, y: number, w: number, h: number, lit = false): Box => {
  const words = [...String(say)].map((c) => onPaper[c] ?? c).join('');
  return fitted(x, y, w, h, words, { bold: true, most: 22, ...(lit ? { fill: 'vermilion' as const } : {}) });
};
const box = (x: number, y: number, w: number, h: number, lit = false): Box =>
  rect(x, y, w, h, { line: 'ink', width: 0.4, fill: lit ? 'pale' : 'white' });

/** Where a row of `n` things of one size begins, and how wide each is with room for what comes after them. */
function row(n: number, { x, w, h }: Area, gap: number, tail: number, most = h * 0.8): { readonly x0: number; readonly s: number } {
  const s = Math.min(most, (w - tail - (n - 1) * gap) / n);
  return { x0: x + (w - tail - n * s - (n - 1) * gap) / 2, s };
}

const drawn: { readonly [K in Picture['draw']]: (p: Of<K>, at: Area) => Box[] } = {
  dice: ({ faces, joined, makes }, at) => {
    const [gap, tail] = [joined ? 6 : 3, makes ? 13 : 0];
    const { x0, s } = row(faces.length, at, gap, tail, Math.min(14, at.h * 0.6));
    const y = at.y + (at.h - s) / 2;
    return [
      ...faces.flatMap((f, i): Box[] => {
        const x = x0 + i * (s + gap);
        return [
          box(x, y, s, s),
          ...(typeof f === 'number' && f >= 1 && f <= 6 ? diePips(f, x, y, s) : [word(f, x + 1, y + s * 0.28, s - 2, s * 0.44)]),
        ];
      }),
      ...(joined ? faces.slice(1).map((_, i) => word(joined, x0 + (i + 1) * (s + gap) - gap, y + s * 0.3, gap, s * 0.4)) : []),
      ...(makes ? [word(`= ${makes}`, x0 + faces.length * (s + gap) - gap + 1, y + s * 0.28, tail, s * 0.44, true)] : []),
    ];
  },
  cards: ({ values, rows = values.length > 6 ? 2 : 1, lit = [], joined, makes }, at) => {
    const columns = Math.ceil(values.length / rows);
    const results = makes?.split(' | ') ?? [];
    const [gap, tail] = [joined ? 5 : 2, results.length > 0 ? 14 : 0];
    const high = Math.min(18, (at.h - (rows - 1) * 2) / rows);
    const { x0, s } = row(columns, at, gap, tail, high / 1.3);
    const top = at.y + (at.h - rows * high - (rows - 1) * 2) / 2;
    const place = (i: number): Point => [x0 + (i % columns) * (s + gap), top + Math.floor(i / columns) * (high + 2)];
    return [
      ...values.flatMap((v, i): Box[] => {
        const [x, y] = place(i);
        if (v === null)
          return [
            box(x, y, s, high),
            path(
              [
                [x + 1, y + 1],
                [x + s - 1, y + high - 1],
              ],
              { line: 'pale', width: 0.4 },
            ),
          ];
        return [
          box(x, y, s, high, lit.includes(i)),
          word(v, x + 0.6, y + high * 0.3, s - 1.2, high * 0.4),
          ...(joined && i % columns > 0 ? [word(joined, x - gap, y + high * 0.32, gap, high * 0.36)] : []),
        ];
      }),
      ...results.map((m, r) =>
        word(
          `= ${m}`,
          x0 + columns * (s + gap) - gap + 1,
          results.length === rows ? top + r * (high + 2) + high * 0.3 : at.y + at.h / 2 - 3,
          tail - 1,
          6,
          true,
        ),
      ),
    ];
  },
  grid: ({ rows, columns, cells = [], lit = [], done = [], rowNames = [], columnNames = [] }, at) => {
    const [left, head] = [rowNames.length > 0 ? 7 : 0, columnNames.length > 0 ? 5 : 0];
    const s = Math.min(10, (at.w - left) / columns, (at.h - head) / rows);
    const [x0, y0] = [at.x + left + (at.w - left - columns * s) / 2, at.y + head + (at.h - head - rows * s) / 2];
    return [
      ...Array.from({ length: rows * columns }, (_, i) => i).flatMap((i): Box[] => {
        const [x, y] = [x0 + (i % columns) * s, y0 + Math.floor(i / columns) * s];
        const say = cells[i];
        return [
          rect(x, y, s, s, { line: 'ink', width: 0.3, fill: lit.includes(i) ? 'pale' : done.includes(i) ? 'wash' : 'white' }),
          ...(say === undefined || say === '' ? [] : [word(say, x + 0.5, y + s * 0.28, s - 1, s * 0.44)]),
        ];
      }),
      ...rowNames.slice(0, rows).map((n, r) => word(n, x0 - left, y0 + r * s + s * 0.28, left - 1, s * 0.44)),
      ...columnNames.slice(0, columns).map((n, c) => word(n, x0 + c * s, y0 - head, s, head - 1)),
    ];
  },
  track: ({ from, to, pegs, jump }, at) => {
    const first = Math.max(from, (jump ? Math.min(...jump) : (pegs[0] ?? from)) - 2);
    const count = Math.min(8, to - first + 1);
    const s = Math.min(8, at.w / count);
    const [x0, y] = [at.x + (at.w - s * count) / 2, at.y + at.h * 0.5];
    const middle = (n: number): number => x0 + (Math.min(count - 1, Math.max(0, n - first)) + 0.5) * s;
    return [
      ...Array.from({ length: count }, (_, i) => [
        box(x0 + i * s, y, s, s, jump?.[1] === first + i),
        word(first + i, x0 + i * s + 0.5, y + s * 0.28, s - 1, s * 0.44),
      ]).flat(),
      ...pegs
        .filter((p) => p >= first && p < first + count)
        .map((p, i) => circle(middle(p) + i * 2 - 1, y - 2.6, 1.9, { fill: i === 0 ? 'teal' : 'vermilion' })),
      ...(jump
        ? [
            path(
              Array.from({ length: 13 }, (_, k): Point => [
                middle(jump[0]) + ((middle(jump[1]) - middle(jump[0])) * k) / 12,
                y - 4 - 7 * Math.sin((Math.PI * k) / 12),
              ]),
              { line: 'vermilion', width: 0.6 },
            ),
          ]
        : []),
    ];
  },
  line: ({ low, high, marks, shaded }, at) => {
    const x = (part: number): number => at.x + 6 + part * (at.w - 12);
    const y = at.y + at.h * 0.6;
    return [
      ...(shaded ? [rect(x(shaded[0]), y - 2.4, Math.max(0.8, x(shaded[1]) - x(shaded[0])), 4.8, { fill: 'pale' })] : []),
      line(at.x + 2, y, at.x + at.w - 2, y, { width: 0.6 }),
      ...[0, 1].map((part) => line(x(part), y - 2, x(part), y + 2, { width: 0.5 })),
      word(low, x(0) - 6, y + 3.4, 12, 4),
      word(high, x(1) - 7, y + 3.4, 13, 4),
      ...marks.flatMap(([part, say], i) => [
        line(x(part), y - 3.4, x(part), y + 1.6, { line: 'vermilion', width: 0.6 }),
        word(say, x(part) - 7, y - 9 - (i % 2) * 4.6, 14, 4.4, true),
      ]),
    ];
  },
  tiles: ({ count, shut, lit = [] }, at) => {
    const s = Math.min(8, at.w / count);
    const [x0, foot] = [at.x + (at.w - s * count) / 2, at.y + at.h * 0.76];
    return [
      ...Array.from({ length: count }, (_, i) => i + 1).flatMap((n): Box[] => {
        const down = shut.includes(n);
        const x = x0 + (n - 1) * s;
        return [
          box(x + 0.3, down ? foot : foot - 14, s - 0.6, down ? 3 : 14, lit.includes(n)),
          ...(down ? [] : [word(n, x + 0.8, foot - 9, s - 1.6, 5)]),
        ];
      }),
      line(x0 - 1, foot, x0 + s * count + 1, foot, { width: 0.6 }),
    ];
  },
  columns: ({ first, heights, full, lit }, at) => {
    const s = Math.min(8, at.w / heights.length);
    const k = Math.min(4.4, (at.h - 6) / full);
    const [x0, foot] = [at.x + (at.w - s * heights.length) / 2, at.y + at.h - 5.5];
    const every = s < 5 && first + heights.length > 10 ? 2 : 1;
    return heights.flatMap((h, i): Box[] => [
      rect(x0 + i * s + 0.2, foot - full * k, s - 0.4, full * k, { line: 'pale', width: 0.25 }),
      ...Array.from({ length: h }, (_, n) =>
        rect(x0 + i * s + 0.5, foot - (n + 1) * k + 0.3, s - 1, k - 0.6, {
          line: 'ink',
          width: 0.25,
          fill: lit === first + i && n === h - 1 ? 'ochre' : 'wash',
        }),
      ),
      ...(i % every === 0 ? [word(first + i, x0 + i * s - (every - 1) * 1.5, foot + 1, s + (every - 1) * 3, 3.8)] : []),
    ]);
  },
  beam: ({ left, right, tip }, at) => {
    const [cx, y] = [at.x + at.w / 2, at.y + at.h * 0.4];
    const drop = tip * 2.4;
    const side = (values: readonly (number | string)[], x: number, dy: number): Box[] =>
      values.flatMap((v, i): Box[] => {
        const bx = x + (i - (values.length - 1) / 2) * 9 - 4;
        return [
          line(bx + 4, y + dy, bx + 4, y + dy + 3, { width: 0.3 }),
          box(bx, y + dy + 3, 8, 8, v === '?'),
          word(v, bx + 0.6, y + dy + 5, 6.8, 4),
        ];
      });
    return [
      polygon(
        [
          [cx, y],
          [cx - 4, at.y + at.h - 2],
          [cx + 4, at.y + at.h - 2],
        ],
        { line: 'ink', width: 0.4, fill: 'wash' },
      ),
      line(at.x + 3, y - drop, at.x + at.w - 3, y + drop, { width: 0.8 }),
      ...side(left, at.x + at.w * 0.25, -drop * 0.5),
      ...side(right, at.x + at.w * 0.75, drop * 0.5),
    ];
  },
  things: ({ heaps, names = [], shape = 'disc' }, at) => {
    const space = at.w / heaps.length;
    return heaps.flatMap(([n, other = 0], h): Box[] => {
      const all = Math.min(40, n + other);
      const across = Math.max(1, Math.min(Math.ceil(Math.sqrt(all * (space / 26))), all));
      const s = Math.min(6, (space - 2) / across, (at.h - 7) / Math.max(1, Math.ceil(all / across)));
      const [x0, y0] = [at.x + h * space + (space - across * s) / 2, at.y + (at.h - 6 - Math.ceil(all / across) * s) / 2];
      return [
        ...Array.from({ length: all }, (_, i): Box => {
          const [x, y] = [x0 + (i % across) * s, y0 + Math.floor(i / across) * s];
          const style = { line: 'ink', width: 0.3, fill: i < n ? 'wash' : 'ochre' } as const;
          if (shape === 'stick') return rect(x + s * 0.4, y + 0.4, s * 0.2, s - 0.8, { fill: i < n ? 'ink' : 'vermilion' });
          return shape === 'disc'
            ? circle(x + s / 2, y + s / 2, s * 0.42, style)
            : rect(x + s * 0.08, y + s * 0.08, s * 0.84, s * 0.84, style);
        }),
        ...(names[h] === undefined ? [] : [word(names[h], at.x + h * space, at.y + at.h - 5, space, 4.4)]),
      ];
    });
  },
  coins: ({ values, makes }, at) => {
    const shown = values.slice(0, 8);
    const { x0, s } = row(shown.length, at, 1, makes ? 14 : 0, 11);
    const y = at.y + at.h / 2;
    return [
      ...shown.flatMap((v, i) => [
        circle(x0 + i * (s + 1) + s / 2, y, s / 2, { line: 'ink', width: 0.4, fill: 'wash' }),
        word(v, x0 + i * (s + 1) + s * 0.16, y - s * 0.2, s * 0.68, s * 0.4),
      ]),
      ...(makes ? [word(`= ${makes}`, x0 + shown.length * (s + 1), y - 3, 13, 6, true)] : []),
    ];
  },
  clock: ({ minutes }, at) => {
    const n = minutes.length;
    const r = Math.min(at.h / 2 - 1, at.w / n / 2 - 2);
    return minutes.flatMap((m, i): Box[] => {
      const [cx, cy] = [at.x + (at.w * (i + 0.5)) / n, at.y + at.h / 2];
      const end = (turn: number, k: number): Point => [cx + Math.sin(turn * 2 * Math.PI) * k, cy - Math.cos(turn * 2 * Math.PI) * k];
      const hand = (turn: number, k: number, style: Parameters<typeof line>[4]): Box => line(cx, cy, ...end(turn, k), style);
      return [
        circle(cx, cy, r, { line: 'ink', width: 0.5, fill: 'white' }),
        ...Array.from({ length: 12 }, (_, k) => line(...end(k / 12, r * 0.86), ...end(k / 12, r), { width: 0.3 })),
        hand(m / 720, r * 0.5, { width: 0.9 }),
        hand((m % 60) / 60, r * 0.8, { line: 'vermilion', width: 0.6 }),
      ];
    });
  },
  wheel: ({ middle, rim, lit }, at) => {
    const r = at.h / 2 - 0.5;
    const [cx, cy] = [at.x + at.w / 2, at.y + at.h / 2];
    return [
      circle(cx, cy, r, { line: 'ink', width: 0.4, fill: 'white' }),
      circle(cx, cy, r * 0.3, { line: 'ink', width: 0.4, fill: 'wash' }),
      word(middle, cx - r * 0.26, cy - r * 0.14, r * 0.52, r * 0.28),
      ...rim.flatMap((n, i): Box[] => {
        const a = (i / rim.length) * 2 * Math.PI;
        const [x, y] = [cx + Math.sin(a) * r * 0.72, cy - Math.cos(a) * r * 0.72];
        return [...(i === lit ? [circle(x, y, r * 0.22, { fill: 'pale' })] : []), word(n, x - r * 0.2, y - r * 0.1, r * 0.4, r * 0.2)];
      }),
    ];
  },
  shape: ({ columns, rows, outlines, mirror, dots = [], axes = false }, at) => {
    const s = Math.min(7, at.w / columns, at.h / rows);
    const [x0, y0] = [at.x + (at.w - columns * s) / 2, at.y + (at.h - rows * s) / 2];
    const to = ([x, y]: readonly [number, number]): Point => [x0 + x * s, y0 + y * s];
    return [
      ...outlines.map((o, i) => polygon(o.map(to), { line: 'ink', width: 0.5, fill: i % 2 === 0 ? 'wash' : 'pale' })),
      ...Array.from({ length: columns + 1 }, (_, i) => line(x0 + i * s, y0, x0 + i * s, y0 + rows * s, { line: 'pale', width: 0.2 })),
      ...Array.from({ length: rows + 1 }, (_, i) => line(x0, y0 + i * s, x0 + columns * s, y0 + i * s, { line: 'pale', width: 0.2 })),
      ...(axes ? [path([to([0, 0]), to([0, rows]), to([columns, rows])], { line: 'ink', width: 0.6 })] : []),
      ...(mirror ? [path([to(mirror[0]), to(mirror[1])], { line: 'vermilion', width: 0.6, dashed: true })] : []),
      ...dots.flatMap(([x, y, name], i): Box[] => {
        const [px, py] = to([x, y]);
        return [
          circle(px, py, 1.4, { fill: i === 0 ? 'teal' : 'vermilion' }),
          ...(name ? [word(name, Math.min(at.x + at.w - 14, px - 2), py - 6, 14, 4, true)] : []),
        ];
      }),
    ];
  },
  bars: ({ bars: lines }, at) => {
    const high = Math.min(8, (at.h - (lines.length - 1) * 2) / lines.length);
    const y0 = at.y + (at.h - lines.length * high - (lines.length - 1) * 2) / 2;
    const wide = at.w * 0.72;
    return lines.flatMap(([part, of, name], r): Box[] => [
      ...Array.from({ length: of }, (_, i) =>
        rect(at.x + (i * wide) / of, y0 + r * (high + 2), wide / of, high, {
          line: 'ink',
          width: 0.3,
          fill: i < part ? (r === lines.length - 1 ? 'ochre' : 'wash') : 'white',
        }),
      ),
      ...(name ? [word(name, at.x + wide + 1, y0 + r * (high + 2) + high * 0.25, at.w - wide - 1, high * 0.5)] : []),
    ]);
  },
  say: ({ words }, at) => {
    const [x, y, w, h] = [at.x + 3, at.y + 2, at.w - 6, at.h * 0.68];
    return [
      polygon(
        [
          [x, y],
          [x + w, y],
          [x + w, y + h],
          [x + w * 0.4, y + h],
          [x + w * 0.26, y + h + at.h * 0.2],
          [x + w * 0.26, y + h],
          [x, y + h],
        ],
        { line: 'ink', width: 0.5, fill: 'white' },
      ),
      ...boxedParagraph(x + 2, y + 1, w - 4, h - 2, words, 22, 7, { bold: true }),
    ];
  },
};

/** Letters below this are a smudge in a small cell; the picture says as much without them, in points. */
const leastLetters = 4.5;

/** One of the three pictures that tell how a version is played, inside a box. */
export const drawStep = (p: Picture, x: number, y: number, w: number, h: number): Box[] =>
  (drawn[p.draw] as (p: Picture, at: Area) => Box[])(p, { x, y, w, h }).filter((b) => b.kind !== 'text' || b.size! >= leastLetters);
