import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { checkValue } from '../checkValues';
import { careful, near, nearShare, run } from '../playing.testing';
import { DEFAULTS } from './parameters';
import { jumpTable, trappedSpaces } from './rules';

interface Race {
  readonly E_rounds: string;
  readonly P_win: readonly string[];
}
const games = 30_000;
const race = (more: object, seats: number) => run('track-race', more, careful(seats), games);

describe('a track race', () => {
  // Exact values by dynamic programming; see data/check-values.
  it.each([
    ['beyond', 20],
    ['exact', 20],
    ['beyond', 45],
    ['exact', 45],
    ['beyond', 100],
  ] as const)('alone, %s %i: expected throws', (landing, end) => {
    near(race({ landing, end }, 1).turns, checkValue<{ dec: string }>(`raceN.${landing}.${end}`).dec);
  });
  it.each([
    ['raceN.exact.20.players2', { landing: 'exact', end: 20 }, 2],
    ['raceN.exact.20.players3', { landing: 'exact', end: 20 }, 3],
    ['raceN.beyond.20.players4', { landing: 'beyond', end: 20 }, 4],
    ['raceN.exact.45.players4', { landing: 'exact', end: 45 }, 4],
    ['raceN.beyond.100.players2', { landing: 'beyond', end: 100 }, 2],
    ['raceN.direction.d6.beyond.players2', { landing: 'beyond', end: 20, move: 'signed' }, 2],
    ['raceN.direction.d6.beyond.players4', { landing: 'beyond', end: 20, move: 'signed' }, 4],
    ['raceN.direction.d6.exact.players2', { landing: 'exact', end: 20, move: 'signed' }, 2],
  ])('%s: rounds and who wins', (id, more, seats) => {
    const want = checkValue<Race>(id);
    const got = race(more, seats);
    near(got.rounds, want.E_rounds);
    got.outcomes.wins.forEach((w, s) => nearShare(w, want.P_win[s]!, games));
  });
  it('with steps of one and a sign die takes 57 turns', () => {
    near(
      race({ landing: 'beyond', end: 20, move: 'signed', lowestFace: 1, highestFace: 1 }, 1).turns,
      checkValue<{ dec: string }>('raceN.direction.unit.beyond').dec,
    );
  });
  it('with jumps to a hundred', () => {
    const jumps = Object.entries(checkValue<Record<string, number>>('track100.jumptable')).map(([from, to]) => [Number(from), to]);
    const want = checkValue<{ E_turns: string; players2: Race; players4: Race }>('track100.jumps.beyond');
    near(race({ end: 100, jumps }, 1).turns, want.E_turns);
    for (const [seats, exact] of [
      [2, want.players2],
      [4, want.players4],
    ] as const) {
      const got = race({ end: 100, jumps }, seats);
      near(got.rounds, exact.E_rounds);
      got.outcomes.wins.forEach((w, s) => nearShare(w, exact.P_win[s]!, games));
    }
  });

  // Common practice, no source: a sign die makes the share of subtraction whatever its faces say.
  it('takes as much away as the sign die says', () => {
    const share = (minusFaces: number) =>
      run('track-race', { move: 'signed', minusFaces, start: 30, end: 60 }, 2, 4000).shares.subtract.mean;
    expect(share(1)).toBeLessThan(0.22);
    expect(share(3)).toBeGreaterThan(0.4);
  });
  // Common practice, no source: without the endless loop it ends in time.
  it('goes on and on with a loop and ends without', () => {
    const jumps = [
      [28, 4],
      [27, 3],
      [26, 2],
    ];
    const minutes = (loops: boolean) => run('track-race', { landing: 'exact', jumps, loops }, 2, 2000).minutes['0.9']!;
    expect(minutes(true)).toBeGreaterThan(minutes(false) * 1.5);
  });
  it('starts a weaker player further on when asked', () => {
    const even = run(
      'track-race',
      { end: 40 },
      [
        { policy: 'careful', parameters: { highestFace: 6 } },
        { policy: 'careful', parameters: { highestFace: 4 } },
      ],
      4000,
    ).outcomes.wins[1]!;
    const helped = run(
      'track-race',
      { end: 40 },
      [
        { policy: 'careful', parameters: { highestFace: 6 } },
        { policy: 'careful', parameters: { highestFace: 4 }, headStart: 12 },
      ],
      4000,
    ).outcomes.wins[1]!;
    expect(helped).toBeGreaterThan(even + 0.1);
  });
  it('refuses a board with a trap and says where', () => {
    expect(trappedSpaces({ ...DEFAULTS, landing: 'exact', lowestFace: 3, highestFace: 4, end: 10 })).not.toEqual([]);
    expect(checkTable('track-race', { landing: 'exact', lowestFace: 3, highestFace: 4, end: 10 }, 2)).toMatchObject({
      ok: false,
      problem: { code: 'impossible-parameters', field: 'parameters.landing' },
    });
    expect(
      checkTable(
        'track-race',
        {
          jumps: [
            [5, 10],
            [10, 3],
          ],
        },
        2,
      ),
    ).toMatchObject({ problem: { field: 'parameters.jumps' } });
  });
  it('leaves out jumps that lead back when loops are off', () => {
    const p = {
      ...DEFAULTS,
      jumps: [
        [5, 9],
        [12, 3],
      ] as const,
    };
    expect([...jumpTable(p)].filter((to, i) => to !== i)).toEqual([9, 3]);
    expect([...jumpTable({ ...p, loops: false })].filter((to, i) => to !== i)).toEqual([9]);
  });
});
