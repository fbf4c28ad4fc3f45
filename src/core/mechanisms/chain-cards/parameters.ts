import { oneOf, parameters, whole, yesNo } from '../../play/parameters';

export const { SCHEMA, DEFAULTS } = parameters({
  cards: whole('Cards in the loop', 6, 36, 16),
  operation: oneOf('Who has', ['sum', 'difference', 'product', 'ten-more-or-less', 'double-or-half'], 'sum'),
  highest: whole('Highest answer', 8, 150, 30),
  shows: oneOf('The question is shown as', ['expression', 'words', 'dots'], 'expression'),
  loops: whole('Times round the loop', 1, 3, 1),
  everyone: yesNo('Everyone works out every card', true),
});
export type ChainParameters = typeof DEFAULTS;
