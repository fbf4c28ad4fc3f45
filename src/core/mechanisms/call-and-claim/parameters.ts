import { fourOperations } from '../../play/arithmetic';
import { oneOf, pairs, parameters, whole } from '../../play/parameters';

/** Numbers of a fact that is named by itself. */
const mostOperand = 200;

export const { SCHEMA, DEFAULTS } = parameters({
  operation: oneOf('Facts', fourOperations, 'add'),
  lowest: whole('Lowest number', 0, 12, 1),
  highest: whole('Highest number', 3, 20, 10),
  call: oneOf('The caller reads', ['question', 'answer'], 'question'),
  laid: whole('Cards on the table', 4, 20, 8),
  seconds: whole('Seconds a player needs for a fact', 1, 60, 6),
  form: oneOf('Played', ['race', 'own-clock', 'together'], 'own-clock'),
  wait: whole('Seconds a player waits before claiming', 0, 30, 0),
  ends: oneOf('Ends at', ['claims', 'cards'], 'claims'),
  claims: whole('Claims to win', 2, 20, 10),
  only: pairs('Only these facts', mostOperand, [], 60),
});
export type ClaimParameters = typeof DEFAULTS;
