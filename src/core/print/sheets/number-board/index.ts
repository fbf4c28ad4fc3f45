import { impossible } from '../../../play/refuse';
import { oneOf, parameters, whole, yesNo } from '../../../play/parameters';
import { below, shuffle } from '../../../shared/rng';
import { type Box, rect } from '../../box';
import { numeral, written } from '../../pictures/numeral';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  from: whole('From', 0, 9900, 1),
  to: whole('To', 9, 10_000, 100),
  columns: oneOf('In a row', [5, 10], 10),
  direction: oneOf('Rows grow', ['down', 'up'], 'down'),
  blanks: whole('Of a hundred numbers, left out', 0, 100, 0),
  pieces: yesNo('With lines to cut it into pieces', false),
});
type P = typeof DEFAULTS;
interface Made {
  readonly numbers: readonly number[];
  readonly blank: ReadonlySet<number>;
  /** Piece of each cell, when it is cut up. */
  readonly piece: readonly number[];
}
const aPage = 200;

export default sheetKind<P, Made>({
  id: 'number-board',
  title: 'Number board',
  about: 'A hundred chart or any other: upward or downward, with gaps, whole or in pieces to put together.',
  group: 'boards',
  forFamilies: ['place-digit-hop', 'bound-guess'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.to <= p.from
      ? impossible('to', `The board runs backwards: ${p.from} to ${p.to}.`)
      : p.to - p.from >= 1200
        ? impossible('to', `${p.to - p.from + 1} numbers; 1200 are the most of one board.`)
        : null,
  make: (p, { rng }) => {
    const numbers = Array.from({ length: p.to - p.from + 1 }, (_, i) => p.from + i);
    const mixed = [...numbers];
    shuffle(rng, mixed, mixed.length);
    const piece = numbers.map(() => -1);
    if (p.pieces) {
      // Pieces of three to six cells, grown from cell to neighbour, as long as there are free ones.
      let n = 0;
      for (let start = 0; start < numbers.length; start++) {
        if (piece[start] !== -1) continue;
        const cells = [start];
        piece[start] = n;
        const wanted = 3 + below(rng, 4);
        while (cells.length < wanted) {
          const free = cells.flatMap((c) => neighbours(c, p.columns, numbers.length)).filter((c) => piece[c] === -1);
          if (free.length === 0) break;
          const next = free[below(rng, free.length)]!;
          piece[next] = n;
          cells.push(next);
        }
        n++;
      }
    }
    return { numbers, blank: new Set(mixed.slice(0, Math.round((numbers.length * p.blanks) / 100))), piece };
  },
  verify: (made, p) => {
    const faults: string[] = [];
    if (made.numbers.some((n, i) => n !== p.from + i)) faults.push('A number is missing or stands twice.');
    if (p.pieces)
      for (const n of new Set(made.piece)) {
        const cells = made.piece.flatMap((x, i) => (x === n ? [i] : []));
        const reached = new Set([cells[0]!]);
        for (const c of reached) for (const d of neighbours(c, p.columns, made.numbers.length)) if (made.piece[d] === n) reached.add(d);
        if (reached.size !== cells.length) faults.push(`Piece ${n + 1} would fall apart.`);
      }
    return faults;
  },
  checked: (made, p) =>
    `${made.numbers.length} numbers, ${made.blank.size} of them left out${p.pieces ? `; ${new Set(made.piece).size} pieces, each in one` : ''}.`,
  draw: (made, p) => ({
    whole: { count: Math.ceil(made.numbers.length / aPage), page: (n, at) => page(made, p, n, at) },
  }),
  key: (made) => (made.blank.size > 0 ? [[...made.blank].sort((a, b) => a - b).join(', ')] : []),
});

function neighbours(i: number, columns: number, all: number): number[] {
  return [i % columns > 0 ? i - 1 : -1, i % columns < columns - 1 ? i + 1 : -1, i - columns, i + columns].filter((c) => c >= 0 && c < all);
}

function page(made: Made, p: P, n: number, { w, h }: Drawing): Box[] {
  const first = n * aPage;
  const here = made.numbers.slice(first, first + aPage);
  const rows = Math.ceil(here.length / p.columns);
  const s = Math.min(w / p.columns, h / rows);
  const left = (w - s * p.columns) / 2;
  return here.flatMap((number, i): Box[] => {
    const row = Math.floor(i / p.columns);
    const [x, y] = [left + (i % p.columns) * s, (p.direction === 'down' ? row : rows - 1 - row) * s];
    const boxes: Box[] = [rect(x, y, s, s, { line: p.pieces ? 'pale' : 'ink', width: 0.3, frame: true })];
    if (p.pieces) boxes.push(...edges(made.piece, first + i, p, x, y, s));
    if (!made.blank.has(number))
      boxes.push(...numeral(x + s * 0.12, y + s * 0.27, s * 0.76, s * 0.46, written(number), { most: 30, level: true }));
    return boxes;
  });
}

/** The strong lines along which a piece is cut out. */
function edges(piece: readonly number[], i: number, p: P, x: number, y: number, s: number): Box[] {
  const other = (j: number, inside: boolean): boolean => !inside || piece[j] !== piece[i];
  const style = { fill: 'ink', frame: true } as const;
  const up = p.direction === 'down' ? i - p.columns : i + p.columns;
  const down = p.direction === 'down' ? i + p.columns : i - p.columns;
  return [
    ...(other(up, up >= 0 && up < piece.length) ? [rect(x, y - 0.35, s, 0.7, style)] : []),
    ...(other(down, down >= 0 && down < piece.length) ? [rect(x, y + s - 0.35, s, 0.7, style)] : []),
    ...(other(i - 1, i % p.columns > 0) ? [rect(x - 0.35, y, 0.7, s, style)] : []),
    ...(other(i + 1, i % p.columns < p.columns - 1 && i + 1 < piece.length) ? [rect(x + s - 0.35, y, 0.7, s, style)] : []),
  ];
}
