import type { Item, Operation } from '../items/item';
import { resultOf } from '../items/item';
import { creditsOf } from '../skills/creditsOf';
import type { SkillGraph } from '../skills/skillGraph';

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
  const counts = new Map<number, { readonly answers: number; readonly worth: number }>();
  for (const { op, a, b } of sums) {
    const item: Item = { op, a, b, result: resultOf(op, a, b), unknown: 'result', rep: 'numerals' };
    for (const { index: k, share } of creditsOf(graph, item)) {
      const c = counts.get(k) ?? { answers: 0, worth: 0 };
      counts.set(k, { answers: c.answers + 1, worth: c.worth + share });
    }
  }
  return [...counts]
    .map(([k, { answers, worth }]) => ({
      skill: graph.skills[k]!.id,
      perTenMinutes: Number(((worth / players / minutes) * 10).toPrecision(3)),
      counted: answers,
    }))
    .sort((x, y) => y.counted - x.counted)
    .slice(0, dosesKept);
}
