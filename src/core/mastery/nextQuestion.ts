import { wantedBy } from '../skills/skill';
import type { SkillGraph } from '../skills/skillGraph';
import { ageOn, daysBetween, type EvidenceResult, type LearnerFacts } from './evidence';
import { levelOf, noLevelEvidence, normPrior, offsets } from './levelGrid';
import { type MapState, strandIndex } from './mapState';
import { afterForgetting, retention } from './retention';

/** The question that tells most about where a learner stands, and how much is still open. */
export interface NextQuestion {
  /** Index of the skill to ask about. */
  readonly skill: number;
  /** Expected fall of uncertainty by asking, in bits over all steps of the lines asked about. */
  readonly information: number;
}

/** Asking goes on while a question is expected to settle this many bits. */
const leastBits = 0.6;
/** The same for somebody who wants to know more exactly. */
const leastBitsThorough = 0.08;
/** What was seen less than so many days ago is not asked again. */
const askAgainDays = 21;
/** How likely each answer is from somebody who holds a step, and who does not (common practice, no source). */
const answerModel: Readonly<Record<EvidenceResult, { readonly ifKnown: number; readonly ifNot: number }>> = {
  alone: { ifKnown: 0.8, ifNot: 0.1 },
  support: { ifKnown: 0.14, ifNot: 0.3 },
  stuck: { ifKnown: 0.06, ifNot: 0.6 },
};

const bits = (p: number): number => (p <= 0 || p >= 1 ? 0 : -(p * Math.log2(p) + (1 - p) * Math.log2(1 - p)));

/**
 * The next question of a placement: of all steps not asked yet, the one with the largest
 * expected information about the lines asked for, over the levels a line may be at
 * (D. V. Lindley 1956, on the measure of the information provided by an experiment).
 * Null when no question is worth asking. Cost: skills² · levels per line.
 */
export function nextQuestion(
  graph: SkillGraph,
  learner: LearnerFacts,
  map: MapState,
  today: string,
  strands: readonly string[],
  leaveOut: ReadonlySet<string> = new Set(),
  thorough = false,
): NextQuestion | null {
  const age = ageOn(learner.born, today);
  let best: { skill: number; information: number } | null = null;
  for (const id of strands) {
    const members = graph.skills.flatMap((s, k) => (s.strand === id ? [k] : []));
    if (members.length === 0) continue;
    const weights = levelOf(map.levels, strandIndex(graph, members[0]!));
    const table = members.map((k) => Float64Array.from(offsets, (o) => normPrior(age + o, wantedBy(graph.skills[k]!, learner.framework))));
    const quiet = members.map((k) => (map.skills[k]!.lastSeen === null ? null : daysBetween(map.skills[k]!.lastSeen!, today)));
    const settled = quiet.map((days) => days !== null && days < askAgainDays);
    // What was seen long ago stands where it was left, a little forgotten, and may be asked again.
    const now = members.map((k, i) =>
      quiet[i] === null ? mean(table[i]!, weights) : afterForgetting(map.skills[k]!.known, retention(map.skills[k]!.memory, quiet[i]!)),
    );
    const uncertain = now.reduce((sum, p, i) => (settled[i] ? sum : sum + bits(p)), 0);
    for (const [i, k] of members.entries()) {
      if (settled[i] || leaveOut.has(graph.skills[k]!.id)) continue;
      let after = 0;
      for (const { ifKnown, ifNot } of Object.values(answerModel)) {
        const posterior = weights.map((w, o) => w * (table[i]![o]! * ifKnown + (1 - table[i]![o]!) * ifNot));
        const chance = posterior.reduce((sum, w) => sum + w, 0);
        if (chance === 0) continue;
        for (let o = 0; o < posterior.length; o++) posterior[o]! /= chance;
        let left = 0;
        for (const [j, row] of table.entries()) {
          if (settled[j]) continue;
          const p =
            j === i
              ? (now[i]! * ifKnown) / (now[i]! * ifKnown + (1 - now[i]!) * ifNot)
              : quiet[j] === null
                ? mean(row, posterior)
                : now[j]!;
          left += bits(p);
        }
        after += chance * left;
      }
      const information = uncertain - after;
      if (!best || information > best.information) best = { skill: k, information };
    }
  }
  if (!best || best.information < (thorough ? leastBitsThorough : leastBits)) return null;
  return best;
}

/** Share of the uncertainty about some lines that is left, against knowing only the age; what was seen counts as settled. */
export function openShare(graph: SkillGraph, learner: LearnerFacts, map: MapState, today: string, strands: readonly string[]): number {
  const age = ageOn(learner.born, today);
  let open = 0;
  let atStart = 0;
  for (const [k, s] of graph.skills.entries()) {
    if (!strands.includes(s.strand)) continue;
    const row = Float64Array.from(offsets, (o) => normPrior(age + o, wantedBy(s, learner.framework)));
    atStart += bits(mean(row, blank));
    if (map.skills[k]!.lastSeen === null) open += bits(mean(row, levelOf(map.levels, strandIndex(graph, k))));
  }
  return atStart === 0 ? 0 : Math.min(1, open / atStart);
}

/** The levels before anything is known. */
const blank = levelOf(noLevelEvidence(1), 0);

function mean(row: Float64Array, weights: Float64Array): number {
  let sum = 0;
  for (let o = 0; o < row.length; o++) sum += row[o]! * weights[o]!;
  return sum;
}
