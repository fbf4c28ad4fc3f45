import { beforeAll, describe, expect, it } from 'vitest';
import { loadSolver } from '../../adapters/highs/solveModel';
import { shippedGraph } from '../../contract/shippedData';
import { knownFrom } from '../recommend/knownFrom.testing';
import { learnerNeeds, type LearnerNeeds } from '../recommend/learnerNeeds';
import type { Offer } from '../recommend/offer';
import { offerOf } from '../recommend/offer.testing';
import { buildSession, type SessionSettings } from './buildSession';
import { checkPlan } from './checkPlan';
import type { SolveModel } from './linearModel';
import { planSession } from './planSession';
import { planTerm } from './planTerm';

const graph = shippedGraph();
let solve: SolveModel;
beforeAll(async () => void (solve = await loadSolver()));

const offer = (game: string, skill: string): Offer =>
  offerOf(`${game}-v`, { [skill]: 14 }, { game, mixClass: game, helper: 'alone', source: 'declared' });
/** One game each: for little ones sums within five, for older ones products. */
const offers = [offer('lamps', 'add-in-5'), offer('relay', 'times-6-9')];
const child = (id: string, age: number, held: boolean): LearnerNeeds =>
  learnerNeeds(
    graph,
    { id, nickname: id, age, framework: 'us', supported: false },
    knownFrom(graph.skills.map((s) => (held || s.wantedAt.us < 6.2 ? 0.6 : 1e-7))),
  );
const small = child('small', 6, false);
const tall = child('tall', 9, true);
const settings = (more: Partial<SessionSettings> = {}): SessionSettings => ({
  rounds: 1,
  minutes: 15,
  tables: 1,
  helpers: 1,
  preparationMinutes: 60,
  stock: new Map(),
  plentiful: new Set(),
  daysSincePlayed: new Map(),
  locks: [],
  resting: [],
  ...more,
});
const wayOf = (game: string, beside: boolean, of: ReturnType<typeof buildSession>): number =>
  of.options.findIndex((o) => o.game === game && o.beside === beside);

describe('practice that is no game', () => {
  it('fills a seat, but a game that does as much is planned first, asked for or not', () => {
    // A little more practice does not outweigh that it is no game.
    const wheel = { ...offer('wheel', 'add-in-5'), mechanism: 'fact-wheel' };
    wheel.doses.forEach((d, k) => (wheel.doses[k] = d * 1.03));
    const two = [child('a', 6, false), { ...child('b', 6, false), likings: ['wheel'] }];
    const played = (some: readonly Offer[]): string[] => {
      const built = buildSession(graph, some, two, settings());
      return planSession(built.instance, solve, { seed: 1, moves: 4000 }).schedule.flatMap((round) =>
        round.map((t) => built.options[t.game]!.game),
      );
    };
    expect(played([wheel, offers[0]!])).toEqual(['lamps']);
    expect(played([offers[0]!, wheel])).toEqual(['lamps']);
    expect(played([wheel])).toEqual(['wheel']);
  });
});

describe('a game that is lively or on the floor', () => {
  it('is known as one, whichever of its versions is', () => {
    const lively = { ...offers[0]!, variant: 'lamps-loud', room: 'lively' as const };
    const built = buildSession(graph, [...offers, lively, { ...offer('frogs', 'add-in-5'), room: 'calm' }], [small, tall], settings());
    expect(built.options.map((o, g) => [o.game, built.instance.games[g]!.loud === true])).toEqual([
      ['lamps', true],
      ['relay', false],
      ['frogs', false],
      ['relay', false],
    ]);
  });
});

describe('a grown-up who may take a seat', () => {
  it('plays with a child who is alone, and is bound by it', () => {
    const built = buildSession(graph, offers, [small], settings());
    const { schedule, status } = planSession(built.instance, solve, { seed: 1, moves: 4000 });
    expect(status).not.toBe('infeasible');
    const table = schedule[0]![0]!;
    expect(built.options[table.game]!).toMatchObject({ game: 'lamps', grownUp: true });
    expect([built.instance.games[table.game]!.helper, table.learners]).toEqual([1, [0]]);
    // With nobody to play with, a game for two cannot be played, and one helper is what would help.
    const nobody = planSession(buildSession(graph, offers, [small], settings({ helpers: 0 })).instance, solve, { seed: 1, moves: 4000 });
    expect(nobody.schedule.flat()).toEqual([]);
    expect(nobody.diagnosis!.relax).toEqual([{ relax: 'helpers', by: 1 }]);
  });
  it('lets two children of different games sit at two tables, where that is wished', () => {
    const wide = [
      { ...offers[0]!, ages: [4, 7] as [number, number] },
      { ...offers[1]!, helper: 'alone' as const },
    ];
    const plain = buildSession(graph, wide, [small, tall], settings({ tables: 2, helpers: 2 }));
    expect(plain.options.some((o) => o.grownUp)).toBe(false);
    const along = buildSession(graph, wide, [small, tall], settings({ tables: 2, helpers: 2, grownUp: true }));
    const { schedule } = planSession(along.instance, solve, { seed: 1, moves: 20_000 });
    expect(checkPlan(along.instance, schedule)).toEqual([]);
    expect(schedule[0]!.map((t) => [along.options[t.game]!.game, along.options[t.game]!.grownUp, t.learners]).toSorted()).toEqual([
      ['lamps', true, [0]],
      ['relay', true, [1]],
    ]);
  });
  it('takes one seat of those a game wants, so that no more sit than may', () => {
    const three = [{ ...offers[0]!, players: [3, 4] as [number, number] }];
    const built = buildSession(graph, three, [small, { ...small, learner: 'small2' }], settings({ grownUp: true }));
    const along = built.options.findIndex((o) => o.grownUp);
    expect([built.instance.games[along]!.min, built.instance.games[along]!.max]).toEqual([2, 3]);
  });
});

describe('a large shelf', () => {
  const many = Array.from({ length: 300 }, (_, i) => offer(`game-${i}`, i % 2 === 0 ? 'add-in-5' : 'times-6-9'));
  it('is looked at closely in part, and says how much was passed over; all of it where that is asked', () => {
    const some = buildSession(graph, many, [small, tall], settings());
    expect(some.passedOver).toBeGreaterThan(0);
    // Ways with somebody beside come on top of the games looked at.
    expect(some.options.filter((o) => !o.beside)).toHaveLength(300 - some.passedOver);
    expect(buildSession(graph, many, [small, tall], settings({ everyGame: true })).passedOver).toBe(0);
    expect(buildSession(graph, many.slice(0, 240), [small, tall], settings()).passedOver).toBe(0);
  });
});

describe('a game that is too hard alone', () => {
  it('is open with somebody beside, who is counted as a helper', () => {
    const built = buildSession(graph, offers, [small, tall], settings());
    const [plain, beside] = [wayOf('relay', false, built), wayOf('relay', true, built)];
    expect(built.chosen[0]![plain]).toBeNull();
    expect(built.chosen[1]![plain]).not.toBeNull();
    expect([built.chosen[0]![beside], built.chosen[1]![beside]].map((o) => o?.variant)).toEqual(['relay-v', 'relay-v']);
    expect([built.stretched[0]![beside], built.stretched[1]![beside]]).toEqual([true, false]);
    expect([built.instance.games[plain]!.helper, built.instance.games[beside]!.helper]).toEqual([0, 1]);
    // One game all the same: nobody plays it twice.
    expect(built.instance.games[plain]!.family).toBe(built.instance.games[beside]!.family);
    // Nobody finds the little ones’ game too hard, so it has one way.
    expect(wayOf('lamps', true, built)).toBe(-1);
  });
  it('is shared no more often in a round than helpers are there', () => {
    const four = [small, { ...small, learner: 'small2' }, tall, { ...tall, learner: 'tall2' }];
    const twins = [...offers.slice(1), offer('mill', 'times-3-4')];
    for (const helpers of [1, 2]) {
      const built = buildSession(graph, twins, four, settings({ tables: 2, helpers }));
      const { schedule, status } = planSession(built.instance, solve, { seed: 1, moves: 40_000 });
      expect(status).not.toBe('infeasible');
      expect(checkPlan(built.instance, schedule)).toEqual([]);
      const bound = schedule[0]!.filter((t) => built.options[t.game]!.beside).length;
      expect(bound).toBeGreaterThan(0);
      expect(bound).toBeLessThanOrEqual(helpers);
    }
  });
  it('keeps those who are fixed at one table together, with somebody beside where one of them needs it', () => {
    const locks = ['small', 'tall'].map((learner) => ({ learner, round: 0, game: 'relay' }));
    const built = buildSession(graph, offers, [small, tall], settings({ locks }));
    expect(built.instance.locks!.map((k) => k.game)).toEqual([wayOf('relay', true, built), wayOf('relay', true, built)]);
    const one = buildSession(graph, offers, [small, tall], settings({ locks: locks.slice(1) }));
    expect(one.instance.locks!.map((k) => k.game)).toEqual([wayOf('relay', false, one)]);
  });
  it('is left to the organiser where there are no helpers, rather than nobody having a seat', () => {
    const built = buildSession(graph, [offers[1]!], [small, tall], settings({ helpers: 0 }));
    expect(built.options.every((o) => !o.beside)).toBe(true);
    expect(built.chosen[0]![0]!.variant).toBe('relay-v');
    expect(built.stretched[0]![0]).toBe(true);
  });
  it('asks for one helper more where else no plan would fit, and says where', () => {
    const skillsOf = (n: LearnerNeeds) => [...n.theta].map((theta) => ({ theta, variance: 0.6, memory: null, lastMet: null }));
    const learner = (n: LearnerNeeds, id: string) => ({
      id,
      nickname: id,
      age: n.age,
      framework: 'us',
      supported: false,
      skills: skillsOf(n),
    });
    const learners = [learner(small, 'a'), learner(small, 'b'), learner(small, 'c'), learner(small, 'd')];
    const [plan] = planTerm(
      graph,
      {
        offers: [
          { ...offers[1]!, players: [2, 2] },
          { ...offer('mill', 'times-3-4'), players: [2, 2] },
        ],
        learners,
        meetings: [{ date: '2026-11-10', present: learners.map((l) => l.id), rounds: 1, minutes: 15, tables: 2, helpers: 1 }],
        stock: [],
        plentiful: [],
        preparationMinutes: 60,
        played: [],
        locks: [],
        resting: [],
        seed: 1,
        secondsPerMeeting: 0.2,
      },
      solve,
    );
    expect(plan!.status).not.toBe('infeasible');
    expect(plan!.rounds[0]!.tables.flatMap((t) => t.seats.map((s) => s.stretched))).toEqual([true, true, true, true]);
  });
});
