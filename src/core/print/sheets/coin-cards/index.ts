import { DEFAULTS as FAMILY } from '../../../mechanisms/count-the-lot/parameters';
import { impossible } from '../../../play/refuse';
import { between } from '../../../play/deck';
import { oneOf, parameters, someOf, whole } from '../../../play/parameters';
import { below } from '../../../shared/rng';
import { text } from '../../box';
import { coinsIn } from '../../pictures/shown';
import { worthText } from '../../pictures/coin';
import { sheetKind } from '../../sheetKind';

const { SCHEMA, DEFAULTS } = parameters({
  coins: someOf('Coins', [1, 2, 5, 10, 20, 25, 50, 100], FAMILY.coins),
  fewest: whole('Fewest pieces', 1, 20, FAMILY.fewest),
  most: whole('Most pieces', 2, 20, FAMILY.most),
  count: whole('Cards', 1, 60, 12),
  order: oneOf('Coins lie', ['largest-first', 'anyhow'], 'largest-first'),
});
type P = typeof DEFAULTS;
interface Lot {
  readonly coins: readonly number[];
  readonly amount: number;
}

export default sheetKind<P, readonly Lot[]>({
  id: 'coin-cards',
  title: 'Coin cards',
  about: 'A lot of coins to count; the amount on the back.',
  group: 'to solve',
  forFamilies: ['count-the-lot'],
  parametersSchema: SCHEMA,
  example: DEFAULTS,
  check: (p) => (p.most < p.fewest ? impossible('most', `At most ${p.most} pieces are fewer than at least ${p.fewest}.`) : null),
  make: (p, { rng }) => {
    const made: Lot[] = [];
    for (let t = 0; made.length < p.count && t < 60 * p.count; t++) {
      const coins = Array.from({ length: between(rng, p.fewest, p.most) }, () => p.coins[below(rng, p.coins.length)]!);
      if (p.order === 'largest-first') coins.sort((a, b) => b - a);
      const amount = coins.reduce((x, y) => x + y, 0);
      if (!made.some((m) => m.amount === amount)) made.push({ coins, amount });
    }
    return made;
  },
  verify: (made, p) => [
    ...(made.length === p.count ? [] : [`Only ${made.length} different amounts can be made; ask for fewer cards or more coins.`]),
    ...made.flatMap((l, i) => [
      ...(l.coins.reduce((x, y) => x + y, 0) === l.amount ? [] : [`Card ${i + 1} does not come to ${l.amount}.`]),
      ...(l.coins.every((c) => p.coins.includes(c as P['coins'][number])) ? [] : [`Card ${i + 1} has a coin that was not asked for.`]),
      ...(l.coins.length >= p.fewest && l.coins.length <= p.most ? [] : [`Card ${i + 1} has ${l.coins.length} coins.`]),
    ]),
  ],
  checked: (made) => `${made.length} lots, no amount twice, each added up anew.`,
  draw: (made) => ({
    pieces: [
      {
        w: 90,
        h: 60,
        count: made.length,
        face: (n, { w, h, country }) => [
          text(4, 3, 14, 6, String(n + 1), 10, { align: 'start', fill: 'soft', frame: true }),
          ...coinsIn(made[n]!.coins, 6, 9, w - 12, h - 13, country),
        ],
        back: (n, { w, h, country }) => [
          text(4, 3, 14, 6, String(n + 1), 10, { align: 'start', fill: 'soft', frame: true }),
          text(0, h * 0.3, w, h * 0.4, worthText(made[n]!.amount, country), 26, { bold: true }),
        ],
      },
    ],
  }),
  key: (made) => made.map((l, i) => `${i + 1}: ${l.amount}`),
});
