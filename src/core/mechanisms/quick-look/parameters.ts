import { oneOf, parameters, whole } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  lowest: whole('Fewest dots', 1, 10, 2),
  highest: whole('Most dots', 2, 20, 6),
  layout: oneOf('Dots lie', ['like-a-die', 'in-two-groups', 'in-a-ten-frame', 'anyhow'], 'like-a-die'),
  look: oneOf('The card is shown', ['briefly', 'twice', 'as-long-as-wanted'], 'twice'),
  ways: whole('Ways of seeing told', 0, 4, 1),
  oneMore: oneOf('Then asked', ['how-many', 'one-more', 'to-ten'], 'how-many'),
  cards: whole('Cards each', 2, 30, 10),
});
export type QuickLookParameters = typeof DEFAULTS;
