import { parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  low: whole('Lowest number', 0, 1000, 0),
  high: whole('Highest number', 3, 10000, 150),
  outside: whole('Points lost for a guess outside the bounds', 0, 10, 3),
  wrong: whole('Points lost for any wrong guess', 0, 5, 0),
  points: whole('Common points at the start', 3, 60, 9),
  rounds: whole('Numbers to find', 1, 10, 2),
});
export type BoundGuessParameters = typeof DEFAULTS;
