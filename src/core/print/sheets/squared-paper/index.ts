import { oneOf, parameters, whole, yesNo } from '../../../play/parameters';
import { type Box, circle, line } from '../../box';
import { fitted } from '../../letters';
import { numeral } from '../../pictures/numeral';
import { type Drawing, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  paper: oneOf('Paper', ['squares', 'dots', 'multiplication-rectangles'], 'squares'),
  mm: oneOf('Squares of, in millimetres', [5, 8, 10, 12, 15, 20], 10),
  most: whole('Rectangles up to', 4, 12, 10),
  bold: yesNo('Every fifth line bold', false),
});
type P = typeof DEFAULTS;

export default sheetKind<P, { readonly square: number; readonly facts: readonly number[] }>({
  id: 'squared-paper',
  title: 'Squared and dotted paper',
  about: 'Squares or dots of any size, or a square of facts whose rectangles show what they make.',
  group: 'to write on',
  forFamilies: ['claim-rectangles', 'boxes-and-nets', 'cover-the-shape', 'mirror-it'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => ({
    square: p.mm,
    facts:
      p.paper === 'multiplication-rectangles'
        ? Array.from({ length: p.most * p.most }, (_, i) => ((i % p.most) + 1) * (Math.floor(i / p.most) + 1))
        : [],
  }),
  verify: (made, p) => [
    ...(made.square === p.mm ? [] : ['The squares have another size.']),
    ...(made.facts.every((f, i) => f === ((i % p.most) + 1) * (Math.floor(i / p.most) + 1)) ? [] : ['A fact is wrong.']),
  ],
  checked: (made, p) =>
    p.paper === 'multiplication-rectangles'
      ? `${made.facts.length} facts up to ${p.most} × ${p.most}, each worked out anew.`
      : `Squares of exactly ${made.square} mm.`,
  draw: (made, p) => ({
    whole: { count: 1, page: (_n, at) => (p.paper === 'multiplication-rectangles' ? facts(made.facts, p, at) : sheet(p, at)) },
  }),
});

function sheet(p: P, { w, h }: Drawing): Box[] {
  const [columns, rows] = [Math.floor(w / p.mm), Math.floor(h / p.mm)];
  const [x, y] = [(w - columns * p.mm) / 2, (h - rows * p.mm) / 2];
  const boxes: Box[] = [];
  if (p.paper === 'dots') {
    for (let r = 0; r <= rows; r++)
      for (let c = 0; c <= columns; c++) boxes.push(circle(x + c * p.mm, y + r * p.mm, 0.45, { fill: 'soft', frame: true }));
    return boxes;
  }
  const style = (i: number): Parameters<typeof line>[4] => ({ line: 'soft', width: p.bold && i % 5 === 0 ? 0.6 : 0.2, frame: true });
  for (let c = 0; c <= columns; c++) boxes.push(line(x + c * p.mm, y, x + c * p.mm, y + rows * p.mm, style(c)));
  for (let r = 0; r <= rows; r++) boxes.push(line(x, y + r * p.mm, x + columns * p.mm, y + r * p.mm, style(r)));
  return boxes;
}

/** The product stands in the far corner of its rectangle: 3 along and 4 down is 12. */
function facts(made: readonly number[], p: P, { w, h }: Drawing): Box[] {
  const s = Math.min(w, h) / (p.most + 1);
  return [
    ...Array.from({ length: p.most + 1 }, (_, i) => [
      line(s + i * s, s * 0.4, s + i * s, s + p.most * s, {
        line: i % 5 === 0 ? 'ink' : 'soft',
        width: i % 5 === 0 ? 0.5 : 0.25,
        frame: true,
      }),
      line(s * 0.4, s + i * s, s + p.most * s, s + i * s, {
        line: i % 5 === 0 ? 'ink' : 'soft',
        width: i % 5 === 0 ? 0.5 : 0.25,
        frame: true,
      }),
    ]).flat(),
    ...Array.from({ length: p.most }, (_, i) => [
      { ...fitted(s + i * s, s * 0.3, s, s * 0.4, String(i + 1), { most: 20 }), frame: true },
      { ...fitted(s * 0.2, s + i * s + s * 0.3, s * 0.6, s * 0.4, String(i + 1), { most: 20 }), frame: true },
    ]).flat(),
    ...made.flatMap((f, i) =>
      numeral(s + (i % p.most) * s + s * 0.14, s + Math.floor(i / p.most) * s + s * 0.3, s * 0.72, s * 0.4, String(f), {
        most: 24,
        level: true,
      }),
    ),
  ];
}
