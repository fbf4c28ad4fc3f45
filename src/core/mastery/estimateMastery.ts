import { resultOf } from '../items/item';
import type { SkillGraph } from '../skills/skillGraph';
import { chancesOf } from '../skills/skillGraph';
import { ageOn, type Evidence, type LearnerFacts } from './evidence';
import { learn, sheetPosterior, softPosterior } from './knowledgeTracing';
import {
  dueForReviewDays,
  growingFrom,
  heartThere,
  heldAt,
  howCredit,
  ideaThere,
  intervalZ,
  missWeight,
  ownChildWeight,
  PARAMETERS,
  prior,
  priorNotes,
  sureFromNotes,
  supportCredit,
  worthCheckingDays,
} from './parameters';

export type SkillStatus = 'not-yet' | 'growing' | 'on-their-own' | 'worth-checking';

/** One step of the chain that led to an estimate. */
export interface EstimateStep {
  readonly evidence: string | null;
  readonly at: string | null;
  readonly because: 'norm' | 'noted' | 'missed-fact' | 'later-skill' | 'earlier-skill';
  /** A skill id for the neighbours, the result for a note. */
  readonly what: string;
  readonly before: number;
  readonly after: number;
}

export interface SkillEstimate {
  readonly skill: string;
  readonly mastery: number;
  /** 80 % interval. */
  readonly interval: readonly [number, number];
  /** Somebody noted something about this very skill. */
  readonly seen: boolean;
  readonly notes: number;
  readonly sure: boolean;
  readonly status: SkillStatus;
  readonly lastSeen: string | null;
  readonly wantedNow: boolean;
  /** Wanted by now and not held. */
  readonly gap: boolean;
  /** A gap, or next in line, whose prerequisites are there. */
  readonly frontier: boolean;
  readonly dueForReview: boolean;
  readonly steps: readonly EstimateStep[];
}

interface Work {
  known: number;
  notes: number;
  lastSeen: string | null;
  steps: EstimateStep[];
}

/** Norm prior: rises from `least` to `most` around the age at which the skill is wanted. */
export function normPrior(age: number, wantedAt: number): number {
  return prior.least + (prior.most - prior.least) / (1 + Math.exp(-(age - wantedAt - prior.leadYears) / prior.widthYears));
}

/**
 * What a learner holds on a day, skill by skill, from the norm and everything noted up to
 * that day, in order of time. Cost: linear in evidence plus edges of the graph.
 */
export function estimateMastery(graph: SkillGraph, learner: LearnerFacts, evidence: readonly Evidence[], today: string): SkillEstimate[] {
  const age = ageOn(learner.born, today);
  const wanted = graph.skills.map((s) => s.wantedAt[learner.framework]);
  const work: Work[] = wanted.map((at) => ({ known: normPrior(age, at), notes: 0, lastSeen: null, steps: [] }));
  for (const [k, w] of work.entries()) w.steps.push({ evidence: null, at: null, because: 'norm', what: graph.skills[k]!.id, before: w.known, after: w.known });
  const inOrder = [...evidence].filter((e) => e.at.slice(0, 10) <= today).sort((x, y) => (x.at < y.at ? -1 : x.at > y.at ? 1 : 0));
  for (const e of inOrder) note(graph, learner, work, e);
  inferFromNeighbours(graph, work);
  return graph.skills.map((_, k) => estimateOf(graph, learner, work, k, age, today));
}

function note(graph: SkillGraph, learner: LearnerFacts, work: readonly Work[], e: Evidence): void {
  const k = graph.indexOf.get(e.skill);
  if (k === undefined) return;
  const p = PARAMETERS[e.kind];
  const weight = e.by.ownChild ? ownChildWeight : 1;
  const w = work[k]!;
  const before = w.known;
  let learned = 1;
  if (e.total !== null && e.total > 0) {
    w.known = before + weight * (sheetPosterior(before, e.correct ?? 0, e.total, p) - before);
  } else if (e.result !== null) {
    const alone = e.result === 'alone' || (e.result === 'support' && e.support !== null && learner.permanentSupports.includes(e.support));
    let credit = e.result === 'stuck' ? 0 : alone ? 1 : supportCredit;
    if (e.how && credit > 0) credit *= howCredit[graph.skills[k]!.nature][e.how];
    w.known = softPosterior(before, credit, weight, p);
    learned = credit;
  } else return;
  w.known = learn(w.known, p, learned);
  w.notes += 1;
  w.lastSeen = e.at;
  w.steps.push({ evidence: e.id, at: e.at, because: 'noted', what: e.result ?? `${e.correct} of ${e.total}`, before, after: w.known });
  for (const item of e.items) if (!item.correct) missedFact(graph, work, e, item);
}

/** A miss weighs on the hardest by-heart skill involved, and on nothing else. */
function missedFact(graph: SkillGraph, work: readonly Work[], e: Evidence, item: Evidence['items'][number]): void {
  const full = { op: item.op, a: item.a, b: item.b, result: resultOf(item.op, item.a, item.b), unknown: 'result', rep: 'numerals' } as const;
  const hit = chancesOf(graph, full).filter((k) => graph.skills[k]!.nature === 'by-heart');
  if (hit.length === 0) return;
  const hardest = hit.reduce((x, y) => (graph.skills[y]!.wantedAt.us > graph.skills[x]!.wantedAt.us ? y : x));
  const w = work[hardest]!;
  const before = w.known;
  w.known = softPosterior(before, 0, missWeight, PARAMETERS[e.kind]);
  w.notes += missWeight;
  w.lastSeen = e.at;
  w.steps.push({ evidence: e.id, at: e.at, because: 'missed-fact', what: `${item.a} ${item.op} ${item.b}`, before, after: w.known });
}

/** Share of a later skill's mastery that carries over to what it needs. */
const liftShare = 0.95;
/** The least that a low prerequisite leaves of what builds on it. */
const dampFloor = 0.35;

/** Evidence further up lifts what it needs; a low skill further down tempers what builds on it. */
function inferFromNeighbours(graph: SkillGraph, work: readonly Work[]): void {
  for (let i = graph.order.length - 1; i >= 0; i--) {
    const k = graph.order[i]!;
    if (work[k]!.notes > 0) continue;
    for (const later of graph.neededBy[k]!) {
      const known = work[later]!.known * liftShare;
      const carries = work[later]!.notes > 0 || work[later]!.steps.some((s) => s.because === 'later-skill');
      if (carries && known > work[k]!.known) infer(graph, work[k]!, 'later-skill', later, known);
    }
  }
  for (const k of graph.order) {
    if (work[k]!.notes > 0) continue;
    for (const { index: earlier } of graph.needs[k]!) {
      const w = work[earlier]!;
      const carries = w.notes > 0 || w.steps.some((s) => s.because === 'earlier-skill');
      if (!carries || w.known >= ideaThere) continue;
      const known = work[k]!.known * (dampFloor + ((1 - dampFloor) * w.known) / ideaThere);
      if (known < work[k]!.known) infer(graph, work[k]!, 'earlier-skill', earlier, known);
    }
  }
}

function infer(graph: SkillGraph, w: Work, because: 'later-skill' | 'earlier-skill', from: number, known: number): void {
  w.steps.push({ evidence: null, at: null, because, what: graph.skills[from]!.id, before: w.known, after: known });
  w.known = known;
}

function estimateOf(graph: SkillGraph, learner: LearnerFacts, work: readonly Work[], k: number, age: number, today: string): SkillEstimate {
  const w = work[k]!;
  const skill = graph.skills[k]!;
  const wantedAt = skill.wantedAt[learner.framework];
  const seen = w.notes > 0;
  const quietDays = w.lastSeen ? daysBetween(w.lastSeen, today) : 0;
  const held = w.known >= heldAt;
  const status: SkillStatus = held ? (seen && quietDays > worthCheckingDays ? 'worth-checking' : 'on-their-own') : w.known >= growingFrom ? 'growing' : 'not-yet';
  const wantedNow = wantedAt <= age + 0.1;
  const gap = wantedNow && !held;
  const next = !held && wantedAt <= age + nextInLineYears;
  const frontier = next && prerequisitesThere(graph, learner, work, k);
  return {
    skill: skill.id,
    mastery: w.known,
    interval: wilson(w.known, priorNotes + w.notes),
    seen,
    notes: w.notes,
    sure: w.notes >= sureFromNotes,
    status,
    lastSeen: w.lastSeen,
    wantedNow,
    gap,
    frontier,
    dueForReview: held && seen && quietDays > dueForReviewDays,
    steps: w.steps,
  };
}

/** How far ahead of the norm a skill may be and still be offered next. */
const nextInLineYears = 0.8;

function prerequisitesThere(graph: SkillGraph, learner: LearnerFacts, work: readonly Work[], k: number): boolean {
  return graph.needs[k]!.every(({ index, sort }) => (sort === 'heart' ? learner.supportsInUse.length > 0 || work[index]!.known >= heartThere : work[index]!.known >= ideaThere));
}

/** Wilson's score interval for a share seen in n notes (E. B. Wilson 1927). */
function wilson(share: number, n: number): readonly [number, number] {
  const z2 = intervalZ * intervalZ;
  const centre = (share + z2 / (2 * n)) / (1 + z2 / n);
  const half = (intervalZ / (1 + z2 / n)) * Math.sqrt((share * (1 - share)) / n + z2 / (4 * n * n));
  return [Math.max(0, Math.min(share, centre - half)), Math.min(1, Math.max(share, centre + half))];
}

export function daysBetween(from: string, to: string): number {
  return (Date.parse(`${to.slice(0, 10)}T00:00:00Z`) - Date.parse(`${from.slice(0, 10)}T00:00:00Z`)) / 86_400_000;
}
