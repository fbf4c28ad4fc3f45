import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  pieces: oneOf(
    'Pieces',
    ['halves-quarters', 'halves-quarters-eighths', 'thirds-sixths', 'halves-thirds-sixths', 'fifths-tenths', 'quarters-sixths-twelfths'],
    'halves-quarters-eighths',
  ),
  wholes: whole('Wholes to fill', 1, 4, 2),
  way: oneOf('The wholes are', ['filled', 'emptied'], 'filled'),
  choose: whole('Pieces drawn to choose one from', 1, 3, 2),
  finish: oneOf('The last piece', ['must-fit', 'may-be-larger'], 'must-fit'),
});
export type FillParameters = typeof DEFAULTS;
