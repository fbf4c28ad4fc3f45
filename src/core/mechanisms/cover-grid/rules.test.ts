import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import values from '../../../../data/check-values/values.json';
import { careful, near, run } from '../playing.testing';
import { DEFAULTS } from './parameters';
import { factsFor, poolOf } from './rules';

const lines: Readonly<Record<string, string>> = { rows: 'rows', rowscols: 'rows-columns', rowscolsdiags: 'rows-columns-diagonals' };
type Calls = Record<`E_calls_${number}_players`, { dec: string }>;
const known = (values as unknown as { id: string; value: Calls }[]).filter(
  (v) => v.id.startsWith('bingo.') && !v.id.includes('structured'),
);

describe('covering a grid', () => {
  // Exact values by inclusion and exclusion over lines; see data/check-values.
  it.each(known.map((v) => [v.id, v.value] as const))('%s: expected calls', (id, want) => {
    const [, grid, pool, line, free] = id.split('.');
    const parameters = {
      size: Number(grid![0]),
      pool: Number(pool!.slice(1)),
      relation: 'number',
      lines: lines[line!],
      freeCentre: free === 'free',
    };
    for (const players of [1, 4])
      near(run('cover-grid', parameters, careful(players), 4000).rounds, want[`E_calls_${players}_players`]!.dec);
  });
  it('calls every number by facts that lead to it', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('sum', 'difference', 'product', 'round' as const),
        fc.integer({ min: 1, max: 30 }),
        (relation, lowest) => {
          const p = { ...DEFAULTS, relation: relation as typeof DEFAULTS.relation, lowest };
          for (const n of poolOf(p)) {
            const facts = factsFor(p, n);
            for (let i = 0; i < facts.length; i += 2) {
              const [a, b] = [facts[i]!, facts[i + 1]!];
              expect({ sum: a + b, difference: a - b, product: a * b, round: Math.floor(a / 10 + 0.5) * 10 }[relation as 'sum']).toBe(n);
            }
          }
        },
      ),
    );
  });
  it('refuses a pool smaller than a card', () => {
    expect(checkTable('cover-grid', { size: 5, pool: 20 }, 2)).toMatchObject({ problem: { field: 'parameters.pool' } });
  });
});
