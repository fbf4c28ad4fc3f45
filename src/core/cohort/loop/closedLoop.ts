import { readMap, type SkillEstimate } from '../../mastery/estimateMastery';
import type { Evidence, LearnerFacts } from '../../mastery/evidence';
import { emptyMap, type MapState, seeEvidence } from '../../mastery/mapState';
import { nextQuestion, type PlacementReply } from '../../mastery/nextQuestion';
import { knownOf } from '../../mastery/standing';
import type { SolveModel } from '../../planning/linearModel';
import { planTerm, type TermLearner, type WirePlayed } from '../../planning/planTerm';
import { learnerNeeds } from '../../recommend/learnerNeeds';
import type { Offer } from '../../recommend/offer';
import { mainSkill } from '../../recommend/recommend';
import { gainOf } from '../../recommend/valueOf';
import { addDays } from '../../shared/days';
import { below, createRng, type Rng, uniform } from '../../shared/rng';
import { wantedBy } from '../../skills/skill';
import type { SkillGraph } from '../../skills/skillGraph';
import type { Assumptions } from '../assumptions';
import { trulyHeldFrom } from '../assumptions';
import type { Forecast } from '../evaluate';
import { bornAt, HALF_TERM } from '../simulateTerm';
import { type Seating, seatBy } from './planners';
import { abilityOf, type Cohort, holds, inventPlayer, LOOP, type LoopLearner, play, rightChance, rise, TEST_AFTER, WEEKS } from './world';

/** Who plans the meetings. */
export type Planner = 'nobody' | 'random' | 'grade-list' | 'tags' | 'dose' | 'dose-before' | 'app' | 'app-seeing' | 'true-gain';
export const PLANNERS: readonly Planner[] = ['random', 'grade-list', 'tags', 'dose', 'dose-before', 'app', 'app-seeing', 'true-gain'];

export interface LoopResult {
  /** By learner: gaps held at the delayed test, and hours at the table. */
  readonly held: readonly number[];
  readonly hours: readonly number[];
  /** Items by the chance of a right answer, in twenty bins from 0 to 1. */
  readonly items: readonly number[];
  /** Seats, and those well placed: true success on the named step between .45 and .92, the step open, a third of the items on it. */
  readonly seats: number;
  readonly wellPlaced: number;
  /** Share of child-rounds without a seat. */
  readonly resting: number;
  /** Forecasts at week 0, 4, 8 and 12 over steps wanted within two years of the child's own line. */
  readonly forecasts: readonly (readonly Forecast[])[];
}

interface Child {
  readonly id: string;
  readonly l: LoopLearner;
  readonly facts: LearnerFacts;
  readonly map: MapState;
  readonly targets: readonly number[];
  readonly near: readonly number[];
}

const start = HALF_TERM.from;
const dayOf = (day: number): string => addDays(start, day);
/** Gaps that count are wanted within a year of the child's own line. */
const targetYears = 1;

/** Twelve weeks of one cohort under one planner, and what is held four weeks later. */
export function closedLoop(
  graph: SkillGraph,
  offers: readonly Offer[],
  before: ReadonlyMap<string, Float64Array> | null,
  cohort: Cohort,
  a: Assumptions,
  [seed, speed]: readonly [number, string],
  planner: Planner,
  solve: SolveModel,
  seconds: number,
): LoopResult {
  const rng = createRng(seed, 1);
  const children = cohort.ages.map((age, i): Child => {
    const l = inventPlayer(graph, age, a, LOOP.speeds[speed]!, createRng(seed, 50 + i));
    const facts: LearnerFacts = { born: bornAt(start, age), framework: 'us', permanentSupports: [], supportsInUse: [] };
    const own = age + l.ahead;
    return {
      id: `c${i}`,
      l,
      facts,
      map: emptyMap(graph, false),
      targets: [...graph.skills.keys()].filter((k) => graph.skills[k]!.wantedAt.us <= own + targetYears),
      near: [...graph.skills.keys()].filter((k) => Math.abs(graph.skills[k]!.wantedAt.us - own) <= 2),
    };
  });
  if (planner !== 'nobody') for (const c of children) place(graph, c, a, rng);
  const forecasts: Forecast[][] = [forecast(graph, children, 0, a)];
  const played: WirePlayed[] = [];
  const items = new Array<number>(20).fill(0);
  const tally = { seats: 0, well: 0, rest: 0, rounds: 0 };
  const hours = children.map(() => 0);
  for (let week = 0; week < WEEKS; week++) {
    for (const weekday of cohort.days) {
      const day = week * 7 + weekday;
      if (planner === 'nobody') continue;
      const seating = plan(graph, offers, before, cohort, children, a, day, planner, played, solve, seconds, seed * 1000 + day);
      const done = children.map(() => new Float64Array(graph.skills.length));
      tally.rounds += cohort.rounds * children.length;
      tally.rest += cohort.rounds * children.length;
      for (let round = 0; round < cohort.rounds; round++)
        for (const table of seating.filter((t) => t.round === round))
          for (const { learner, offer, skill } of table.seats as readonly { learner: number; offer: Offer; skill?: number }[]) {
            const c = children[learner]!;
            tally.rest--;
            hours[learner]! += cohort.minutes / 60;
            count(graph, c, offer, cohort.minutes, day, a, items);
            const about = skill ?? noteAbout(graph, c, offer, cohort.minutes, day);
            tally.seats++;
            if (well(c, offer, about, day, a)) tally.well++;
            const e = about >= 0 && uniform(rng) < LOOP.noted ? note(graph, c, about, day, round, a, rng) : null;
            play(graph, c.l, offer, cohort.minutes, day, a, done[learner]!);
            if (e) seeEvidence(graph, c.facts, c.map, e);
            played.push({ learner: c.id, game: table.game, date: dayOf(day) });
          }
    }
    if (week % 4 === 3) forecasts.push(forecast(graph, children, week * 7 + 6, a));
  }
  const test = WEEKS * 7 + TEST_AFTER;
  return {
    held: children.map((c) => c.targets.filter((k) => holds(c.l, k, test, a)).length),
    hours,
    items,
    seats: tally.seats,
    wellPlaced: tally.well,
    resting: tally.rounds === 0 ? 0 : tally.rest / tally.rounds,
    forecasts,
  };
}

/** The talk of the first day, question by question as the app asks it. */
function place(graph: SkillGraph, c: Child, a: Assumptions, rng: Rng): void {
  const lines = graph.strands.map((s) => s.id);
  const replies: PlacementReply[] = [];
  for (
    let next = nextQuestion(graph, c.facts, c.map, start, lines, replies);
    next;
    next = nextQuestion(graph, c.facts, c.map, start, lines, replies)
  ) {
    const result = seenAt(rightChance(abilityOf(c.l, next.skill, 0, a), a, false), 2, rng);
    const at = `${start}T09:${String(replies.length).padStart(2, '0')}:00Z`;
    seeEvidence(graph, c.facts, c.map, evidence(graph, `p${replies.length}`, at, 'placement', next.skill, result, null));
    replies.push({ skill: next.skill, alone: result === 'alone' });
  }
}

/** What somebody says who watched so many answers. */
function seenAt(chance: number, answers: number, rng: Rng): 'stuck' | 'support' | 'alone' {
  let right = 0;
  for (let i = 0; i < answers; i++) if (uniform(rng) < chance) right++;
  const share = right / answers;
  return share < 0.5 ? 'stuck' : share < 0.8 ? 'support' : 'alone';
}

function note(graph: SkillGraph, c: Child, k: number, day: number, round: number, a: Assumptions, rng: Rng): Evidence {
  const ability = abilityOf(c.l, k, day, a);
  const tool = uniform(rng) < a.toolUse * (1 - rightChance(ability, a, false));
  const noise = uniform(rng) < a.noteNoise;
  const seen = noise
    ? (['stuck', 'support', 'alone'] as const)[below(rng, 3)]!
    : seenAt(rightChance(ability, a, tool), LOOP.answersWatched, rng);
  const result = tool && seen === 'alone' ? 'support' : seen;
  return evidence(
    graph,
    `n${day}-${round}-${c.id}`,
    `${dayOf(day)}T10:${String(10 + 20 * round).padStart(2, '0')}:00Z`,
    'note',
    k,
    result,
    tool ? 'ten-frame' : null,
  );
}

const evidence = (
  graph: SkillGraph,
  id: string,
  at: string,
  kind: Evidence['kind'],
  k: number,
  result: NonNullable<Evidence['result']>,
  support: string | null,
): Evidence => ({
  id,
  at,
  kind,
  skill: graph.skills[k]!.id,
  result,
  correct: null,
  total: null,
  how: null,
  support: result === 'support' ? support : null,
  items: [],
  by: { role: 'helper', ownChild: false },
});

function forecast(graph: SkillGraph, children: readonly Child[], day: number, a: Assumptions): Forecast[] {
  return children.flatMap((c) => {
    const e = readMap(graph, c.facts, c.map, dayOf(day));
    return c.near.map((k) => ({ p: e[k]!.mastery, held: holds(c.l, k, day, a) }));
  });
}

/** The skill a note is about where the planner names none: what most of the play is about. */
function noteAbout(graph: SkillGraph, c: Child, offer: Offer, minutes: number, day: number): number {
  return mainSkill(offer, needsOf(graph, c, day, readMap(graph, c.facts, c.map, dayOf(day))), minutes);
}

const needsOf = (graph: SkillGraph, c: Child, day: number, estimates: readonly SkillEstimate[]) =>
  learnerNeeds(graph, { id: c.id, nickname: c.id, age: c.l.age + day / 365.25, framework: 'us', supported: false }, knownOf(estimates));

function count(graph: SkillGraph, c: Child, offer: Offer, minutes: number, day: number, a: Assumptions, items: number[]): void {
  for (let k = 0; k < graph.skills.length; k++)
    if (offer.doses[k]! > 0) {
      // Slips and guesses aside, as the question is how easy it was.
      const p = rightChance(abilityOf(c.l, k, day, a), { ...a, slip: 0, guess: 0 }, false);
      items[Math.min(19, Math.floor(p * 20))]! += (offer.doses[k]! * minutes) / 10;
    }
}

function well(c: Child, offer: Offer, k: number, day: number, a: Assumptions): boolean {
  if (k < 0 || holds(c.l, k, day, a)) return false;
  const p = rightChance(abilityOf(c.l, k, day, a), a, false);
  const total = offer.doses.reduce((sum, d) => sum + d, 0);
  return p >= 0.45 && p <= 0.92 && offer.doses[k]! >= 0.35 * total;
}

const ageSlack = 1.5;

function plan(
  graph: SkillGraph,
  offers: readonly Offer[],
  before: ReadonlyMap<string, Float64Array> | null,
  cohort: Cohort,
  children: readonly Child[],
  a: Assumptions,
  day: number,
  planner: Planner,
  played: readonly WirePlayed[],
  solve: SolveModel,
  seconds: number,
  seed: number,
): Seating {
  const date = dayOf(day);
  if (planner === 'app' || planner === 'app-seeing') {
    const learners = children.map((c): TermLearner => ({
      id: c.id,
      nickname: c.id,
      age: c.l.age + day / 365.25,
      framework: 'us',
      supported: false,
      skills: planner === 'app' ? readMap(graph, c.facts, c.map, date).map((e) => e.standing) : seenStanding(graph, c, day, a),
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
    const age = children[l]!.l.age + day / 365.25;
    return age >= o.ages[0] - ageSlack && age <= o.ages[1] + ageSlack;
  };
  const chances = (o: Offer, k: number): number => (o.doses[k]! * cohort.minutes) / 10;
  if (planner === 'random') {
    const rng = createRng(seed, 3);
    return seatBy(offers, room, (l, o) => (open(l, o) ? uniform(rng) : -1), seed);
  }
  if (planner === 'true-gain') return seatBy(offers, room, (l, o) => trueGain(graph, children[l]!, o, cohort.minutes, day, a), seed);
  if (planner === 'grade-list') {
    // What a grade's list has in order, spread over the weeks of the year; this term is its first third.
    const focus = children.map((c) => {
      const list = [...graph.skills.keys()]
        .filter((k) => wantedBy(graph.skills[k]!, 'us') > c.l.age - 0.25 && wantedBy(graph.skills[k]!, 'us') <= c.l.age + 0.75)
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
    return e.flatMap((x, k) => (x.mastery < 0.5 && wantedBy(graph.skills[k]!, 'us') <= c.l.age + day / 365.25 + 0.5 ? [k] : []));
  });
  const doseOf = (o: Offer, k: number): number =>
    (planner === 'dose-before' ? (before?.get(o.variant)?.[k] ?? 0) : o.doses[k]!) * (cohort.minutes / 10);
  const worth = (o: Offer, k: number): number => (planner === 'tags' ? (doseOf(o, k) >= 3 ? 1 : 0) : gainOf(doseOf(o, k)));
  return seatBy(offers, room, (l, o) => (open(l, o) ? gaps[l]!.reduce((sum, k) => sum + worth(o, k), 0.001) : -1), seed);
}

/** The truth as the app's planner would be told it: ability on its own scale, held or not, nothing forgotten unseen. */
function seenStanding(graph: SkillGraph, c: Child, day: number, a: Assumptions) {
  return graph.skills.map((_, k) => {
    const ability = abilityOf(c.l, k, day, a);
    // The app's threshold and the world's are the same share of right answers.
    return { theta: a.discrimination * ability, variance: 0.05, memory: null, lastMet: null };
  });
}

const soft = 1.2;
/** What a version truly gives one child: the rise of what is held at the test, smoothed, so that a step on the way counts too. */
function trueGain(graph: SkillGraph, c: Child, o: Offer, minutes: number, day: number, a: Assumptions): number {
  const threshold = Math.log(trulyHeldFrom / (1 - trulyHeldFrom)) / a.discrimination;
  let sum = 0;
  for (const k of c.targets) {
    const chances = (o.doses[k]! * minutes) / 10;
    if (chances < 0.5) continue;
    const now = abilityOf(c.l, k, day, a);
    const held = (x: number): number => 1 / (1 + Math.exp(-soft * a.discrimination * (x - threshold)));
    sum += held(now + rise(graph, c.l, k, day, a, chances)) - held(now);
  }
  return sum;
}
