import { type Item, resultOf } from '../items/item';
import { termStart } from '../shared/days';
import { type Credit, creditsOf } from '../skills/creditsOf';
import { sortOf } from '../skills/narrower';
import type { SkillGraph } from '../skills/skillGraph';
import { ageOn, daysBetween, type Evidence, type LearnerFacts, type NotedItem } from './evidence';
import {
  type Field,
  heldShare,
  type FieldObservation,
  type FieldSkill,
  meanFor,
  momentsAfter,
  observe,
  pairAt,
  priorField,
  priorMean,
  rightAt,
  varianceOf,
} from './field';
import { heldAt, FIELD, howCredit, itemsOf, helpEases, ownChildWeight, practice } from './parameters';
import { fallFrom, type Memory, type Rating, remember, retention } from './retention';

/** One step of the chain that led to an estimate. */
export interface EstimateStep {
  readonly evidence: string | null;
  readonly at: string | null;
  readonly because: 'norm' | 'age' | 'noted' | 'missed-fact' | 'right-facts' | 'forgotten' | 'neighbour' | 'later-skill' | 'parts';
  /** A skill id for the neighbours, the result for a note. */
  readonly what: string;
  readonly before: number;
  readonly after: number;
}

export interface SkillState {
  /** Observations of this very skill; items met on the way count in part. */
  notes: number;
  lastSeen: string | null;
  /** When it was last gone wrong with, here itself. */
  missedAt: string | null;
  memory: Memory | null;
  readonly steps: EstimateStep[];
}

/**
 * What is known of a learner's skills from the evidence so far, in order of time. Taking
 * in one more observation (`seeEvidence`) gives the same as starting again from the whole log.
 */
export interface MapState {
  readonly skills: readonly SkillState[];
  /** Null before the first observation. */
  field: Field | null;
  /** The age that steps without a note of their own are expected by. */
  age: number;
  /** When the newest observation taken in was made. */
  newest: string;
  /** Where each skill stood when it was last told of, in standard deviations from the threshold; null where no step is written down. */
  readonly toldAt: Float64Array | null;
}

export function emptyMap(graph: SkillGraph, told = true): MapState {
  return {
    skills: graph.skills.map(() => ({ notes: 0, lastSeen: null, missedAt: null, memory: null, steps: [] })),
    field: null,
    age: NaN,
    newest: '',
    toldAt: told ? new Float64Array(graph.skills.length) : null,
  };
}

/** A move of less than this is not told as a step. */
export const leastTold = 0.02;

const fieldSkills = new WeakMap<SkillGraph, readonly FieldSkill[]>();
/** Ability does not follow the framework a learner is shown: one date for every child. */
export function fieldSkillsOf(graph: SkillGraph): readonly FieldSkill[] {
  let list = fieldSkills.get(graph);
  if (!list) fieldSkills.set(graph, (list = graph.skills.map((s) => ({ wantedAt: s.wantedAt.us, strand: s.strand }))));
  return list;
}

/** The field as it stands, begun at the learner's age where nothing was noted yet. */
export const fieldOf = (graph: SkillGraph, learner: LearnerFacts, map: MapState, at: string): Field =>
  map.field ?? priorField(fieldSkillsOf(graph), ageOn(learner.born, at));

/**
 * The age that holds on a day: within a term no step follows the calendar; at the start of the next the age is read
 * anew, and by steps without a note of their own.
 */
export function ageRead(learner: LearnerFacts, map: MapState, at: string): number {
  if (map.field === null) return ageOn(learner.born, at);
  return Math.max(map.age, ageOn(learner.born, termStart(at.slice(0, 10))));
}

/** By how much a step without a note of its own is expected to have grown since its age was read. */
export const grownBy = (graph: SkillGraph, k: number, from: number, to: number): number =>
  priorMean(to, graph.skills[k]!.wantedAt.us) - priorMean(from, graph.skills[k]!.wantedAt.us);

function begin(graph: SkillGraph, learner: LearnerFacts, map: MapState, at: string): Field {
  const age = ageRead(learner, map, at);
  if (map.field === null) {
    map.field = priorField(fieldSkillsOf(graph), age);
    if (map.toldAt)
      for (const [k, s] of map.skills.entries()) {
        map.toldAt[k] = distanceOf(map.field, k);
        const held = heldShare(map.field, k);
        s.steps.push({ evidence: null, at, because: 'norm', what: graph.skills[k]!.id, before: held, after: held });
      }
  } else if (age > map.age)
    change(graph, map, { evidence: null, at, because: 'age', what: age.toFixed(1) }, (field) => {
      for (const [k, s] of map.skills.entries()) if (s.lastSeen === null) field.mean[k]! += grownBy(graph, k, map.age, age);
    });
  map.age = age;
  return map.field;
}

type Cause = Pick<EstimateStep, 'evidence' | 'at' | 'because' | 'what'>;

/** How far a mean lies from the threshold in standard deviations: what P(held) is the normal distribution of. */
const distanceOf = (field: Field, k: number): number => (field.mean[k]! - FIELD.heldFrom) / Math.sqrt(varianceOf(field, k));
/** P(held) moves by less than `leastTold` while the distance moves by less than this: no normal density exceeds .4. */
const leastDistance = leastTold / 0.4;

/** Changes the field, and writes down what that moved: as its own step at skill `own`, as a neighbour's elsewhere. */
function change(graph: SkillGraph, map: MapState, cause: Cause, act: (field: Field) => void, own = -1): void {
  const field = map.field!;
  act(field);
  if (!map.toldAt) return;
  for (let k = 0; k < map.skills.length; k++)
    if (k === own || Math.abs(distanceOf(field, k) - map.toldAt[k]!) >= leastDistance) tell(graph, map, k, cause, own);
}

function tell(graph: SkillGraph, map: MapState, k: number, cause: Cause, own: number): void {
  const { steps } = map.skills[k]!;
  const after = heldShare(map.field!, k);
  const last = steps.at(-1)!;
  const neighbour = own >= 0 && k !== own;
  if (k !== own && Math.abs(after - last.after) < leastTold) return;
  map.toldAt![k] = distanceOf(map.field!, k);
  const what = neighbour ? { because: 'neighbour' as const, what: graph.skills[own]!.id } : {};
  const step: EstimateStep = { ...cause, ...what, before: last.after, after };
  // Several notes about one neighbour are one line.
  if (neighbour && last.because === 'neighbour' && last.what === step.what) steps[steps.length - 1] = { ...step, before: last.before };
  else steps.push(step);
}

/** Takes in one observation, which must not be older than the newest before it. */
export function seeEvidence(graph: SkillGraph, learner: LearnerFacts, map: MapState, e: Evidence): void {
  const k = graph.indexOf.get(e.skill);
  map.newest = e.at;
  if (k === undefined) return;
  const sheet = e.total !== null && e.total > 0;
  if (!sheet && e.result === null) return;
  const field = begin(graph, learner, map, e.at);
  forget(graph, map, k, e.at);
  const weight = e.by.ownChild ? ownChildWeight : 1;
  const kept = e.support !== null && learner.permanentSupports.includes(e.support);
  const { nature } = graph.skills[k]!;
  // Writing it out is how a written way goes.
  const helped = !kept && (sheet ? e.support !== null : e.result === 'support') && !(nature === 'method' && e.support === 'writing-steps');
  const difficulty = helped ? -helpEases : 0;
  const expected = rightAt(field.mean[k]!, difficulty, FIELD);
  const likely = heldShare(field, k) >= heldAt;
  let rating: Rating;
  if (sheet) {
    const share = (e.correct ?? 0) / e.total;
    const items = weight * e.total;
    noted(graph, map, k, e, { items, right: items * share, difficulty }, null);
    rating = share < 0.5 ? 'stuck' : share < 0.8 ? 'support' : 'alone';
  } else {
    const stuck = e.result === 'stuck';
    const credit = stuck || e.how === null ? 1 : howCredit[nature][e.how];
    // Only counting it out at a step by heart tells that it is not by heart; of nothing else it tells the contrary.
    const countedOut = !stuck && nature === 'by-heart' && (e.how === 'counted-all' || e.how === 'counted-on');
    const items = weight * itemsOf[e.kind] * (countedOut ? 1 : credit);
    const right = stuck ? 0 : countedOut ? items * credit : items;
    noted(graph, map, k, e, { items, right, difficulty, alone: countedOut }, e.kind === 'note' ? expected : null);
    rating = stuck ? 'stuck' : helped || credit < 0.7 ? 'support' : e.how === 'knew' ? 'knew' : 'alone';
  }
  if (rating === 'stuck') map.skills[k]!.missedAt = e.at;
  seen(graph, map, k, e.at, 1, rating, likely);
  met(graph, map, e, k);
}

type Seen = Omit<FieldObservation, 'skill'>;

/** Practice teaches most where about every other answer comes right; what came of it is a little less sure. */
function noted(graph: SkillGraph, map: MapState, k: number, e: Evidence, o: Seen, practised: number | null): void {
  const cause = { evidence: e.id, at: e.at, because: 'noted' as const, what: e.result ?? `${e.correct} of ${e.total}` };
  const act = (field: Field): void => {
    const helped = o.difficulty < 0;
    const before = heldShare(field, k);
    // With help lent for the day a step is seen to grow, and nothing beyond that.
    const raises = helped && momentsAfter(field.mean[k]!, varianceOf(field, k), o).mean > field.mean[k]!;
    if (!raises || before < helpedUpTo) observe(field, { skill: k, ...o });
    if (practised !== null) {
      field.mean[k]! += practice.rise * 4 * practised * (1 - practised);
      field.covariance[pairAt(k, k)]! += practice.widens;
    }
    if (raises && before < helpedUpTo && heldShare(field, k) > helpedUpTo) field.mean[k] = meanFor(helpedUpTo, varianceOf(field, k));
  };
  change(graph, map, cause, act, k);
}

/** P(held) up to which right answers with help raise a step: well into growing, and short of on their own. */
const helpedUpTo = 0.45;

/** What has gone from a skill since it was last seen comes off before something is added. */
function forget(graph: SkillGraph, map: MapState, k: number, at: string): void {
  const s = map.skills[k]!;
  if (s.lastSeen === null) return;
  const days = daysBetween(s.lastSeen, at);
  const cause = { evidence: null, at, because: 'forgotten' as const, what: String(Math.round(days)) };
  map.field!.mean[k]! -= fallFrom(map.field!.mean[k]!, retention(s.memory, days, graph.skills[k]!.nature));
  if (!map.toldAt) return;
  const after = heldShare(map.field!, k);
  const before = s.steps.at(-1)!.after;
  if (before - after <= leastTold) return;
  s.steps.push({ ...cause, before, after });
  map.toldAt[k] = distanceOf(map.field!, k);
}

/** How much longer the memory of an old acquaintance lasts: likely held before anybody looked, and then it went well. */
const acquaintance = 4;

function seen(graph: SkillGraph, map: MapState, k: number, at: string, notes: number, rating: Rating, likely: boolean): void {
  const s = map.skills[k]!;
  const first = s.lastSeen === null;
  s.memory = remember(s.memory, s.lastSeen ? daysBetween(s.lastSeen, at) : 0, rating, graph.skills[k]!.nature);
  if (first && likely && (rating === 'alone' || rating === 'knew'))
    s.memory = { ...s.memory, stability: s.memory.stability * acquaintance };
  s.notes += notes;
  s.lastSeen = at;
}

const fullItem = (item: NotedItem): Item => ({
  op: item.op,
  a: item.a,
  b: item.b,
  result: resultOf(item.op, item.a, item.b),
  unknown: 'result',
  rep: 'numerals',
});
/** What an answer shows: the narrowest facts and methods it belongs to. How it was thought out an answer does not tell. */
const answersFor = (graph: SkillGraph, item: NotedItem): Credit[] =>
  creditsOf(graph, fullItem(item)).filter(({ index }) => sortOf(graph.skills[index]!.nature) === 'answers');

/**
 * Single items say something of the narrowest steps they belong to, one item in all each, and of nothing else; what
 * the note is about has them in it already. Those missed are taken in after those right.
 */
function met(graph: SkillGraph, map: MapState, e: Evidence, about: number): void {
  for (const correct of [true, false]) {
    const found = new Map<number, { items: number; readonly list: NotedItem[] }>();
    for (const item of e.items) {
      if (item.correct !== correct) continue;
      for (const { index, share } of answersFor(graph, item)) {
        if (index === about) continue;
        const f = found.get(index) ?? { items: 0, list: [] };
        f.items += share;
        f.list.push(item);
        found.set(index, f);
      }
    }
    for (const [k, { items, list }] of found) {
      forget(graph, map, k, e.at);
      const what = correct ? String(Math.ceil(items)) : list.map((i) => `${i.a} ${i.op} ${i.b}`).join(', ');
      const likely = heldShare(map.field!, k) >= heldAt;
      const cause = { evidence: e.id, at: e.at, because: correct ? ('right-facts' as const) : ('missed-fact' as const), what };
      change(graph, map, cause, (field) => void observe(field, { skill: k, items, right: correct ? items : 0, difficulty: 0 }), k);
      if (!correct) map.skills[k]!.missedAt = e.at;
      const rating = correct ? 'alone' : 'stuck';
      seen(graph, map, k, e.at, Math.min(1, items), rating, likely);
    }
  }
}
