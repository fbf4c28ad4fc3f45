import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  cards: whole('Cards', 4, 30, 10),
  under: whole('Cards that go underneath each time', 0, 6, 1),
  starts: oneOf('The first card is', ['dealt', 'put-under'], 'dealt'),
  pattern: oneOf('Underneath go', ['always-as-many', 'one-more-each-time'], 'always-as-many'),
  step: oneOf('The cards count by', [1, 2, 5, 10], 1),
  direction: oneOf('They come out', ['rising', 'falling'], 'rising'),
  help: oneOf('Help', ['none', 'first-half-given', 'row-of-slots'], 'row-of-slots'),
});
export type DealOrderParameters = typeof DEFAULTS;
