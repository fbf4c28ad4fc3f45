import type { Item, Operation } from '../items/item';
import { resultOf } from '../items/item';
import { chancesOf, type SkillGraph } from '../skills/skillGraph';

/** One sum met at a real table, as a helper thumbs it in. */
export interface CountedSum {
  readonly op: Extract<Operation, 'add' | 'subtract' | 'multiply' | 'divide' | 'compare' | 'count'>;
  readonly a: number;
  readonly b: number;
}

export interface CountedDose {
  readonly skill: string;
  /** Chances for one child in ten minutes. */
  readonly perTenMinutes: number;
  /** Answers counted for this skill. */
  readonly counted: number;
}

const dosesKept = 12;

/**
 * What one counted round says a game practises: chances per child in ten minutes by skill,
 * each with the number of answers it rests on. Counts are Poisson, so the relative error
 * is 1/√n.
 */
export function countRound(graph: SkillGraph, sums: readonly CountedSum[], players: number, minutes: number): CountedDose[] {
  const counts = new Map<number, number>();
  for (const { op, a, b } of sums) {
    const item: Item = { op, a, b, result: resultOf(op, a, b), unknown: 'result', rep: 'numerals' };
    for (const k of chancesOf(graph, item)) counts.set(k, (counts.get(k) ?? 0) + 1);
  }
  return [...counts]
    .map(([k, counted]) => ({
      skill: graph.skills[k]!.id,
      perTenMinutes: Number(((counted / players / minutes) * 10).toPrecision(3)),
      counted,
    }))
    .sort((x, y) => y.counted - x.counted)
    .slice(0, dosesKept);
}
