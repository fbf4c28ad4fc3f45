import { readMap } from '../mastery/estimateMastery';
import type { LearnerFacts } from '../mastery/evidence';
import { emptyMap, seeEvidence } from '../mastery/mapState';
import type { SkillGraph } from '../skills/skillGraph';
import type { Assumptions } from './assumptions';
import { HALF_TERM, simulateTerm } from './simulateTerm';

/** Observations of a skill until the estimate has followed a change, one entry per change; −1 when it never did in that term. */
export interface Following {
  readonly learning: number[];
  readonly forgetting: number[];
}

/** How many more observations of a skill it takes until the estimate stands on the right side of a half after the truth changed. */
export function following(graph: SkillGraph, a: Assumptions, learners: number, seed: number): Following {
  const out: Following = { learning: [], forgetting: [] };
  for (let i = 0; i < learners; i++) {
    const term = simulateTerm(graph, 5 + (6 * (i + 0.5)) / learners, a, HALF_TERM, seed, i);
    const facts: LearnerFacts = { born: term.born, framework: 'us', permanentSupports: [], supportsInUse: [] };
    const map = emptyMap(graph);
    const truth = new Map<number, boolean>();
    const waiting = new Map<number, { to: boolean; seen: number }>();
    for (const m of term.moments) {
      const before = truth.get(m.skill);
      if (before !== undefined && before !== m.held) waiting.set(m.skill, { to: m.held, seen: 0 });
      truth.set(m.skill, m.held);
      seeEvidence(graph, facts, map, m.evidence);
      const w = waiting.get(m.skill);
      if (!w) continue;
      w.seen++;
      const p = readMap(graph, facts, map, m.evidence.at.slice(0, 10))[m.skill]!.mastery;
      if (p >= 0.5 !== w.to) continue;
      (w.to ? out.learning : out.forgetting).push(w.seen);
      waiting.delete(m.skill);
    }
    for (const w of waiting.values()) (w.to ? out.learning : out.forgetting).push(-1);
  }
  return out;
}
