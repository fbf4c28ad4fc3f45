import { DEFAULTS as FAMILY, type FillParameters } from '../../../mechanisms/fill-the-whole/parameters';
import { oneOf, parameters, whole } from '../../../play/parameters';
import { type Box, rect } from '../../box';
import { fractionText, slice } from '../../pictures/fraction';
import { sheetKind } from '../../sheetKind';

const sets = [
  'halves-quarters',
  'halves-quarters-eighths',
  'thirds-sixths',
  'halves-thirds-sixths',
  'fifths-tenths',
  'quarters-sixths-twelfths',
  'all',
] as const;
const partsOf: Readonly<Record<(typeof sets)[number], readonly number[]>> = {
  'halves-quarters': [2, 4],
  'halves-quarters-eighths': [2, 4, 8],
  'thirds-sixths': [3, 6],
  'halves-thirds-sixths': [2, 3, 6],
  'fifths-tenths': [5, 10],
  'quarters-sixths-twelfths': [4, 6, 12],
  all: [2, 3, 4, 5, 6, 8, 10, 12],
};
const { SCHEMA, DEFAULTS } = parameters({
  pieces: oneOf('Pieces', sets, FAMILY.pieces),
  shape: oneOf('Cut from', ['circle', 'strip'], 'circle'),
  wholes: whole('Wholes of each sort', 1, 6, 2),
  write: oneOf('On each piece', ['its-fraction', 'nothing'], 'its-fraction'),
});
type P = typeof DEFAULTS;
/** Whole of each sort, in the order of printing: 1 is the whole itself to lay pieces on. */
type Made = readonly number[];
export type { FillParameters };

const diameter = 84;
const strip = { w: 180, h: 26 } as const;
const colour = ['teal', 'vermilion', 'indigo', 'ochre', 'plum', 'moss'] as const;

export default sheetKind<P, Made>({
  id: 'fraction-pieces',
  title: 'Fraction pieces',
  about: 'Circles or strips cut into equal parts, and a whole to lay them on.',
  group: 'pieces',
  forFamilies: ['fill-the-whole'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p) => [1, ...partsOf[p.pieces]].flatMap((of) => Array.from({ length: p.wholes }, () => of)),
  verify: (made, p) => {
    const faults: string[] = [];
    for (const of of [1, ...partsOf[p.pieces]])
      if (made.filter((x) => x === of).length !== p.wholes) faults.push(`The parts of ${of} are not there ${p.wholes} times.`);
    for (const of of new Set(made)) {
      const parts = pieces(of, p);
      if (parts.length !== of) faults.push(`A whole in ${of} parts has ${parts.length}.`);
      const [least, most] = [Math.min(...parts.map(areaOf)), Math.max(...parts.map(areaOf))];
      if (most - least > most * 1e-3) faults.push(`The parts of ${of} are not alike.`);
    }
    return faults;
  },
  checked: (made, p) =>
    `${made.length} wholes; the areas of all parts of one whole were measured and are alike. Width of a whole: ${p.shape === 'circle' ? diameter : strip.w} mm.`,
  draw: (made, p) => ({
    pieces: [
      {
        ...(p.shape === 'circle' ? { w: 90, h: 90 } : strip),
        count: made.length,
        outlined: p.shape === 'strip',
        face: (n) => [...pieces(made[n]!, p), ...(p.write === 'its-fraction' ? names(made[n]!, p) : [])],
      },
    ],
  }),
});

function pieces(of: number, p: P): Box[] {
  const style = { line: 'ink', width: 0.4, frame: true, fill: of === 1 ? 'white' : 'wash' } as const;
  if (p.shape === 'strip') return Array.from({ length: of }, (_, i) => rect((strip.w * i) / of, 0, strip.w / of, strip.h, style));
  return Array.from({ length: of }, (_, i) => slice(45, 45, diameter / 2, (360 * i) / of, (360 * (i + 1)) / of, style));
}

/** Area by the shoelace formula, or width times height. */
function areaOf(b: Box): number {
  if (!b.points) return b.w * b.h;
  return Math.abs(
    b.points.reduce((sum, [x, y], i) => {
      const [u, v] = b.points![(i + 1) % b.points!.length]!;
      return sum + (x * v - u * y) / 2;
    }, 0),
  );
}

function names(of: number, p: P): Box[] {
  const tone = colour[partsOf.all.indexOf(of) % colour.length] ?? 'ink';
  if (of === 1) return p.shape === 'strip' ? fractionText(1, 1, strip.w / 2 - 8, 3, 16, strip.h - 6) : fractionText(1, 1, 33, 33, 24, 24);
  return Array.from({ length: of }, (_, i) => {
    if (p.shape === 'strip')
      return fractionText(
        1,
        of,
        (strip.w * (i + 0.5)) / of - Math.min(7, strip.w / of / 2 - 1),
        4,
        Math.min(14, strip.w / of - 2),
        strip.h - 8,
        tone,
      );
    const a = ((360 * (i + 0.5)) / of - 90) * (Math.PI / 180);
    const r = of <= 4 ? 22 : of <= 8 ? 27 : 32;
    const s = of <= 4 ? 16 : of <= 8 ? 13 : 10;
    return fractionText(1, of, 45 + r * Math.cos(a) - s / 2, 45 + r * Math.sin(a) - s / 2, s, s, tone);
  }).flat();
}
