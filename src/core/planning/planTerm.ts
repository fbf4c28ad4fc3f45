import { daysBetween } from '../shared/days';
import { rightAt } from '../mastery/field';
import { ladderOf, nextSupport } from '../mastery/nextSupport';
import { firmAt, FORECAST } from '../mastery/parameters';
import { type Standing, standingOn } from '../mastery/standing';
import { afterPractice } from '../recommend/afterPractice';
import { atTable } from '../recommend/atTable';
import { learnerNeeds, type LearnerNeeds, type NeedyLearner } from '../recommend/learnerNeeds';
import type { Offer } from '../recommend/offer';
import { metFrom, metInPlay, type Play, renewed } from '../recommend/metInPlay';
import { practised } from '../recommend/practised';
import { mainSkill } from '../recommend/recommend';
import { expectedSuccess } from '../recommend/valueOf';
import type { SkillGraph } from '../skills/skillGraph';
import { buildSession, type BuiltSession, type SessionSettings } from './buildSession';
import type { SolveModel } from './linearModel';
import { pairKey, type Wishes } from './wishes';
import type { Diagnosis } from './diagnose';
import type { PlanInstance } from './instance';
import { objectiveOf } from './objective';
import { movesPerSecond, type PlanOutcome, planSession } from './planSession';

export interface TermLearner extends NeedyLearner {
  /** Where each skill stands, by index. */
  readonly skills: readonly Standing[];
}

export interface TermMeeting {
  readonly date: string;
  readonly present: readonly string[];
  readonly rounds: number;
  readonly minutes: number;
  readonly tables: number;
  readonly helpers: number;
}

export interface WirePlayed extends Play {
  readonly game: string;
}

/** Everything a worker needs to plan one or more meetings: data that can be sent to it as it is. */
export interface PlanningInput {
  readonly offers: readonly Offer[];
  readonly learners: readonly TermLearner[];
  readonly meetings: readonly TermMeeting[];
  readonly stock: readonly (readonly [string, number])[];
  readonly plentiful: readonly string[];
  readonly preparationMinutes: number;
  /** How often a child may play the same game in one session; once where nothing is said. */
  readonly timesEach?: number;
  readonly played: readonly WirePlayed[];
  readonly wishes?: Wishes;
  /** How often two sat together lately, by `pairKey`, and in how many rounds each had no seat. */
  readonly satTogether?: readonly (readonly [string, number])[];
  readonly rested?: readonly (readonly [string, number])[];
  /** Seats of the first meeting as they were, by round: learner and game. As few as can be are changed. */
  readonly keep?: readonly (readonly (readonly [learner: string, game: string])[])[];
  readonly locks: SessionSettings['locks'];
  readonly resting: SessionSettings['resting'];
  readonly seed: number;
  readonly secondsPerMeeting: number;
}

export interface PlannedSeat {
  readonly learner: string;
  readonly variant: string;
  /** Skill that weighs most, its chances in the round, expected success. */
  readonly skill: string | null;
  readonly because: SeatBecause;
  /** The tool to lay out: the one this child keeps, else the lightest that keeps success in the band. */
  readonly tool: string | null;
  readonly chances: number;
  readonly success: number;
  readonly stretched: boolean;
}

/** One thing that would help: a number of the session that is larger, things to be had, or something that is let go. */
export interface HelpingStep {
  readonly relax: 'tables' | 'helpers' | 'preparation' | 'stock' | 'lock' | 'repeats';
  readonly by?: number;
  readonly kind?: string;
  readonly lock?: SeatName;
  /** What the fixed seat cannot be kept beside. */
  readonly beside?: SeatName;
}

export interface SeatName {
  readonly learner: string;
  readonly round: number;
  readonly game: string;
}

export interface MissingSeats {
  readonly unseatedBefore: number;
  readonly unseatedAfter: number;
  readonly steps: readonly HelpingStep[];
}

export interface PlannedMeeting {
  readonly date: string;
  readonly status: PlanOutcome['status'];
  readonly objective: number;
  readonly bound: number;
  /** Where seats were to be kept: how many are others now, and the share of worth given up for the rest. */
  readonly changes: { readonly seats: number; readonly of: number; readonly price: number } | null;
  /** Why not all have a seat, and the smallest set of things that together would bring it; null where all have. */
  readonly missing: MissingSeats | null;
  readonly rounds: readonly {
    readonly tables: readonly {
      readonly game: string;
      readonly seats: readonly PlannedSeat[];
      /** The child whose note would tell most for what comes next; null where no seat is for a step. */
      readonly lookFor: string | null;
    }[];
    readonly resting: readonly string[];
  }[];
}

/** One session that is to be planned, by whoever drives `termSteps`. */
export interface SessionTask {
  readonly meeting: number;
  readonly instance: PlanInstance;
  readonly seed: number;
  /** Moves of each start. */
  readonly moves: number;
  /** Only a plan that seats everybody is of use; no search where there is none. */
  readonly wholeOnly: boolean;
  /** What a schedule of this session means in names. */
  readonly read: (outcome: PlanOutcome) => PlannedMeeting;
}

/**
 * Plans meetings one after another with the same model: after each, everyone's mastery is carried forward by what they
 * will have practised, so that later meetings follow from it. A generator: it asks for each session to be planned and
 * goes on with the answer, so that a worker may plan it as it likes; `done` hears of each finished meeting. A session
 * that was stopped is the last.
 */
export function* termSteps(
  graph: SkillGraph,
  input: PlanningInput,
  done?: (meeting: number, planned: PlannedMeeting) => void,
): Generator<SessionTask, PlannedMeeting[], PlanOutcome> {
  const { offers } = input;
  const offerOf = new Map(offers.map((o) => [o.variant, o]));
  const met = metInPlay(input.played, offers);
  const state = new Map(input.learners.map((l) => [l.id, { learner: l, skills: renewed(l.skills, met.get(l.id)) }]));
  const played = [...input.played];
  const satTogether = new Map(input.satTogether ?? []);
  const rested = new Map(input.rested ?? []);
  const firstDate = input.meetings[0]?.date ?? '';
  const finished: PlannedMeeting[] = [];
  for (const [i, meeting] of input.meetings.entries()) {
    const years = daysBetween(firstDate, meeting.date) / 365.25;
    const present = meeting.present.flatMap((id) => state.get(id) ?? []);
    const needs = present.map(({ learner, skills }) =>
      learnerNeeds(graph, { ...learner, age: learner.age + years }, standingOn(graph, skills, meeting.date)),
    );
    const keep = i === 0 ? input.keep?.map((round) => new Map(round)) : undefined;
    const settings: SessionSettings = {
      ...meeting,
      preparationMinutes: input.preparationMinutes,
      ...(input.timesEach ? { timesEach: input.timesEach } : {}),
      stock: new Map(input.stock),
      plentiful: new Set(input.plentiful),
      daysSincePlayed: daysSince(played, meeting.date),
      ...(input.wishes ? { wishes: input.wishes } : {}),
      satTogether,
      rested,
      ...(keep ? { keep } : {}),
      locks: i === 0 ? input.locks : [],
      resting: i === 0 ? input.resting : [],
    };
    const moves = Math.ceil(input.secondsPerMeeting * movesPerSecond);
    const read = (built: BuiltSession) => (outcome: PlanOutcome) =>
      readMeeting(graph, meeting, built, outcome, needs, (variant, players) => atTable(offerOf.get(variant)!, players, meeting.minutes));
    const ask = (built: BuiltSession, wholeOnly: boolean): SessionTask => ({
      meeting: i,
      instance: built.instance,
      seed: input.seed + i,
      moves,
      wholeOnly,
      read: read(built),
    });
    let built = buildSession(graph, offers, needs, settings);
    const bound = built.options.some((o) => o.beside);
    let outcome = yield ask(built, bound);
    if (bound && !seatsAll(outcome)) {
      // Better a plan that asks for one helper more than one that seats fewer: the board says where.
      const free = buildSession(graph, offers, needs, { ...settings, besideFree: true });
      const anyway = yield ask(free, true);
      if (seatsAll(anyway)) [built, outcome] = [free, anyway];
      else outcome = yield ask(built, false);
    }
    let planned = read(built)(outcome);
    if (keep) {
      // What it costs to keep seats is known only beside a plan that need not.
      const free = yield ask({ ...built, instance: withoutKeep(built.instance) }, false);
      planned = { ...planned, changes: changesFrom(keep, built, outcome, free, needs) };
    }
    finished.push(planned);
    done?.(i, planned);
    if (outcome.status === 'stopped-early') break;
    for (const round of planned.rounds) for (const l of round.resting) rested.set(l, (rested.get(l) ?? 0) + 1);
    for (const round of planned.rounds)
      for (const table of round.tables)
        for (const [n, seat] of table.seats.entries()) {
          const { learner, variant } = seat;
          for (const other of table.seats.slice(n + 1)) {
            const pair = pairKey(learner, other.learner);
            satTogether.set(pair, (satTogether.get(pair) ?? 0) + 1);
          }
          played.push({ learner, variant, game: table.game, players: table.seats.length, minutes: meeting.minutes, date: meeting.date });
          practise(
            graph,
            state.get(seat.learner)!.skills,
            atTable(offerOf.get(seat.variant)!, table.seats.length, meeting.minutes),
            needs.find((n) => n.learner === seat.learner)!,
            meeting,
          );
        }
  }
  return finished;
}

function withoutKeep(instance: PlanInstance): PlanInstance {
  const { keep: _, ...aims } = instance.aims ?? {};
  return { ...instance, aims };
}

function changesFrom(
  keep: readonly ReadonlyMap<string, string>[],
  built: BuiltSession,
  outcome: PlanOutcome,
  free: PlanOutcome,
  needs: readonly LearnerNeeds[],
): PlannedMeeting['changes'] {
  const now = outcome.schedule.map(
    (round) => new Map(round.flatMap((t) => t.learners.map((l) => [needs[l]!.learner, built.options[t.game]!.game] as const))),
  );
  const seats = now.flatMap((round, r) => [...round].filter(([l, game]) => keep[r]?.get(l) !== game)).length;
  const plain = withoutKeep(built.instance);
  const worth = (o: PlanOutcome): number => (o.schedule.length > 0 ? objectiveOf(plain, o.schedule) : 0);
  const best = worth(free);
  return { seats, of: now.reduce((sum, round) => sum + round.size, 0), price: best > 0 ? Math.max(0, 1 - worth(outcome) / best) : 0 };
}

const seatsAll = (outcome: PlanOutcome): boolean => outcome.status !== 'partial' && outcome.status !== 'infeasible';

/** The same in one thread, each session planned by `planSession`. */
export function planTerm(
  graph: SkillGraph,
  input: PlanningInput,
  solve: SolveModel,
  onProgress?: (share: number) => void,
): PlannedMeeting[] {
  const steps = termSteps(graph, input);
  let step = steps.next();
  while (!step.done) {
    const { meeting, instance, ...options } = step.value;
    const outcome = planSession(instance, solve, {
      ...options,
      onProgress: (share) => {
        onProgress?.((meeting + share) / input.meetings.length);
        return true;
      },
    });
    step = steps.next(outcome);
  }
  return step.value;
}

export function daysSince(played: readonly Pick<WirePlayed, 'learner' | 'game' | 'date'>[], date: string): Map<string, number[]> {
  const days = new Map<string, number[]>();
  for (const p of played) {
    const key = `${p.learner}|${p.game}`;
    const ago = daysBetween(p.date, date);
    if (ago >= 0) days.set(key, [...(days.get(key) ?? []), ago]);
  }
  return days;
}

/** Practice of fewer chances than this is none. */
const leastChances = 1;

function practise(graph: SkillGraph, skills: Standing[], offer: Offer, needs: LearnerNeeds, { date, minutes }: TermMeeting): void {
  for (const k of practised(offer.doses)) {
    const chances = (offer.doses[k]! * minutes) / 10;
    if (chances >= leastChances) skills[k] = afterPractice(graph, k, skills[k]!, date, chances, needs, chances >= metFrom);
  }
}

function readMeeting(
  graph: SkillGraph,
  meeting: TermMeeting,
  built: BuiltSession,
  outcome: PlanOutcome,
  needs: readonly LearnerNeeds[],
  at: (variant: string, players: number) => Offer,
): PlannedMeeting {
  return {
    date: meeting.date,
    status: outcome.status,
    objective: outcome.objective,
    bound: outcome.bound,
    changes: null,
    missing: outcome.diagnosis && missingSeats(outcome.diagnosis, built, needs),
    rounds: outcome.schedule.map((tables) => {
      const seated = new Set(tables.flatMap((t) => t.learners));
      return {
        tables: tables.map((t) => ({
          game: built.options[t.game]!.game,
          lookFor: lookForAt(
            t.learners.map((l) => ({ needs: needs[l]!, offer: built.chosen[l]![t.game]! })),
            meeting.minutes,
          ),
          seats: t.learners.map((l): PlannedSeat => {
            const offer = at(built.chosen[l]![t.game]!.variant, t.learners.length);
            return {
              learner: needs[l]!.learner,
              variant: offer.variant,
              ...seatReason(graph, offer, needs[l]!, meeting.minutes),
              stretched: built.stretched[l]![t.game]!,
            };
          }),
        })),
        resting: needs.filter((_, l) => !seated.has(l)).map((n) => n.learner),
      };
    }),
  };
}

function missingSeats(diagnosis: Diagnosis, built: BuiltSession, needs: readonly LearnerNeeds[]): MissingSeats {
  const { unseatedBefore, unseatedAfter, relax, clashes } = diagnosis;
  const seatName = (lock: number): SeatName => {
    const { learner, round, game } = built.instance.locks![lock]!;
    return { learner: needs[learner]!.learner, round, game: built.options[game]!.game };
  };
  const steps = relax.map((x): HelpingStep => {
    if (x.relax === 'stock') return { relax: x.relax, by: x.by, kind: built.kinds[x.kind]! };
    if (x.relax !== 'lock') return { relax: x.relax, by: x.by };
    const other = clashes.find((c) => c.lock === x.lock)?.other ?? null;
    return { relax: x.relax, lock: seatName(x.lock), ...(other === null ? {} : { beside: seatName(other) }) };
  });
  return { unseatedBefore, unseatedAfter, steps };
}

/**
 * Why a seat is good for a learner: open and everything before it there; open with something
 * before it still growing; held and met again after a while; or held, and played for the joy of it.
 */
export type SeatBecause = 'ready' | 'near' | 'again' | 'joy';

/** What a seat is for: the skill served best, why, its chances in the round and the success to expect. */
export function seatReason(
  graph: SkillGraph,
  offer: Offer,
  needs: LearnerNeeds,
  minutes: number,
): { skill: string | null; because: SeatBecause; tool: string | null; chances: number; success: number } {
  const skill = mainSkill(offer, needs, minutes);
  const held = skill < 0 || needs.known[skill]! >= firmAt;
  return {
    because: held ? (skill >= 0 && needs.due[skill] === 1 ? 'again' : 'joy') : needs.ready[skill] === 1 ? 'ready' : 'near',
    skill: skill < 0 ? null : graph.skills[skill]!.id,
    chances: skill < 0 ? 0 : (offer.doses[skill]! * minutes) / 10,
    success: expectedSuccess(offer, needs),
    tool: skill < 0 ? null : toolFor(graph, skill, needs),
  };
}

/** The tool for a step: the kept one, else the lightest of its ladder that keeps success in the band; null for none. */
function toolFor(graph: SkillGraph, k: number, needs: LearnerNeeds): string | null {
  const s = graph.skills[k]!;
  const ladder = ladderOf(
    s,
    graph.strands.find((x) => x.id === s.strand)!,
  );
  return nextSupport(ladder, rightAt(needs.theta[k]!, 0, FORECAST), [], needs.keeps).support;
}

/** Whose step is needed most and least sure either way: one note there would change the next weeks most. */
export function lookForAt(seats: readonly { readonly needs: LearnerNeeds; readonly offer: Offer }[], minutes: number): string | null {
  let best: { readonly learner: string; readonly tells: number } | null = null;
  for (const { needs, offer } of seats) {
    const k = mainSkill(offer, needs, minutes);
    if (k < 0) continue;
    const tells = needs.need[k]! * needs.known[k]! * (1 - needs.known[k]!);
    if (!best || tells > best.tells) best = { learner: needs.learner, tells };
  }
  return best?.learner ?? null;
}
