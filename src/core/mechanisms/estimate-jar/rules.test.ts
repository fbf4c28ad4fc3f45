import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';

describe('estimating the jar', () => {
  it('counts every ten of every jar', () => {
    const r = run('estimate-jar', { fewest: 40, most: 40, jars: 2 }, 3, 10);
    expect(r.items.filter((i) => i.op === 'next-in-sequence').reduce((n, i) => n + i.count, 0)).toBe(10 * 2 * 4 * 3);
    expect(r.items.filter((i) => i.op === 'count').every((i) => i.a === 40)).toBe(true);
  });
  it('is guessed nearer with ten beside it, and with a second thought', () => {
    const off = (more: object): number => {
      const gaps = run('estimate-jar', more, 2, 300).items.filter((i) => i.op === 'subtract');
      return gaps.reduce((n, i) => n + i.result * i.count, 0) / gaps.reduce((n, i) => n + i.count, 0);
    };
    expect(off({})).toBeLessThan(off({ known: 'nothing' }));
    expect(off({})).toBeLessThan(off({ change: 'the-guess-stays' }));
  });
});
