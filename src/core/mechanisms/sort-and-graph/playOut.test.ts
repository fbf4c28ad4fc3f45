import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { itemsOfGames, run } from '../playing.testing';

describe('sorting and graphing', () => {
  it('sorts every piece into a tray', () => {
    for (const items of itemsOfGames('sort-and-graph', { questions: 0, pieces: 30, trays: 4 }, [{}, {}], 100))
      expect(items.filter((i) => i.op === 'count').reduce((sum, i) => sum + i.a, 0)).toBe(30);
  });
  it('asks how many more only when agreed', () => {
    expect(run('sort-and-graph', { howManyMore: false }, 2, 200).shares.subtract.mean).toBe(0);
    expect(run('sort-and-graph', { howManyMore: true }, 2, 200).shares.subtract.mean).toBeGreaterThan(0.1);
  });
  it('refuses a tally mark that stands for five', () => {
    expect(checkTable('sort-and-graph', { record: 'tally', scale: 5 }, 2)).toMatchObject({ problem: { field: 'parameters.scale' } });
  });
});
