import type { SkillEstimate } from '../mastery/estimateMastery';
import type { Evidence } from '../mastery/evidence';
import type { SkillGraph } from '../skills/skillGraph';

/** What the group's map reads of a note. */
export type GroupNote = Pick<Evidence, 'skill' | 'result' | 'at'>;

/** One learner's map and notes. */
export interface GroupMember {
  readonly id: string;
  readonly estimates: readonly SkillEstimate[];
  /** Not taken back, in any order. */
  readonly evidence: readonly GroupNote[];
}

/** Who was stuck on a skill the last times. */
export interface Stuck {
  readonly learner: string;
  readonly skill: string;
  readonly times: number;
  readonly since: string;
}

export interface GroupMap {
  /** Learners from who holds most to who holds least; skills from most held to least, so that blocks appear. */
  readonly learners: readonly string[];
  readonly skills: readonly string[];
  /** `cells[learner][skill]`, in that order: height of the arm and whether anybody saw it. */
  readonly cells: readonly (readonly { readonly height: number; readonly seen: boolean; readonly next: boolean }[])[];
  readonly stuck: readonly Stuck[];
}

const stuckInARow = 2;
/** A skill is at the edge of a group when not all stand on one side. */
const edge: readonly [number, number] = [0.08, 0.93];

/**
 * Learners × skills, both sorted by what is held, which brings the boundary to a diagonal
 * (seriation by marginal sums, as in L. Guttman's scalogram of 1944). With `onlyEdge`, skills that all
 * hold or nobody is near are left out.
 */
export function groupMap(
  graph: SkillGraph,
  members: readonly GroupMember[],
  strands: readonly string[] | null,
  onlyEdge: boolean,
): GroupMap {
  const chosen = graph.skills.flatMap((s, k) => (strands === null || strands.includes(s.strand) ? [k] : []));
  const meanOf = (k: number): number => members.reduce((sum, m) => sum + m.estimates[k]!.asSeen, 0) / Math.max(1, members.length);
  const skills = chosen
    .map((k) => ({ k, mean: meanOf(k) }))
    .filter(({ mean }) => !onlyEdge || (mean > edge[0] && mean < edge[1]))
    .sort((x, y) => y.mean - x.mean || x.k - y.k)
    .map(({ k }) => k);
  const learners = [...members].sort((x, y) => total(y, chosen) - total(x, chosen) || (x.id < y.id ? -1 : 1));
  return {
    learners: learners.map((m) => m.id),
    skills: skills.map((k) => graph.skills[k]!.id),
    cells: learners.map((m) =>
      skills.map((k) => ({ height: m.estimates[k]!.asSeen, seen: m.estimates[k]!.seen, next: m.estimates[k]!.frontier })),
    ),
    // Whoever needs a hand is named whatever line is looked at, the longest first.
    stuck: members.flatMap(stuckOf).sort((x, y) => y.times - x.times || (x.since < y.since ? -1 : 1)),
  };
}

const total = (m: GroupMember, chosen: readonly number[]): number => chosen.reduce((sum, k) => sum + m.estimates[k]!.asSeen, 0);

function stuckOf(m: GroupMember): Stuck[] {
  const bySkill = new Map<string, GroupNote[]>();
  for (const e of m.evidence) {
    if (e.result === null) continue;
    const notes = bySkill.get(e.skill);
    if (notes) notes.push(e);
    else bySkill.set(e.skill, [e]);
  }
  return [...bySkill].flatMap(([skill, inAnyOrder]) => {
    const notes = inAnyOrder.toSorted((x, y) => (x.at < y.at ? 1 : -1));
    const end = notes.findIndex((n) => n.result !== 'stuck');
    const times = end < 0 ? notes.length : end;
    return times < stuckInARow ? [] : [{ learner: m.id, skill, times, since: notes[times - 1]!.at.slice(0, 10) }];
  });
}
