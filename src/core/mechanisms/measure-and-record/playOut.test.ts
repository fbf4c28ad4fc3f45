import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { run } from '../playing.testing';
import { unitMm } from './playOut';

describe('measuring', () => {
  it('needs more of a shorter unit for the same things', () => {
    const mean = (unit: keyof typeof unitMm) =>
      run('measure-and-record', { unit, shortest: 30, longest: 90, estimate: false }, 2, 400)
        .items.filter((i) => i.op === 'measure')
        .reduce((sum, i) => sum + i.a * i.count, 0);
    const ratio = mean('cubes') / mean('dominoes');
    expect(ratio).toBeGreaterThan((unitMm.dominoes / unitMm.cubes) * 0.9);
    expect(ratio).toBeLessThan((unitMm.dominoes / unitMm.cubes) * 1.1);
  });
  it('rounds a bar to the scale of the chart', () => {
    for (const i of run('measure-and-record', { chart: 'bars', scale: 5 }, 2, 200).items.filter((x) => x.op === 'read-graph'))
      expect(i.a % 5).toBe(0);
  });
  it('refuses a unit longer than the things', () => {
    expect(checkTable('measure-and-record', { unit: 'hand-spans', longest: 20 }, 1)).toMatchObject({
      problem: { field: 'parameters.unit' },
    });
  });
});
