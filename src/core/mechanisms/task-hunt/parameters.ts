import { fourOperations } from '../../play/arithmetic';
import { oneOf, parameters, someOf, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  tasks: oneOf('Boxes on the sheet', [16, 20], 16),
  operations: someOf('Tasks', fourOperations, ['add']),
  lowest: whole('Lowest number', 0, 50, 1),
  highest: whole('Highest result', 5, 1000, 20),
  unknown: oneOf('Asked for', ['result', 'missing-number'], 'result'),
  cards: oneOf('Cards are', ['hidden', 'passed'], 'hidden'),
  labels: oneOf('Cards and boxes carry', ['numbers', 'letters'], 'letters'),
  minutes: whole('Minutes at most', 3, 60, 15),
});
export type HuntParameters = typeof DEFAULTS;
