import { missingCards, oneOf, parameters, whole, yesNo } from '../../play/parameters';

/** What one card and an agreed number can be asked for. */
export const withOne = [
  'times',
  'shared-by',
  'taken-from',
  'up-to-the-next',
  'doubled',
  'times-itself',
  'so-much-more',
  'so-much-less',
] as const;

export const { SCHEMA, DEFAULTS } = parameters({
  cards: whole('Cards each turns', 1, 3, 2),
  join: oneOf('They are joined by', ['sum', 'difference', 'product', 'number', 'fraction', ...withOne], 'sum'),
  by: whole('The agreed number', 2, 1000, 10),
  bottom: whole('Bottom number of the fraction, 0 for the larger card', 0, 12, 0),
  sayHalf: yesNo('Say first whether it is more than a half', false),
  onLine: yesNo('Each is laid on a number line', false),
  lowest: whole('Lowest card', -20, 20, 1),
  highest: whole('Highest card', 1, 100, 10),
  worth: oneOf('A card counts in', [1, 10, 100, 1000], 1),
  copies: whole('Copies of each card', 1, 8, 4),
  draw: oneOf('Cards', ['dealt', 'returned'], 'dealt'),
  goal: oneOf('Who takes the round', ['higher', 'lower'], 'higher'),
  tie: oneOf('When equal', ['each-keeps', 'turn-again'], 'turn-again'),
  rounds: whole('Rounds', 1, 40, 10),
  missing: missingCards(),
  howMuchMore: yesNo('Say by how much', false),
});
export type CompareParameters = typeof DEFAULTS;
