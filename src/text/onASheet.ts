import { exampleItems } from '../core/skills/exampleItems';
import type { Skill } from '../core/skills/skill';
import type { Item } from '../core/items/item';
import { sheetItems } from '../core/skills/sheetItems';
import { itemText, questionText } from './itemText';

/** Whether a sheet can ask for a step in writing: some only things can ask. */
export const canBeWritten = (s: Pick<Skill, 'predicate' | 'asks'>): boolean =>
  s.predicate !== null && exampleItems(s.predicate, 3, 1, s.asks).match.some((i) => questionText(i) !== null);

/** Questions of one sheet. */
export const questionsAsked = 10;

/** Different questions of a step for one sheet, as many as there are to be had up to ten; each draw gives others. */
export function questionsOf(s: Skill, all: readonly Skill[], draw: number): Item[] {
  const seen = new Set<string>();
  return sheetItems(s, all, questionsAsked * 2, draw)
    .filter((i) => {
      const text = questionText(i);
      if (text === null || seen.has(text)) return false;
      seen.add(text);
      return true;
    })
    .slice(0, questionsAsked);
}

/** What comes into the box of a question: what an item's sentence has in brackets. */
export const boxedAnswer = (i: Item): string => /\[(.+?)\]/.exec(itemText(i))?.[1] ?? String(i.result);

/** A sheet of these questions, as it is printed. */
export const sheetOfQuestions = (title: string, items: readonly Item[]): { title: string; questions: string[]; answers: string[] } => ({
  title: title.slice(0, 80),
  questions: items.map((i) => questionText(i)!),
  answers: items.map(boxedAnswer),
});
