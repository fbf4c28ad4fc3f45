import { describe, expect, it } from 'vitest';
import { careful, near, run } from '../playing.testing';
import { DEFAULTS, type TensParameters } from './parameters';
import { farFrom, solve } from './rules';

/** By going through every throw and both choices, without a table. */
function byTree(p: TensParameters, left: number, total: number): number {
  if (left === 0) return farFrom(p, total);
  let sum = 0;
  for (let d = 1; d <= p.faces; d++) sum += Math.min(byTree(p, left - 1, total + d), byTree(p, left - 1, total + 10 * d));
  return sum / p.faces;
}

describe('tens or ones', () => {
  it('has the least expected distance that a walk through every choice finds', () => {
    const p: TensParameters = { ...DEFAULTS, throws: 5, target: 60 };
    expect(solve(p)[5]![0]).toBeCloseTo(byTree(p, 5, 0), 9);
  });
  it('is played to that distance by a careful player', () => {
    const result = run('tens-or-ones', { rounds: 1 }, careful(1), 20_000);
    near({ mean: result.measures['farFromTarget']!, standardError: result.measureErrors['farFromTarget']! }, solve(DEFAULTS)[7]![0]!);
  });
  it('adds whole numbers or exact decimals', () => {
    const ops = (units: TensParameters['units']): Set<string> => new Set(run('tens-or-ones', { units }, 2, 20).items.map((i) => i.op));
    expect(ops('hundreds-or-tens')).toEqual(new Set(['place-digit', 'add', 'subtract']));
    expect(ops('tenths-or-hundredths')).toEqual(new Set(['place-decimal', 'add-decimal', 'subtract-decimal']));
    expect(
      run('tens-or-ones', { units: 'ones-or-tenths' }, 2, 50)
        .items.filter((i) => i.op === 'add-decimal')
        .every((i) => i.a % 100 === 0),
    ).toBe(true);
  });
});
