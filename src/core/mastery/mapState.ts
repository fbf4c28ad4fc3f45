import { wantedBy } from '../skills/skill';
import { type Item, resultOf } from '../items/item';
import type { SkillGraph } from '../skills/skillGraph';
import { type Credit, creditsOf } from '../skills/creditsOf';
import { sortOf } from '../skills/narrower';
import { ageOn, daysBetween, type Evidence, type LearnerFacts, type NotedItem } from './evidence';
import { learn, sheetPosterior, softPosterior } from './knowledgeTracing';
import { type LevelEvidence, levelOf, levelPrior, noLevelEvidence, seeLevel } from './levelGrid';
import {
  growingFrom,
  guessWithTool,
  hitWeight,
  howCredit,
  type KnowledgeParameters,
  missWeight,
  ownChildWeight,
  PARAMETERS,
  supportCredit,
  surest,
} from './parameters';
import { afterForgetting, type Memory, type Rating, remember, retention } from './retention';

/** One step of the chain that led to an estimate. */
export interface EstimateStep {
  readonly evidence: string | null;
  readonly at: string | null;
  readonly because: 'norm' | 'level' | 'noted' | 'missed-fact' | 'right-facts' | 'forgotten' | 'later-skill' | 'earlier-skill';
  /** A skill id for the neighbours, years ahead for the level, the result for a note. */
  readonly what: string;
  readonly before: number;
  readonly after: number;
}

export interface SkillState {
  /** P(known) when last seen. */
  known: number;
  /** Observations, a missed or right fact counting in part. */
  notes: number;
  lastSeen: string | null;
  memory: Memory | null;
  readonly steps: EstimateStep[];
}

/**
 * What is known of a learner's skills from the evidence so far, in order of time. Taking
 * in one more observation (`seeEvidence`) gives the same as starting again from the whole log.
 */
export interface MapState {
  readonly skills: readonly SkillState[];
  readonly levels: LevelEvidence;
  /** When the newest observation taken in was made. */
  newest: string;
}

export function emptyMap(graph: SkillGraph): MapState {
  return {
    skills: graph.skills.map(() => ({ known: NaN, notes: 0, lastSeen: null, memory: null, steps: [] })),
    levels: noLevelEvidence(graph.strands.length),
    newest: '',
  };
}

/** Forgetting of less than this is not told as a step. */
export const leastTold = 0.02;

/** Index of a skill's strand. */
export const strandIndex = (graph: SkillGraph, k: number): number => graph.strands.findIndex((s) => s.id === graph.skills[k]!.strand);

/** Takes in one observation, which must not be older than the newest before it. */
export function seeEvidence(graph: SkillGraph, learner: LearnerFacts, map: MapState, e: Evidence): void {
  const k = graph.indexOf.get(e.skill);
  map.newest = e.at;
  if (k === undefined) return;
  const p = PARAMETERS[e.kind];
  const weight = e.by.ownChild ? ownChildWeight : 1;
  const s = beginning(graph, learner, map, k, e.at);
  const before = s.known;
  let rating: Rating;
  if (e.total !== null && e.total > 0) {
    const share = (e.correct ?? 0) / e.total;
    level(graph, learner, map, k, e, share, weight);
    // A tool in hand makes right answers say less, unless this child keeps it.
    const withTool = e.support !== null && !learner.permanentSupports.includes(e.support);
    s.known = before + weight * (sheetPosterior(before, e.correct ?? 0, e.total, withTool ? { ...p, guess: guessWithTool } : p) - before);
    s.known = learn(s.known, p);
    rating = share < 0.5 ? 'stuck' : share < 0.8 ? 'support' : 'alone';
  } else if (e.result !== null) {
    const credit = creditOf(graph, learner, k, e);
    level(graph, learner, map, k, e, credit, weight);
    const moved = softPosterior(before, credit, weight, p);
    // Right with help may say that it is not held yet, but never that it stopped growing. Only counting it out at a step
    // by heart tells that it is not by heart.
    const countedOut = graph.skills[k]!.nature === 'by-heart' && (e.how === 'counted-all' || e.how === 'counted-on');
    s.known = learn(e.result === 'stuck' || countedOut ? moved : Math.max(moved, Math.min(before, growingFrom)), p, credit);
    rating = e.result === 'stuck' ? 'stuck' : credit < 0.7 ? 'support' : e.how === 'knew' ? 'knew' : 'alone';
  } else return;
  seen(s, e, 1, rating);
  s.steps.push({ evidence: e.id, at: e.at, because: 'noted', what: e.result ?? `${e.correct} of ${e.total}`, before, after: s.known });
  missedFacts(graph, learner, map, e, k, p);
  rightFacts(graph, learner, map, e, k, p);
}

/** What an answer says of the skill, 0 … 1: a support discounts it unless it is this child's for good. */
function creditOf(graph: SkillGraph, learner: LearnerFacts, k: number, e: Evidence): number {
  if (e.result === 'stuck') return 0;
  // Writing it out is how a written way goes.
  const written = graph.skills[k]!.nature === 'method' && e.support === 'writing-steps';
  const alone = e.result === 'alone' || written || (e.support !== null && learner.permanentSupports.includes(e.support));
  const credit = alone ? 1 : supportCredit;
  return e.how ? credit * howCredit[graph.skills[k]!.nature][e.how] : credit;
}

/** The same answer again and again says little more about the line as a whole. */
function level(graph: SkillGraph, learner: LearnerFacts, map: MapState, k: number, e: Evidence, credit: number, weight: number): void {
  const { slip, guess } = PARAMETERS[e.kind];
  const ifKnown = credit * (1 - slip) + (1 - credit) * slip;
  const ifNot = credit * guess + (1 - credit) * (1 - guess);
  seeLevel(
    map.levels,
    strandIndex(graph, k),
    ageOn(learner.born, e.at),
    wantedBy(graph.skills[k]!, learner.framework),
    ifKnown,
    ifNot,
    weight / (1 + map.skills[k]!.notes),
  );
}

/** The state of a skill when it is seen: begun from level and norm the first time, a little forgotten since the last. */
function beginning(graph: SkillGraph, learner: LearnerFacts, map: MapState, k: number, at: string): SkillState {
  const s = map.skills[k]!;
  if (s.lastSeen === null) {
    const wanted = wantedBy(graph.skills[k]!, learner.framework);
    s.known = levelPrior(levelOf(map.levels, strandIndex(graph, k)), ageOn(learner.born, at), wanted);
    s.steps.push({ evidence: null, at, because: 'norm', what: graph.skills[k]!.id, before: s.known, after: s.known });
    return s;
  }
  const retained = retention(s.memory, daysBetween(s.lastSeen, at));
  const after = afterForgetting(s.known, retained);
  if (s.known - after > leastTold)
    s.steps.push({
      evidence: null,
      at,
      because: 'forgotten',
      what: String(Math.round(daysBetween(s.lastSeen, at))),
      before: s.known,
      after,
    });
  s.known = after;
  return s;
}

function seen(s: SkillState, e: Evidence, notes: number, rating: Rating): void {
  s.known = Math.min(surest, Math.max(1 - surest, s.known));
  s.memory = remember(s.memory, s.lastSeen ? daysBetween(s.lastSeen, e.at) : 0, rating);
  s.notes += notes;
  s.lastSeen = e.at;
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

/** A miss weighs on the narrowest steps it belongs to, and on nothing else; what the note is about has its misses in it already. */
function missedFacts(graph: SkillGraph, learner: LearnerFacts, map: MapState, e: Evidence, noted: number, p: KnowledgeParameters): void {
  const missed = new Map<number, { readonly item: NotedItem; readonly share: number }[]>();
  for (const item of e.items) {
    if (item.correct) continue;
    for (const { index, share } of answersFor(graph, item))
      if (index !== noted) missed.set(index, [...(missed.get(index) ?? []), { item, share }]);
  }
  for (const [narrowest, items] of missed) {
    const s = beginning(graph, learner, map, narrowest, e.at);
    const before = s.known;
    const weight = 1 - (1 - missWeight) ** items.reduce((sum, i) => sum + i.share, 0);
    s.known = softPosterior(before, 0, weight, p);
    seen(s, e, weight, 'stuck');
    s.steps.push({
      evidence: e.id,
      at: e.at,
      because: 'missed-fact',
      what: items.map(({ item: i }) => `${i.a} ${i.op} ${i.b}`).join(', '),
      before,
      after: s.known,
    });
  }
}

/** Right answers are chances taken: they credit the narrowest steps other than the one noted, a little each. */
function rightFacts(graph: SkillGraph, learner: LearnerFacts, map: MapState, e: Evidence, noted: number, p: KnowledgeParameters): void {
  const counts = new Map<number, number>();
  for (const item of e.items)
    if (item.correct)
      for (const { index: k, share } of answersFor(graph, item)) if (k !== noted) counts.set(k, (counts.get(k) ?? 0) + share);
  for (const [k, right] of counts) {
    const s = beginning(graph, learner, map, k, e.at);
    const before = s.known;
    const weight = 1 - (1 - hitWeight) ** right;
    s.known = softPosterior(before, 1, weight, p);
    seen(s, e, weight, 'alone');
    s.steps.push({ evidence: e.id, at: e.at, because: 'right-facts', what: String(Math.ceil(right)), before, after: s.known });
  }
}
