import type { Evidence, EvidenceResult, How } from '../mastery/evidence';
import type { SkillGraph } from '../skills/skillGraph';
import { below, createRng, type Rng, uniform } from '../shared/rng';
import type { Assumptions } from './assumptions';
import { abilityOn, chanceOfRight, type InventedLearner, inventLearner, nearSkill, practise, trulyHolds } from './simulateLearner';

/** What was true, and could be asked, when an observation was made. */
export interface Moment {
  readonly evidence: Evidence;
  readonly skill: number;
  readonly day: number;
  /** Whether the skill was truly held just before. */
  readonly held: boolean;
}

export interface TermOfOne {
  readonly learner: InventedLearner;
  /** Birth month that goes with the age on the first day. */
  readonly born: string;
  readonly moments: readonly Moment[];
  /** What is truly held on the last day, skill by skill. */
  readonly heldAtEnd: readonly boolean[];
  readonly lastDay: string;
}

export interface TermShape {
  /** First day, `YYYY-MM-DD`. */
  readonly from: string;
  readonly weeks: number;
  /** Days between meetings, in turn. */
  readonly rhythm: readonly number[];
  readonly notesPerMeeting: number;
  /** Skills asked when a learner comes. */
  readonly placed: number;
  /** Weeks between check-in sheets; 0 for none. */
  readonly sheetEvery: number;
  /** Weeks without meetings, from week so many: a holiday. */
  readonly holiday: { readonly from: number; readonly weeks: number } | null;
}

export const HALF_TERM = {
  from: '2026-09-07',
  weeks: 12,
  rhythm: [3, 4],
  notesPerMeeting: 3,
  placed: 18,
  sheetEvery: 4,
  holiday: { from: 7, weeks: 2 },
} satisfies TermShape;

const dayMs = 86_400_000;
const dateOf = (from: string, day: number): string => new Date(Date.parse(`${from}T00:00:00Z`) + day * dayMs).toISOString().slice(0, 10);
const answersInNote = 6;
const answersOnSheet = 10;
/** Meetings return to a skill this often rather than taking up another. */
const again = 0.6;

/** One learner through a term: placed, practising, noted, now and then on a sheet. */
export function simulateTerm(graph: SkillGraph, age: number, a: Assumptions, shape: TermShape, seed: number, stream: number): TermOfOne {
  const rng = createRng(seed, stream);
  const l = inventLearner(graph, age, a, rng);
  const moments: Moment[] = [];
  let serial = 0;
  const add = (day: number, k: number, rest: Partial<Evidence> & Pick<Evidence, 'kind'>): void => {
    const evidence: Evidence = {
      id: `${seed}-${stream}-${++serial}`,
      at: `${dateOf(shape.from, day)}T10:${String(serial % 60).padStart(2, '0')}:00.000Z`,
      skill: graph.skills[k]!.id,
      result: null,
      correct: null,
      total: null,
      how: null,
      support: null,
      items: [],
      by: { role: rest.kind === 'note' ? 'helper' : 'organiser', ownChild: false },
      ...rest,
    };
    moments.push({ evidence, skill: k, day, held: trulyHolds(l, k, day, a) });
  };
  for (let i = 0; i < shape.placed; i++) {
    const k = nearSkill(l, 0, a, rng);
    add(0, k, { kind: 'placement', ...answerOf(l, k, 0, a, 3, rng) });
  }
  const current: number[] = [];
  const lastDay = shape.weeks * 7;
  for (let day = 1, meeting = 0; day < lastDay; day += shape.rhythm[meeting++ % shape.rhythm.length]!) {
    const week = Math.floor(day / 7);
    if (shape.holiday && week >= shape.holiday.from && week < shape.holiday.from + shape.holiday.weeks) continue;
    for (let n = 0; n < shape.notesPerMeeting; n++) {
      const k = current.length > 3 && uniform(rng) < again ? current[below(rng, current.length)]! : nearSkill(l, day, a, rng);
      if (!current.includes(k)) current.push(k);
      add(day, k, { kind: 'note', ...answerOf(l, k, day, a, answersInNote, rng) });
      practise(graph, l, k, day, a);
    }
    if (shape.sheetEvery > 0 && week > 0 && week % shape.sheetEvery === 0 && current.length > 0) {
      const k = current[below(rng, current.length)]!;
      const p = chanceOfRight(l, k, day, a, false);
      let correct = 0;
      for (let i = 0; i < answersOnSheet; i++) if (uniform(rng) < p) correct++;
      add(day, k, { kind: 'check-in', correct, total: answersOnSheet });
    }
  }
  return {
    learner: l,
    born: bornAt(shape.from, age),
    moments,
    heldAtEnd: graph.skills.map((_, k) => trulyHolds(l, k, lastDay, a)),
    lastDay: dateOf(shape.from, lastDay),
  };
}

/** The birth month of somebody so old on a day. */
export function bornAt(day: string, age: number): string {
  const start = new Date(`${day}T00:00:00Z`);
  return new Date(Date.UTC(start.getUTCFullYear(), start.getUTCMonth() - Math.round(age * 12), 15)).toISOString().slice(0, 7);
}

/** What a helper says after watching so many answers, and how they came. */
export function answerOf(
  l: InventedLearner,
  k: number,
  day: number,
  a: Assumptions,
  answers: number,
  rng: Rng,
): { result: EvidenceResult; how: How | null; support: string | null } {
  const bare = chanceOfRight(l, k, day, a, false);
  const tool = uniform(rng) < a.toolUse * (1 - bare);
  const p = chanceOfRight(l, k, day, a, tool);
  let right = 0;
  for (let i = 0; i < answers; i++) if (uniform(rng) < p) right++;
  const share = right / answers;
  if (uniform(rng) < a.noteNoise) return { result: (['stuck', 'support', 'alone'] as const)[below(rng, 3)]!, how: null, support: null };
  if (share < 0.5) return { result: 'stuck', how: null, support: null };
  if (tool || share < 0.8) return { result: 'support', how: null, support: tool ? 'ten-frame' : 'hint' };
  const now = abilityOn(l, k, day, a);
  const how = uniform(rng) < 0.5 ? null : now > 1.5 ? 'knew' : now > 0.5 ? 'worked-out' : 'counted-on';
  return { result: 'alone', how, support: null };
}
