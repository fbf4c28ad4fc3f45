import { describe, expect, it } from 'vitest';
import { run } from '../playing.testing';
import { DEFAULTS } from './parameters';
import { boardOf } from './rules';

describe('the product board', () => {
  it('holds the thirty-six different products of one to nine, each once', () => {
    // There are 36 different numbers in the table of products to 9 × 9 (the sequence 1, 3, 6, 9, 14, 18, 25, 30, 36 counts them; OEIS A027424, from memory).
    const board = boardOf(DEFAULTS);
    expect([board.size, new Set(board.number).size]).toEqual([6, 36]);
    // Lines of four on a board of six: 3 × 6 in rows, as many in columns, 3 × 3 on each slant.
    expect(board.lines).toHaveLength(18 + 18 + 9 + 9);
  });
  it('asks one product a claim, and rewards who looks at lines', () => {
    const looks = run('product-board', {}, [{ policy: 'careful' }, { policy: 'random' }], 400);
    expect(looks.outcomes.wins[0]).toBeGreaterThan(3 * looks.outcomes.wins[1]!);
    expect(looks.items.every((i) => i.op === 'multiply')).toBe(true);
  });
  it('mixes another board by another number', () =>
    expect(boardOf({ ...DEFAULTS, board: 2 }).number).not.toEqual(boardOf(DEFAULTS).number));
});
