import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { shippedLibrary } from '../../contract/shippedLibrary';
import { canShare } from '../mechanisms/canShare';
import { mechanismById } from '../mechanisms/registry';
import { successAt } from '../recommend/learnerNeeds';
import { type FitChange, searchFit } from './searchFit';

const graph = shippedGraph();
const game = shippedLibrary.find((g) => g.variants.length > 2 && g.mechanism === 'frame-fill') ?? shippedLibrary[0]!;
const mechanism = mechanismById(game.mechanism)!;
const version = game.variants[0]!;
/** Somebody who is sure of what is wanted by an age and unsure of the rest, more so the later it is wanted. */
const child = (age: number): Float64Array => Float64Array.from(graph.skills, (s) => successAt(1.5 * (age - s.wantedAt.us)));

const outsideOf = (shares: readonly number[]): number => shares.reduce((sum, p) => sum + Math.max(0, 0.7 - p, p - 0.9), 0) / shares.length;

function search(ages: number | readonly number[], direction: 'easier' | 'harder', seed = 3): FitChange[] {
  const table = [ages].flat().map(child);
  const steps = searchFit(mechanism, version.parameters, Math.max(2, version.players.min), graph, table, direction, seed);
  for (let step = steps.next(); ; step = steps.next()) {
    if (step.done) return step.value;
    expect(step.value).toBeGreaterThanOrEqual(0);
    expect(step.value).toBeLessThan(1);
  }
}

describe('a version made easier or harder for one child', () => {
  it('goes the way that was asked, one change each, told with what was before', () => {
    const all = (['easier', 'harder'] as const).flatMap((direction) =>
      [5, 7, 9].flatMap((age) => search(age, direction).map((c) => ({ ...c, direction }))),
    );
    expect(all.length).toBeGreaterThan(0);
    for (const c of all) {
      expect((c.direction === 'easier' ? 1 : -1) * (c.after[0]! - c.before[0]!)).toBeGreaterThanOrEqual(0.05);
      expect(mechanism.parametersSchema.properties).toHaveProperty(c.parameter);
      expect(c.minutes.mean).toBeGreaterThan(0);
      // It reaches the band, or comes clearly nearer.
      expect(outsideOf(c.after) === 0 || outsideOf(c.before) - outsideOf(c.after) >= 0.05).toBe(true);
    }
  });
  it('names what reaches seven to nine of ten before what does not', () => {
    for (const age of [5, 6, 7, 8, 9]) {
      const outside = search(age, 'easier').map((c) => outsideOf(c.after));
      expect([...outside].sort((x, y) => x - y)).toEqual(outside);
    }
  });
  it('weighs all of a table: on average nearer to the band, told child by child', () => {
    for (const c of search([5, 8], 'easier')) {
      expect(c.after).toHaveLength(2);
      expect(c.after[0]! + c.after[1]! - c.before[0]! - c.before[1]!).toBeGreaterThanOrEqual(0.1);
      expect(outsideOf(c.after) === 0 || outsideOf(c.before) - outsideOf(c.after) >= 0.05).toBe(true);
    }
  });
  it('offers nothing that cannot be played beside the other versions at the table', () => {
    // All at a table write on grids with the same numbers.
    const grid = mechanismById('cover-grid')!;
    const run = (beside: readonly object[]): FitChange[] => {
      const steps = searchFit(grid, {}, 2, graph, [child(8)], 'harder', 3, beside);
      for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value;
    };
    const fits = (c: FitChange): boolean => canShare(grid, { ...grid.defaults, [c.parameter]: c.value }, grid.defaults);
    expect(run([]).every(fits)).toBe(false);
    expect(run([grid.defaults]).every(fits)).toBe(true);
  });
  it('says the same for the same seed', () => expect(search(7, 'easier')).toEqual(search(7, 'easier')));
});
