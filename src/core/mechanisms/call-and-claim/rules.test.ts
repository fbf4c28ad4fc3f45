import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';

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
});
