import { oneOf, parameters, whole } from '../../../play/parameters';
import { line } from '../../box';
import { amount } from '../../pictures/amount';
import { numeral } from '../../pictures/numeral';
import { createRng } from '../../../shared/rng';
import { sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  most: whole('Double', 3, 12, 6),
  shows: oneOf('Halves show', ['pips', 'ten-frame', 'numerals', 'tally'], 'pips'),
});
type P = typeof DEFAULTS;

export default sheetKind<P, readonly (readonly [number, number])[]>({
  id: 'dominoes',
  title: 'Dominoes',
  about: 'A whole set up to double six, nine or twelve, with pips, frames, tallies or numerals.',
  group: 'pieces',
  forFamilies: ['stack-or-line-up', 'measure-and-record'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    p.most > 10 && p.shows === 'ten-frame'
      ? { code: 'impossible-parameters', field: 'shows', message: 'A ten-frame holds ten; take pips or numerals for larger sets.' }
      : null,
  make: (p) => Array.from({ length: p.most + 1 }, (_, a) => Array.from({ length: a + 1 }, (__, b) => [a, b] as const)).flat(),
  verify: (made, p) => {
    const wanted = ((p.most + 1) * (p.most + 2)) / 2;
    return [
      ...(made.length === wanted && new Set(made.map(([a, b]) => `${Math.min(a, b)} ${Math.max(a, b)}`)).size === wanted
        ? []
        : [`A set up to double ${p.most} has ${wanted} different pieces.`]),
    ];
  },
  checked: (made, p) => `${made.length} different pieces, a whole set up to double ${p.most}.`,
  draw: (made, p) => ({
    pieces: [
      {
        w: 60,
        h: 30,
        count: made.length,
        face: (n, { w, h }) => {
          const half = (m: number, x: number) =>
            p.shows === 'numerals'
              ? numeral(x + 4, h * 0.25, w / 2 - 8, h * 0.5, String(m), { most: 48 })
              : m === 0 && p.shows !== 'ten-frame'
                ? []
                : amount(p.shows === 'pips' ? (m <= 6 ? 'like-a-die' : 'dots') : p.shows, m, x + 4, 4, w / 2 - 8, h - 8, createRng(m));
          return [...half(made[n]![0], 0), line(w / 2, 2.5, w / 2, h - 2.5, { width: 0.5, frame: true }), ...half(made[n]![1], w / 2)];
        },
        back: () => [],
      },
    ],
  }),
});
