import { parameters, oneOf, whole } from '../../../play/parameters';
import { coin, coinDiameter, note } from '../../pictures/coin';
import { sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  money: oneOf('Money', ['coins', 'notes', 'both'], 'coins'),
  copies: whole('Of each coin', 1, 40, 6),
  notes: whole('Of each note', 1, 20, 4),
});
type P = typeof DEFAULTS;
interface Made {
  readonly coins: readonly number[];
  readonly all: readonly number[];
  readonly notes: readonly number[];
}
const noteWorths = [1, 5, 10, 20];

export default sheetKind<P, Made>({
  id: 'play-money',
  title: 'Play money',
  about: 'Coins and notes of our own design in the worths of your country.',
  group: 'pieces',
  forFamilies: ['count-the-lot', 'money-race'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  make: (p, { country }) => ({
    all: country.coins,
    coins: p.money === 'notes' ? [] : [...country.coins].flatMap((c) => Array.from({ length: p.copies }, () => c)),
    // Countries whose largest coin is worth one unit have no note of one.
    notes:
      p.money === 'coins'
        ? []
        : noteWorths.filter((n) => n > 1 || !country.coins.includes(100)).flatMap((n) => Array.from({ length: p.notes }, () => n)),
  }),
  verify: (made, p) =>
    made.all.flatMap((c) =>
      p.money === 'notes' || made.coins.filter((x) => x === c).length === p.copies
        ? []
        : [`The coin of ${c} is not there ${p.copies} times.`],
    ),
  checked: (made) =>
    `${made.coins.length} coins worth ${made.coins.reduce((x, y) => x + y, 0) / 100} together${made.notes.length > 0 ? `, and ${made.notes.length} notes` : ''}.`,
  draw: (made) => ({
    pieces: [
      ...(made.coins.length > 0
        ? [
            {
              w: 34,
              h: 34,
              count: made.coins.length,
              outlined: false,
              face: (n: number, { w, h, country }: { w: number; h: number; country: Parameters<typeof coin>[4] }) =>
                coin(made.coins[n]!, w / 2, h / 2, (coinDiameter(made.coins[n]!, country) / 2) * (w / 34), country),
            },
          ]
        : []),
      ...(made.notes.length > 0
        ? [
            {
              w: 90,
              h: 46,
              count: made.notes.length,
              face: (n: number, { w, h, country }: { w: number; h: number; country: Parameters<typeof coin>[4] }) =>
                note(made.notes[n]!, 1.5, 1.5, w - 3, h - 3, country),
            },
          ]
        : []),
    ],
  }),
  hazards: ['small-parts'],
});
