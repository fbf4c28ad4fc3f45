import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  purse: whole('Money at the start, in whole units', 2, 50, 10),
  priceStep: oneOf('Prices go by, in hundredths', [5, 10, 25, 50], 5),
  dearest: whole('Dearest thing, in whole units', 1, 20, 4),
  stall: whole('Things on the stall', 2, 6, 3),
  pays: oneOf('Paid with', ['the-exact-sum', 'a-note-and-change'], 'a-note-and-change'),
  aim: oneOf('Best is who', ['spends-nearest-to-all', 'buys-most-things'], 'spends-nearest-to-all'),
  turns: whole('Turns each at most', 3, 12, 6),
});
export type MoneyParameters = typeof DEFAULTS;
