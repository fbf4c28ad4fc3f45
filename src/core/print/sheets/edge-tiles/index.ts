import { edgeTiles } from '../../../mechanisms/edge-tiles';
import { DEFAULTS, type EdgeTileParameters, SCHEMA } from '../../../mechanisms/edge-tiles/parameters';
import { deckOf, joinPoints, type Tiles } from '../../../mechanisms/edge-tiles/rules';
import { type Box, circle, hues, line, type Point, polygon, rect } from '../../box';
import { canBeTurned, numeral } from '../../pictures/numeral';
import { sheetKind } from '../../sheetKind';

const size = { w: 58, h: 58 } as const;
/** A mark beside every colour, for those who do not tell colours apart. */
const marks = ['disc', 'square', 'kite', 'bar', 'cross', 'ring'] as const;

export default sheetKind<EdgeTileParameters, Tiles>({
  id: 'edge-tiles',
  title: 'Edge tiles',
  about: 'Four numbers and colours a tile; edges that meet make the agreed results.',
  group: 'pieces',
  forFamilies: ['edge-tiles'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) => edgeTiles.check(p),
  make: (p) => deckOf(p),
  verify: (made, p) => {
    const faults: string[] = [];
    if (made.count !== p.tiles || made.number.length !== 4 * p.tiles) faults.push(`${made.count} tiles instead of ${p.tiles}.`);
    let joins = 0;
    let alone = 0;
    for (let t = 0; t < made.count; t++) {
      let partner = false;
      for (let e = 0; e < 4; e++) {
        const [n, c] = [made.number[4 * t + e]!, made.colour[4 * t + e]!];
        if (n < p.lowest || n > p.highest) faults.push(`Tile ${t + 1} has ${n} on an edge.`);
        if (c < 0 || c >= p.colours) faults.push(`Tile ${t + 1} has a colour that is not in the set.`);
        for (let o = 0; o < 4 * made.count; o++)
          if (Math.floor(o / 4) !== t && joinPoints(p, n, c, made.number[o]!, made.colour[o]!) > 0) {
            joins++;
            partner = true;
          }
      }
      if (!partner) alone++;
    }
    // The best single join times all spots is what a table can reach at the very most.
    if (joins === 0) faults.push('No two edges make an allowed result.');
    if (alone > made.count / 4) faults.push(`${alone} tiles fit nowhere.`);
    return faults;
  },
  checked: (made, p) =>
    `${made.count} tiles in ${p.colours} colours with a shape each; more than three of four have a partner for an allowed result.`,
  draw: (made, p) => ({ pieces: [{ ...size, count: made.count, outlined: true, face: (n, { w, h }) => tile(made, p, n, w, h) }] }),
});

/** Numbers read from their own edge; where tiles may not be turned all of them stand upright. */
function tile(made: Tiles, p: EdgeTileParameters, n: number, w: number, h: number): Box[] {
  const c: Point = [w / 2, h / 2];
  const rim = w * 0.09;
  const toCentre = ([x, y]: Point, k: number): Point => [x + (c[0] - x) * k, y + (c[1] - y) * k];
  const corners: Point[] = [
    [1.5, 1.5],
    [w - 1.5, 1.5],
    [w - 1.5, h - 1.5],
    [1.5, h - 1.5],
  ];
  return [0, 1, 2, 3].flatMap((e): Box[] => {
    const colour = made.colour[4 * n + e]!;
    const [from, to] = [corners[e]!, corners[(e + 1) % 4]!];
    const depth = (2 * rim) / w;
    const middle: Point = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2];
    const [x, y] = toCentre(middle, 0.42);
    const words = String(made.number[4 * n + e]!);
    const turns = p.turning ? e : 0;
    const [number, underline] = numeral(x - 9, y - 5, 18, canBeTurned(words) ? 11.5 : 10, words, { most: 30 });
    // The mark sits in the coloured rim itself, white, so that it never meets the number.
    const [mx, my] = toCentre(middle, depth / 2);
    return [
      polygon([from, to, toCentre(to, depth), toCentre(from, depth)], { fill: hues[colour]!, frame: true }),
      ...mark(marks[colour]!, mx, my),
      line(from[0], from[1], c[0], c[1], { line: 'pale', width: 0.2, frame: true }),
      { ...number!, ...(turns > 0 ? { turned: 90 * turns } : {}) },
      ...(underline ? [turnAround(underline, number!.x + number!.w / 2, number!.y + number!.h / 2, turns)] : []),
    ];
  });
}

/** A level line below a number that stands turned by quarters about (x, y). */
function turnAround(b: Box, x: number, y: number, quarters: number): Box {
  let [cx, cy, w, h] = [b.x + b.w / 2 - x, b.y + b.h / 2 - y, b.w, b.h];
  for (let q = 0; q < quarters; q++) [cx, cy, w, h] = [-cy, cx, h, w];
  return rect(x + cx - w / 2, y + cy - h / 2, w, h, { fill: 'ink' });
}

function mark(sort: (typeof marks)[number], x: number, y: number): Box[] {
  const r = 1.7;
  const style = { fill: 'white', frame: true } as const;
  switch (sort) {
    case 'disc':
      return [circle(x, y, r, style)];
    case 'square':
      return [rect(x - r, y - r, 2 * r, 2 * r, style)];
    case 'kite':
      return [
        polygon(
          [
            [x, y - r * 1.25],
            [x + r * 1.25, y],
            [x, y + r * 1.25],
            [x - r * 1.25, y],
          ],
          style,
        ),
      ];
    case 'bar':
      return [rect(x - r * 1.3, y - r * 0.45, 2.6 * r, 0.9 * r, style)];
    case 'cross':
      return [rect(x - r, y - r * 0.3, 2 * r, 0.6 * r, style), rect(x - r * 0.3, y - r, 0.6 * r, 2 * r, style)];
    case 'ring':
      return [circle(x, y, r * 0.8, { line: 'white', width: 0.8, frame: true })];
  }
}
