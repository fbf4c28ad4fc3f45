import { fourOperations } from '../../play/arithmetic';
import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  operation: oneOf('The wheel', fourOperations, 'multiply'),
  fixed: whole('The number in the middle', 1, 100, 5),
  from: whole('Outer numbers from', 0, 50, 1),
  to: whole('to', 1, 100, 10),
  order: oneOf('They come', ['round', 'mixed', 'by-spinning'], 'by-spinning'),
  turns: whole('Facts each', 2, 40, 12),
  turnRound: yesNo('The fact is said the other way round too', false),
  undo: yesNo('The opposite operation undoes it', false),
});
export type WheelParameters = typeof DEFAULTS;
