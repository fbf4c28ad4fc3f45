import { shapeText } from '../../../items/acts/shapeWords';
import { DEFAULTS as FAMILY, type WhichShapeParameters } from '../../../mechanisms/which-shape/parameters';
import { poolOf } from '../../../mechanisms/which-shape/rules';
import { oneOf, parameters, whole } from '../../../play/parameters';
import { below } from '../../../shared/rng';
import { fitted } from '../../letters';
import { shape } from '../../pictures/shape';
import { cardSizes, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  shapes: oneOf(
    'Shapes',
    ['flat-shapes', 'four-sided', 'triangles', 'triangles-and-four-sided', 'solids', 'flat-and-solid'],
    FAMILY.shapes,
  ),
  copies: whole('Of each, turned another way', 1, 4, 2),
  names: oneOf('Names', ['none', 'below', 'on-the-back'], 'none'),
});
type P = typeof DEFAULTS;
interface Card {
  readonly index: number;
  readonly turned: number;
}
const pool = (p: P): readonly number[] => poolOf({ ...FAMILY, shapes: p.shapes } as WhichShapeParameters);

export default sheetKind<P, readonly Card[]>({
  id: 'shape-cards',
  title: 'Shape cards',
  about: 'Flat shapes lying any way, and solids; with or without their names.',
  group: 'cards',
  forFamilies: ['which-shape', 'guess-my-rule'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p, { rng }) =>
    pool(p).flatMap((index) => Array.from({ length: p.copies }, (_, i) => ({ index, turned: i === 0 ? 0 : 15 * (1 + below(rng, 23)) }))),
  verify: (made, p) =>
    pool(p).flatMap((s) =>
      made.filter((c) => c.index === s).length === p.copies ? [] : [`${shapeText(s)} is not there ${p.copies} times.`],
    ),
  checked: (made, p) => `${made.length} cards of ${pool(p).length} shapes; the first of each lies level, the others anyhow.`,
  draw: (made, p) => ({
    pieces: [
      {
        ...cardSizes.square,
        count: made.length,
        face: (n, { w, h }) => [
          ...shape(made[n]!.index, made[n]!.turned, 8, 7, w - 16, h - (p.names === 'below' ? 22 : 14)),
          ...(p.names === 'below' ? [fitted(2, h - 11, w - 4, 7, shapeText(made[n]!.index).replace(/^an? /, ''), { most: 13 })] : []),
        ],
        back: (n, { w, h }) =>
          p.names === 'on-the-back'
            ? [fitted(3, h * 0.4, w - 6, h * 0.2, shapeText(made[n]!.index).replace(/^an? /, ''), { most: 18, bold: true })]
            : [],
      },
    ],
  }),
  key: (made) => made.map((c, i) => `${i + 1}: ${shapeText(c.index)}`),
});
