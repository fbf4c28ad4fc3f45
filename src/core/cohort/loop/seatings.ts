import { readMap } from '../../mastery/estimateMastery';
import type { SolveModel } from '../../planning/linearModel';
import { planTerm, type TermLearner, type WirePlayed } from '../../planning/planTerm';
import { likelyPlayers } from '../../recommend/atTable';
import type { Offer } from '../../recommend/offer';
import { gainOf } from '../../recommend/valueOf';
import { createRng, uniform } from '../../shared/rng';
import { wantedBy } from '../../skills/skill';
import type { SkillGraph } from '../../skills/skillGraph';
import { type Child, dayOf } from './child';
import { type Seating, seatBy } from './planners';
import { type Cohort, type TrueAt, WEEKS } from './world';

/** Who plans the meetings. */
export const PLANNERS = ['random', 'grade-list', 'tags', 'dose', 'dose-before', 'app', 'app-checked', 'app-seeing', 'true-gain'] as const;
export type Planner = 'nobody' | (typeof PLANNERS)[number];

export interface LoopSetting {
  readonly graph: SkillGraph;
  readonly offers: readonly Offer[];
  readonly trueAt: TrueAt;
  /** Doses as an item was credited to every step it met. */
  readonly dosesBefore: ReadonlyMap<string, Float64Array> | null;
  readonly cohort: Cohort;
  readonly planner: Planner;
  readonly solve: SolveModel;
  /** For one meeting of the app's own planner. */
  readonly seconds: number;
}

const ageSlack = 1.5;

/** Who plays what on a day, by one planner. */
export function seatingOf(
  { graph, offers, trueAt, dosesBefore, cohort, planner, solve, seconds }: LoopSetting,
  children: readonly Child[],
  played: readonly WirePlayed[],
  day: number,
  seed: number,
): Seating {
  const date = dayOf(day);
  if (planner === 'app' || planner === 'app-checked' || planner === 'app-seeing') {
    const learners = children.map((c): TermLearner => ({
      id: c.id,
      nickname: c.id,
      age: c.truly.age + day / 365.25,
      framework: 'us',
      supported: false,
      skills: planner !== 'app-seeing' ? readMap(graph, c.facts, c.map, date).map((e) => e.standing) : seenStanding(graph, c, day),
    }));
    const [meeting] = planTerm(
      graph,
      {
        offers,
        learners,
        meetings: [
          {
            date,
            present: learners.map((l) => l.id),
            rounds: cohort.rounds,
            minutes: cohort.minutes,
            tables: cohort.tables,
            helpers: cohort.tables,
          },
        ],
        stock: [],
        plentiful: [...new Set(offers.flatMap((o) => o.materials.map((m) => m.kind)))],
        preparationMinutes: 10_000,
        played,
        locks: [],
        resting: [],
        seed,
        secondsPerMeeting: seconds,
      },
      solve,
    );
    return meeting!.rounds.flatMap((r, round) =>
      r.tables.map((t) => ({
        round,
        game: t.game,
        seats: t.seats.map((s) => ({
          learner: Number(s.learner.slice(1)),
          offer: offers.find((o) => o.variant === s.variant)!,
          skill: s.skill === null ? -1 : graph.indexOf.get(s.skill)!,
        })),
      })),
    );
  }
  const room = { learners: children.length, rounds: cohort.rounds, tables: cohort.tables, minutes: cohort.minutes };
  const open = (l: number, o: Offer): boolean => {
    const age = children[l]!.truly.age + day / 365.25;
    return age >= o.ages[0] - ageSlack && age <= o.ages[1] + ageSlack;
  };
  const chances = (o: Offer, k: number): number => (o.doses[k]! * cohort.minutes) / 10;
  if (planner === 'random') {
    const rng = createRng(seed, 3);
    return seatBy(offers, room, (l, o) => (open(l, o) ? uniform(rng) : -1), seed);
  }
  if (planner === 'true-gain') {
    const players = likelyPlayers(children.length, cohort.tables);
    const truly = new Map(offers.map((o) => [o.variant, trueAt(o, players, cohort.minutes)]));
    const gain = (l: number, o: Offer): number => children[l]!.truly.gain(truly.get(o.variant)!, cohort.minutes, day, children[l]!.targets);
    return seatBy(offers, room, gain, seed);
  }
  if (planner === 'grade-list') {
    // What a grade's list has in order, spread over the weeks of the year; this term is its first third.
    const focus = children.map((c) => {
      const list = [...graph.skills.keys()]
        .filter((k) => wantedBy(graph.skills[k]!, 'us') > c.truly.age - 0.25 && wantedBy(graph.skills[k]!, 'us') <= c.truly.age + 0.75)
        .sort((x, y) => wantedBy(graph.skills[x]!, 'us') - wantedBy(graph.skills[y]!, 'us'));
      const at = Math.floor((list.length * (day + 1)) / (WEEKS * 7 + 1));
      return list.slice(Math.max(0, at - 1), at + 2);
    });
    return seatBy(
      offers,
      room,
      (l, o) => (open(l, o) ? focus[l]!.reduce((sum, k) => sum + Math.min(1, chances(o, k) / 4), 0.001) : -1),
      seed,
    );
  }
  // The greedy planners know which steps the app takes for open, and read either tags or doses.
  const gaps = children.map((c) => {
    const e = readMap(graph, c.facts, c.map, date);
    return e.flatMap((x, k) => (x.mastery < 0.5 && wantedBy(graph.skills[k]!, 'us') <= c.truly.age + day / 365.25 + 0.5 ? [k] : []));
  });
  const doseOf = (o: Offer, k: number): number =>
    (planner === 'dose-before' ? (dosesBefore?.get(o.variant)?.[k] ?? 0) : o.doses[k]!) * (cohort.minutes / 10);
  const worth = (o: Offer, k: number): number => (planner === 'tags' ? (doseOf(o, k) >= 3 ? 1 : 0) : gainOf(doseOf(o, k)));
  return seatBy(offers, room, (l, o) => (open(l, o) ? gaps[l]!.reduce((sum, k) => sum + worth(o, k), 0.001) : -1), seed);
}

/** The truth as the app's planner would be told it: on its own scale, with nothing forgotten unseen. */
const seenStanding = (graph: SkillGraph, c: Child, day: number) =>
  graph.skills.map((_, k) => ({ theta: c.truly.theta(k, day), variance: 0.05, memory: null, lastMet: null }));
