import { exampleItems } from '../core/skills/exampleItems';
import type { Skill } from '../core/skills/skill';
import { questionText } from './itemText';

/** Whether a sheet can ask for a step in writing: some only things can ask. */
export const canBeWritten = (s: Pick<Skill, 'predicate' | 'asks'>): boolean =>
  s.predicate !== null && exampleItems(s.predicate, 3, 1, s.asks).match.some((i) => questionText(i) !== null);
