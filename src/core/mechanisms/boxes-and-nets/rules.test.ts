import { describe, expect, it } from 'vitest';
import { careful, run } from '../playing.testing';

describe('boxes, nets and figures', () => {
  it('fills a box layer by layer: the layer is one item, the box the next', () => {
    const r = run('boxes-and-nets', {}, careful(2), 60);
    const of = (op: string): number => r.items.filter((i) => i.op === op).reduce((n, i) => n + i.count, 0);
    expect([of('area'), of('volume')]).toEqual([60 * 2 * 4, 60 * 2 * 4]);
  });
  it('asks for opposite squares of all eleven nets', () => {
    expect(new Set(run('boxes-and-nets', { task: 'which-face-opposite' }, 2, 200).items.map((i) => i.a)).size).toBe(11);
  });
  it('pays for good bets', () => {
    const score = (bets: string): number => run('boxes-and-nets', { bets }, careful(3), 40).outcomes.score.mean;
    expect(score('everyone-bets')).toBeGreaterThan(score('nobody-bets'));
  });
});
