import { describe, expect, it } from 'vitest';
import { mechanisms } from '../mechanisms/registry';
import { proposeMechanisms } from './howPlayed';

describe('how is it played?', () => {
  it('finds every family from its own answers', () => {
    for (const m of mechanisms) {
      const answers = Object.fromEntries(Object.entries(m.played).map(([q, a]) => [q, a[0]]));
      expect([
        m.id,
        proposeMechanisms(answers)
          .map((p) => p.mechanism)
          .includes(m.id),
      ]).toEqual([m.id, true]);
    }
  });
  it('sets what the answers say and proposes only what can be played', () => {
    const [first] = proposeMechanisms({ with: 'cards', does: 'takes-away', moves: 'total-grows' });
    expect(first).toMatchObject({ mechanism: 'running-total', parameters: { direction: 'down' }, fits: 3, given: 3 });
    for (const m of mechanisms)
      for (const does of ['adds', 'takes-away', 'multiplies', 'counts'])
        for (const p of proposeMechanisms({ does, moves: m.played.moves[0]! })) {
          const family = mechanisms.find((x) => x.id === p.mechanism)!;
          expect(family.check({ ...family.defaults, ...p.parameters })).toBeNull();
        }
  });
  it('proposes nothing before anything was answered', () => {
    expect(proposeMechanisms({})).toEqual([]);
  });
});
