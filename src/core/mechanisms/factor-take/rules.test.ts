import { describe, expect, it } from 'vitest';
import { careful, itemsOfGames, run } from '../playing.testing';

describe('taking numbers and giving factors', () => {
  it('gives away only true factors, never the number itself', () => {
    for (const items of itemsOfGames('factor-take', {}, careful(2), 40))
      for (const i of items) if (i.op === 'factor') expect([i.a, i.b, i.a % i.b === 0 && i.b < i.a]).toEqual([i.a, i.b, true]);
  });
  it('begins, when played well, with the largest prime: it gives only the one away', () => {
    // To thirty: 29 less 1 is 28; no other number leaves so much (30 gives 42, 28 gives 28, 25 gives 6).
    expect(
      itemsOfGames('factor-take', {}, careful(2), 20)
        .map((items) => items[0])
        .every((i) => i!.op === 'factor' && i!.a === 29 && i!.b === 1),
    ).toBe(true);
  });
  it('rewards looking at factors', () => {
    const r = run('factor-take', {}, [{ policy: 'careful' }, { policy: 'random' }], 300);
    expect(r.outcomes.wins[0]).toBeGreaterThan(0.8);
  });
});
