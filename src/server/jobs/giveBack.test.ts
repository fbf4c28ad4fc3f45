import { getHeapSpaceStatistics } from 'node:v8';
import { expect, it } from 'vitest';
import { giveBack } from './giveBack';

it('lets go of what nobody holds, as often as it is asked', async () => {
  for (let i = 0; i < 2; i++) {
    const gone = new WeakRef({ large: new Array(1000).fill(i) });
    await new Promise((r) => setTimeout(r, 5));
    giveBack();
    expect(gone.deref()).toBeUndefined();
  }
});

it('gives back what lies in holes between what is held', () => {
  // Many small things, of which few stay here and there, as after a plan.
  const kept: object[] = [];
  const rows: object[] = [];
  for (let i = 0; i < 600_000; i++) rows.push({ i, row: [i, i + 1, i + 2] });
  giveBack();
  for (let i = 0; i < rows.length; i += 25) kept.push(rows[i]!);
  rows.length = 0;
  giveBack();
  const old = getHeapSpaceStatistics().find((s) => s.space_name === 'old_space')!;
  expect(kept).toHaveLength(24_000);
  expect(old.space_size).toBeLessThan(1.15 * old.space_used_size);
});
