import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { run } from '../playing.testing';

describe('a sequence grid', () => {
  it('steps by the step, forward or back, and crosses hundreds where it should', () => {
    const r = run('sequence-grid', { start: 85, step: 5, blanks: 'all-but-first' }, 1, 50);
    for (const i of r.items) expect(i.b).toBe(5);
    expect(r.measures['hundredsCrossed']).toBe(1);
    expect(run('sequence-grid', { start: 300, step: 10, direction: 'backward' }, 2, 100).items.every((i) => Math.abs(i.b) === 10)).toBe(
      true,
    );
  });
  it('leaves as many blanks as agreed', () => {
    const turns = (blanks: string) => run('sequence-grid', { blanks }, 1, 200).turns.mean;
    expect(turns('a-row')).toBe(5);
    expect(turns('a-column')).toBe(4);
    expect(turns('every-other')).toBe(10);
    expect(turns('all-but-first')).toBe(19);
  });
  it('refuses to count below zero', () => {
    expect(checkTable('sequence-grid', { direction: 'backward', start: 10 }, 1)).toMatchObject({ problem: { field: 'parameters.start' } });
  });
});
