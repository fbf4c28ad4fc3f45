import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';
import { mechanismById } from '../registry';

const table = (form: string, headStart = 0, wait = 0) =>
  run(
    'call-and-claim',
    { form },
    [
      { policy: 'careful', parameters: { seconds: 3, wait } },
      { policy: 'careful', parameters: { seconds: 12 }, headStart },
    ],
    3000,
  );

describe('calling and claiming', () => {
  // Common practice, no source: the fast child takes nearly everything unless evened.
  it('as a race leaves the slow child next to nothing', () => {
    const race = table('race');
    expect(race.measures['slowestShare']).toBeLessThan(0.2);
    expect(race.outcomes.wins[1]).toBeLessThan(0.05);
    expect(race.measures['cutShort']).toBeGreaterThan(1);
  });
  it('is evened by letting the quick child wait, or by claims given', () => {
    expect(table('race', 0, 7).outcomes.wins[1]).toBeGreaterThan(0.3);
    const near = (headStart: number) =>
      run(
        'call-and-claim',
        { form: 'race' },
        [
          { policy: 'careful', parameters: { seconds: 5 } },
          { policy: 'careful', parameters: { seconds: 7 }, headStart },
        ],
        2000,
      ).outcomes.wins[1]!;
    expect(near(5)).toBeGreaterThan(near(0) + 0.3);
  });
  it('with the own clock gives both the same practice', () => {
    const own = table('own-clock');
    const met = [0, 1].map((s) => own.items.filter((i) => i.seat === s).reduce((n, i) => n + i.count, 0));
    expect(met[0]).toBe(met[1]);
    expect(own.measures['cutShort']).toBe(0);
  });
  it('plays named facts alone, all alike often, and refuses those without a whole answer', () => {
    const only = [
      [8, 7],
      [6, 9],
      [2, 1],
    ] as const;
    const found = run('call-and-claim', { only }, [{ policy: 'typical' }, { policy: 'typical' }], 2000);
    const met = new Map<string, number>();
    for (const i of found.items) met.set(`${i.a},${i.b}`, (met.get(`${i.a},${i.b}`) ?? 0) + i.count);
    expect([...met.keys()].sort()).toEqual(['2,1', '6,9', '8,7']);
    const all = [...met.values()].reduce((n, c) => n + c, 0);
    for (const count of met.values()) expect(count / all).toBeCloseTo(1 / 3, 1);
    const m = mechanismById('call-and-claim')!;
    const problem = (operation: string, fact: readonly number[]) => m.check({ ...m.defaults, operation, only: [fact] })?.message ?? null;
    expect(problem('subtract', [3, 8])).toContain('3 − 8 has no whole answer');
    expect(problem('divide', [7, 2])).toContain('no whole answer');
    expect([problem('subtract', [8, 3]), problem('divide', [8, 2])]).toEqual([null, null]);
  });
});
