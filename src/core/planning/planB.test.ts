import { beforeAll, describe, expect, it } from 'vitest';
import { loadSolver } from '../../adapters/highs/solveModel';
import { shippedOffers } from '../../contract/shippedOffers.testing';
import { objectiveOf } from './objective';
import type { SolveModel } from './linearModel';
import { type PlanB, planB } from './planB';
import { planSession } from './planSession';
import { type PlanningInput, planTerm, termSteps } from './planTerm';
import { child, graph, input, meeting, offer, standing as standingOf } from './smallTerm.testing';

let solve: SolveModel;
beforeAll(async () => {
  solve = await loadSolver();
});

const young = ['a', 'b', 'e'];
const old = ['c', 'd'];
const elder = standingOf(graph.skills.map((s) => (s.id === 'take-from-ten' ? 0.3 : 0.98)));
/** Three of seven years, and two of eleven for whom one game with two seats is all there is. */
const mixed = (more: Partial<PlanningInput> = {}): PlanningInput =>
  input({
    offers: [
      ...input().offers.flatMap((o) => (o.game === 'clock' ? [] : [{ ...o, ages: [5, 8] as const }])),
      offer('elder', { 'take-from-ten': 12 }, { players: [2, 2], ages: [10, 12] }),
    ],
    learners: [...young.map(child), ...old.map((id) => ({ ...child(id), age: 11, skills: elder }))],
    meetings: [meeting('2026-11-10', [...young, ...old])],
    timesEach: 2,
    ...more,
  });
/** The session as the planner makes it, to be kept. */
function standing(of: PlanningInput): PlanningInput {
  const [planned] = planTerm(graph, of, solve);
  return {
    ...of,
    keep: planned!.rounds.map((r) => r.tables.flatMap((t) => t.seats.map((s) => [s.learner, t.game] as const))),
  };
}
const seatsIn = (rounds: PlanB['away'][number]['rounds']): string[] =>
  rounds.flatMap((r) => r.tables.flatMap((t) => t.seats.map((s) => s.learner)));

/** A whole shelf and twelve children from five to eleven, as a co-op has them: far more ways than a search goes through. */
function shelfful(): PlanningInput {
  const learners = Array.from({ length: 12 }, (_, i): PlanningInput['learners'][number] => {
    const age = 5 + i / 2;
    const skills = standingOf(graph.skills.map((s) => 1 / (1 + Math.exp(-1.5 * (age - s.wantedAt.us)))));
    return { ...child(`l${i}`), age, skills };
  });
  const offers = shippedOffers().map((o) => ({ ...o, helper: 'nearby' as const, materials: [] }));
  const present = learners.map((l) => l.id);
  return input({ offers, learners, meetings: [{ ...meeting('2026-11-10', present), rounds: 3, tables: 4, helpers: 3 }], stock: [] });
}

describe('a session that is planned anew with its seats', () => {
  it('moves nobody who need not move, however many games there are and however short the search', () => {
    const asked = standing(shelfful());
    const seats = (rounds: PlanB['away'][number]['rounds']): string[][] =>
      rounds.map((r) => r.tables.flatMap((t) => t.seats.map((s) => `${s.learner} ${t.game}`)).sort());
    const kept = asked.keep!.map((round) => round.map(([l, g]) => `${l} ${g}`).sort());
    const anew = (more: Partial<PlanningInput>): string[][] =>
      seats(planTerm(graph, { ...asked, unpriced: true, keepShare: 1, secondsPerMeeting: 0.001, ...more }, solve)[0]!.rounds);
    expect(anew({})).toEqual(kept);
    const games = [...new Set(asked.keep!.flat().map(([, g]) => g))];
    expect(games.length).toBeGreaterThan(6);
    const moved = games.map((game) => {
      const without = anew({ offers: asked.offers.filter((o) => o.game !== game) });
      return kept.flatMap((round, r) => round.filter((s) => !s.endsWith(` ${game}`) && !without[r]!.includes(s)));
    });
    // Somebody left alone may need company; else only those move whose game it was.
    expect(moved.filter((m) => m.length > 0).length).toBeLessThanOrEqual(1);
    expect(Math.max(...moved.map((m) => m.length))).toBeLessThanOrEqual(2);
  });
});

describe('plan B', () => {
  it('names the two without whom others cannot play, and says what all would do then', () => {
    const found = planB(graph, standing(mixed()), solve);
    expect(found.away.map((a) => [...a.learners].sort())).toEqual([expect.any(Array), expect.any(Array), ['c', 'd']]);
    expect(
      found.away
        .slice(0, 2)
        .flatMap((a) => a.learners)
        .sort(),
    ).toEqual(old);
    const [first, second, both] = found.away;
    // Whoever is left of the two has no game for one: both rounds without a seat.
    expect([first!.unseated, second!.unseated, both!.unseated]).toEqual([2, 2, 0]);
    expect(first!.cost).toBeGreaterThanOrEqual(second!.cost);
    expect(second!.cost).toBeGreaterThan(0);
    for (const a of found.away) for (const gone of a.learners) expect(seatsIn(a.rounds)).not.toContain(gone);
    expect(seatsIn(both!.rounds).sort()).toEqual([...young, ...young].sort());
  });

  it('costs nothing to be without a child whose going changes nobody', () => {
    const found = planB(graph, standing(mixed()), solve);
    const all = ['a', 'b', 'c', 'd', 'e'].map((l) => found.away.find((a) => a.learners.length === 1 && a.learners[0] === l)?.cost ?? 0);
    expect(all.filter((cost) => cost > 0)).toHaveLength(2);
  });

  it('gives every game of the session another in its place, and leaves the other tables as they are', () => {
    const asked = standing(mixed());
    const found = planB(graph, asked, solve);
    const played = [...new Set(asked.keep!.flat().map(([, g]) => g))];
    expect(found.without.map((w) => w.game)).toEqual(played);
    for (const w of found.without) {
      expect(w.rounds.flatMap((r) => r.tables.map((t) => t.game))).not.toContain(w.game);
      expect(w.unseated).toBe(w.game === 'elder' ? 4 : 0);
      // Those who did not play it sit where they sat.
      for (const [r, round] of asked.keep!.entries())
        for (const [learner, game] of round) {
          if (game === w.game || (w.game !== 'elder' && young.includes(learner))) continue;
          expect(w.rounds[r]!.tables.find((t) => t.seats.some((s) => s.learner === learner))?.game, `${learner} without ${w.game}`).toBe(
            game,
          );
        }
    }
  });

  it('answers ten minutes fewer with the length that is worth more, none of them longer than it was', () => {
    const asked = standing(mixed());
    const found = planB(graph, asked, solve).shorter!;
    const worth = ([count, minutes]: readonly [number, number]): number => {
      const { keep, ...rest } = asked;
      const steps = termSteps(graph, {
        ...rest,
        keep: keep!.slice(0, count),
        unpriced: true,
        meetings: [{ ...asked.meetings[0]!, rounds: count, minutes }],
      });
      const step = steps.next();
      if (step.done) throw new Error('nothing was planned');
      const outcome = planSession(step.value.instance, solve, step.value);
      return objectiveOf(
        { ...step.value.instance, aims: { ...step.value.instance.aims, keep: { games: [], worth: 0 } } },
        outcome.schedule,
      );
    };
    // 2 × 15 less 10 is 2 × 10 or 1 × 15.
    const [two, one] = [worth([2, 10]), worth([1, 15])];
    expect([found.count, found.minutes]).toEqual(two > one ? [2, 10] : [1, 15]);
    expect(found.rounds).toHaveLength(found.count);
  });

  it('has no shorter session where no round would be long enough, and nobody to miss where one child is all', () => {
    const short = standing(input({ meetings: [{ ...meeting('2026-11-10'), rounds: 2, minutes: 7 }] }));
    expect(planB(graph, short, solve).shorter).toBeNull();
    // 16 less 10 is one round of six, which is just long enough.
    const enough = standing(input({ meetings: [{ ...meeting('2026-11-10'), rounds: 2, minutes: 8 }] }));
    expect(planB(graph, enough, solve).shorter).toMatchObject({ count: 1, minutes: 6 });
    const alone = input({
      offers: [offer('lamps', { 'make-ten': 12 }, { players: [1, 2] })],
      learners: [child('a')],
      meetings: [{ ...meeting('2026-11-10', ['a']), rounds: 1 }],
    });
    expect(planB(graph, standing(alone), solve).away).toEqual([]);
  });

  it('comes out the same from the same numbers, and tells how far it is', () => {
    const asked = standing(mixed());
    const told: number[] = [];
    expect(planB(graph, asked, solve, (share) => told.push(share))).toEqual(planB(graph, asked, solve));
    expect(told.length).toBeGreaterThan(5);
    expect(told.every((t, i) => t > (told[i - 1] ?? 0) && t <= 1)).toBe(true);
  });
});
