import { actHalfNames } from '../../play/actHalves';
import { oneOf, parameters, someOf, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  halves: oneOf(
    'Halves that belong together',
    [
      'sum-and-result',
      'product-and-result',
      'numeral-and-dots',
      'equal-fractions',
      'parts-of-a-whole',
      'fraction-sum-alike',
      'fraction-sum-unlike',
      'clock-and-time',
      'clock-and-later',
      'coins-and-amount',
      'number-and-rounded',
      'sum-family',
      'times-family',
      'picture-and-turned',
      ...actHalfNames,
    ],
    'sum-and-result',
  ),
  sets: whole('Pairs of halves', 3, 24, 10),
  lowest: whole('Lowest number', 0, 50, 2),
  highest: whole('Highest number', 3, 200, 20),
  clockStep: oneOf('Times to the nearest', [60, 30, 15, 5, 1], 30),
  coins: someOf('Coins on the halves', [1, 2, 5, 10, 20, 25, 50, 100], [1, 5, 10, 25]),
  roundTo: oneOf('Rounded to the nearest', [10, 100, 1000], 10),
  play: oneOf('Played', ['all-at-once', 'in-turn'], 'all-at-once'),
  timer: whole('Minutes on the timer', 1, 30, 5),
  sayIt: yesNo('Each match is said aloud as a sentence', false),
});
export type MatchParameters = typeof DEFAULTS;
