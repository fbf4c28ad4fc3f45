import { impossible } from '../../../play/refuse';
import { parameters, whole } from '../../../play/parameters';
import { line, upsideDown } from '../../box';
import { numeral, written } from '../../pictures/numeral';
import { sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  low: whole('From', 0, 9999, 0),
  high: whole('To', 0, 9999, 10),
  copies: whole('Of each', 1, 8, 1),
});
type P = typeof DEFAULTS;

export default sheetKind<P, readonly number[]>({
  id: 'numeral-stands',
  title: 'Numeral stands',
  about: 'Numerals that stand on the table and are read from both sides.',
  group: 'pieces',
  forFamilies: ['collect-all-that-show-it', 'stack-or-line-up', 'sort-and-graph'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.high < p.low
      ? impossible('high', `The range runs backwards: ${p.low} to ${p.high}.`)
      : p.high - p.low > 200
        ? impossible('high', '200 stands are the most of one set.')
        : null,
  make: (p) => Array.from({ length: (p.high - p.low + 1) * p.copies }, (_, i) => p.low + (i % (p.high - p.low + 1))),
  verify: (made, p) =>
    Array.from({ length: p.high - p.low + 1 }, (_, i) => p.low + i).every((n) => made.filter((m) => m === n).length === p.copies)
      ? []
      : ['A stand is missing.'],
  checked: (made) => `${made.length} stands; each is read the right way up from both sides.`,
  draw: (made) => ({
    pieces: [
      {
        w: 60,
        h: 84,
        count: made.length,
        face: (n, { w, h }) => {
          const words = written(made[n]!);
          const half = numeral(6, h / 2 + h * 0.07, w - 12, h * 0.27, words, { most: 90 });
          return [
            ...half,
            ...upsideDown(half, w, h),
            line(0, h / 2, w, h / 2, { line: 'soft', width: 0.3, dashed: true, frame: true }),
            line(0, h * 0.09, w, h * 0.09, { line: 'soft', width: 0.3, dashed: true, frame: true }),
            line(0, h * 0.91, w, h * 0.91, { line: 'soft', width: 0.3, dashed: true, frame: true }),
          ];
        },
      },
    ],
  }),
});
