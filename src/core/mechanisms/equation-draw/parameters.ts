import { fourOperations } from '../../play/arithmetic';
import { missingCards, oneOf, parameters, someOf, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  hand: whole('Cards in hand', 3, 8, 5),
  lowest: whole('Lowest card', 0, 10, 0),
  highest: whole('Highest card', 4, 30, 10),
  copies: whole('Copies of each card', 2, 8, 4),
  missing: missingCards(),
  operations: someOf('Operations allowed', fourOperations, ['add', 'subtract']),
  terms: oneOf('A true equation uses', ['three', 'three-or-four'], 'three'),
  drawBack: oneOf('After an equation', ['as-many-as-used', 'nothing'], 'as-many-as-used'),
  wild: whole('Cards that stand for any number', 0, 4, 0),
  noEquation: oneOf('Without an equation', ['change-one', 'draw-one'], 'change-one'),
  bonusFour: yesNo('Four cards in one equation score double', false),
});
export type EquationParameters = typeof DEFAULTS;
