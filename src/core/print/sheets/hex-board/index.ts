import { neighbourRace } from '../../../mechanisms/neighbour-race';
import { DEFAULTS, type NeighbourParameters, SCHEMA } from '../../../mechanisms/neighbour-race/parameters';
import { boardProblem, makeBoard, type RaceBoard, wastedShare, WAYS } from '../../../mechanisms/neighbour-race/rules';
import { type Box, circle, line, type Point, text } from '../../box';
import { numeral } from '../../pictures/numeral';
import { type Drawing, sheetKind } from '../../sheetKind';

export default sheetKind<NeighbourParameters, RaceBoard | null>({
  id: 'hex-board',
  title: 'Neighbour board',
  about: 'Spaces joined by ways; each way wants its own throw.',
  group: 'boards',
  forFamilies: ['neighbour-race'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) => neighbourRace.check(p),
  make: (p) => makeBoard(p),
  verify: (board, p) => {
    if (!board) return ['No board of these numbers was found; take another board number or allow more wasted throws.'];
    const wrong = boardProblem(p, board);
    return wrong ? [`On this board ${wrong}.`] : [];
  },
  checked: (board, p) =>
    `From every space the end can be reached; ${Math.round(100 * wastedShare(p, board!))} of 100 throws move nobody, ${p.wasted} are allowed.`,
  draw: (board) => ({ whole: { count: 1, page: (_n, at) => drawBoard(board!, at) } }),
});

function drawBoard(board: RaceBoard, { w, h }: Drawing): Box[] {
  const rows = Math.max(...board.row);
  const inRow = new Map<number, number[]>();
  board.row.forEach((row, space) => inRow.set(row, [...(inRow.get(row) ?? []), space]));
  const step = h / (rows + 1);
  const widest = Math.max(...[...inRow.values()].map((r) => r.length));
  const r = Math.min(step * 0.34, (w / widest) * 0.34, 13);
  const at = (space: number): Point => {
    const own = inRow.get(board.row[space]!)!;
    const lean = own.length > 1 && board.row[space]! % 2 === 0 ? w / widest / 4 : own.length > 1 ? -w / widest / 4 : 0;
    return [w / 2 + (own.indexOf(space) - (own.length - 1) / 2) * (w / widest) * 0.92 + lean * 0.6, h - step * (board.row[space]! + 0.5)];
  };
  const ways: Box[] = [];
  for (let s = 0; s < board.last; s++)
    for (let k = 0; k < WAYS; k++) {
      const to = board.ahead[s * WAYS + k]!;
      if (to < 0) continue;
      const [[x1, y1], [x2, y2]] = [at(s), at(to)];
      ways.push(line(x1, y1, x2, y2, { line: 'soft', width: 0.5, frame: true }));
    }
  const spaces = [...board.number.keys()].flatMap((s): Box[] => {
    const [x, y] = at(s);
    const end = s === 0 || s === board.last;
    return [
      circle(x, y, r, { line: end ? 'vermilion' : 'ink', width: end ? 0.9 : 0.5, fill: 'white', frame: true }),
      ...(s === 0
        ? [text(x - r, y - 4, 2 * r, 8, 'start', 12, { bold: true })]
        : numeral(x - r * 0.7, y - r * 0.5, r * 1.4, r, String(board.number[s]!), { most: 34 })),
    ];
  });
  return [...ways, ...spaces];
}
