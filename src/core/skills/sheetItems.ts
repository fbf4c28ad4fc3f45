import type { Item } from '../items/item';
import { compilePredicate } from './compilePredicate';
import { exampleItems } from './exampleItems';
import type { Skill } from './skill';

type Asked = Pick<Skill, 'id' | 'strand' | 'wantedAt' | 'nature' | 'predicate'>;

/** Examples drawn for each question asked, so that there is something to choose from. */
const drawnForEach = 12;
const turnable: readonly string[] = ['add', 'compose', 'multiply'];

/**
 * Questions for a sheet about one skill: different facts (3 × 8 and 8 × 3 are one), and
 * first those that no easier skill of the same line explains, so that ten right answers to
 * "times three and four" are not answers to "times one". A strategy explains no fact, nor
 * does an idea that most of the facts here show (turning a product round). Fewer than
 * `wanted` where the skill has no more. The same seed asks the same.
 */
export function sheetItems(skill: Asked, all: readonly Asked[], wanted: number, seed = 1): Item[] {
  if (skill.predicate === null) return [];
  const facts = new Map<string, Item>();
  for (const i of exampleItems(skill.predicate, wanted * drawnForEach, seed).match) {
    const [x, y] = turnable.includes(i.op) && i.unknown === 'result' && i.a < i.b ? [i.b, i.a] : [i.a, i.b];
    const key = `${i.op}|${x}|${y}|${i.unknown}`;
    if (!facts.has(key)) facts.set(key, i);
  }
  const items = [...facts.values()];
  const here = all.findIndex((s) => s.id === skill.id);
  const easier = all
    .filter(
      (s, i) =>
        s.strand === skill.strand &&
        s.nature !== 'strategy' &&
        s.predicate !== null &&
        (s.wantedAt.us < skill.wantedAt.us || (s.wantedAt.us === skill.wantedAt.us && i < here)),
    )
    .map((s) => ({ heart: s.nature === 'by-heart', test: compilePredicate(s.predicate!) }))
    .filter(({ heart, test }) => heart || items.filter(test).length < items.length / 2);
  const explained = (i: Item): boolean => easier.some(({ test }) => test(i));
  return [...items.filter((i) => !explained(i)), ...items.filter(explained)].slice(0, wanted);
}
