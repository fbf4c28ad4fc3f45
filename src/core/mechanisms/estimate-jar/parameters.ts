import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  fewest: whole('Fewest things in the jar', 5, 60, 20),
  most: whole('Most things in the jar', 10, 120, 60),
  counted: oneOf('Then counted', ['in-tens', 'one-by-one'], 'in-tens'),
  known: oneOf('Beside it stands', ['a-jar-of-ten', 'nothing'], 'a-jar-of-ten'),
  jars: whole('Jars', 2, 8, 4),
  change: oneOf('After the first ten are counted', ['the-guess-may-change', 'the-guess-stays'], 'the-guess-may-change'),
});
export type JarParameters = typeof DEFAULTS;
