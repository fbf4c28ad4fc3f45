import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../../contract/shippedData';
import { shippedOffers } from '../../../contract/shippedOffers.testing';
import { createRng } from '../../shared/rng';
import { ASSUMPTIONS } from '../assumptions';
import { closedLoop } from './closedLoop';
import { itemResponseWorld } from './itemResponse';
import type { LoopSetting, Planner } from './seatings';
import { STAGES, stageWorld } from './stages';
import { COHORTS, type Player, type TruePlay, type World } from './world';

const graph = shippedGraph();
const at = (id: string): number => graph.indexOf.get(id)!;
const worlds: readonly World[] = [...ASSUMPTIONS.map((a) => itemResponseWorld(graph, a)), stageWorld(graph)];
const all = [...graph.skills.keys()];
const only = (k: number, dose: number): TruePlay => {
  const doses = new Float64Array(graph.skills.length);
  doses[k] = dose;
  return { doses, answers: dose };
};
const many = (world: World, age = 7, n = 60): Player[] => Array.from({ length: n }, (_, i) => world.invent(age, 1, createRng(i, 9)));
const mean = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0) / list.length;
const fresh = (): Float64Array => new Float64Array(graph.skills.length);

describe.each(worlds.map((w) => [w.id, w] as const))('a world (%s)', (_, world) => {
  it('is the same for the same seed, and children differ', () => {
    const [x, y, z] = [1, 1, 2].map((s) => world.invent(7, 1, createRng(s, 9)));
    const told = (p: Player): number[] => all.map((k) => p.right(k, 0, false));
    expect(told(x!)).toEqual(told(y!));
    expect(told(x!)).not.toEqual(told(z!));
  });
  it('has older children hold more, and hardly anybody what is wanted years later', () => {
    const held = (age: number): number => mean(many(world, age).map((p) => all.filter((k) => p.holds(k, 0)).length));
    expect(held(9)).toBeGreaterThan(held(7) + 20);
    expect(held(7)).toBeGreaterThan(held(5) + 20);
    expect(many(world).filter((p) => p.holds(at('fraction-divide'), 0)).length).toBeLessThanOrEqual(1);
  });
  it('lets a tool help and practice teach, and speed makes a difference', () => {
    const k = at('add-in-20');
    const taught = (speed: number): number =>
      mean(
        Array.from({ length: 80 }, (_, i) => {
          const p = world.invent(6.6, speed, createRng(i, 9));
          expect(p.right(k, 0, true)).toBeGreaterThan(p.right(k, 0, false));
          const before = p.ease(k, 0);
          for (let day = 0; day < 20; day++) p.play(only(k, 12), 10, day, fresh());
          return p.ease(k, 20) - before;
        }),
      );
    expect(taught(1)).toBeGreaterThan(0.05);
    expect(taught(2)).toBeGreaterThan(taught(1));
  });
  it('takes away what is not met, less where it was met often', () => {
    const k = at('add-in-10');
    const lost = (meetings: number): number =>
      mean(
        many(world, 6, 200).map((p) => {
          for (let day = 0; day < meetings; day++) p.play(only(k, 12), 10, day, fresh());
          return p.ease(k, meetings) - p.ease(k, meetings + 90);
        }),
      );
    // Where life outside brings more than rest takes, nothing is lost.
    if (world.id !== 'uneven') expect(lost(3)).toBeGreaterThan(0);
    expect(lost(12)).toBeLessThan(lost(3));
  });
  it('counts as gain what rises among the targets alone, and nothing of what nobody plays', () => {
    const k = at('make-ten');
    const p = many(world).find((x) => !x.holds(k, 0) && x.right(k, 0, false) > 0.3)!;
    expect(p.gain(only(k, 12), 15, 0, [k])).toBeGreaterThan(0);
    expect(p.gain(only(k, 12), 15, 0, [at('doubles-to-20')])).toBe(0);
    expect(p.gain(only(k, 0.1), 15, 0, [k])).toBe(0);
    expect(p.gain(only(k, 24), 15, 0, [k])).toBeGreaterThan(p.gain(only(k, 6), 15, 0, [k]));
  });
});

describe('stages', () => {
  it('hold a step back whose ground is missing', () => {
    // Two children alike but for what is needed: taught that first, more of them rise.
    const k = at('make-ten');
    const risen = (first: boolean): number =>
      mean(
        many(stageWorld(graph), 6, 300).map((p) => {
          const before = p.ease(k, 0);
          if (first) for (let day = 0; day < 40; day++) for (const { index } of graph.needs[k]!) p.play(only(index, 12), 10, day, fresh());
          for (let day = 40; day < 60; day++) p.play(only(k, 12), 10, day, fresh());
          return p.ease(k, 60) - before;
        }),
      );
    expect(risen(true)).toBeGreaterThan(risen(false) + 0.02);
  });
  it('move one at a time, and no more of a day than is left of it', () => {
    const k = at('add-in-20');
    for (const p of many(stageWorld(graph), 6.5)) {
      const before = STAGES.right.indexOf(p.right(k, 0, false) as 0.4);
      const done = fresh();
      p.play(only(k, 1000), 10, 0, done);
      const after = STAGES.right.indexOf(p.right(k, 0, false) as 0.4);
      expect(after - before).toBeLessThanOrEqual(1);
      expect(done[k]).toBe(STAGES.dailyChances);
      p.play(only(k, 1000), 10, 0, done);
      expect(STAGES.right.indexOf(p.right(k, 0, false) as 0.4)).toBe(after);
    }
  });
});

describe('twelve weeks', () => {
  const offers = shippedOffers();
  const setting = (planner: Planner): LoopSetting => ({
    graph,
    offers,
    trueAt: (o) => ({ doses: o.doses, answers: o.doses.reduce((a, b) => Math.max(a, b), 0) }),
    dosesBefore: null,
    cohort: COHORTS[0]!,
    planner,
    solve: () => {
      throw new Error('nobody plans here');
    },
    seconds: 0,
  });
  const world = itemResponseWorld(graph, ASSUMPTIONS[0]!);
  it('are the same again, with a seat a round for everybody, and better played than not', () => {
    const [once, again] = [1, 2].map(() => closedLoop(setting('true-gain'), world, [5, 'medium']));
    expect(again).toEqual(once);
    expect(once).toMatchObject({ resting: 0, seats: 12 * 4 * 3, meetings: 12 * 4 * 3 });
    expect(once!.hours).toEqual([12, 12, 12]);
    const nobody = closedLoop(setting('nobody'), world, [5, 'medium']);
    const sum = (r: typeof nobody): number => r.held.reduce((a, b) => a + b, 0);
    expect(sum(once!)).toBeGreaterThan(sum(nobody));
    expect(nobody).toMatchObject({ seats: 0, hours: [0, 0, 0] });
    // Who sees everything gives nearly every child half of what could be had alone.
    expect(once!.halfOfBest / once!.meetings).toBeGreaterThan(
      closedLoop(setting('random'), world, [5, 'medium']).halfOfBest / once!.meetings,
    );
  });
});
