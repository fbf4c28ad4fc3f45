import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  dice: whole('Dice', 1, 2, 1),
  faces: whole('Highest number on a die', 4, 12, 6),
  bust: oneOf('What loses the turn', ['one', 'lowest-two', 'seven'], 'one'),
  goal: whole('Points to reach', 10, 300, 50),
  holdAt: whole('A typical player stops at', 3, 60, 20),
  lose: oneOf('A lost turn costs', ['turn', 'everything'], 'turn'),
  saysBoth: yesNo('Says the new score as well as the turn', true),
});
export type PressYourLuckParameters = typeof DEFAULTS;
