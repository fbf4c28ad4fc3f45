import { equalFractions } from '../../../mechanisms/ask-for-cards/rules';
import { fractionCode, denominatorOf, numeratorOf } from '../../../items/fraction';
import { oneOf, parameters, someOf, whole } from '../../../play/parameters';
import { type Box } from '../../box';
import { bar, fractionText, pie } from '../../pictures/fraction';
import { cardSizes, sheetKind } from '../../sheetKind';

const bottoms = [2, 3, 4, 5, 6, 8, 9, 10, 12, 15, 16, 20] as const;
const { SCHEMA, DEFAULTS } = parameters({
  fractions: oneOf('Cards', ['every-fraction', 'equal-ones'], 'every-fraction'),
  forms: whole('Forms of each equal one', 2, 4, 4),
  bottoms: someOf('Parts of a whole', bottoms, [2, 4, 8]),
  tops: oneOf('Fractions', ['one-part', 'below-one', 'up-to-two'], 'below-one'),
  shows: someOf('Shown as', ['numerals', 'circle', 'bar'], ['numerals']),
  copies: whole('Of each', 1, 12, 2),
});
type P = typeof DEFAULTS;
interface Card {
  readonly code: number;
  readonly shows: P['shows'][number];
}
/** The fractions a set is made of, each once. */
function codesOf(p: P): number[] {
  if (p.fractions === 'equal-ones')
    return equalFractions.flatMap((all) => {
      const forms = all.filter(([, of]) => (p.bottoms as readonly number[]).includes(of)).slice(0, p.forms);
      // One alone has no equal.
      return forms.length < 2 ? [] : forms.map(([n, of]) => fractionCode(n, of));
    });
  const tops = (of: number): number => (p.tops === 'one-part' ? 1 : p.tops === 'below-one' ? of - 1 : 2 * of);
  return p.bottoms.flatMap((of) => Array.from({ length: tops(of) }, (_, i) => fractionCode(i + 1, of)));
}

export default sheetKind<P, readonly Card[]>({
  id: 'fraction-cards',
  title: 'Fraction cards',
  about: 'Fractions as numerals, circles or bars.',
  group: 'cards',
  forFamilies: ['ask-for-cards', 'fill-the-whole'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) =>
    codesOf(p).length === 0
      ? {
          code: 'impossible-parameters',
          field: 'bottoms',
          message: 'Of these parts no two fractions are equal; take halves and fourths, or thirds and sixths.',
        }
      : p.fractions === 'every-fraction' && p.tops === 'up-to-two' && p.shows.some((s) => s !== 'numerals')
        ? {
            code: 'impossible-parameters',
            field: 'shows',
            message: 'A circle or a bar shows one whole at most; take fractions below one, or numerals.',
          }
        : null,
  make: (p) => p.shows.flatMap((shows) => codesOf(p).flatMap((code) => Array.from({ length: p.copies }, () => ({ code, shows })))),
  verify: (made, p) => {
    const faults: string[] = [];
    if (p.fractions === 'equal-ones') {
      const other = made.find((c) => !(p.bottoms as readonly number[]).includes(denominatorOf(c.code)));
      if (other) faults.push(`${numeratorOf(other.code)}/${denominatorOf(other.code)} has parts that were not asked for.`);
    }
    for (const shows of p.shows)
      for (const code of codesOf(p))
        if (made.filter((c) => c.shows === shows && c.code === code).length !== p.copies)
          faults.push(`${numeratorOf(code)}/${denominatorOf(code)} is not there ${p.copies} times.`);
    for (const c of made)
      if (filledShare(c) !== null && Math.abs(filledShare(c)! - numeratorOf(c.code) / denominatorOf(c.code)) > 1e-9)
        faults.push(`${c.code} is drawn wrong.`);
    return faults;
  },
  checked: (made) =>
    `${made.length} cards; ${made.some((c) => c.shows !== 'numerals') ? 'parts that are coloured were counted anew' : 'each fraction is there as often as asked'}.`,
  draw: (made) => ({
    pieces: [{ ...cardSizes.small, count: made.length, marked: true, face: (n, { w, h }) => face(made[n]!, w, h), back: () => [] }],
  }),
});

function face(c: Card, w: number, h: number): Box[] {
  const [n, of] = [numeratorOf(c.code), denominatorOf(c.code)];
  if (c.shows === 'circle') return pie(n, of, w / 2, h / 2, Math.min(w, h) * 0.4);
  if (c.shows === 'bar') return bar(n, of, 4, h * 0.35, w - 8, h * 0.3);
  return fractionText(n, of, 6, 10, w - 12, h - 20);
}

/** The share that is coloured, counted on the drawing; null for numerals. */
function filledShare(c: Card): number | null {
  if (c.shows === 'numerals') return null;
  const parts = face(c, cardSizes.small.w, cardSizes.small.h);
  return parts.filter((b) => b.fill !== 'white').length / parts.length;
}
