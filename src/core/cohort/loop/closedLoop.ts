import { readMap } from '../../mastery/estimateMastery';
import { emptyMap, seeEvidence } from '../../mastery/mapState';
import { knownOf } from '../../mastery/standing';
import type { WirePlayed } from '../../planning/planTerm';
import { learnerNeeds } from '../../recommend/learnerNeeds';
import type { Offer } from '../../recommend/offer';
import { mainSkill } from '../../recommend/recommend';
import { createRng, uniform } from '../../shared/rng';
import type { SkillGraph } from '../../skills/skillGraph';
import type { Forecast } from '../evaluate';
import { bornAt } from '../simulateTerm';
import { type Child, dayOf, start } from './child';
import type { Seating } from './planners';
import { type LoopSetting, seatingOf } from './seatings';
import { checkIn, noteOf, place } from './watching';
import { LOOP, TEST_AFTER, type TruePlay, WEEKS, type World } from './world';

export interface LoopResult {
  /** By learner: gaps held at the delayed test, and hours at the table or over a sheet. */
  readonly held: readonly number[];
  readonly hours: readonly number[];
  /** Items by the chance of a right answer, in twenty bins from 0 to 1. */
  readonly items: readonly number[];
  /** Seats, and those well placed: true success on the named step between .45 and .92, the step open, 35 % of the answers on it. */
  readonly seats: number;
  readonly wellPlaced: number;
  /** Share of child-rounds without a seat. */
  readonly resting: number;
  /** Meetings of a child, and those worth at least half of the best to be found for that child alone. */
  readonly meetings: number;
  readonly halfOfBest: number;
  /** Forecasts at week 0, 4, 8 and 12 over steps wanted within two years of the child's own line. */
  readonly forecasts: readonly (readonly Forecast[])[];
}

const targetYears = 1;
const nearYears = 2;
/** A child is looked at over a sheet so often. */
const weeksBetweenSheets = 2;

/** Twelve weeks of one cohort under one planner, and what is held four weeks later. */
export function closedLoop(setting: LoopSetting, world: World, [seed, speed]: readonly [number, string]): LoopResult {
  const { graph, trueAt, cohort, planner } = setting;
  const { minutes, rounds } = cohort;
  const rng = createRng(seed, 1);
  const children = cohort.ages.map((age, i) => invent(graph, world, i, age, LOOP.speeds[speed]!, seed));
  if (planner !== 'nobody') for (const c of children) place(graph, c, rng);
  const forecasts = [forecast(graph, children, 0)];
  const played: WirePlayed[] = [];
  const items = new Array<number>(20).fill(0);
  const tally = { seats: 0, well: 0, rest: 0, meetings: 0, half: 0 };
  const hours = children.map(() => 0);
  const days = planner === 'nobody' ? [] : cohort.days;
  for (let week = 0; week < WEEKS; week++) {
    for (const weekday of days) {
      const day = week * 7 + weekday;
      if (planner === 'app-checked' && week > 0 && week % weeksBetweenSheets === 0 && weekday === days[0])
        for (const [i, c] of children.entries()) {
          checkIn(graph, c, day, rng);
          hours[i]! += LOOP.checkInMinutes / 60;
        }
      const seating = seatingOf(setting, children, played, day, seed * 1000 + day);
      tally.rest += rounds * children.length;
      for (const [i, worth] of worthOfMeeting(setting, children, seating, day).entries()) {
        tally.meetings++;
        if (worth >= 0.5) tally.half++;
        else if (Number.isNaN(worth)) throw new Error(`the meeting of child ${i} has no worth`);
      }
      const done = children.map(() => new Float64Array(graph.skills.length));
      for (let round = 0; round < rounds; round++)
        for (const table of seating.filter((t) => t.round === round))
          for (const { learner, offer, skill } of table.seats) {
            const c = children[learner]!;
            const truly = trueAt(offer, table.seats.length, minutes);
            tally.rest--;
            tally.seats++;
            hours[learner]! += minutes / 60;
            count(graph, c, truly, minutes, day, items);
            const about = skill ?? aboutOf(graph, c, offer, minutes, day);
            if (isWellPlaced(c, truly, about, day)) tally.well++;
            const note = about >= 0 && uniform(rng) < LOOP.noted ? noteOf(graph, world, c, about, day, round, rng) : null;
            c.truly.play(truly, minutes, day, done[learner]!);
            if (note) seeEvidence(graph, c.facts, c.map, note);
            const players = table.seats.length;
            played.push({ learner: c.id, game: table.game, variant: offer.variant, players, minutes, date: dayOf(day) });
          }
    }
    if (week % 4 === 3) forecasts.push(forecast(graph, children, week * 7 + 6));
  }
  const test = WEEKS * 7 + TEST_AFTER;
  return {
    held: children.map((c) => c.targets.filter((k) => c.truly.holds(k, test)).length),
    hours,
    items,
    seats: tally.seats,
    wellPlaced: tally.well,
    resting: tally.seats === 0 ? 0 : tally.rest / (tally.rest + tally.seats),
    meetings: tally.meetings,
    halfOfBest: tally.half,
    forecasts,
  };
}

function invent(graph: SkillGraph, world: World, i: number, age: number, speed: number, seed: number): Child {
  const truly = world.invent(age, speed, createRng(seed, 50 + i));
  const own = age + truly.ahead;
  const steps = [...graph.skills.keys()];
  return {
    id: `c${i}`,
    truly,
    facts: { born: bornAt(start, age), framework: 'us', permanentSupports: [], supportsInUse: [] },
    map: emptyMap(graph, false),
    targets: steps.filter((k) => graph.skills[k]!.wantedAt.us <= own + targetYears),
    near: steps.filter((k) => Math.abs(graph.skills[k]!.wantedAt.us - own) <= nearYears),
  };
}

function forecast(graph: SkillGraph, children: readonly Child[], day: number): Forecast[] {
  return children.flatMap((c) => {
    const e = readMap(graph, c.facts, c.map, dayOf(day));
    return c.near.map((k) => ({ p: e[k]!.mastery, held: c.truly.holds(k, day) }));
  });
}

/** The skill a note is about where the planner names none: what most of the play is about. */
function aboutOf(graph: SkillGraph, c: Child, offer: Offer, minutes: number, day: number): number {
  const now = knownOf(readMap(graph, c.facts, c.map, dayOf(day)));
  const age = c.truly.age + day / 365.25;
  return mainSkill(offer, learnerNeeds(graph, { id: c.id, nickname: c.id, age, framework: 'us', supported: false }, now), minutes);
}

function count(graph: SkillGraph, c: Child, truly: TruePlay, minutes: number, day: number, items: number[]): void {
  for (let k = 0; k < graph.skills.length; k++)
    if (truly.doses[k]! > 0) items[Math.min(19, Math.floor(c.truly.ease(k, day) * 20))]! += (truly.doses[k]! * minutes) / 10;
}

function isWellPlaced(c: Child, truly: TruePlay, k: number, day: number): boolean {
  if (k < 0 || c.truly.holds(k, day)) return false;
  const p = c.truly.right(k, day, false);
  return p >= 0.45 && p <= 0.92 && truly.doses[k]! >= 0.35 * truly.answers;
}

/** By child: what its meeting truly brings, as a part of the best that as many different games could bring it; 1 where none brings anything. */
function worthOfMeeting({ offers, trueAt, cohort }: LoopSetting, children: readonly Child[], seating: Seating, day: number): number[] {
  const usual = offers.map((o) => ({ game: o.game, truly: trueAt(o, o.counted?.seats ?? 3, cohort.minutes) }));
  return children.map((c, i) => {
    const gain = (truly: TruePlay): number => c.truly.gain(truly, cohort.minutes, day, c.targets);
    const byGame = new Map<string, number>();
    for (const { game, truly } of usual) byGame.set(game, Math.max(byGame.get(game) ?? 0, gain(truly)));
    const most = [...byGame.values()].sort((x, y) => y - x).slice(0, cohort.rounds);
    const best = most.reduce((sum, g) => sum + g, 0);
    const here = seating.flatMap((t) =>
      t.seats.filter((s) => s.learner === i).map((s) => gain(trueAt(s.offer, t.seats.length, cohort.minutes))),
    );
    return best === 0 ? 1 : here.reduce((sum, g) => sum + g, 0) / best;
  });
}
