import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { createRng } from '../shared/rng';
import { ASSUMPTIONS } from './assumptions';
import { areaUnderCurve, baseRate, brier, calibrationError, reliability } from './evaluate';
import { following } from './following';
import { judge } from './judge';
import { placeLearner } from './placeLearner';
import { abilityOn, chanceOfRight, inventLearner, normal, practise } from './simulateLearner';
import { HALF_TERM, simulateTerm } from './simulateTerm';

const graph = shippedGraph();
const steady = ASSUMPTIONS[0]!;

describe('scores of forecasts', () => {
  it('agree with worked examples', () => {
    const list = [
      { p: 0.9, held: true },
      { p: 0.2, held: false },
      { p: 0.6, held: false },
      { p: 0.7, held: true },
    ];
    expect(brier(list)).toBeCloseTo((0.01 + 0.04 + 0.36 + 0.09) / 4, 12);
    expect(baseRate(list)).toBe(0.5);
    expect(areaUnderCurve(list)).toBe(1);
    expect(
      areaUnderCurve([
        { p: 0.5, held: true },
        { p: 0.5, held: false },
      ]),
    ).toBe(0.5);
    // Pairs ordered rightly: (0.9, 0.8), (0.9, 0.3), (0.4, 0.3); wrongly: (0.4, 0.8).
    expect(
      areaUnderCurve([
        { p: 0.9, held: true },
        { p: 0.8, held: false },
        { p: 0.4, held: true },
        { p: 0.3, held: false },
      ]),
    ).toBe(0.75);
    expect(
      calibrationError([
        { p: 0.25, held: true },
        { p: 0.25, held: false },
      ]),
    ).toBeCloseTo(0.25, 12);
  });
  it('put every forecast in one bin', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ p: fc.double({ min: 0, max: 1, noNaN: true }), held: fc.boolean() }), { minLength: 1 }), (list) => {
        expect(reliability(list).reduce((sum, b) => sum + b.n, 0)).toBe(list.length);
        expect(calibrationError(list)).toBeLessThanOrEqual(1);
      }),
    );
  });
});

describe('an invented learner', () => {
  it('is the same for the same seed and another for another', () => {
    const one = simulateTerm(graph, 8, steady, HALF_TERM, 5, 1);
    expect(simulateTerm(graph, 8, steady, HALF_TERM, 5, 1)).toEqual(one);
    expect(simulateTerm(graph, 8, steady, HALF_TERM, 5, 2).moments).not.toEqual(one.moments);
  });
  it('draws from a normal distribution', () => {
    const rng = createRng(3);
    const draws = Array.from({ length: 20_000 }, () => normal(rng));
    const mean = draws.reduce((a, b) => a + b, 0) / draws.length;
    expect(Math.abs(mean)).toBeLessThan(4 / Math.sqrt(draws.length));
    expect(draws.reduce((s, x) => s + (x - mean) ** 2, 0) / draws.length).toBeCloseTo(1, 1);
  });
  it('learns by practice, forgets in quiet weeks, and answers better with a tool', () => {
    const a = ASSUMPTIONS[1]!;
    const l = inventLearner(graph, 8, a, createRng(9));
    const k = graph.indexOf.get('add-in-20')!;
    const before = abilityOn(l, k, 0, a);
    practise(graph, l, k, 0, a);
    expect(abilityOn(l, k, 0, a)).toBeGreaterThan(before);
    expect(abilityOn(l, k, 40, a)).toBeLessThan(abilityOn(l, k, 0, a));
    expect(chanceOfRight(l, k, 0, a, true)).toBeGreaterThan(chanceOfRight(l, k, 0, a, false));
  });
  it('is older, and then holds more', () => {
    const held = (age: number): number =>
      Array.from({ length: 8 }, (_, i) => simulateTerm(graph, age, steady, HALF_TERM, 7, i).heldAtEnd.filter(Boolean).length).reduce(
        (a, b) => a + b,
        0,
      );
    expect(held(10)).toBeGreaterThan(held(6));
  });
});

describe('the estimator, judged by learners it does not know', () => {
  // A small cohort of another seed than the judged ones; the whole evaluation is `npm run bench -- mastery`.
  it.each(ASSUMPTIONS.map((a) => [a.id, a] as const))('beats both plain rules when learners are %s', (_, a) => {
    const j = judge(graph, a, 20, 7);
    const plain = Math.min(brier(j.again.last), brier(j.again.lastFive));
    expect(brier(j.again.estimate)).toBeLessThan(plain * 0.85);
    expect(areaUnderCurve(j.again.estimate)).toBeGreaterThan(0.8);
    expect(brier(j.end)).toBeLessThan(baseRate(j.end) * (1 - baseRate(j.end)) * 0.5);
  });
  it('follows most who learn within two observations', () => {
    const f = following(graph, steady, 12, 7).learning;
    expect(f.filter((n) => n === 1 || n === 2).length).toBeGreaterThan(f.length / 2);
  });
  it('places in few questions and knows more afterwards', () => {
    const placed = Array.from({ length: 12 }, (_, i) => placeLearner(graph, 5.5 + i / 2, steady, 7, i));
    const questions = placed.map((p) => p.questions).sort((x, y) => x - y);
    expect(questions[6]!).toBeLessThan(14);
    expect(brier(placed.flatMap((p) => p.forecasts))).toBeLessThan(brier(placed.flatMap((p) => p.before)));
  });
});
