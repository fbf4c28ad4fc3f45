import type { SkillGraph } from '../skills/skillGraph';
import type { PlanInstance, Schedule } from './instance';
import { carefully, type SolveModel } from './linearModel';
import { learnerValue, pricesOf } from './objective';
import type { PlannedMeeting } from './plannedMeeting';
import { isSearched, joinFound, looseBound, type PlanOptions, type PlanOutcome, prepare, withoutSearch } from './planSession';
import { searchFrom } from './searchFrom';
import { type PlanningInput, termSteps } from './planTerm';

/** The session as it would be when something goes wrong, with as few seats changed as can be. */
export interface PlanBAnswer {
  readonly rounds: PlannedMeeting['rounds'];
  /** Rounds of children that find no seat then. */
  readonly unseated: number;
}
export interface Away extends PlanBAnswer {
  readonly learners: readonly string[];
  /** What all others lose in worth and in seats that change, as a share of what the whole session is worth. */
  readonly cost: number;
  /** Of that, what they lose in worth alone. */
  readonly lost: number;
}
export interface PlanB {
  /** The two whose absence costs most, the dearest first, and then both at once; empty where nobody can be missed. */
  readonly away: readonly Away[];
  /** Each game of the session, should something of it be missing. */
  readonly without: readonly (PlanBAnswer & { readonly game: string })[];
  /** So many minutes fewer; null where no round would be left that is long enough. */
  readonly shorter: (PlanBAnswer & { readonly count: number; readonly minutes: number }) | null;
}

/** What is shorter by so many minutes in all. */
export const fewerMinutes = 10;
/** On the morning itself a child is moved only where that is worth as much as a whole seat. */
export const keepShare = 1;
/** A round of fewer minutes is none: explaining and tidying take most of it. */
const leastRoundMinutes = 6;

/** One session planned: its answer, and what is needed to tell what it is worth. */
interface Planned {
  readonly meeting: PlannedMeeting;
  readonly instance: PlanInstance;
  readonly schedule: Schedule;
  readonly objective: number;
}

/**
 * What to do when two are missing, when a game is not complete, and when there are ten minutes fewer: each the planner's own
 * answer to the session without them, its seats kept where they can be (`input.keep` holds them as they stand).
 * An absence costs what the others lose: worth of the session as it stands, less the worth of whoever is away, less the worth of
 * the best session without. Cost: one planning for each child, each game and two lengths.
 */
export function planB(graph: SkillGraph, input: PlanningInput, solve: SolveModel, onProgress: (share: number) => void = () => {}): PlanB {
  const [meeting] = input.meetings;
  const games = [...new Set((input.keep ?? []).flat().map(([, game]) => game))];
  const steps = 1 + meeting!.present.length + 1 + games.length + 2;
  let done = 0;
  const plan = (more: Partial<PlanningInput>): Planned | null => {
    const planned = planOne(graph, { ...input, ...more }, solve);
    onProgress(++done / steps);
    return planned;
  };
  const now = plan({});
  const away = now ? dearest(input, now, plan) : [];
  const without = games.flatMap((game) => {
    const offers = input.offers.filter((o) => o.game !== game);
    const answer = plan({ offers, locks: input.locks.filter((k) => k.game !== game) });
    return answer ? [{ game, ...told(answer) }] : [];
  });
  return { away, without, shorter: shorter(input, plan) };
}

const told = ({ meeting }: Planned): PlanBAnswer => ({ rounds: meeting.rounds, unseated: meeting.missing?.unseatedBefore ?? 0 });

/** The two whose absence costs most, each alone, and both at once. */
function dearest(input: PlanningInput, now: Planned, plan: (more: Partial<PlanningInput>) => Planned | null): Away[] {
  const { present } = input.meetings[0]!;
  const worth = now.objective;
  const withoutThem = (gone: readonly string[]): Away | null => {
    if (gone.length >= present.length) return null;
    const answer = plan(leaving(input, gone));
    if (!answer) return null;
    const each = gone.map((l) => ownWorth(now, present.indexOf(l)));
    const own = { value: sum(each, (w) => w.value), kept: sum(each, (w) => w.kept) };
    const share = (less: number): number => (worth > 0 ? Math.max(0, less / worth) : 0);
    const lost = playWorth(now) - own.value - playWorth(answer);
    return { learners: gone, cost: share(worth - own.value - own.kept - answer.objective), lost: share(lost), ...told(answer) };
  };
  const each = present.flatMap((l) => withoutThem([l]) ?? []).sort((x, y) => y.cost - x.cost);
  const two = each.slice(0, 2);
  const both = two.length === 2 ? withoutThem(two.flatMap((a) => a.learners)) : null;
  return [...two, ...(both ? [both] : [])];
}

/** The same session for those who came. */
function leaving(input: PlanningInput, gone: readonly string[]): Partial<PlanningInput> {
  const here = (l: string): boolean => !gone.includes(l);
  return {
    meetings: input.meetings.map((m) => ({ ...m, present: m.present.filter(here) })),
    locks: input.locks.filter((k) => here(k.learner)),
    resting: input.resting.filter((r) => here(r.learner)),
  };
}

const sum = <T>(of: readonly T[], part: (x: T) => number): number => of.reduce((s, x) => s + part(x), 0);

/** What one child's seats are worth, and what is paid for keeping them. */
function ownWorth({ instance, schedule }: Planned, learner: number): { readonly value: number; readonly kept: number } {
  const seats = schedule.map((tables) => tables.find((t) => t.learners.includes(learner))?.game ?? -1);
  const { keep, floor } = instance.aims ?? {};
  const value = learnerValue(
    instance,
    learner,
    seats.filter((g) => g >= 0),
  );
  const kept = keep ? seats.filter((g, r) => g >= 0 && keep.games[learner]![r] === g).length * keep.worth : 0;
  return { value: value - (floor ? floor.price * Math.max(0, floor.least[learner]! - value) : 0), kept };
}

/** As many rounds that are shorter, or one round fewer of the same length at most: what is worth more of those that seat most. */
function shorter(input: PlanningInput, plan: (more: Partial<PlanningInput>) => Planned | null): PlanB['shorter'] {
  const [meeting] = input.meetings;
  const left = meeting!.rounds * meeting!.minutes - fewerMinutes;
  const tried = [meeting!.rounds, meeting!.rounds - 1].flatMap((count) => {
    const minutes = Math.min(meeting!.minutes, Math.floor(left / Math.max(1, count)));
    if (count < 1 || minutes < leastRoundMinutes) return [];
    const inTime = <T extends { readonly round: number }>(rows: readonly T[]): T[] => rows.filter((r) => r.round < count);
    const answer = plan({
      meetings: [{ ...meeting!, rounds: count, minutes }],
      locks: inTime(input.locks),
      resting: inTime(input.resting),
      ...(input.keep ? { keep: input.keep.slice(0, count) } : {}),
    });
    return answer ? [{ count, minutes, worth: playWorth(answer), ...told(answer) }] : [];
  });
  const [best] = tried.sort((x, y) => x.unseated - y.unseated || y.worth - x.worth);
  if (!best) return null;
  const { worth: _, ...answer } = best;
  return answer;
}

/** What a session is worth without what is paid for seats that stay: a length with fewer rounds has fewer to keep. */
const playWorth = ({ instance, schedule, objective }: Planned): number => objective + pricesOf(instance, schedule).keep;

/** One start is enough where most seats stay, and nobody asks how far from the best it may be. */
function soon(instance: PlanInstance, solve: SolveModel, options: PlanOptions): PlanOutcome {
  const ready = prepare(instance, carefully(solve), options);
  if (!isSearched(ready)) return withoutSearch(ready);
  return joinFound(ready, [searchFrom(ready.instance, solve, ready.first, { ...options, start: 0 })], looseBound(ready.instance));
}

/** One session of an input; null where nobody can be seated. */
function planOne(graph: SkillGraph, input: PlanningInput, solve: SolveModel): Planned | null {
  const steps = termSteps(graph, { ...input, unpriced: true, keepShare });
  let last: { readonly instance: PlanInstance; readonly outcome: PlanOutcome } | null = null;
  let step = steps.next();
  while (!step.done) {
    const { instance, read: _, meeting: __, ...options } = step.value;
    const outcome = soon(instance, solve, options);
    last = { instance, outcome };
    step = steps.next(outcome);
  }
  const [meeting] = step.value;
  if (!last || !meeting || last.outcome.schedule.length === 0) return null;
  const { schedule, objective } = last.outcome;
  return { meeting, instance: last.instance, schedule, objective };
}
