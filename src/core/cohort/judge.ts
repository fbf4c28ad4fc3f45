import { mapOf, readMap } from '../mastery/estimateMastery';
import type { Evidence, LearnerFacts } from '../mastery/evidence';
import { emptyMap, seeEvidence } from '../mastery/mapState';
import type { SkillGraph } from '../skills/skillGraph';
import { ASSUMPTIONS, type Assumptions } from './assumptions';
import type { Forecast } from './evaluate';
import { HALF_TERM, simulateTerm, type TermShape } from './simulateTerm';

/** Forecasts of the estimator and of two plain rules, at the same moments. */
export interface Judged {
  /** Before each note or sheet on a skill that was seen before. */
  readonly again: { readonly estimate: Forecast[]; readonly last: Forecast[]; readonly lastFive: Forecast[] };
  /** Before the first observation of a skill. */
  readonly first: Forecast[];
  /** Every skill of the graph on the last day. */
  readonly end: Forecast[];
  readonly endSeen: { readonly estimate: Forecast[]; readonly last: Forecast[]; readonly lastFive: Forecast[] };
}

export const assumptionsById = (id: string): Assumptions => ASSUMPTIONS.find((a) => a.id === id)!;

/** What one observation says by itself, 0 … 1: the plain rules know no more. */
export function plainShare(e: Evidence): number {
  if (e.total !== null && e.total > 0) return (e.correct ?? 0) / e.total;
  return e.result === 'alone' ? 1 : e.result === 'support' ? 0.5 : 0;
}

/** Runs so many learners of ages five to eleven through a term and asks for forecasts before every observation. */
export function judge(graph: SkillGraph, a: Assumptions, learners: number, seed: number, shape: TermShape = HALF_TERM): Judged {
  const out: Judged = {
    again: { estimate: [], last: [], lastFive: [] },
    first: [],
    end: [],
    endSeen: { estimate: [], last: [], lastFive: [] },
  };
  for (let i = 0; i < learners; i++) {
    const term = simulateTerm(graph, 5 + (6 * (i + 0.5)) / learners, a, shape, seed, i);
    const facts: LearnerFacts = { born: term.born, framework: 'us', permanentSupports: [], supportsInUse: [] };
    const map = emptyMap(graph);
    const before = new Map<number, number[]>();
    for (const m of term.moments) {
      const known = before.get(m.skill) ?? [];
      if (m.evidence.kind !== 'placement') {
        const p = readMap(graph, facts, map, m.evidence.at.slice(0, 10))[m.skill]!.mastery;
        if (known.length === 0) out.first.push({ p, held: m.held });
        else addAll(out.again, p, known, m.held);
      }
      seeEvidence(graph, facts, map, m.evidence);
      before.set(m.skill, [...known, plainShare(m.evidence)]);
    }
    const end = readMap(
      graph,
      facts,
      mapOf(
        graph,
        facts,
        term.moments.map((m) => m.evidence),
        term.lastDay,
      ),
      term.lastDay,
    );
    for (const [k, e] of end.entries()) {
      out.end.push({ p: e.mastery, held: term.heldAtEnd[k]! });
      const known = before.get(k);
      if (known) addAll(out.endSeen, e.mastery, known, term.heldAtEnd[k]!);
    }
  }
  return out;
}

function addAll(to: Judged['again'], p: number, known: readonly number[], held: boolean): void {
  const five = known.slice(-5);
  to.estimate.push({ p, held });
  to.last.push({ p: known[known.length - 1]!, held });
  to.lastFive.push({ p: five.reduce((s, x) => s + x, 0) / five.length, held });
}
