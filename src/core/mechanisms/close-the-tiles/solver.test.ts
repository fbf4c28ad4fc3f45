import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { checkValue } from '../checkValues';
import { careful, near, nearShare, run } from '../playing.testing';
import { type CloseParameters, DEFAULTS } from './parameters';
import { setsBySum, sumOf } from './rules';
import { solveTiles } from './solver';

const ops = { sum: ['add'], sumdiffprod: ['add', 'subtract', 'multiply'], all4: ['add', 'subtract', 'multiply', 'divide'] } as const;
const full = (p: CloseParameters): number => (1 << p.tiles) - 1;

interface Exact {
  readonly P_clear: { readonly dec: string };
  readonly E_remaining: string | { readonly dec: string };
  readonly E_tiles: string;
  readonly E_turns: string | null;
}
const decimal = (x: string | { readonly dec: string }): number => Number(typeof x === 'string' ? x : x.dec);

describe('best play with tiles', () => {
  // Exact values by dynamic programming outside this code; see data/check-values.
  it.each([
    ['shut.9.two_dice', { tiles: 9 }],
    ['shut.9.one_die_high', { tiles: 9, oneDie: 'high-closed' }],
    ['shut.9.one_die_sum6', { tiles: 9, oneDie: 'few-left' }],
    ['shut.10.one_die_high', { tiles: 10, oneDie: 'high-closed' }],
    ['shut.10.one_die_sum6', { tiles: 10, oneDie: 'few-left' }],
    ['shut.10.two_dice_max1', { tiles: 10, close: 'one' }],
    ['shut.12.two_dice', { tiles: 12 }],
    ['shut.12.two_dice_max1', { tiles: 12, close: 'one' }],
  ] as const)('%s', (id, more) => {
    const want = checkValue<Exact>(id);
    const p: CloseParameters = { ...DEFAULTS, ...more };
    expect(solveTiles(p, 'all-closed').value[full(p)]).toBeCloseTo(Number(want.P_clear.dec), 9);
    expect(solveTiles(p, 'least-left').value[full(p)]).toBeCloseTo(decimal(want.E_remaining), 8);
  });
  it.each(
    [9, 10, 12].flatMap((tiles) =>
      Object.keys(ops)
        .filter((o) => tiles !== 9 || o !== 'sum')
        .map((o) => [`shutop.${tiles}.${o}`, tiles, ops[o as 'sum']] as const),
    ),
  )('%s', (id, tiles, operations) => {
    const want = checkValue<Exact>(id);
    const p: CloseParameters = { ...DEFAULTS, tiles, operations, close: 'one' };
    expect(solveTiles(p, 'all-closed').value[full(p)]).toBeCloseTo(Number(want.P_clear.dec), 9);
    expect(solveTiles(p, 'least-left').value[full(p)]).toBeCloseTo(decimal(want.E_remaining), 8);
    expect(solveTiles(p, 'most-closed').value[full(p)]).toBeCloseTo(Number(want.E_tiles), 8);
    const turns = solveTiles(p, 'fewest-throws').value[full(p)]!;
    if (want.E_turns === null) expect(turns).toBe(Infinity);
    else expect(turns).toBeCloseTo(Number(want.E_turns), 8);
  });
});

describe('closing the tiles', () => {
  it('leaves open what best play leaves, when played with care', () => {
    const want = checkValue<Exact>('shut.9.two_dice');
    const least = run('close-the-tiles', {}, careful(1), 20_000);
    near({ mean: least.measures['leftOpen']!, standardError: least.measureErrors['leftOpen']! }, decimal(want.E_remaining));
    nearShare(run('close-the-tiles', { aim: 'all-closed' }, careful(1), 20_000).measures['allClosed']!, want.P_clear.dec, 20_000);
    near(
      run('close-the-tiles', { close: 'one', operations: ops.all4, stuck: 'next-throw' }, careful(1), 8000).turns,
      checkValue<Exact>('shutop.9.all4').E_turns!,
    );
  });
  it('gives each player their own tiles and operations', () => {
    const r = run(
      'close-the-tiles',
      { close: 'one' },
      [{ parameters: { tiles: 12, operations: ops.all4 } }, { parameters: { tiles: 6, operations: ['add'] } }],
      500,
    );
    expect(r.items.some((i) => i.seat === 0 && i.op === 'multiply')).toBe(true);
    expect(r.items.some((i) => i.seat === 1 && i.op !== 'add')).toBe(false);
  });
  it('knows every set of tiles by its sum', () => {
    const sets = setsBySum({ ...DEFAULTS, tiles: 6 });
    for (const [sum, list] of sets.entries()) for (const set of list) expect(sumOf(set)).toBe(sum);
    expect(sets.reduce((n, l) => n + l.length, 0)).toBe(63);
  });
  it('refuses a round that would never end, and says why', () => {
    expect(checkTable('close-the-tiles', { close: 'one', stuck: 'next-throw' }, 2)).toMatchObject({
      problem: { code: 'impossible-parameters', field: 'parameters.operations' },
    });
  });
});
