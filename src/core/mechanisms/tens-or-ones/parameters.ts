import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  units: oneOf('A throw counts as', ['tens-or-ones', 'hundreds-or-tens', 'ones-or-tenths', 'tenths-or-hundredths'], 'tens-or-ones'),
  throws: whole('Throws a round', 3, 10, 7),
  faces: whole('Highest number on the die', 4, 10, 6),
  target: whole('Nearest to, counted in the smaller unit', 20, 300, 100),
  over: oneOf('Above the target', ['is-out', 'counts-as-near'], 'is-out'),
  rounds: whole('Rounds', 1, 8, 3),
});
export type TensParameters = typeof DEFAULTS;
