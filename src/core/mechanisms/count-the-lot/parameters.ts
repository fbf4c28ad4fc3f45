import { oneOf, parameters, someOf, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  pieces: oneOf('Counted are', ['coins', 'counters'], 'coins'),
  coins: someOf('Coins in the lot', [1, 2, 5, 10, 20, 25, 50, 100], [1, 5, 10]),
  fewest: whole('Fewest pieces in a lot', 1, 20, 3),
  most: whole('Most pieces in a lot', 2, 60, 8),
  order: oneOf('Counted', ['largest-first', 'as-they-lie'], 'largest-first'),
  group: oneOf('Counters are grouped in', [1, 2, 5, 10], 1),
  change: oneOf('Change', ['none', 'from-a-price'], 'none'),
  lots: whole('Lots each', 1, 15, 6),
  recount: yesNo('A neighbour counts again', false),
});
export type LotParameters = typeof DEFAULTS;
