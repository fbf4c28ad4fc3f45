import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';

describe('aiming at angles', () => {
  it('finds what is missing: the given and the found make the whole, for every whole', () => {
    for (const whole of [90, 180, 360])
      for (const i of run('angle-aim', { play: 'finds-the-missing-one', whole }, 2, 60).items.filter((x) => x.op === 'angle-missing')) {
        expect([i.a, i.b + i.result]).toEqual([whole, whole]);
        expect(i.result).toBeGreaterThan(0);
      }
  });
  it('measures what was drawn and says how far off it is', () => {
    const ops = new Set(run('angle-aim', {}, 2, 40).items.map((i) => i.op));
    expect(ops).toEqual(new Set(['angle-kind', 'measure-angle', 'subtract']));
  });
  it('rewards a steady hand', () => {
    const r = run('angle-aim', {}, [{ policy: 'careful' }, { policy: 'random' }], 400);
    expect(r.outcomes.wins[0]).toBeGreaterThan(2 * r.outcomes.wins[1]!);
  });
});
