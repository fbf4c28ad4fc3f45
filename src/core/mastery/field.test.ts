import { describe, expect, it } from 'vitest';
import { inverse as inverted, Matrix } from 'ml-matrix';
import fc from 'fast-check';
import { shippedGraph } from '../../contract/shippedData';
import { type FieldObservation, heldShare, momentsAfter, normalCdf, observe, pairAt, priorField, rightAt, varianceOf } from './field';
import { fieldSkillsOf } from './mapState';
import { FIELD as p } from './parameters';

const skills = [
  { wantedAt: 6, strand: 'add' },
  { wantedAt: 7, strand: 'add' },
  { wantedAt: 7, strand: 'multiply' },
];

/** Inverse and determinant of a small symmetric matrix, by Gauss and Jordan. */
function inverse(m: readonly (readonly number[])[]): number[][] {
  const n = m.length;
  const a = m.map((row, i) => [...row, ...row.map((_, j) => (i === j ? 1 : 0))]);
  for (let c = 0; c < n; c++) {
    const pivot = a[c]![c]!;
    a[c] = a[c]!.map((x) => x / pivot);
    for (let r = 0; r < n; r++)
      if (r !== c) {
        const f = a[r]![c]!;
        a[r] = a[r]!.map((x, j) => x - f * a[c]![j]!);
      }
  }
  return a.map((row) => row.slice(n));
}

/** Means and variances of the exact posterior over the first `n` skills, by summing over a grid. */
function integrated(n: number, age: number, seen: readonly FieldObservation[]): { mean: number[]; variance: number[] } {
  const field = priorField(skills.slice(0, n), age);
  const cov = Array.from({ length: n }, (_, i) => Array.from({ length: n }, (_, j) => field.covariance[pairAt(i, j)]!));
  const precision = inverse(cov);
  const axis = Array.from({ length: n }, (_, i) =>
    Array.from({ length: 61 }, (_, g) => field.mean[i]! + Math.sqrt(cov[i]![i]!) * (-6 + g / 5)),
  );
  let total = 0;
  const first = Array<number>(n).fill(0);
  const second = Array<number>(n).fill(0);
  const theta = Array<number>(n).fill(0);
  const visit = (i: number): void => {
    if (i < n) {
      for (const x of axis[i]!) {
        theta[i] = x;
        visit(i + 1);
      }
      return;
    }
    let log = 0;
    for (let r = 0; r < n; r++)
      for (let c = 0; c < n; c++) log -= (theta[r]! - field.mean[r]!) * precision[r]![c]! * (theta[c]! - field.mean[c]!) * 0.5;
    for (const o of seen) {
      const chance = rightAt(theta[o.skill]!, o.difficulty, p);
      log += o.right * Math.log(chance) + (o.items - o.right) * Math.log(1 - chance);
    }
    const w = Math.exp(log);
    total += w;
    for (let k = 0; k < n; k++) {
      first[k]! += w * theta[k]!;
      second[k]! += w * theta[k]! ** 2;
    }
  };
  visit(0);
  return { mean: first.map((f) => f / total), variance: first.map((f, k) => second[k]! / total - (f / total) ** 2) };
}

const see = (n: number, age: number, seen: readonly FieldObservation[]) => {
  const field = priorField(skills.slice(0, n), age);
  for (const o of seen) observe(field, o);
  return field;
};

describe('the field against the exact posterior', () => {
  const cases: readonly (readonly [string, number, readonly FieldObservation[]])[] = [
    ['one skill, one right', 1, [{ skill: 0, items: 1, right: 1, difficulty: 0 }]],
    ['one skill, eight of ten', 1, [{ skill: 0, items: 10, right: 8, difficulty: 0 }]],
    ['one skill, three of ten', 1, [{ skill: 0, items: 10, right: 3, difficulty: 0.5 }]],
    ['two skills, one seen', 2, [{ skill: 1, items: 3, right: 0, difficulty: 0 }]],
    [
      'two skills, both seen',
      2,
      [
        { skill: 0, items: 4, right: 4, difficulty: 0 },
        { skill: 1, items: 4, right: 1, difficulty: 0 },
      ],
    ],
    [
      'three skills, three seen',
      3,
      [
        { skill: 0, items: 2, right: 2, difficulty: 0 },
        { skill: 1, items: 5, right: 2, difficulty: 0 },
        { skill: 2, items: 3, right: 0, difficulty: -0.5 },
      ],
    ],
  ];
  it.each(cases)('%s: mean within .05, interval within .1', (_, n, seen) => {
    const field = see(n, 7, seen);
    const exact = integrated(n, 7, seen);
    for (let k = 0; k < n; k++) {
      expect(Math.abs(field.mean[k]! - exact.mean[k]!)).toBeLessThan(0.05);
      const half = (v: number): number => 1.2816 * Math.sqrt(v);
      expect(Math.abs(half(varianceOf(field, k)) - half(exact.variance[k]!))).toBeLessThan(0.1);
    }
  });
  it('one note informs its neighbours by as much as they are alike, and no more', () => {
    const before = priorField(skills, 7);
    const after = see(3, 7, [{ skill: 0, items: 5, right: 5, difficulty: 0 }]);
    const moved = [0, 1, 2].map((k) => after.mean[k]! - before.mean[k]!);
    expect(moved[0]).toBeGreaterThan(moved[1]!);
    expect(moved[1]).toBeGreaterThan(moved[2]!);
    expect(moved[2]).toBeGreaterThan(0);
  });
  it('holds a step where four of five come right', () => {
    expect(normalCdf(0)).toBeCloseTo(0.5, 6);
    expect(normalCdf(1.2816)).toBeCloseTo(0.9, 4);
    expect(rightAt(p.heldFrom, 0, { guess: 0, slip: 0 })).toBeCloseTo(0.8, 12);
    const sure = see(1, 9, [{ skill: 0, items: 20, right: 20, difficulty: 0 }]);
    expect(heldShare(sure, 0)).toBeGreaterThan(0.95);
  });
});

const graph = shippedGraph();
const all = fieldSkillsOf(graph);
/** Any observations of the shipped skills. */
const observations = fc.array(
  fc.record({
    skill: fc.integer({ min: 0, max: all.length - 1 }),
    items: fc.constantFrom(1, 2, 10),
    share: fc.constantFrom(0, 0.5, 1),
    difficulty: fc.constantFrom(0, -0.9),
  }),
  { minLength: 1, maxLength: 8 },
);

describe('the field over all skills', () => {
  it('is conditioned as a general matrix library does it', () => {
    // The same moments of one skill, taken in as a change of precision: Λ + eeᵀ(1/v′ − 1/v), solved with ml-matrix.
    const field = priorField(all, 8);
    const n = all.length;
    const full = (): Matrix => {
      const m = Matrix.zeros(n, n);
      for (let i = 0; i < n; i++) for (let j = 0; j < n; j++) m.set(i, j, field.covariance[pairAt(i, j)]!);
      return m;
    };
    const k = graph.indexOf.get('add-in-20')!;
    const o = { skill: k, items: 3, right: 2, difficulty: 0 };
    const [mean, variance] = [field.mean[k]!, varianceOf(field, k)];
    const after = momentsAfter(mean, variance, o);
    const precision = inverted(full());
    const shift = precision.mmul(Matrix.columnVector([...field.mean]));
    precision.set(k, k, precision.get(k, k) + 1 / after.variance - 1 / variance);
    shift.set(k, 0, shift.get(k, 0) + after.mean / after.variance - mean / variance);
    const covariance = inverted(precision);
    const means = covariance.mmul(shift);
    observe(field, o);
    for (let i = 0; i < n; i++) {
      expect(field.mean[i]!).toBeCloseTo(means.get(i, 0), 4);
      for (let j = 0; j <= i; j += 7) expect(field.covariance[pairAt(i, j)]!).toBeCloseTo(covariance.get(i, j), 4);
    }
  });
  it('nothing right lowers any skill, and nothing wrong raises one, whatever was seen before', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 12 }), observations, (age, list) => {
        const field = priorField(all, age);
        for (const { share, items, ...o } of list) {
          const before = all.map((_, i) => heldShare(field, i));
          observe(field, { ...o, items, right: items * share });
          for (let i = 0; i < all.length; i++) {
            if (share === 1) expect(heldShare(field, i)).toBeGreaterThanOrEqual(before[i]! - 1e-6);
            if (share === 0) expect(heldShare(field, i)).toBeLessThanOrEqual(before[i]! + 1e-6);
          }
        }
      }),
      { numRuns: 40 },
    );
  });
  it('keeps every variance above nothing', () => {
    fc.assert(
      fc.property(observations, (list) => {
        const field = priorField(all, 8);
        for (let again = 0; again < 20; again++)
          for (const { share, items, ...o } of list) observe(field, { ...o, items, right: items * share });
        for (let i = 0; i < all.length; i++) expect(varianceOf(field, i)).toBeGreaterThan(0);
      }),
      { numRuns: 20 },
    );
  });
  it('what says something of one skill alone moves no other', () => {
    const field = priorField(all, 8);
    const before = Float64Array.from(field.mean);
    observe(field, { skill: 5, items: 1, right: 0.2, difficulty: 0, alone: true });
    for (let i = 0; i < all.length; i++) if (i !== 5) expect(field.mean[i]).toBe(before[i]);
    expect(field.mean[5]!).toBeLessThan(before[5]!);
  });
});
