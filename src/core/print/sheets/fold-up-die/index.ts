import { oppositeFace } from '../../../items/acts/shapes';
import { parameters, whole } from '../../../play/parameters';
import { type Box, line, polygon, rect } from '../../box';
import { fitted } from '../../letters';
import { numeral } from '../../pictures/numeral';
import { sheetKind } from '../../sheetKind';
import { oneOf } from '../../../play/parameters';
import { diePips } from '../../pictures/amount';

const { SCHEMA, DEFAULTS } = parameters({
  faces: oneOf('Faces show', ['one-to-six', 'nought-to-five', 'four-to-nine', 'plus-and-minus', 'tens', 'blank'], 'one-to-six'),
  looks: oneOf('As', ['numerals', 'pips'], 'numerals'),
  dice: whole('Dice', 1, 12, 2),
});
type P = typeof DEFAULTS;
/** Faces so that those across from each other join to seven where there are six in a row, as on usual dice. */
const sets: Readonly<Record<P['faces'], readonly string[]>> = {
  'one-to-six': ['1', '2', '3', '4', '5', '6'],
  'nought-to-five': ['0', '1', '2', '3', '4', '5'],
  'four-to-nine': ['4', '5', '6', '7', '8', '9'],
  'plus-and-minus': ['+', '+', '+', '−', '−', '−'],
  tens: ['10', '20', '30', '40', '50', '60'],
  blank: ['', '', '', '', '', ''],
};
/** The cross: squares in the order in which the nets of a cube list them, one above a row of four, one below it. */
const cross = [
  [0, 1],
  [1, 0],
  [1, 1],
  [1, 2],
  [1, 3],
  [2, 1],
] as const;
const crossNet = 4;

export default sheetKind<P, readonly string[]>({
  id: 'fold-up-die',
  title: 'Fold-up die',
  about: 'A die of cardstock with any of several sets of faces, flaps to glue.',
  group: 'pieces',
  forFamilies: ['track-race', 'sum-columns'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.looks === 'pips' && !['one-to-six', 'nought-to-five', 'blank'].includes(p.faces)
      ? { code: 'impossible-parameters', field: 'looks', message: 'Pips show numbers up to six; take numerals for these faces.' }
      : null,
  make: (p) => {
    const set = sets[p.faces];
    // Opposite faces get the first and last, the second and last but one, and so on.
    const found: string[] = Array<string>(6).fill('');
    let pair = 0;
    for (let f = 0; f < 6; f++) {
      const o = oppositeFace(crossNet, f);
      if (o < f) continue;
      found[f] = set[pair]!;
      found[o] = set[5 - pair]!;
      pair++;
    }
    return found;
  },
  verify: (made, p) => {
    const faults: string[] = [];
    if ([...made].sort().join() !== [...sets[p.faces]].sort().join()) faults.push('The faces are not those that were asked for.');
    const numbers = made.map(Number);
    if (!numbers.some(Number.isNaN) && p.faces !== 'blank') {
      const sums = new Set(made.map((_, f) => numbers[f]! + numbers[oppositeFace(crossNet, f)]!));
      if (sums.size !== 1) faults.push('Faces across from each other do not join to one sum.');
    }
    return faults;
  },
  checked: (_made, p) => `${p.dice} dice; folded in thought, faces across from each other belong together.`,
  draw: (made, p) => ({ pieces: [{ w: 178, h: 120, count: p.dice, outlined: false, face: () => net(made, p) }] }),
  hazards: ['blades', 'fumes'],
});

function net(made: readonly string[], p: P): Box[] {
  // As large as two of them fit on a page: small hands fold and glue it.
  const s = 36;
  const flap = 7;
  const [x0, y0] = [14, 6];
  const there = (r: number, c: number): boolean => cross.some(([a, b]) => a === r && b === c);
  const flaps = cross.flatMap(([r, c]): Box[] => {
    const [x, y] = [x0 + c * s, y0 + r * s];
    const up =
      !there(r - 1, c) && r !== 1
        ? [
            polygon(
              [
                [x, y],
                [x + 3, y - flap],
                [x + s - 3, y - flap],
                [x + s, y],
              ],
              flapStyle,
            ),
          ]
        : [];
    const side =
      r !== 1
        ? [
            polygon(
              [
                [x, y],
                [x - flap, y + 3],
                [x - flap, y + s - 3],
                [x, y + s],
              ],
              flapStyle,
            ),
            polygon(
              [
                [x + s, y],
                [x + s + flap, y + 3],
                [x + s + flap, y + s - 3],
                [x + s, y + s],
              ],
              flapStyle,
            ),
          ]
        : [];
    const down =
      r === 2
        ? [
            polygon(
              [
                [x, y + s],
                [x + 3, y + s + flap],
                [x + s - 3, y + s + flap],
                [x + s, y + s],
              ],
              flapStyle,
            ),
          ]
        : [];
    const end =
      r === 1 && c === 3
        ? [
            polygon(
              [
                [x + s, y],
                [x + s + flap, y + 3],
                [x + s + flap, y + s - 3],
                [x + s, y + s],
              ],
              flapStyle,
            ),
          ]
        : [];
    return [...up, ...side, ...down, ...end];
  });
  const squares = cross.flatMap(([r, c], f): Box[] => {
    const [x, y] = [x0 + c * s, y0 + r * s];
    const edge = (x1: number, y1: number, x2: number, y2: number, inside: boolean): Box =>
      line(x1, y1, x2, y2, { line: inside ? 'soft' : 'ink', width: inside ? 0.3 : 0.5, dashed: inside, frame: true });
    const pips = p.looks === 'pips' && /^[0-6]$/.test(made[f]!);
    return [
      rect(x, y, s, s, { fill: 'white', frame: true }),
      edge(x, y, x + s, y, there(r - 1, c) || r !== 1),
      edge(x, y + s, x + s, y + s, there(r + 1, c) || r !== 1),
      edge(x, y, x, y + s, there(r, c - 1) || r !== 1),
      edge(x + s, y, x + s, y + s, there(r, c + 1) || r !== 1 || c === 3),
      ...(pips
        ? diePips(Number(made[f]!), x + 2, y + 2, s - 4)
        : made[f] === ''
          ? []
          : numeral(x + 6, y + 9, s - 12, s - 18, made[f]!, { most: 60 })),
    ];
  });
  return [
    ...flaps,
    ...squares,
    {
      ...fitted(x0 + 2.3 * s, y0 + 2.4 * s, 78, 6, 'fold the dashed lines, glue the flaps', { most: 12, fill: 'soft', align: 'start' }),
      frame: true,
    },
  ];
}
const flapStyle = { line: 'soft', width: 0.3, frame: true } as const;
