import { describe, expect, it } from 'vitest';
import { createRng } from '../../shared/rng';
import { anneal } from '../anneal';
import { checkPlan } from '../checkPlan';
import { greedy } from '../greedy';
import { Guide } from '../guide';
import type { PlanInstance } from '../instance';
import { tight, withAims } from '../instances.testing';
import { moveKinds } from './moveKinds';
import { objectiveOf } from '../objective';
import type { SearchState } from '../searchState';

const seeds = Array.from({ length: 8 }, (_, i) => 200 + i);
const begin = (instance: PlanInstance, seed: number): SearchState | null => {
  for (let i = 0; i < 12; i++) {
    const state = greedy(instance, createRng(seed, i), 0.1 * i);
    if (state) return state;
  }
  return null;
};
const kinds: readonly ['plain' | 'with every aim', (seed: number) => PlanInstance][] = [
  ['plain', (seed) => tight(seed)],
  ['with every aim', (seed) => withAims(tight(seed), seed)],
];

describe.each(moveKinds.map((k) => [k.name, k.move] as const))('the move “%s”', (_name, move) => {
  it.each(kinds)('leaves a legal schedule and its worth in step (%s)', (_kind, make) => {
    let tried = 0;
    let changed = 0;
    for (const seed of seeds) {
      const state = begin(make(seed), seed);
      if (!state) continue;
      tried++;
      const guide = new Guide(state);
      const rng = createRng(seed, 5);
      for (let i = 0; i < 250; i++) {
        const before = state.total;
        // Hot, so that many moves that make it worse are taken, and many are taken back.
        move(state, rng, i % 2 === 0 ? 1e9 : 1e-9, guide);
        if (Math.abs(state.total - before) > 1e-9) changed++;
        expect(state.broken).toBe(0);
        if (i % 10 > 0) continue;
        const schedule = state.schedule();
        expect(checkPlan(state.instance, schedule)).toEqual([]);
        expect(state.total).toBeCloseTo(objectiveOf(state.instance, schedule), 7);
      }
    }
    expect(tried).toBeGreaterThan(3);
    if (_name !== 'join a companion' || _kind !== 'plain') expect(changed).toBeGreaterThan(0);
  });
});

describe('annealing with aims beside the sum', () => {
  it.each(seeds)('ends above where it began, legal, with its worth in step (%i)', (seed) => {
    const state = begin(withAims(tight(seed), seed), seed)!;
    const before = state.total;
    const { schedule, value } = anneal(state, createRng(seed, 6), 20_000);
    expect(checkPlan(state.instance, schedule)).toEqual([]);
    expect(value).toBeCloseTo(objectiveOf(state.instance, schedule), 6);
    expect(value).toBeGreaterThan(before);
  });
  it('hears of the best so far, and can be stopped with it', () => {
    const state = begin(tight(200), 200)!;
    let last = -Infinity;
    let heard = 0;
    const { value, schedule } = anneal(state, createRng(1), 1_000_000, (_share, best, incumbent) => {
      heard++;
      expect(best).toBeGreaterThanOrEqual(last);
      last = best;
      expect(objectiveOf(state.instance, incumbent())).toBeCloseTo(best, 6);
      return heard < 20;
    });
    expect(heard).toBe(20);
    expect(value).toBeCloseTo(last, 9);
    expect(checkPlan(state.instance, schedule)).toEqual([]);
  });
  it('makes the same of the same seed', () => {
    const run = () => anneal(begin(tight(202), 202)!, createRng(3), 20_000);
    expect(run()).toEqual(run());
  });
});
