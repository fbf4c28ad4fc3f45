import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  lowest: whole('Lowest number drawn', 5, 100, 10),
  highest: whole('Highest number drawn', 20, 200, 50),
  divisors: whole('Highest number to share by', 3, 12, 6),
  choose: oneOf('Shared by', ['one-throw', 'better-of-two'], 'better-of-two'),
  goal: whole('Spaces to the end', 8, 60, 20),
  moves: oneOf('You move by', ['what-is-left-over', 'one-for-no-rest'], 'what-is-left-over'),
  story: oneOf('Each turn is', ['numbers', 'a-story'], 'numbers'),
});
export type RemainderParameters = typeof DEFAULTS;
