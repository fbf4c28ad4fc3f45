import { denominatorOf, fractionCode, numeratorOf } from '../../../items/fraction';
import { belongTogether, groupsOf, setSize } from '../../../mechanisms/sets-and-runs/rules';
import { DEFAULTS as FAMILY, SCHEMA as FAMILY_SCHEMA, type SetsParameters } from '../../../mechanisms/sets-and-runs/parameters';
import { parameters, yesNo } from '../../../play/parameters';
import { drawShown, sayShown, type Shown } from '../../pictures/shown';
import { cardSizes, sheetKind } from '../../sheetKind';
import { withRest } from '../../teachingDeck';

const own = parameters({ teach: yesNo('Backs that teach the game', false) });
const DEFAULTS = { ...FAMILY, ...own.DEFAULTS };
type P = SetsParameters & typeof own.DEFAULTS;

interface Card {
  readonly group: number;
  readonly face: 0 | 1 | 2;
  readonly shown: Shown;
}
const words = (text: string): Shown => ({ as: 'words', words: text });
const faces = [0, 1, 2] as const;

/** What stands on a face of a group, in the order in which the family reads it. */
function shownOn(p: SetsParameters, group: number, face: 0 | 1 | 2): Shown {
  const [n, d] = [numeratorOf(group), denominatorOf(group)];
  switch (p.cards) {
    case 'one-amount-as-fraction-percent-decimal':
      return face === 0 ? { as: 'fraction', code: group } : face === 1 ? words(`${(n * 100) / d} %`) : words(String(n / d));
    case 'one-fraction':
      return { as: 'fraction', code: fractionCode(n * (face + 1), d * (face + 1)) };
    case 'one-power':
      return words(face === 0 ? `${group}²` : face === 1 ? String(group ** 2) : `${group} × ${group}`);
    case 'multiples-in-a-row':
      return { as: 'number', n: group };
    case 'one-number-of-facts': {
      const part = Math.max(1, Math.floor((group * (face + 1)) / 4));
      return words(`${Math.max(part, group - part)} + ${Math.min(part, group - part)}`);
    }
  }
}

export default sheetKind<P, readonly Card[]>({
  id: 'set-cards',
  title: 'Cards of three',
  about: 'Three cards that show one amount, or three neighbours in a row of multiples.',
  group: 'cards',
  forFamilies: ['sets-and-runs'],
  parametersSchema: { ...FAMILY_SCHEMA, properties: { ...FAMILY_SCHEMA.properties, ...own.SCHEMA.properties } },
  example: DEFAULTS,
  check: (p) =>
    p.highest < p.lowest
      ? { code: 'impossible-parameters', field: 'highest', message: `The range runs backwards: ${p.lowest} to ${p.highest}.` }
      : null,
  make: (p) => groupsOf(p).flatMap((group) => faces.map((face) => ({ group, face, shown: shownOn(p, group, face) }))),
  verify: (made, p) => {
    const faults: string[] = [];
    for (const group of new Set(made.map((c) => c.group))) {
      const own = made.filter((c) => c.group === group);
      if (own.length !== setSize) faults.push(`There are ${own.length} cards of ${group}.`);
      else if (p.cards !== 'multiples-in-a-row' && !belongTogether(p, own[0]!, own[1]!, own[2]!))
        faults.push(`The cards of ${group} do not belong together.`);
      const worths = own.map((c) => worthOf(c.shown)).filter((w) => w !== null);
      if (p.cards !== 'multiples-in-a-row' && worths.some((w) => Math.abs(w - worths[0]!) > 1e-9))
        faults.push(`The cards of ${group} show different amounts.`);
    }
    return faults;
  },
  checked: (made, p) =>
    `${made.length} cards; ${p.cards === 'multiples-in-a-row' ? 'three of each number' : 'the three of each set were worked out anew and agree'}.`,
  teaches: (made, p, rng) => {
    const near = made.slice(0, 24);
    const three = near.flatMap((x, i) =>
      near
        .slice(i + 1)
        .flatMap((y, j) => near.slice(i + j + 2).flatMap((z, k) => (belongTogether(p, x, y, z) ? [[i, i + 1 + j, i + j + 2 + k]] : []))),
    )[0];
    const other = made.findIndex(
      (c, i) => three !== undefined && !three.includes(i) && !belongTogether(p, made[three[0]!]!, made[three[1]!]!, c),
    );
    if (!three || other < 0) return null;
    return {
      laid: 'pile',
      order: withRest([...three, other], made.length, rng),
      turns: [
        { cards: 3, say: 'three that belong together' },
        { cards: 1, say: 'belongs to another three' },
      ],
    };
  },
  draw: (made) => ({
    pieces: [
      {
        ...cardSizes.small,
        count: made.length,
        marked: true,
        face: (n, { w, h, country }) => drawShown(made[n]!.shown, 4, 11, w - 8, h - 22, country),
        back: () => [],
      },
    ],
  }),
  key: (made) => {
    const say = (c: Card): string => sayShown(c.shown);
    return [...new Set(made.map((c) => c.group))].map((g) =>
      made
        .filter((c) => c.group === g)
        .map(say)
        .join(' · '),
    );
  },
});

/** What a face is worth, read from what is drawn and not from what made it. */
function worthOf(s: Shown): number | null {
  if (s.as === 'fraction') return numeratorOf(s.code) / denominatorOf(s.code);
  if (s.as === 'number') return s.n;
  if (s.as !== 'words') return null;
  const percent = /^([\d.]+) %$/.exec(s.words);
  if (percent) return Number(percent[1]) / 100;
  const power = /^(\d+)²$/.exec(s.words);
  if (power) return Number(power[1]) ** 2;
  const both = /^(\d+) ([+×]) (\d+)$/.exec(s.words);
  if (both) return both[2] === '+' ? Number(both[1]) + Number(both[3]) : Number(both[1]) * Number(both[3]);
  return Number(s.words);
}
