import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, rect } from '../../box';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  frame: oneOf('Frame of', [5, 10, 20, 100], 10),
  frames: whole('Frames on the page', 1, 8, 2),
});
type P = typeof DEFAULTS;
interface Made {
  readonly columns: number;
  readonly rows: number;
}

export default sheetKind<P, Made>({
  id: 'ten-frame-mat',
  title: 'Ten-frame mat',
  about: 'Empty frames of five, ten, twenty or a hundred to lay counters in.',
  group: 'mats',
  forFamilies: ['quick-look', 'split-and-spill', 'count-the-lot'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => ({ columns: p.frame === 100 ? 10 : 5, rows: p.frame === 5 ? 1 : p.frame === 10 ? 2 : p.frame === 20 ? 4 : 10 }),
  verify: (made, p) => (made.columns * made.rows === p.frame ? [] : [`The frame has ${made.columns * made.rows} cells.`]),
  checked: (made) => `${made.columns * made.rows} cells; the line after five is bold.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
});

function page({ columns, rows }: Made, p: P, { w, h, large }: Drawing): Box[] {
  const frames = large ? 1 : p.frames;
  const aRow = frames > 4 ? 2 : 1;
  const [fw, fh] = [w / aRow, h / Math.ceil(frames / aRow)];
  const s = Math.min((fw - 6) / columns, (fh - 8) / rows, 40);
  return Array.from({ length: frames }, (_, k) => k).flatMap((k): Box[] => {
    const [x, y] = [(k % aRow) * fw + (fw - s * columns) / 2, Math.floor(k / aRow) * fh + (fh - s * rows) / 2];
    return [
      ...Array.from({ length: columns * rows }, (_, i) =>
        rect(x + (i % columns) * s, y + Math.floor(i / columns) * s, s, s, { line: 'ink', width: 0.4, frame: true }),
      ),
      rect(x, y, s * columns, s * rows, { line: 'ink', width: 1, frame: true }),
      ...(columns === 10
        ? [
            rect(x + 5 * s - 0.5, y, 1, s * rows, { fill: 'ink', frame: true }),
            rect(x, y + 5 * s - 0.5, s * columns, 1, { fill: 'ink', frame: true }),
          ]
        : []),
      ...(rows === 4 ? [rect(x, y + 2 * s - 0.5, s * columns, 1, { fill: 'ink', frame: true })] : []),
    ];
  });
}
