import { wantedBy } from '../skills/skill';
import { sortOf } from '../skills/narrower';
import { prerequisitesOf, type SkillGraph } from '../skills/skillGraph';
import { ageOn, daysBetween, type Evidence, type LearnerFacts } from './evidence';
import { levelOf, levelPrior, normPrior, yearsAhead } from './levelGrid';
import { emptyMap, type EstimateStep, leastTold, type MapState, seeEvidence, strandIndex } from './mapState';
import {
  dueForReviewBelow,
  growingFrom,
  heartThere,
  heldAt,
  ideaThere,
  intervalZ,
  priorNotes,
  sureFromNotes,
  worthCheckingBelow,
} from './parameters';
import { afterForgetting, retention } from './retention';

export type SkillStatus = 'not-yet' | 'growing' | 'on-their-own' | 'worth-checking';

export interface SkillEstimate {
  readonly skill: string;
  /** P(held) on the day, with what was likely forgotten taken off. */
  readonly mastery: number;
  /** P(held) when last seen: where the arm stands, for after a holiday it stays up. */
  readonly asSeen: number;
  /** Share that is likely still there. */
  readonly retention: number;
  /** 80 % interval. */
  readonly interval: readonly [number, number];
  /** Somebody noted something about this very skill. */
  readonly seen: boolean;
  readonly notes: number;
  readonly sure: boolean;
  readonly status: SkillStatus;
  readonly lastSeen: string | null;
  readonly wantedNow: boolean;
  /** Wanted by now, looked at, and not held. */
  readonly gap: boolean;
  /** Wanted by now, and nobody has looked; nothing else tells that it is held. */
  readonly unlooked: boolean;
  /** A gap, or next in line, whose prerequisites are there. */
  readonly frontier: boolean;
  readonly dueForReview: boolean;
  readonly steps: readonly EstimateStep[];
}

/** One skill on the way to its estimate. */
interface Work {
  /** P(held) on the day. */
  now: number;
  asSeen: number;
  retained: number;
  notes: number;
  lastSeen: string | null;
  steps: readonly EstimateStep[];
}

/**
 * What a learner holds on a day, skill by skill, from the norm and everything noted up to
 * that day, in order of time. Cost: linear in evidence plus edges of the graph.
 */
export function estimateMastery(graph: SkillGraph, learner: LearnerFacts, evidence: readonly Evidence[], today: string): SkillEstimate[] {
  return readMap(graph, learner, mapOf(graph, learner, evidence, today), today);
}

/** Everything noted up to a day, taken in from the first observation on. */
export function mapOf(graph: SkillGraph, learner: LearnerFacts, evidence: readonly Evidence[], today: string): MapState {
  const map = emptyMap(graph);
  const upToToday = evidence.filter((e) => e.at.slice(0, 10) <= today);
  for (const e of upToToday.sort((x, y) => (x.at < y.at ? -1 : x.at > y.at ? 1 : x.id < y.id ? -1 : 1)))
    seeEvidence(graph, learner, map, e);
  return map;
}

/** Reads the estimates of a day off what was taken in. */
export function readMap(graph: SkillGraph, learner: LearnerFacts, map: MapState, today: string): SkillEstimate[] {
  const age = ageOn(learner.born, today);
  const levels = graph.strands.map((_, s) => levelOf(map.levels, s));
  const work = graph.skills.map((_, k) => beforeNeighbours(graph, learner, map, levels, k, age, today));
  inferFromNeighbours(graph, work);
  liftWhatIsShown(graph, work);
  const goals = goalSkills(graph, learner);
  return graph.skills.map((_, k) => estimateOf(graph, learner, work, k, age, goals));
}

/** The goals and everything they need, by index. */
export function goalSkills(graph: SkillGraph, learner: Pick<LearnerFacts, 'goals'>): ReadonlySet<number> {
  const found = new Set<number>();
  for (const id of learner.goals ?? []) {
    const k = graph.indexOf.get(id);
    if (k === undefined) continue;
    found.add(k);
    for (const before of prerequisitesOf(graph, k)) found.add(before);
  }
  return found;
}

function beforeNeighbours(
  graph: SkillGraph,
  learner: LearnerFacts,
  map: MapState,
  levels: readonly Float64Array[],
  k: number,
  age: number,
  today: string,
): Work {
  const s = map.skills[k]!;
  if (s.lastSeen !== null) {
    const days = daysBetween(s.lastSeen, today);
    const retained = retention(s.memory, days);
    const now = afterForgetting(s.known, retained);
    const steps =
      s.known - now > leastTold
        ? [...s.steps, { evidence: null, at: null, because: 'forgotten' as const, what: String(days), before: s.known, after: now }]
        : s.steps;
    return { now, asSeen: s.known, retained, notes: s.notes, lastSeen: s.lastSeen, steps };
  }
  const wanted = wantedBy(graph.skills[k]!, learner.framework);
  const norm = normPrior(age, wanted);
  const steps: EstimateStep[] = [{ evidence: null, at: null, because: 'norm', what: graph.skills[k]!.id, before: norm, after: norm }];
  if (map.newest === '') return { now: norm, asSeen: norm, retained: 1, notes: 0, lastSeen: null, steps };
  const weights = levels[strandIndex(graph, k)]!;
  const known = levelPrior(weights, age, wanted);
  if (Math.abs(known - norm) > 0.005)
    steps.push({ evidence: null, at: null, because: 'level', what: yearsAhead(weights).toFixed(1), before: norm, after: known });
  return { now: known, asSeen: known, retained: 1, notes: 0, lastSeen: null, steps };
}

/** The least that a low prerequisite leaves of what builds on it. */
const dampFloor = 0.35;

/** Evidence further up lifts what it needs; a low skill further down tempers what builds on it. */
function inferFromNeighbours(graph: SkillGraph, work: readonly Work[]): void {
  for (let i = graph.order.length - 1; i >= 0; i--) {
    const k = graph.order[i]!;
    if (work[k]!.notes > 0) continue;
    for (const later of graph.neededBy[k]!) {
      const known = work[later]!.now;
      const carries = work[later]!.notes > 0 || work[later]!.steps.some((s) => s.because === 'later-skill');
      if (carries && known > work[k]!.now) infer(graph, work[k]!, 'later-skill', later, known);
    }
  }
  for (const k of graph.order) {
    if (work[k]!.notes > 0) continue;
    for (const { index: earlier } of graph.needs[k]!) {
      const w = work[earlier]!;
      const carries = w.notes > 0 || w.steps.some((s) => s.because === 'earlier-skill');
      if (!carries || w.now >= ideaThere) continue;
      const known = work[k]!.now * (dampFloor + ((1 - dampFloor) * w.now) / ideaThere);
      if (known < work[k]!.now) infer(graph, work[k]!, 'earlier-skill', earlier, known);
    }
  }
}

/** Whether the latest note of a step itself is a miss. */
function lastMissed(w: Work): string | null {
  const last = [...w.steps].reverse().find((s) => s.because === 'noted' || s.because === 'missed-fact');
  if (!last?.at) return null;
  const [right, of] = last.what.split(' of ').map(Number);
  return last.because === 'missed-fact' || last.what === 'stuck' || (of !== undefined && right! / of < 0.5) ? last.at : null;
}

/**
 * An easier step is never lower than a harder one of its line and sort that needs it, at any depth, and was seen:
 * who adds within twenty adds within ten. Only a miss of its own that is newer than what was seen there stands against it.
 */
function liftWhatIsShown(graph: SkillGraph, work: readonly Work[]): void {
  for (const [hard, h] of work.entries()) {
    if (h.notes === 0) continue;
    const { strand, nature } = graph.skills[hard]!;
    for (const easy of prerequisitesOf(graph, hard)) {
      const w = work[easy]!;
      const s = graph.skills[easy]!;
      if (s.strand !== strand || sortOf(s.nature) !== sortOf(nature) || w.asSeen >= h.asSeen) continue;
      const missed = lastMissed(w);
      if (missed !== null && missed > (h.lastSeen ?? '')) continue;
      const now = Math.max(w.now, h.now);
      w.steps = [...w.steps, { evidence: null, at: null, because: 'later-skill', what: graph.skills[hard]!.id, before: w.now, after: now }];
      w.now = now;
      w.asSeen = h.asSeen;
      // Shown there, it need not be looked at again for its own sake.
      w.retained = Math.max(w.retained, h.retained);
    }
  }
}

function infer(graph: SkillGraph, w: Work, because: 'later-skill' | 'earlier-skill', from: number, known: number): void {
  w.steps = [...w.steps, { evidence: null, at: null, because, what: graph.skills[from]!.id, before: w.now, after: known }];
  w.now = known;
  w.asSeen = known;
}

function estimateOf(
  graph: SkillGraph,
  learner: LearnerFacts,
  work: readonly Work[],
  k: number,
  age: number,
  goals: ReadonlySet<number>,
): SkillEstimate {
  const w = work[k]!;
  const skill = graph.skills[k]!;
  const wantedAt = wantedBy(skill, learner.framework);
  const seen = w.notes > 0;
  const held = w.asSeen >= heldAt;
  const faded = seen && w.retained < worthCheckingBelow;
  const status: SkillStatus = held ? (faded ? 'worth-checking' : 'on-their-own') : w.asSeen >= growingFrom ? 'growing' : 'not-yet';
  const byNorm = !learner.withoutNorms;
  const wantedNow = goals.has(k) || (byNorm && wantedAt <= age + 0.1);
  const next = !held && (goals.has(k) || (byNorm && wantedAt <= age + nextInLineYears));
  return {
    skill: skill.id,
    mastery: w.now,
    asSeen: w.asSeen,
    retention: w.retained,
    interval: wilson(w.now, priorNotes + w.notes),
    seen,
    notes: w.notes,
    sure: w.notes >= sureFromNotes,
    status,
    lastSeen: w.lastSeen,
    wantedNow,
    gap: wantedNow && seen && !held,
    unlooked: wantedNow && !seen && !held,
    frontier: next && prerequisitesThere(graph, learner, work, k),
    dueForReview: held && seen && w.retained < dueForReviewBelow,
    steps: w.steps,
  };
}

/** How far ahead of the norm a skill may be and still be offered next. */
const nextInLineYears = 0.8;

function prerequisitesThere(graph: SkillGraph, learner: LearnerFacts, work: readonly Work[], k: number): boolean {
  return graph.needs[k]!.every(({ index, sort }) =>
    sort === 'heart' ? learner.supportsInUse.length > 0 || work[index]!.asSeen >= heartThere : work[index]!.asSeen >= ideaThere,
  );
}

/** Wilson's score interval for a share seen in n notes (E. B. Wilson 1927). */
function wilson(share: number, n: number): readonly [number, number] {
  const z2 = intervalZ * intervalZ;
  const centre = (share + z2 / (2 * n)) / (1 + z2 / n);
  const half = (intervalZ / (1 + z2 / n)) * Math.sqrt((share * (1 - share)) / n + z2 / (4 * n * n));
  return [Math.max(0, Math.min(share, centre - half)), Math.min(1, Math.max(share, centre + half))];
}
