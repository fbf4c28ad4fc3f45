import { Point, Polygon, Vector } from '@flatten-js/core';
import Fraction from 'fraction.js';
import { describe, expect, it } from 'vitest';
import { fractionCode } from '../fraction';
import { resultOf } from '../item';
import { actNames, acts } from '.';
import { firstOf, secondOf } from './act';
import {
  angleKind,
  answerOf,
  belongs,
  cubeNets,
  families,
  oppositeFace,
  questionIndex,
  shapeIndex,
  shapes,
  solidShapes,
  straightShapes,
} from './shapes';

const has = (id: string, question: Parameters<typeof questionIndex>[0]): number => answerOf(shapeIndex(id), questionIndex(question));

describe('every act', () => {
  it.each(actNames)('%s has operands, each with one true answer', (name) => {
    expect(acts[name].operands.length).toBeGreaterThan(5);
    for (const [a, b] of acts[name].operands) {
      expect(Number.isInteger(a) && Number.isInteger(b)).toBe(true);
      const r = resultOf(name, a, b);
      expect([name, a, b, Number.isInteger(r)]).toEqual([name, a, b, true]);
    }
  });
});

describe('shapes, checked by a general geometry library', () => {
  const vectors = (corners: readonly (readonly [number, number])[]): Vector[] =>
    corners.map((p, i) => new Vector(corners[(i + 1) % corners.length]![0] - p[0], corners[(i + 1) % corners.length]![1] - p[1]));
  it.each(straightShapes.map((i) => [shapes[i]!.id, i] as const))('%s', (_id, i) => {
    const { corners } = shapes[i]!;
    const v = vectors(corners);
    const polygon = new Polygon(corners.map(([x, y]) => new Point(x, y)));
    expect(answerOf(i, questionIndex('sides'))).toBe(polygon.edges.size);
    expect(answerOf(i, questionIndex('corners'))).toBe(polygon.vertices.length);
    const turns = v.map((w, k) => w.angleTo(v[(k + 1) % v.length]!));
    expect(answerOf(i, questionIndex('right-angles'))).toBe(turns.filter((t) => Math.abs(t - Math.PI / 2) < 1e-9).length);
    let parallel = 0;
    let square = false;
    v.forEach((x, k) =>
      v.forEach((y, m) => {
        if (m > k && Math.abs(x.normalize().cross(y.normalize())) < 1e-9) parallel++;
        if (m > k && Math.abs(x.normalize().dot(y.normalize())) < 1e-9) square = true;
      }),
    );
    expect(answerOf(i, questionIndex('parallel-pairs'))).toBe(parallel);
    expect(answerOf(i, questionIndex('square-sides'))).toBe(square ? 1 : 0);
    const lengths = v.map((w) => w.length);
    expect(answerOf(i, questionIndex('all-sides-alike'))).toBe(Math.max(...lengths) - Math.min(...lengths) < 1e-9 ? 1 : 0);
    // Angles inside a flat shape make (n − 2) straight angles.
    const inside = v.map((w, k) => Math.PI - Math.atan2(w.cross(v[(k + 1) % v.length]!), w.dot(v[(k + 1) % v.length]!)));
    expect(inside.reduce((a, b) => a + b, 0)).toBeCloseTo((corners.length - 2) * Math.PI, 9);
  });
  // Numbers of lines of symmetry: common knowledge of school geometry, from memory.
  it.each([
    ['square', 4],
    ['rectangle', 2],
    ['rhombus', 2],
    ['parallelogram', 0],
    ['kite', 1],
    ['triangle-equal', 3],
    ['triangle-two-equal', 1],
    ['triangle-uneven', 0],
    ['pentagon', 5],
    ['hexagon', 6],
    ['octagon', 8],
    ['arrow-head', 1],
    ['one-pair-parallel', 0],
  ])('%s has %i lines of symmetry', (id, n) => expect(has(id, 'mirror-lines')).toBe(n));
  it('solids with flat faces have corners, edges and faces as Euler found: V − E + F = 2', () => {
    for (const i of solidShapes.filter((k) => !shapes[k]!.curved)) {
      const [f, e, v] = shapes[i]!.solid!;
      expect([shapes[i]!.id, v - e + f]).toEqual([shapes[i]!.id, 2]);
    }
  });
  it('belong to families that include one another', () => {
    const all = (id: string): string[] => families.filter((_, f) => belongs(shapeIndex(id), f));
    expect(all('square')).toEqual(['four-sided', 'trapezoid', 'parallelogram', 'rectangle', 'rhombus', 'square', 'regular']);
    expect(all('rectangle')).toEqual(['four-sided', 'trapezoid', 'parallelogram', 'rectangle']);
    expect(all('rhombus')).toEqual(['four-sided', 'trapezoid', 'parallelogram', 'rhombus']);
    expect(all('one-pair-parallel')).toEqual(['four-sided', 'trapezoid']);
    expect(all('kite')).toEqual(['four-sided']);
    expect(all('triangle-right')).toEqual(['triangle', 'right-triangle']);
    expect(all('triangle-equal')).toEqual(['triangle', 'equal-triangle', 'regular']);
  });
  it('areas are those of polygons', () => {
    for (const [a, b] of acts['area-triangle'].operands.slice(0, 40))
      expect(resultOf('area-triangle', a, b)).toBeCloseTo(new Polygon([new Point(0, 0), new Point(a, 0), new Point(1.5, b)]).area(), 9);
    for (const [a, b] of acts['area-slanting'].operands.slice(0, 40))
      expect(resultOf('area-slanting', a, b)).toBeCloseTo(
        new Polygon([new Point(0, 0), new Point(a, 0), new Point(a + 2, b), new Point(2, b)]).area(),
        9,
      );
    for (const [a, b] of acts.perimeter.operands.slice(0, 40)) {
      const edges = [...new Polygon([new Point(0, 0), new Point(a, 0), new Point(a, b), new Point(0, b)]).edges] as { length: number }[];
      expect(resultOf('perimeter', a, b)).toBeCloseTo(
        edges.reduce((s, e) => s + e.length, 0),
        9,
      );
    }
  });
});

describe('nets of a cube', () => {
  const key = (cells: readonly (readonly [number, number])[]): string => {
    const [r, c] = [Math.min(...cells.map((x) => x[0])), Math.min(...cells.map((x) => x[1]))];
    return cells
      .map(([y, x]) => `${y - r},${x - c}`)
      .sort()
      .join(' ');
  };
  const turned = (cells: readonly (readonly [number, number])[]): string =>
    [0, 1, 2, 3]
      .flatMap((t) =>
        [false, true].map((flip) =>
          cells
            .map(([y, x]) => [y, flip ? -x : x] as const)
            .map(([y, x]) => (t === 0 ? [y, x] : t === 1 ? [x, -y] : t === 2 ? [-y, -x] : [-x, y]) as [number, number]),
        ),
      )
      .map(key)
      .sort()[0]!;
  /** All shapes of six squares that fold to a cube, found by growing them square by square and folding each. */
  function allNets(): Set<string> {
    let grown = new Map([[turned([[0, 0]]), [[0, 0]] as [number, number][]]]);
    for (let n = 1; n < 6; n++) {
      const next = new Map<string, [number, number][]>();
      for (const cells of grown.values())
        for (const [y, x] of cells)
          for (const [dy, dx] of [
            [0, 1],
            [0, -1],
            [1, 0],
            [-1, 0],
          ] as const) {
            const cell: [number, number] = [y + dy, x + dx];
            if (cells.some((c) => c[0] === cell[0] && c[1] === cell[1])) continue;
            next.set(turned([...cells, cell]), [...cells, cell]);
          }
      grown = next;
    }
    // Thirty-five hexominoes (a published count), eleven of which fold to a cube (a published count).
    expect(grown.size).toBe(35);
    return new Set([...grown.values()].filter(folds).map(turned));
  }
  /** Folds with vectors: each square carries its outward normal. */
  function normals(cells: readonly (readonly [number, number])[]): string[] {
    type V = [number, number, number];
    const neg = (v: V): V => [-v[0], -v[1], -v[2]];
    const out = new Map<number, V>();
    const go = (i: number, n: V, right: V, down: V): void => {
      out.set(i, n);
      for (const [dy, dx] of [
        [0, 1],
        [0, -1],
        [1, 0],
        [-1, 0],
      ] as const) {
        const j = cells.findIndex(([y, x]) => y === cells[i]![0] + dy && x === cells[i]![1] + dx);
        if (j < 0 || out.has(j)) continue;
        if (dx === 1) go(j, right, neg(n), down);
        else if (dx === -1) go(j, neg(right), n, down);
        else if (dy === 1) go(j, down, right, neg(n));
        else go(j, neg(down), right, n);
      }
    };
    go(0, [0, 0, 1], [1, 0, 0], [0, 1, 0]);
    return cells.map((_, i) =>
      out
        .get(i)!
        .map((x) => x + 0)
        .join(),
    );
  }
  const folds = (cells: readonly (readonly [number, number])[]): boolean => new Set(normals(cells)).size === 6;
  it('are the eleven there are', () => {
    expect(cubeNets).toHaveLength(11);
    expect(new Set(cubeNets.map(turned))).toEqual(allNets());
  });
  it('have opposite squares as folding with vectors says', () => {
    for (const [n, cells] of cubeNets.entries()) {
      const all = normals(cells);
      for (let f = 0; f < 6; f++) {
        const other = all.indexOf(
          all[f]!.split(',')
            .map((x) => (Number(x) === 0 ? 0 : -Number(x)))
            .join(),
        );
        expect([n, f, oppositeFace(n, f)]).toEqual([n, f, other]);
        expect(oppositeFace(n, oppositeFace(n, f))).toBe(f);
      }
    }
  });
});

describe('numbers, checked by a general fraction library and known counts', () => {
  const f = (code: number): Fraction => new Fraction(firstOf(code), secondOf(code));
  const code = (x: Fraction): number => fractionCode(Number(x.n), Number(x.d));
  it('fractions', () => {
    for (const [a, b] of acts['multiply-fraction'].operands) expect(resultOf('multiply-fraction', a, b)).toBe(code(f(a).mul(f(b))));
    for (const [a, b] of acts['divide-fraction'].operands) expect(resultOf('divide-fraction', a, b)).toBe(code(f(a).div(f(b))));
    for (const [a] of acts['simplify-fraction'].operands) expect(resultOf('simplify-fraction', a, 0)).toBe(code(f(a)));
    for (const [a, b] of acts['fraction-of'].operands) expect(resultOf('fraction-of', a, b)).toBe(f(a).mul(b).valueOf());
    for (const [a] of acts['mixed-number'].operands) expect(resultOf('mixed-number', a, 0)).toBe(f(a).floor().valueOf());
    for (const [a, b] of acts['times-fraction'].operands) expect(f(resultOf('times-fraction', a, b)).equals(f(a).mul(b))).toBe(true);
    for (const [a] of acts['percent-name'].operands) expect(resultOf('percent-name', a, 0)).toBe(f(a).mul(100).valueOf());
    for (const [a, b] of acts['ratio-equal'].operands) expect(resultOf('ratio-equal', a, b)).toBe(f(a).equals(f(b)) ? 1 : 0);
    for (const [a, b] of acts['common-factor'].operands) expect(resultOf('common-factor', a, b)).toBe(Number(new Fraction(a).gcd(b).n));
    for (const [a, b] of acts['common-multiple'].operands) expect(resultOf('common-multiple', a, b)).toBe(Number(new Fraction(a).lcm(b).n));
  });
  it('decimals are exact', () => {
    const d = (thousandths: number): Fraction => new Fraction(thousandths, 1000);
    for (const [a, b] of acts['multiply-decimal'].operands) expect(d(resultOf('multiply-decimal', a, b)).equals(d(a).mul(d(b)))).toBe(true);
    for (const [a, b] of acts['divide-decimal'].operands) expect(d(resultOf('divide-decimal', a, b)).equals(d(a).div(d(b)))).toBe(true);
    expect(resultOf('round-decimal', 370, 100)).toBe(400);
    expect(resultOf('place-decimal', 4, 2)).toBe(40);
  });
  it('there are twenty-five primes below a hundred', () => {
    expect(acts.prime.operands.filter(([a]) => resultOf('prime', a, 0) === 1)).toHaveLength(25);
  });
  it('order of operations as the language calculates', () => {
    expect(resultOf('plus-times', 4, 203)).toBe(4 + 2 * 3);
    expect(resultOf('times-bracket', 4, 203)).toBe(4 * (2 + 3));
    expect(resultOf('machine-rule', 5, 201)).toBe(5 * 2 + 1);
    expect(resultOf('estimate-product', 38, 21)).toBe(800);
  });
  it('days and hours as a calendar has them', () => {
    // The first of January 2024 was a Monday.
    for (const [a, b] of acts['day-after'].operands)
      expect(resultOf('day-after', a, b)).toBe((new Date(Date.UTC(2024, 0, 1 + a + b)).getUTCDay() + 6) % 7);
    expect(resultOf('clock-24', 17 * 60 + 40, 0)).toBe(5 * 60 + 40);
  });
  it('names angles at their bounds', () => expect([89, 90, 91, 179, 180, 181, 360].map(angleKind)).toEqual([0, 1, 2, 2, 3, 4, 5]));
});
