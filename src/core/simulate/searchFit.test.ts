import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { shippedLibrary } from '../../contract/shippedLibrary';
import { mechanismById } from '../mechanisms/registry';
import { successAt } from '../recommend/learnerNeeds';
import { type FitChange, searchFit } from './searchFit';

const graph = shippedGraph();
const game = shippedLibrary.find((g) => g.variants.length > 2 && g.mechanism === 'frame-fill') ?? shippedLibrary[0]!;
const mechanism = mechanismById(game.mechanism)!;
const version = game.variants[0]!;
/** Somebody who is sure of what is wanted by an age and unsure of the rest, more so the later it is wanted. */
const child = (age: number): Float64Array => Float64Array.from(graph.skills, (s) => successAt(1.5 * (age - s.wantedAt.us)));

function search(age: number, direction: 'easier' | 'harder', seed = 3): FitChange[] {
  const steps = searchFit(mechanism, version.parameters, Math.max(2, version.players.min), graph, child(age), direction, seed);
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
      expect(c.direction === 'easier' ? c.after - c.before : c.before - c.after).toBeGreaterThanOrEqual(0.02);
      expect(mechanism.parametersSchema.properties).toHaveProperty(c.parameter);
      expect(c.minutes.mean).toBeGreaterThan(0);
      // It reaches the band, or comes clearly nearer.
      const outside = (p: number): number => Math.max(0, 0.7 - p, p - 0.9);
      expect(outside(c.after) === 0 || outside(c.before) - outside(c.after) >= 0.05).toBe(true);
    }
  });
  it('names what reaches seven to nine of ten before what does not', () => {
    for (const age of [5, 6, 7, 8, 9]) {
      const outside = search(age, 'easier').map((c) => Math.max(0, 0.7 - c.after, c.after - 0.9));
      expect([...outside].sort((x, y) => x - y)).toEqual(outside);
    }
  });
  it('says the same for the same seed', () => expect(search(7, 'easier')).toEqual(search(7, 'easier')));
});
