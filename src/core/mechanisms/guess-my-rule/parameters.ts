import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  rules: oneOf('The machine', ['adds', 'takes-away', 'multiplies', 'multiplies-and-adds'], 'multiplies-and-adds'),
  most: whole('Highest number it multiplies by', 2, 10, 5),
  adds: whole('Highest number it adds or takes away', 1, 20, 10),
  inputs: whole('Highest number put in', 5, 20, 10),
  machines: whole('Machines to find', 1, 8, 3),
  tries: whole('Numbers put in, at most, for each', 3, 12, 6),
});
export type MachineParameters = typeof DEFAULTS;
