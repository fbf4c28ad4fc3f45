import { DEFAULTS as FAMILY } from '../../../mechanisms/fact-wheel/parameters';
import { fourOperations, operationSigns, wholeResult } from '../../../play/arithmetic';
import { impossible } from '../../../play/refuse';
import { oneOf, parameters, whole } from '../../../play/parameters';
import { shuffle } from '../../../shared/rng';
import { type Box, circle, line } from '../../box';
import { fitted } from '../../letters';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  operation: oneOf('The wheel', fourOperations, FAMILY.operation),
  fixed: whole('The number in the middle', 1, 100, FAMILY.fixed),
  from: whole('Answers or outer numbers from', 0, 100, FAMILY.from),
  to: whole('to', 1, 120, FAMILY.to),
  order: oneOf('Round the rim', ['in-order', 'mixed'], 'mixed'),
  wheels: whole('Wheels on the page', 1, 6, 2),
});
type P = typeof DEFAULTS;
interface Spoke {
  readonly outer: number;
  readonly answer: number;
}
const mostSpokes = 12;

export default sheetKind<P, readonly (readonly Spoke[])[]>({
  id: 'fact-wheel',
  title: 'Fact wheel',
  about: 'One number in the middle, others round it, room for the answers outside.',
  group: 'to write on',
  forFamilies: ['fact-wheel'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) => (p.to < p.from ? impossible('to', `The range runs backwards: ${p.from} to ${p.to}.`) : null),
  make: (p, { rng }) =>
    Array.from({ length: p.wheels }, () => {
      const range = Array.from({ length: p.to - p.from + 1 }, (_, i) => p.from + i);
      if (p.order === 'mixed' || range.length > mostSpokes) shuffle(rng, range, range.length);
      const some = range.slice(0, mostSpokes);
      if (p.order === 'in-order') some.sort((a, b) => a - b);
      // Taking away and sharing are asked from the whole, so that nothing goes below zero or breaks.
      return some.map((n) => {
        const outer = p.operation === 'subtract' ? n + p.fixed : p.operation === 'divide' ? n * p.fixed : n;
        return { outer, answer: wholeResult(p.operation, outer, p.fixed) };
      });
    }),
  verify: (made, p) =>
    made.flatMap((wheel, i) => [
      ...wheel
        .filter((s) => wholeResult(p.operation, s.outer, p.fixed) !== s.answer || s.answer < 0)
        .map((s) => `Wheel ${i + 1}: ${s.outer} has a wrong answer.`),
      ...(new Set(wheel.map((s) => s.outer)).size === wheel.length ? [] : [`Wheel ${i + 1} has a number twice.`]),
    ]),
  checked: (made) => `${made.length} wheels with ${made[0]!.length} facts each, no number twice, every answer whole.`,
  draw: (made, p) => ({ whole: { count: 1, page: (_n, at) => page(made, p, at) } }),
  key: (made, p) =>
    made.map(
      (wheel, i) => `${i + 1}: ${wheel.map((s) => `${s.outer} ${operationSigns[p.operation]} ${p.fixed} = ${s.answer}`).join(', ')}`,
    ),
});

/** Where the outer numbers stand, as a share of the radius, and what of the room between two neighbours one may take. */
const outerAt = 0.46;
const ofRoom = 0.94;

/** The place of a number among so many round a ring: as wide as its neighbours leave it, wherever they stand. */
function outerPlace(spokes: number, r: number, [x, y]: readonly [number, number]): Pick<Box, 'x' | 'y' | 'w' | 'h'> {
  // Two boxes of w by h whose middles are a chord apart never touch when w² + h² is no more than its square.
  const chord = spokes < 2 ? r : 2 * r * outerAt * Math.sin(Math.PI / spokes);
  const w = Math.min(r * 0.28, ofRoom * chord * Math.cos(Math.atan(0.5)));
  return { x: x - w / 2, y: y - w / 4, w, h: w / 2 };
}

function page(made: readonly (readonly Spoke[])[], p: P, { w, h }: Drawing): Box[] {
  const columns = made.length > 2 ? 2 : 1;
  const rows = Math.ceil(made.length / columns);
  const [cw, ch] = [w / columns, h / rows];
  const r = Math.min(cw, ch) / 2 - 2;
  return made.flatMap((wheel, i): Box[] => {
    const [cx, cy] = [(i % columns) * cw + cw / 2, Math.floor(i / columns) * ch + ch / 2];
    const at = (k: number, d: number): readonly [number, number] => {
      const a = ((360 * k) / wheel.length - 90) * (Math.PI / 180);
      return [cx + d * Math.cos(a), cy + d * Math.sin(a)];
    };
    return [
      ...[0.26, 0.6, 1].map((k) => circle(cx, cy, r * k, { line: 'ink', width: 0.5, frame: true })),
      fitted(cx - r * 0.2, cy - r * 0.09, r * 0.4, r * 0.18, `${operationSigns[p.operation]} ${p.fixed}`, { bold: true, most: 30 }),
      ...wheel.flatMap((s, k): Box[] => {
        const [x1, y1] = at(k + 0.5, r * 0.26);
        const [x2, y2] = at(k + 0.5, r);
        const place = outerPlace(wheel.length, r, at(k, r * outerAt));
        return [
          line(x1, y1, x2, y2, { line: 'soft', width: 0.3, frame: true }),
          fitted(place.x, place.y, place.w, place.h, String(s.outer), { bold: true, most: 22 }),
        ];
      }),
    ];
  });
}
