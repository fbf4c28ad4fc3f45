import { DEFAULTS, type ProductBoardParameters, SCHEMA } from '../../../mechanisms/product-board/parameters';
import { productBoard } from '../../../mechanisms/product-board';
import { type Board, boardOf, join } from '../../../mechanisms/product-board/rules';
import { type Box, rect } from '../../box';
import { numeral } from '../../pictures/numeral';
import { type Drawing, sheetKind } from '../../sheetKind';

export default sheetKind<ProductBoardParameters, Board>({
  id: 'product-board',
  title: 'Product board',
  about: 'Numbers that two markers of the strip below can make.',
  group: 'boards',
  forFamilies: ['product-board'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) => productBoard.check(p),
  make: (p) => boardOf(p),
  verify: (board, p) => {
    const faults: string[] = [];
    const can = new Set<number>();
    for (let x = p.lowest; x <= p.highest; x++) for (let y = x; y <= p.highest; y++) can.add(join(p, x, y));
    for (const n of board.number) if (!can.has(n)) faults.push(`${n} cannot be made with two markers.`);
    if (board.number.length !== board.size ** 2) faults.push('Squares are missing.');
    if (board.lines.length === 0) faults.push(`No line of ${p.inLine} fits on the board.`);
    return faults;
  },
  checked: (board, p) => `${board.number.length} squares; each can be made from two numbers of ${p.lowest} to ${p.highest}.`,
  draw: (board, p) => ({ whole: { count: 1, page: (_n, at) => page(board, p, at) } }),
});

function page(board: Board, p: ProductBoardParameters, { w, h }: Drawing): Box[] {
  const s = Math.min(w / board.size, (h - 34) / board.size);
  const left = (w - s * board.size) / 2;
  const strip = Array.from({ length: p.highest - p.lowest + 1 }, (_, i) => p.lowest + i);
  const k = Math.min(18, w / strip.length);
  const y = s * board.size + 12;
  return [
    ...board.number.flatMap((n, i): Box[] => {
      const [x, t] = [left + (i % board.size) * s, Math.floor(i / board.size) * s];
      return [
        rect(x, t, s, s, { line: 'ink', width: 0.5, frame: true }),
        ...numeral(x + s * 0.14, t + s * 0.26, s * 0.72, s * 0.48, String(n), { most: 44 }),
      ];
    }),
    ...strip.flatMap((n, i): Box[] => {
      const x = (w - k * strip.length) / 2 + i * k;
      return [
        rect(x, y, k, k, { line: 'teal', width: 0.7, frame: true, fill: 'wash' }),
        ...numeral(x + k * 0.15, y + k * 0.25, k * 0.7, k * 0.5, String(n), { most: 26 }),
      ];
    }),
  ];
}
