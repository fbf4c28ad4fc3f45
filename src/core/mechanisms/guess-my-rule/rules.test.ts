import { describe, expect, it } from 'vitest';
import { careful, itemsOfGames, run } from '../playing.testing';

describe('guessing the rule', () => {
  it('needs two different numbers where two things are done, one where one is', () => {
    // Alone and careful: the machine works two inputs out and the guess is tried once; with one thing done, one input.
    const perMachine = (rules: string): number =>
      itemsOfGames('guess-my-rule', { rules, machines: 1 }, careful(1), 50).reduce((n, g) => n + g.length, 0) / 50;
    expect(perMachine('multiplies-and-adds')).toBe(3);
    expect(perMachine('multiplies')).toBe(2);
  });
  it('never goes below nothing', () => {
    for (const i of run('guess-my-rule', { rules: 'takes-away' }, 3, 80).items) expect(i.result).toBeGreaterThanOrEqual(0);
  });
  it('is found more often with more numbers', () => {
    const found = (tries: number): number =>
      run('guess-my-rule', { tries }, [{ policy: 'random' }, { policy: 'random' }], 300).measures['rulesFound']!;
    expect(found(10)).toBeGreaterThan(found(3));
  });
});
