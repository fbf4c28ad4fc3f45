import { cubeNets, oppositeFace } from '../../../items/acts/shapes';
import { parameters, whole, yesNo } from '../../../play/parameters';
import { type Box, line, path, polygon, rect, text } from '../../box';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  from: whole('First net', 1, 11, 1),
  nets: whole('How many of the eleven', 1, 11, 11),
  letters: yesNo('A letter on each square', true),
  flaps: yesNo('With flaps to glue', false),
});
type P = typeof DEFAULTS;

export default sheetKind<P, readonly number[]>({
  id: 'net-sheet',
  title: 'Nets of a cube',
  about: 'The eleven ways to lay six squares so that they fold into a cube.',
  group: 'pieces',
  forFamilies: ['boxes-and-nets'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => Array.from({ length: Math.min(p.nets, cubeNets.length - p.from + 1) }, (_, i) => p.from - 1 + i),
  verify: (made) => [
    ...(made.length > 0 && new Set(made).size === made.length ? [] : ['A net is there twice, or none at all.']),
    ...made.flatMap((n) => {
      if (!cubeNets[n]) return [`There is no net ${n + 1}.`];
      const across = [0, 1, 2, 3, 4, 5].map((f) => oppositeFace(n, f));
      return across.every((f, i) => f !== i && across[f] === i) ? [] : [`Net ${n + 1} does not close into a cube.`];
    }),
  ],
  checked: (made) => `${made.length} nets, each folded in thought: every square has one across from it.`,
  draw: (made, p) => ({ whole: { count: Math.ceil(made.length / 4), page: (n, at) => page(made.slice(4 * n, 4 * n + 4), p, at) } }),
  key: (made) =>
    made.map(
      (n) =>
        `${n + 1}: ${[0, 1, 2, 3, 4, 5]
          .filter((f) => f < oppositeFace(n, f))
          .map((f) => `${letter(f)} across from ${letter(oppositeFace(n, f))}`)
          .join(', ')}`,
    ),
  hazards: ['blades', 'fumes'],
});

const letter = (face: number): string => String.fromCharCode(65 + face);

function page(nets: readonly number[], p: P, { w, h }: Drawing): Box[] {
  const [cw, ch] = [w / 2, h / 2];
  return nets.flatMap((n, i): Box[] => {
    const cells = cubeNets[n]!;
    const columns = Math.max(...cells.map((c) => c[1])) + 1;
    const rows = Math.max(...cells.map((c) => c[0])) + 1;
    const s = Math.min((cw - 12) / columns, (ch - 20) / rows, 24);
    const [x0, y0] = [(i % 2) * cw + (cw - s * columns) / 2, Math.floor(i / 2) * ch + 12 + (ch - 12 - s * rows) / 2];
    const there = (r: number, c: number): boolean => cells.some(([a, b]) => a === r && b === c);
    return [
      text((i % 2) * cw, Math.floor(i / 2) * ch + 1, 20, 7, String(n + 1), 12, { align: 'start', fill: 'soft', frame: true }),
      ...cells.flatMap(([r, c], f): Box[] => {
        const [x, y] = [x0 + c * s, y0 + r * s];
        const fold = (x1: number, y1: number, x2: number, y2: number, inside: boolean): Box =>
          line(x1, y1, x2, y2, inside ? { line: 'soft', width: 0.3, dashed: true, frame: true } : { width: 0.6, frame: true });
        return [
          rect(x, y, s, s, { fill: 'white', frame: true }),
          fold(x, y, x + s, y, there(r - 1, c)),
          fold(x, y + s, x + s, y + s, there(r + 1, c)),
          fold(x, y, x, y + s, there(r, c - 1)),
          fold(x + s, y, x + s, y + s, there(r, c + 1)),
          ...(p.letters ? [text(x, y, s, s, letter(f), 22, { bold: true })] : []),
          // One flap to the right of the last square of each row is enough to hold a paper cube.
          ...(p.flaps && !there(r, c + 1)
            ? [
                polygon(
                  [
                    [x + s, y],
                    [x + s + 4, y + 3],
                    [x + s + 4, y + s - 3],
                    [x + s, y + s],
                  ],
                  { line: 'soft', width: 0.3, frame: true },
                ),
                path(
                  [
                    [x + s, y],
                    [x + s, y + s],
                  ],
                  { line: 'soft', width: 0.3, dashed: true, frame: true },
                ),
              ]
            : []),
        ];
      }),
    ];
  });
}
