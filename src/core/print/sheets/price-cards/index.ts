import { DEFAULTS as FAMILY } from '../../../mechanisms/money-race/parameters';
import { oneOf, parameters, whole } from '../../../play/parameters';
import { between } from '../../../play/deck';
import { impossible } from '../../../play/refuse';
import { circle, line, text } from '../../box';
import { fitted } from '../../letters';
import { worthText } from '../../pictures/coin';
import { cardSizes, sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  step: oneOf('Prices go by, in hundredths', [1, 5, 10, 25, 50, 100], FAMILY.priceStep),
  dearest: whole('Dearest thing, in whole units', 1, 50, FAMILY.dearest),
  highest: whole('No price above, in hundredths (0: as the dearest)', 0, 5000, 0),
  count: whole('Cards', 1, 60, 24),
});
type P = typeof DEFAULTS;
const topOf = (p: P): number => (p.highest > 0 ? Math.min(p.highest, p.dearest * 100) : p.dearest * 100);
const goods = [
  'a lamp wick',
  'a tin whistle',
  'a jar of beans',
  'a ball of string',
  'a paper kite',
  'a wooden top',
  'a bag of nuts',
  'a clockwork mouse',
  'a brass button',
  'a ticket',
  'a beeswax candle',
  'a seed packet',
  'a chalk box',
  'a small bell',
];

export default sheetKind<P, readonly { readonly name: string; readonly hundredths: number }[]>({
  id: 'price-cards',
  title: 'Price cards',
  about: 'Things on a stall with their prices, in the money of your country.',
  group: 'cards',
  forFamilies: ['money-race', 'count-the-lot'],
  check: (p) => (p.highest > 0 && p.highest < p.step ? impossible('highest', `No price by ${p.step} is as low as ${p.highest}.`) : null),
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p, { rng }) =>
    Array.from({ length: p.count }, (_, i) => ({
      name: goods[i % goods.length]!,
      hundredths: between(rng, 1, Math.floor(topOf(p) / p.step)) * p.step,
    })),
  verify: (made, p) =>
    made.flatMap((c) =>
      c.hundredths > 0 && c.hundredths % p.step === 0 && c.hundredths <= topOf(p) ? [] : [`${c.name} has no price of this range.`],
    ),
  checked: (made, p) =>
    `${made.length} prices, each a multiple of ${p.step} hundredths and at most ${p.highest > 0 ? `${p.highest} of them` : p.dearest}.`,
  draw: (made) => ({
    pieces: [
      {
        ...cardSizes.small,
        h: 50,
        count: made.length,
        marked: true,
        face: (n, { w, h, country }) => [
          circle(w / 2, 7, 1.8, { line: 'soft', width: 0.3, frame: true }),
          line(w / 2 - 8, 13, w / 2 + 8, 13, { line: 'pale', width: 0.3, frame: true }),
          fitted(3, 15, w - 6, 7, made[n]!.name, { most: 13 }),
          text(2, h * 0.5, w - 4, h * 0.36, worthText(made[n]!.hundredths, country), 30, { bold: true }),
        ],
        back: () => [],
      },
    ],
  }),
});
