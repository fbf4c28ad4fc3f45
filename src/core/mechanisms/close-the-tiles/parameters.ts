import { fourOperations } from '../../play/arithmetic';
import { oneOf, parameters, someOf, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  tiles: whole('Tiles from 1 to', 4, 12, 9),
  faces: whole('Highest number on a die', 4, 12, 6),
  close: oneOf('A throw closes', ['several', 'one'], 'several'),
  operations: someOf('Operations allowed on the two dice', fourOperations, ['add']),
  oneDie: oneOf('One die may be thrown', ['never', 'high-closed', 'few-left'], 'never'),
  stuck: oneOf('When nothing fits', ['round-over', 'next-throw'], 'round-over'),
  rounds: whole('Rounds', 1, 5, 1),
  aim: oneOf('Best play aims at', ['least-left', 'all-closed'], 'least-left'),
  steps: yesNo('Says what is left after each throw', false),
});
export type CloseParameters = typeof DEFAULTS;
