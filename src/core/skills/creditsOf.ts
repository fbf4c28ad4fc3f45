import type { Item } from '../items/item';
import { asksForShowing, narrowerOf, sortOf } from './narrower';
import { chancesOf, type SkillGraph } from './skillGraph';

/** A step and the part of one item that is practice of it. */
export interface Credit {
  /** Index of the skill. */
  readonly index: number;
  /** 0 … 1; in each group an item is one in all. */
  readonly share: number;
}

/** Steps that divide an item among them: answers, strategies, ideas, and of each those that ask for a story, coins, a picture. */
export const groupOf = (graph: SkillGraph, k: number): string => {
  const { nature, predicate } = graph.skills[k]!;
  return sortOf(nature) + (predicate !== null && asksForShowing(predicate) ? ' shown' : '');
};

/**
 * What one item is practice of: the narrowest steps it belongs to. Every step that is wider
 * than another one met falls away (2 + 3 is practice of sums within five, not of sums within
 * twenty); where several of one group remain, each has an equal part. What an answer shows is
 * read by this one function everywhere: doses, reasons, gates, hits, misses, sheets.
 */
export function creditsOf(graph: SkillGraph, item: Item): Credit[] {
  const met = chancesOf(graph, item);
  if (met.length < 2) return met.map((index) => ({ index, share: 1 }));
  const { than } = narrowerOf(graph);
  const left = met.filter((k) => !met.some((x) => than[k]!.has(x)));
  const groups = left.map((k) => groupOf(graph, k));
  return left.map((index, i) => ({ index, share: 1 / groups.filter((g) => g === groups[i]).length }));
}

/** The same graph, asking items about one skill and those it may share them with only: quicker where the others do not matter. */
export function onlySkill(graph: SkillGraph, skill: string): SkillGraph {
  const k = graph.indexOf.get(skill) ?? -1;
  // What is narrower is worked out of the whole graph, before it is cut down.
  narrowerOf(graph);
  const alike = (i: number): boolean => sortOf(graph.skills[i]!.nature) === sortOf(graph.skills[k]!.nature);
  return { ...graph, askedFor: new Map([...graph.askedFor].map(([op, asked]) => [op, asked.includes(k) ? asked.filter(alike) : []])) };
}
