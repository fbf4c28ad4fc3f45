import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  cards: oneOf(
    'Three cards belong together when they show',
    ['one-amount-as-fraction-percent-decimal', 'one-number-of-facts', 'multiples-in-a-row', 'one-fraction', 'one-power'],
    'one-number-of-facts',
  ),
  lowest: whole('Lowest number', 1, 12, 2),
  highest: whole('Highest number', 4, 30, 9),
  step: whole('Multiples of', 2, 12, 6),
  hand: whole('Cards in hand', 4, 8, 6),
  open: whole('Open cards to take from', 1, 4, 2),
  sets: whole('Sets to lay down', 1, 4, 2),
});
export type SetsParameters = typeof DEFAULTS;
