import { parameters, whole } from '../../../play/parameters';
import { type Box, line, text } from '../../box';
import { sizeFor } from '../../letters';
import { numeral } from '../../pictures/numeral';
import { sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({ tiles: whole('Tiles', 4, 16, 9), strips: whole('Strips', 1, 12, 2) });
type P = typeof DEFAULTS;

export default sheetKind<P, readonly number[]>({
  id: 'tile-strip',
  title: 'Tile strip',
  about: 'Numbered flaps to fold down: cut between them, fold along the dashed line.',
  group: 'pieces',
  forFamilies: ['close-the-tiles'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => Array.from({ length: p.tiles }, (_, i) => i + 1),
  verify: (made, p) => (made.length === p.tiles && made.every((n, i) => n === i + 1) ? [] : ['A tile is missing or stands twice.']),
  checked: (made, p) => `${p.strips} strips of tiles 1 to ${made.length}.`,
  draw: (made, p) => ({
    pieces: [{ w: 184, h: 52, count: p.strips, outlined: true, face: (_n, { w, h }) => strip(made, w, h) }],
  }),
});

function strip(made: readonly number[], w: number, h: number): Box[] {
  const s = w / made.length;
  // One size for all of them.
  const high = Math.min(h * 0.4, s);
  const most = Math.min(46, ...made.map((n) => sizeFor(String(n), s * 0.76, high, 46, true)));
  return [
    line(0, h * 0.72, w, h * 0.72, { line: 'soft', width: 0.4, dashed: true, frame: true }),
    ...made.flatMap((n, i): Box[] => [
      ...(i > 0 ? [line(i * s, 0, i * s, h * 0.72, { line: 'ink', width: 0.35, frame: true })] : []),
      ...numeral(i * s + s * 0.12, h * 0.16, s * 0.76, high, String(n), { most }),
    ]),
    text(2, h * 0.78, w - 4, h * 0.16, 'fold along the dashed line · cut the flaps apart', 9, { fill: 'soft' }),
  ];
}
