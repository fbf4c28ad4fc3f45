import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  lowest: whole('Lowest number', 0, 10, 1),
  highest: whole('Highest number', 2, 20, 6),
  each: whole('Pieces of each number', 1, 6, 4),
  shows: oneOf('Pieces show it as', ['dots', 'pips', 'ten-frame', 'numerals', 'tally', 'words'], 'dots'),
  thrown: oneOf('The number thrown is', ['one-die', 'two-dice-sum'], 'one-die'),
  play: oneOf('Played', ['together', 'against', 'in-turn'], 'together'),
  throws: whole('Throws at most', 5, 80, 40),
  noneLeft: oneOf('None left of a number', ['throws-on', 'is-lost'], 'throws-on'),
  sayFirst: yesNo('Says how many there will be', false),
});
export type CollectParameters = typeof DEFAULTS;
