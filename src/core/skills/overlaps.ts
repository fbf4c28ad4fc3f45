import { compilePredicate } from './compilePredicate';
import { exampleItems } from './exampleItems';
import type { ItemPredicate } from './skill';
import type { SkillGraph } from './skillGraph';

/** How far a predicate and a skill of the graph mean the same items, by drawing examples of each. */
export interface Overlap {
  readonly skill: string;
  /** Share of the predicate's items that are a chance for the skill too. */
  readonly inside: number;
  /** Share of the skill's items that meet the predicate. */
  readonly covers: number;
}

const drawn = 40;
/** From here on two predicates are told to be nearly the same. */
export const nearlySame = 0.9;
const leastInside = 0.5;

/** Skills that share at least half of a predicate's items, most alike first. */
export function overlapsOf(graph: SkillGraph, predicate: ItemPredicate, except: string | null = null): Overlap[] {
  const own = exampleItems(predicate, drawn).match;
  const test = compilePredicate(predicate);
  if (own.length === 0) return [];
  return graph.skills
    .flatMap((s, k): Overlap[] => {
      if (!s.predicate || s.id === except) return [];
      const inside = own.filter((i) => graph.tests[k]!(i)).length / own.length;
      if (inside < leastInside) return [];
      const theirs = exampleItems(s.predicate, drawn).match;
      return [{ skill: s.id, inside, covers: theirs.length === 0 ? 0 : theirs.filter(test).length / theirs.length }];
    })
    .sort((x, y) => y.inside + y.covers - x.inside - x.covers);
}
