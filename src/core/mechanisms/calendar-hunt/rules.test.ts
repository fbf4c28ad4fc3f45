import { describe, expect, it } from 'vitest';
import { careful, near, run } from '../playing.testing';

describe('the calendar hunt', () => {
  it('takes as long as collecting days one by one does', () => {
    // With days evenly drawn (one to seven later) and one card, each turn is any of seven days: the coupon collector's
    // problem (a classical result): 7 · (1/7 + 1/6 + … ) turns for six of seven.
    const expected = [7, 6, 5, 4, 3, 2].reduce((sum, left) => sum + 7 / left, 0);
    near(run('calendar-hunt', { most: 7, choose: 1, goal: 6 }, careful(1), 12_000).turns, expected);
  });
  it('goes faster with cards to choose from', () => {
    const turns = (choose: number): number => run('calendar-hunt', { choose }, careful(1), 400).turns.mean;
    expect(turns(3)).toBeLessThan(turns(1));
  });
  it('tells days, hours of a day of twenty-four, or journeys', () => {
    const ops = (cards: string): Set<string> => new Set(run('calendar-hunt', { cards }, 2, 20).items.map((i) => i.op));
    expect([ops('days-later'), ops('twenty-four-hours'), ops('timetable')]).toEqual([
      new Set(['day-after']),
      new Set(['clock-24']),
      new Set(['elapsed-time']),
    ]);
  });
});
