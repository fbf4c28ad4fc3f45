import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  highest: whole('Numbers from 1 to', 10, 60, 30),
  takes: oneOf('The others take', ['its-factors', 'nothing'], 'its-factors'),
  noFactor: oneOf('A number whose factors are gone', ['may-be-taken', 'is-barred'], 'may-be-taken'),
  picks: whole('Picks each at most', 2, 15, 6),
});
export type FactorTakeParameters = typeof DEFAULTS;
