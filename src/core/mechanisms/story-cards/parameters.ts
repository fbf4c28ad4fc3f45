import { oneOf, parameters, someOf, whole, yesNo } from '../../play/parameters';

export const situations = ['add-to', 'take-from', 'together', 'compare'] as const;
/** Stories of groups, of times as many, of two steps, and of what is left over. */
export const furtherSituations = ['groups', 'times-as-many', 'two-steps', 'left-over'] as const;
export const unknowns = ['result', 'change', 'start'] as const;

export const { SCHEMA, DEFAULTS } = parameters({
  situations: someOf('Situations', [...situations, ...furtherSituations], ['add-to', 'take-from', 'together', 'compare']),
  unknowns: someOf('What is not known', unknowns, ['result', 'change']),
  lowest: whole('Lowest number', 1, 50, 2),
  highest: whole('Highest whole', 5, 1000, 20),
  cards: whole('Cards each', 1, 20, 6),
  readAloud: oneOf('The story is', ['read-aloud-twice', 'read-alone'], 'read-aloud-twice'),
  keyWords: oneOf('Give-away words', ['none', 'some'], 'none'),
  drawIt: yesNo('Each story is drawn first', false),
});
export type StoryParameters = typeof DEFAULTS;
