import { wantedBy } from '../skills/skill';
import { sortOf } from '../skills/narrower';
import { prerequisitesOf, type SkillGraph } from '../skills/skillGraph';
import { ageOn, daysBetween, type Evidence, type LearnerFacts } from './evidence';
import { heldAbove, varianceOf } from './field';
import { ageRead, emptyMap, type EstimateStep, fieldOf, grownBy, leastTold, type MapState, seeEvidence } from './mapState';
import { dueForReviewBelow, growingFrom, heldAt, intervalZ, sureFromNotes, there, worthCheckingBelow } from './parameters';
import { fallFrom, type Memory, readinessBy, retention } from './retention';
import type { Standing } from './standing';

export type SkillStatus = 'not-yet' | 'growing' | 'on-their-own' | 'worth-checking';

export interface SkillEstimate {
  readonly skill: string;
  /** P(held) on the day, with what was likely forgotten taken off. */
  readonly mastery: number;
  /** P(held) when last seen: where the arm stands, for after a holiday it stays up. */
  readonly asSeen: number;
  /** Ability as last met and how it fades, for reckoning forward; on the day, on a logit scale; and its standard deviation. */
  readonly standing: Standing;
  readonly theta: number;
  readonly spread: number;
  /** Share that is likely still there. */
  readonly retention: number;
  /** 80 % interval: between these the arm would stand after a sheet of ten questions. */
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
  /** P(held) and ability on the day, and P(held) and ability when last seen. */
  now: number;
  theta: number;
  asSeen: number;
  thetaSeen: number;
  readonly variance: number;
  retained: number;
  readonly notes: number;
  readonly lastSeen: string | null;
  readonly missedAt: string | null;
  /** How it fades from when on; that of a harder step where this one is shown there. */
  memory: Memory | null;
  met: string | null;
  steps: readonly EstimateStep[];
}

/**
 * What a learner holds on a day, skill by skill, from the age and everything noted up to
 * that day, in order of time. Cost: evidence × skills².
 */
export function estimateMastery(graph: SkillGraph, learner: LearnerFacts, evidence: readonly Evidence[], today: string): SkillEstimate[] {
  return readMap(graph, learner, mapOf(graph, learner, evidence, today), today);
}

/** Everything noted up to a day, taken in from the first observation on; with `told`, each step of the way is written down. */
export function mapOf(graph: SkillGraph, learner: LearnerFacts, evidence: readonly Evidence[], today: string, told = true): MapState {
  const map = emptyMap(graph, told);
  const upToToday = evidence.filter((e) => e.at.slice(0, 10) <= today);
  for (const e of upToToday.sort((x, y) => (x.at < y.at ? -1 : x.at > y.at ? 1 : x.id < y.id ? -1 : 1)))
    seeEvidence(graph, learner, map, e);
  return map;
}

/** Reads the estimates of a day off what was taken in. */
export function readMap(graph: SkillGraph, learner: LearnerFacts, map: MapState, today: string): SkillEstimate[] {
  const age = ageOn(learner.born, today);
  const work = readField(graph, learner, map, today);
  liftWhatIsShown(graph, work);
  readFromParts(graph, work);
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

function readField(graph: SkillGraph, learner: LearnerFacts, map: MapState, today: string): Work[] {
  const field = fieldOf(graph, learner, map, today);
  const age = ageRead(learner, map, today);
  return map.skills.map((s, k): Work => {
    const variance = varianceOf(field, k);
    const grown = s.lastSeen === null && map.field !== null ? grownBy(graph, k, map.age, age) : 0;
    const thetaSeen = field.mean[k]! + grown;
    const days = s.lastSeen === null ? 0 : daysBetween(s.lastSeen, today);
    const retained = s.lastSeen === null ? 1 : retention(s.memory, days, graph.skills[k]!.nature);
    const theta = thetaSeen - fallFrom(thetaSeen, retained);
    const asSeen = heldAbove(thetaSeen, variance);
    const now = theta === thetaSeen ? asSeen : heldAbove(theta, variance);
    return {
      now,
      theta,
      asSeen,
      thetaSeen,
      variance,
      retained,
      notes: s.notes,
      lastSeen: s.lastSeen,
      missedAt: s.missedAt,
      memory: s.memory,
      met: s.lastSeen?.slice(0, 10) ?? null,
      steps: stepsTo(graph.skills[k]!.id, s.steps, { asSeen, now, age, days }),
    };
  });
}

/** The steps of the way, and what the day adds to them: the age read anew, and what was likely forgotten. */
function stepsTo(
  skill: string,
  told: readonly EstimateStep[],
  { asSeen, now, age, days }: { readonly asSeen: number; readonly now: number; readonly age: number; readonly days: number },
): readonly EstimateStep[] {
  const steps: EstimateStep[] =
    told.length === 0 ? [{ evidence: null, at: null, because: 'norm', what: skill, before: asSeen, after: asSeen }] : [...told];
  const left = steps.at(-1)!.after;
  if (days === 0 && Math.abs(asSeen - left) > leastTold)
    steps.push({ evidence: null, at: null, because: 'age', what: age.toFixed(1), before: left, after: asSeen });
  const last = steps.at(-1)!.after;
  if (days > 0 && last - now > leastTold)
    steps.push({ evidence: null, at: null, because: 'forgotten', what: String(days), before: last, after: now });
  return steps;
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
      if (w.missedAt !== null && w.missedAt > (h.lastSeen ?? '')) continue;
      const now = Math.max(w.now, h.now);
      w.steps = [...w.steps, { evidence: null, at: null, because: 'later-skill', what: graph.skills[hard]!.id, before: w.now, after: now }];
      w.now = now;
      if (h.theta > w.theta) Object.assign(w, { theta: h.theta, memory: h.memory, met: h.met });
      w.asSeen = h.asSeen;
      w.thetaSeen = Math.max(w.thetaSeen, h.thetaSeen);
      // Shown there, it need not be looked at again for its own sake.
      w.retained = Math.max(w.retained, h.retained);
    }
  }
}

/** A step that is nothing beside its parts stands where the least sure of them stands, unless it was seen itself and stands higher. */
function readFromParts(graph: SkillGraph, work: readonly Work[]): void {
  for (const [k, w] of work.entries()) {
    const parts = graph.skills[k]!.parts?.flatMap((id) => work[graph.indexOf.get(id) ?? -1] ?? []) ?? [];
    if (parts.length === 0) continue;
    const least = parts.reduce((x, y) => (y.now < x.now ? y : x));
    if (w.notes > 0 && w.now >= least.now) continue;
    const what = graph.skills[work.indexOf(least)]!.id;
    w.steps = [...w.steps, { evidence: null, at: null, because: 'parts', what, before: w.now, after: least.now }];
    const { now, theta, thetaSeen, memory, met, retained } = least;
    Object.assign(w, { now, theta, thetaSeen, memory, met, retained, asSeen: least.asSeen });
  }
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
    standing: { theta: w.thetaSeen, variance: w.variance, memory: w.memory, lastMet: w.met },
    theta: w.theta,
    spread: Math.sqrt(w.variance),
    retention: w.retained,
    interval: afterSheet(w),
    seen,
    notes: w.notes,
    sure: w.notes >= sureFromNotes,
    status,
    lastSeen: w.lastSeen,
    wantedNow,
    gap: wantedNow && seen && !held,
    // What is nothing beside its parts is looked at in them.
    unlooked: wantedNow && !seen && !held && skill.parts === undefined,
    frontier: next && prerequisitesThere(graph, learner, work, k),
    dueForReview: held && seen && w.retained < dueForReviewBelow,
    steps: w.steps,
  };
}

/** How far ahead of the norm a skill may be and still be offered next. */
const nextInLineYears = 0.8;

function prerequisitesThere(graph: SkillGraph, learner: LearnerFacts, work: readonly Work[], k: number): boolean {
  return graph.needs[k]!.every(
    ({ index, sort }) => (sort === 'heart' && learner.supportsInUse.length > 0) || readinessBy(work[index]!.thetaSeen) >= there,
  );
}

/** Questions on a sheet, and what one tells about θ near the threshold (Fisher's information of the four-parameter model at its mean). */
const sheet = { questions: 10, information: 0.13 };

/** Between which heights the arm would stand, four times of five, after a sheet of ten: what is not known yet, in the map's own terms. */
function afterSheet({ theta, variance, now }: Work): readonly [number, number] {
  const left = 1 / (1 / variance + sheet.questions * sheet.information);
  const moves = intervalZ * Math.sqrt(variance - left);
  const at = (t: number): number => heldAbove(t, left);
  return [Math.max(0, Math.min(now, at(theta - moves))), Math.min(1, Math.max(now, at(theta + moves)))];
}
