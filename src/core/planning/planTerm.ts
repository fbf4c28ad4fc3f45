import { daysBetween } from '../shared/days';
import { type Standing, standingOn } from '../mastery/standing';
import { afterPractice } from '../recommend/afterPractice';
import { atTable } from '../recommend/atTable';
import { learnerNeeds, type LearnerNeeds, type NeedyLearner } from '../recommend/learnerNeeds';
import { leaningOn, type PacedWeek } from '../recommend/leaning';
import type { Offer } from '../recommend/offer';
import { metFrom, metInPlay, type Play, renewed } from '../recommend/metInPlay';
import { practised } from '../recommend/practised';
import type { SkillGraph } from '../skills/skillGraph';
import { buildSession, type BuiltSession, type SessionSettings } from './buildSession';
import type { SolveModel } from './linearModel';
import { pairKey, type Wishes } from './wishes';
import type { PlanInstance } from './instance';
import { objectiveOf } from './objective';
import type { PlannedMeeting } from './plannedMeeting';
import { movesPerSecond, type PlanOutcome, planSession } from './planSession';
import { readMeeting } from './readMeeting';
import { isShared, playersAt } from './seatsAt';

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
  /** A grown-up may take a seat. */
  readonly grownUp?: boolean;
  readonly played: readonly WirePlayed[];
  readonly wishes?: Wishes;
  /** What is to be met when. */
  readonly pacing?: readonly PacedWeek[];
  /** How often two sat together lately, by `pairKey`, and in how many rounds each had no seat. */
  readonly satTogether?: readonly (readonly [string, number])[];
  readonly rested?: readonly (readonly [string, number])[];
  /** Seats of the first meeting as they were, by round: learner and game. As few as can be are changed. */
  readonly keep?: readonly (readonly (readonly [learner: string, game: string])[])[];
  /** What each that stays is worth, as a share of a usual seat; a little where nothing is said. */
  readonly keepShare?: number;
  /** Nobody asks what keeping them costs. */
  readonly unpriced?: boolean;
  readonly locks: SessionSettings['locks'];
  readonly resting: SessionSettings['resting'];
  readonly seed: number;
  readonly secondsPerMeeting: number;
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
      learnerNeeds(
        graph,
        { ...learner, age: learner.age + years, leaning: leaningOn(input.pacing ?? [], meeting.date, learner.framework) },
        standingOn(graph, skills, meeting.date),
      ),
    );
    const keep = i === 0 ? input.keep?.map((round) => new Map(round)) : undefined;
    const settings: SessionSettings = {
      ...meeting,
      preparationMinutes: input.preparationMinutes,
      ...(input.timesEach ? { timesEach: input.timesEach } : {}),
      ...(input.grownUp ? { grownUp: true } : {}),
      stock: new Map(input.stock),
      plentiful: new Set(input.plentiful),
      daysSincePlayed: daysSince(played, meeting.date),
      ...(input.wishes ? { wishes: input.wishes } : {}),
      satTogether,
      rested,
      ...(keep ? { keep, ...(input.keepShare ? { keepShare: input.keepShare } : {}) } : {}),
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
    if (keep && !input.unpriced) {
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
          const players = playersAt(table);
          played.push({ learner, variant, game: table.game, players, minutes: meeting.minutes, date: meeting.date });
          practise(
            graph,
            state.get(seat.learner)!.skills,
            atTable(offerOf.get(seat.variant)!, players, meeting.minutes),
            needs.find((n) => n.learner === seat.learner)!,
            meeting,
            isShared(table, learner) ? 0.5 : 1,
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

function practise(
  graph: SkillGraph,
  skills: Standing[],
  offer: Offer,
  needs: LearnerNeeds,
  { date, minutes }: TermMeeting,
  /** Of the seat's chances: half where two share it. */
  share: number,
): void {
  for (const k of practised(offer.doses)) {
    const chances = (share * offer.doses[k]! * minutes) / 10;
    if (chances >= leastChances) skills[k] = afterPractice(graph, k, skills[k]!, date, chances, needs, chances >= metFrom);
  }
}
