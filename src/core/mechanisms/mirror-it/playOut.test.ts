import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { run } from '../playing.testing';

describe('mirroring', () => {
  it('carries every square as far to the other side', () => {
    for (const i of run('mirror-it', {}, 2, 200).items) expect(i.result + i.a).toBe(0);
  });
  it('slips more often over a slanting line', () => {
    const wrong = (line: string) => run('mirror-it', { line, grid: 4, rows: 4 }, 2, 800).measures['setRight']!;
    expect(wrong('slanting')).toBeGreaterThan(wrong('upright') * 1.5);
  });
  it('refuses more squares than there are', () => {
    expect(checkTable('mirror-it', { grid: 2, rows: 2, filled: 9 }, 1)).toMatchObject({ problem: { field: 'parameters.filled' } });
  });
});
