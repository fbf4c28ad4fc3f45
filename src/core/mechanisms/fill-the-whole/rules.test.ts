import { describe, expect, it } from 'vitest';
import { careful, itemsOfGames, near, run } from '../playing.testing';
import { DEFAULTS } from './parameters';
import { expectedTurns } from './rules';

describe('filling the whole', () => {
  it('takes the expected turns alone: recurrence against play', () => {
    for (const more of [{ choose: 1, wholes: 1 }, { choose: 2 }, { pieces: 'thirds-sixths', finish: 'may-be-larger' }] as const) {
      const p = { ...DEFAULTS, ...more };
      near(run('fill-the-whole', more, careful(1), 8000).turns, expectedTurns(p).at(-1)!);
    }
  });
  it('by hand: quarters to one half, one piece at a time', () => {
    // Half with chance 1/3, quarter with 2/3: E(1) = 1/(2/3) = 1.5; E(2) = 1 + 2/3 · 1.5 = 2.
    expect([...expectedTurns({ ...DEFAULTS, pieces: 'halves-quarters', choose: 1 }).slice(0, 3)]).toEqual([0, 1.5, 2]);
  });
  it('ends with the wholes full and never past them', () => {
    for (const items of itemsOfGames('fill-the-whole', { wholes: 1 }, careful(1), 60)) {
      const last = items.at(-1)!;
      expect([last.op, last.result]).toEqual(['add-fraction', 101]);
    }
  });
  it('goes faster with more to choose from, and down by taking away', () => {
    const turns = (choose: number): number => run('fill-the-whole', { choose }, careful(1), 600).turns.mean;
    expect(turns(3)).toBeLessThan(turns(1));
    const ops = run('fill-the-whole', { way: 'emptied' }, 2, 40).items.map((i) => i.op);
    expect(new Set(ops)).toEqual(new Set(['name-fraction', 'subtract-fraction']));
  });
});
