import { materialsOf } from './versionFacts';
import { readdirSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkTable } from '../../contract/parameters';
import { shippedKinds } from '../../contract/shippedData';
import { shippedLibrary } from '../../contract/shippedLibrary';
import { isAct } from '../items/acts';
import { resultOf } from '../items/item';
import { mostExtra } from '../simulate/gameLog';
import { tellGame } from '../simulate/storyLog';
import type { SimulationResult } from '../simulate/simulationResult';
import { checkValue } from './checkValues';
import { playedAnswers, policies } from './mechanism';
import { careful, near, run } from './playing.testing';
import { mechanisms } from './registry';

/** Truth recomputed on its own: written apart from the engine's own arithmetic. */
function trueResult(op: string, a: number, b: number): number {
  // Shapes, decimals and the like are held against other libraries beside them (acts.test.ts).
  if (isAct(op)) return resultOf(op, a, b);
  const frac = (code: number): [number, number] => [Math.trunc(code / 100), code - 100 * Math.trunc(code / 100)];
  const [n1, d1] = frac(a);
  const [n2, d2] = frac(b);
  const lowest = (n: number, d: number): number => {
    // Nothing is no parts of one.
    if (n === 0) return 1;
    for (let k = Math.min(Math.abs(n) || 1, d); k > 1; k--) if (n % k === 0 && d % k === 0) return (n / k) * 100 + d / k;
    return n * 100 + d;
  };
  if (['add', 'compose', 'fact-family', 'next-in-sequence'].includes(op)) return b + a;
  if (['subtract', 'decompose', 'balance'].includes(op)) return -(b - a);
  if (['multiply', 'times-family', 'area'].includes(op)) return b * a;
  if (op === 'divide') return a * (1 / b);
  if (op === 'compare') return a > b ? 1 : a < b ? -1 : 0;
  if (op === 'place-digit') return Number(`${a}e${b}`);
  if (op === 'round') return b * Math.trunc((2 * a + b) / (2 * b));
  if (op === 'next-in-pattern') return b - a * Math.floor(b / a);
  if (op === 'factor') return Number.isInteger(a / b) ? 1 : 0;
  if (op === 'odd-even') return a - 2 * Math.floor(a / 2);
  if (op === 'equivalent-fraction') return Math.abs(n1 / d1 - n2 / d2) < 1e-12 ? 1 : 0;
  if (op === 'compare-fraction') return Math.sign(n1 / d1 - n2 / d2);
  if (op === 'add-fraction') return lowest(n1 * d2 + n2 * d1, d1 * d2);
  if (op === 'subtract-fraction') return lowest(n1 * d2 - n2 * d1, d1 * d2);
  if (op === 'mirror') return 0 - a;
  // Once round the dial, or once round oneself, begins anew.
  if (op === 'elapsed-time') return a + b >= 720 ? a + b - 720 : a + b;
  if (op === 'turn') return a + b >= 4 ? a + b - 4 : a + b;
  return a;
}

describe('the registry', () => {
  it('holds every folder of the family directory, each once', () => {
    const folders = readdirSync('src/core/mechanisms', { withFileTypes: true }).flatMap((f) => (f.isDirectory() ? [f.name] : []));
    expect(mechanisms.map((m) => m.id).sort()).toEqual(folders.sort());
    expect(folders.length).toBeGreaterThanOrEqual(38);
  });
  it('gives every family no more than its eight extra measures, and sheets that are known', () => {
    for (const m of mechanisms) expect([m.id, m.extraMeasures.length <= mostExtra]).toEqual([m.id, true]);
  });
});

/** What the seat with least has at least of the seat with most, in a family's own example. */
const leastShareOfSeat = 0.4;

/** The library's versions of a family: real parameters for the laws below. */
const versionsOf = (id: string): readonly object[] => [
  {},
  ...shippedLibrary.filter((g) => g.mechanism === id).flatMap((g) => g.variants.map((v) => v.parameters)),
];

describe.each(mechanisms.map((m) => [m.id, m] as const))('%s', (id, m) => {
  const tables = fc.record({
    parameters: fc.constantFrom(...versionsOf(id)),
    seed: fc.integer({ min: 0, max: 1e6 }),
    policy: fc.constantFrom(...policies),
    seats: fc.integer({ min: m.seats.min, max: Math.min(4, m.seats.max) }),
  });
  const seatsOf = (t: { policy: (typeof policies)[number]; seats: number }) =>
    Array.from({ length: t.seats }, () => ({ policy: t.policy }));
  const law = (check: (t: { parameters: object; seed: number; policy: (typeof policies)[number]; seats: number }) => void): void => {
    fc.assert(
      fc.property(tables, (t) => {
        if (!checkTable(id, t.parameters, t.seats).ok) return;
        check(t);
      }),
      { numRuns: 5 },
    );
  };

  it('plays its own example, ends, and says how it is played, watched and stopped kindly', () => {
    const result = run(id, {}, Math.max(2, m.seats.min), 320);
    expect(result.games).toBe(320);
    expect(result.outcomes.capped).toBeLessThan(0.01);
    expect(result.outcomes.wins.reduce((a, b) => a + b, 0) + result.outcomes.ties).toBeCloseTo(1, 6);
    expect(m.words.length).toBeGreaterThan(2);
    expect(m.words.length).toBeLessThanOrEqual(12);
    expect(m.earlyEnding.length).toBeGreaterThan(20);
    expect(m.told.length).toBeGreaterThan(0);
    for (const [question, answers] of Object.entries(playedAnswers))
      for (const a of m.played[question as 'with']) expect(answers).toContain(a);
    expect(Object.keys(m.parametersSchema.properties).sort()).toEqual(Object.keys(m.defaults).sort());
  });

  it('emits only true items, whatever the policy and the numbers', () => {
    law(({ parameters, seed, policy, seats }) => {
      const result = run(id, parameters, seatsOf({ policy, seats }), 8, seed);
      for (const i of result.items)
        expect([i.op, i.a, i.b, i.result]).toEqual([i.op, i.a, i.b, expect.closeTo(trueResult(i.op, i.a, i.b), 9)]);
      expect(result.items.length).toBeGreaterThan(0);
      for (const i of result.items) expect(Number.isFinite(i.result)).toBe(true);
    });
  });

  it('favours no seat where all play at the same time and alike', () => {
    const seats = Math.min(4, m.seats.max);
    if (seats < 2 || !m.simultaneous(m.defaults)) return;
    const games = 2400;
    const { wins } = run(
      id,
      {},
      Array.from({ length: seats }, () => ({ policy: 'typical' as const })),
      games,
    ).outcomes;
    const share = wins.reduce((a, b) => a + b, 0) / seats;
    const error = Math.sqrt(Math.max(share * (1 - share), 1 / games) / games);
    for (const [seat, w] of wins.entries()) expect([seat, Math.abs(w - share) <= 4.5 * error, wins]).toEqual([seat, true, wins]);
  });

  it('credits every seat that does mathematics', () => {
    const seats = Math.min(3, m.seats.max);
    const { items } = run(id, {}, seats, 160);
    const bySeat = Array.from({ length: seats }, (_, s) => items.filter((i) => i.seat === s).reduce((sum, i) => sum + i.count, 0));
    const most = Math.max(...bySeat);
    // Who asks or calls may have less to do, but nobody has nothing.
    for (const [seat, n] of bySeat.entries()) expect([seat, n >= most * leastShareOfSeat, bySeat]).toEqual([seat, true, bySeat]);
  });

  it('gives the same game for the same seed, and tells it as it was counted', () => {
    law(({ parameters, seed, policy, seats }) => {
      const table = checkTable(id, parameters, seatsOf({ policy, seats }));
      if (!table.ok) throw new Error(table.problem.message);
      const first = tellGame(m, table.value.seats, seed, 3);
      expect(tellGame(m, table.value.seats, seed, 3)).toEqual(first);
      for (const e of first.events) if (e.kind === 'told') expect(m.told[e.sentence], `sentence ${e.sentence}`).toBeDefined();
      for (const e of first.events) expect(e.seat).toBeLessThan(seats);
      // The same games, counted by the engine: turns and items agree.
      const sim = run(id, parameters, seatsOf({ policy, seats }), 4, seed);
      const told = [0, 1, 2, 3].map((g) => tellGame(m, table.value.seats, seed, g));
      expect(sim.turns.mean * 4).toBeCloseTo(
        told.reduce((n, s) => n + s.turns, 0),
        6,
      );
      expect(sim.items.reduce((n, i) => n + i.count, 0)).toBe(
        told.reduce((n, s) => n + s.events.filter((e) => e.kind === 'item').length, 0),
      );
      expect(told.reduce((n, s) => n + s.events.filter((e) => e.kind === 'turn').length, 0)).toBeCloseTo(sim.turns.mean * 4, 6);
    });
  });

  it('gives another result for another seed', () => {
    const seats = Math.min(3, m.seats.max);
    expect(run(id, {}, seats, 64, 12).items).not.toEqual(run(id, {}, seats, 64, 11).items);
  });

  it('names things that ship and sheets with their numbers', () => {
    for (const parameters of versionsOf(id)) {
      const full = { ...m.defaults, ...parameters };
      for (const need of materialsOf(m, full, 3)) expect(shippedKinds.map((k) => k.id)).toContain(need.kind);
      for (const sheet of m.sheets(full, 3))
        expect([sheet.sheet.length > 3, sheet.copies >= 0, JSON.stringify(sheet.data).includes('null')]).toEqual([true, true, false]);
    }
  });

  it('refuses unknown and senseless parameters with the field named', () => {
    expect(checkTable(id, { nonsense: 1 }, 2)).toMatchObject({
      ok: false,
      problem: { code: 'out-of-range', field: 'parameters.nonsense' },
    });
    expect(checkTable(id, {}, 0)).toMatchObject({ ok: false, problem: { field: 'seats' } });
    expect(checkTable(id, {}, m.seats.max + 1)).toMatchObject({ ok: false, problem: { field: 'seats' } });
    expect(checkTable(id, {}, [{ errorRate: Number.NaN }, {}])).toMatchObject({ ok: false, problem: { field: 'seats.0.errorRate' } });
    for (const [name, schema] of Object.entries(m.parametersSchema.properties)) {
      if (schema['type'] !== 'integer') continue;
      for (const value of [Number(schema['maximum']) + 1, Number(schema['minimum']) - 1, 0.5, Number.NaN, 1e9]) {
        const refused = checkTable(id, { [name]: value }, Math.max(2, m.seats.min));
        expect(refused.ok, `${name} = ${value}`).toBe(false);
      }
    }
  });
});

describe('sum columns', () => {
  const race = (height: number, more: object = {}): SimulationResult =>
    run('sum-columns', { height, picks: 0, firstColumn: 0, lastColumn: 60, ...more }, 1, 30_000);

  // Exact values computed by integration of Poisson tails; see data/check-values.
  it.each([
    ['race.2d6.n6', 6, {}],
    ['race.2d6.n10', 10, {}],
    ['race.2d0-9.n6', 6, { lowestFace: 0, highestFace: 9 }],
  ])('%s: expected rolls', (id, height, more) => {
    near(race(height, more).turns, checkValue<{ E_rolls: { dec: string } }>(id).E_rolls.dec);
  });

  it('throws sums of two dice as often as they are', () => {
    const { ways } = checkValue<{ ways: Record<string, number> }>('dist.2d6.sum');
    const result = race(10);
    const total = result.items.reduce((sum, i) => sum + i.count, 0);
    for (const [sum, count] of Object.entries(ways)) {
      const met = result.items.filter((i) => i.result === Number(sum)).reduce((n, i) => n + i.count, 0) / total;
      expect(Math.abs(met - count / 36)).toBeLessThan(4 * Math.sqrt(((count / 36) * (1 - count / 36)) / total));
    }
  });

  it('takes differences of two dice as often as they are', () => {
    const { ways } = checkValue<{ ways: Record<string, number> }>('dist.2d6.absdiff');
    const result = run('sum-columns', { combine: 'difference', firstColumn: 0, lastColumn: 5, picks: 0 }, 2, 10_000);
    const total = result.items.reduce((sum, i) => sum + i.count, 0);
    for (const [gap, count] of Object.entries(ways)) {
      const met = result.items.filter((i) => i.result === Number(gap)).reduce((n, i) => n + i.count, 0) / total;
      expect(Math.abs(met - count / 36)).toBeLessThan(4 * Math.sqrt(0.25 / total));
    }
  });

  // Common practice, no source: one never comes, edges seldom win, an unpicked column often fills first.
  it('never marks column one and rewards picking the middle', () => {
    const even = run('sum-columns', {}, [{ policy: 'careful' }, { policy: 'random' }], 4000);
    expect(even.items.some((i) => i.result === 1)).toBe(false);
    expect(even.outcomes.wins[0]).toBeGreaterThan(even.outcomes.wins[1]! * 1.5);
    expect(run('sum-columns', { picks: 1 }, 2, 4000).measures['unpickedColumnFillsFirst']).toBeGreaterThan(0.3);
  });

  it('deals cards without return to the end of the deck', () => {
    const result = run('sum-columns', { draw: 'no-return', highestFace: 10, copies: 4, lastColumn: 20, picks: 0 }, 2, 500);
    expect(result.items.every((i) => i.a <= 10 && i.b <= 10)).toBe(true);
  });

  it('refuses columns that no throw reaches', () => {
    expect(checkTable('sum-columns', { firstColumn: 30, lastColumn: 40 }, 2)).toMatchObject({ problem: { code: 'impossible-parameters' } });
  });
});

describe('running total', () => {
  const plain = { handSize: 1, takeTen: 0, reverse: 0, skip: 0 };
  const draws = (more: object): SimulationResult => run('running-total', { ...plain, ...more }, 1, 30_000);

  // Exact values by dynamic programming; see data/check-values.
  it.each([
    ['total.replace.50', { high: 50, landing: 'beyond', draw: 'return' }],
    ['total.replace.exact.50', { high: 50, landing: 'exact', draw: 'return' }],
    ['total.replace.100', { high: 100, landing: 'beyond', draw: 'return' }],
    ['total.replace.exact.100', { high: 100, landing: 'exact', draw: 'return' }],
  ])('%s: expected draws', (id, more) => {
    near(draws(more).turns, checkValue<{ dec: string }>(id).dec);
    near(draws({ ...more, direction: 'down' }).turns, checkValue<{ dec: string }>(id).dec);
  });

  it.each([
    ['total.deck40.50', 50],
    ['total.deck40.100', 100],
  ])('%s: expected draws without return', (id, high) => {
    near(draws({ high, landing: 'beyond', draw: 'deck' }).turns, checkValue<{ E: { dec: string } }>(id).E.dec);
  });

  it('with three greedy players to exactly 100 lasts about 21.9 turns', () => {
    const result = run('running-total', {}, careful(3), 20_000);
    expect(result.turns.mean).toBeGreaterThan(21.4);
    expect(result.turns.mean).toBeLessThan(22.4);
  });

  // Common practice, no source.
  it('practises addition going up, subtraction going down, and both up and down', () => {
    const share = (direction: string): number => run('running-total', { direction }, 3, 3000).shares.subtract.mean;
    expect(share('up')).toBeLessThan(0.1);
    expect(share('down')).toBeGreaterThan(0.95);
    const both = share('up-and-down');
    expect(both).toBeGreaterThan(0.35);
    expect(both).toBeLessThan(0.7);
  });

  it('gives each seat its own cards when asked', () => {
    const result = run(
      'running-total',
      {},
      [{ policy: 'careful' }, { policy: 'typical', errorRate: 0.1, parameters: { highestCard: 5 } }],
      500,
    );
    expect(Math.max(...result.items.filter((i) => i.seat === 1 && i.op === 'add').map((i) => i.b))).toBe(5);
    expect(Math.max(...result.items.filter((i) => i.seat === 0 && i.op === 'add').map((i) => i.b))).toBe(10);
  });

  it('ends when the deck is out if so agreed, and gives tokens for tens and matches', () => {
    const out = run('running-total', { deckOut: 'ends', high: 300, bonusStep: 10, matchTop: true }, 3, 500);
    expect(out.turns.mean).toBeLessThan(60);
    expect(out.measures['tokensTaken']).toBeGreaterThan(0.1);
    expect(out.outcomes.score.mean).toBeGreaterThan(0.5);
  });

  it('refuses an end that can never be met, and one deck for too many hands', () => {
    expect(checkTable('running-total', { lowestCard: 4, highestCard: 9, takeTen: 0 }, 2)).toMatchObject({
      problem: { code: 'impossible-parameters', field: 'parameters.landing' },
    });
    expect(checkTable('running-total', { lowestCard: 9, highestCard: 10, landing: 'beyond', copies: 1, handSize: 3 }, 4)).toMatchObject({
      problem: { code: 'impossible-parameters' },
    });
  });
});

describe('pair memory', () => {
  const alone = (pairs: number, memory: number): SimulationResult =>
    run(
      'pair-memory',
      { relation: 'equal', secondLook: 'dots', lowestCard: 1, highestCard: pairs, rows: 2, columns: pairs, memory, extraTurn: false },
      careful(1),
      pairs > 6 ? 15_000 : 30_000,
    );

  // Exact values by dynamic programming (compare Velleman and Warrington 2013); see data/check-values.
  it.each([2, 3, 5, 6, 8])('with perfect memory and %i pairs takes the expected moves', (n) =>
    near(alone(n, -1).turns, checkValue<{ dec: string }>(`memory.perfect.n${n}`).dec),
  );
  it.each([4, 6])('without memory and %i pairs takes n² moves', (n) =>
    near(alone(n, 0).turns, checkValue<{ dec: string }>(`memory.none.n${n}`).dec),
  );

  it('of sums to ten with one full and one short memory takes about 19.5 flips', () => {
    const wide = { lowestCard: 0, highestCard: 10 };
    const result = run(
      'pair-memory',
      { ...wide, memory: -1 },
      [{ policy: 'careful' }, { policy: 'careful', parameters: { ...wide, memory: 5 } }],
      20_000,
    );
    expect(Math.abs(result.measures['flips']! - 19.5)).toBeLessThan(0.4);
    expect(result.outcomes.wins[0]).toBeGreaterThan(result.outcomes.wins[1]!);
  });

  it('asks for partners of ten and checks wrong guesses by adding', () => {
    const result = run('pair-memory', {}, 2, 500);
    expect(result.items.filter((i) => i.unknown === 'b').every((i) => i.result === 10)).toBe(true);
    expect(result.items.some((i) => i.unknown === 'result' && i.result !== 10)).toBe(true);
    // Five and five is a double too.
    expect(result.doses[0]!.find((d) => d.skill === 'pairs-of-10')!.perTenMinutes).toBeGreaterThan(8);
  });

  it('refuses a sum of thirty from cards one to ten, and an odd layout', () => {
    expect(checkTable('pair-memory', { sum: 30, lowestCard: 1, highestCard: 10 }, 2)).toMatchObject({
      problem: { code: 'impossible-parameters', field: 'parameters.sum', message: 'No two cards from 1 to 10 make 30.' },
    });
    expect(checkTable('pair-memory', { rows: 3, columns: 3 }, 2)).toMatchObject({ problem: { field: 'parameters.rows' } });
  });
});
