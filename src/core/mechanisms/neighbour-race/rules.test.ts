import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { run } from '../playing.testing';
import { DEFAULTS, type NeighbourParameters } from './parameters';
import { boardProblem, leadsTo, makeBoard, wastedShare, WAYS } from './rules';

const any = fc.record({
  rule: fc.constantFrom<NeighbourParameters['rule']>('here-plus-die', 'die-is-factor'),
  rows: fc.integer({ min: 4, max: 10 }),
  width: fc.integer({ min: 2, max: 5 }),
  faces: fc.integer({ min: 4, max: 12 }),
  board: fc.integer({ min: 1, max: 50 }),
});

describe('the board maker', () => {
  it('gives every inner space the asked ways ahead, a way to the end and few wasted throws', () => {
    fc.assert(
      fc.property(any, (more) => {
        const p: NeighbourParameters = { ...DEFAULTS, ...more, wasted: 80 };
        const board = makeBoard(p);
        if (!board) return;
        expect(boardProblem(p, board)).toBeNull();
        expect(wastedShare(p, board)).toBeLessThanOrEqual(0.8);
        for (let here = 1; here < board.last; here++) {
          const ahead = Array.from({ length: WAYS }, (_, w) => board.ahead[here * WAYS + w]!).filter((n) => n >= 0);
          if (board.row[here] !== p.rows) expect(ahead.length).toBe(2);
          for (const next of ahead) expect(board.row[next]).toBe(board.row[here]! + 1);
        }
      }),
      { numRuns: 40 },
    );
  });
  it('lets one always move by the factor rule, and wants the highest factor at the end', () => {
    const p: NeighbourParameters = { ...DEFAULTS, rule: 'die-is-factor' };
    const board = makeBoard(p)!;
    for (let here = 1; here < board.last; here++) if (board.row[here] !== p.rows) expect(leadsTo(p, board, here, 1, 0)).toBeGreaterThan(0);
    const before = board.last - 1;
    expect([1, 2, 3, 4, 5, 6].filter((die) => leadsTo(p, board, before, die, 0) === board.last).length).toBe(1);
  });
});

describe('a neighbour race', () => {
  // Common practice, no source: by addition to an exact end many throws move nobody.
  it('wastes many throws by adding, and few by factors', () => {
    const idle = (rule: string) => run('neighbour-race', { rule }, 2, 500).measures['movelessShare']!;
    expect(idle('here-plus-die')).toBeGreaterThan(0.4);
    expect(idle('die-is-factor')).toBeLessThan(idle('here-plus-die'));
  });
  // Common practice, no source: sending back works better with four than with two.
  it('sends back more often at a table of four', () => {
    const sent = (seats: number) => run('neighbour-race', { occupied: 'sends-back', width: 2 }, seats, 500);
    const [two, four] = [sent(2), sent(4)];
    expect(four.measures['sentBack']! / four.turns.mean).toBeGreaterThan(two.measures['sentBack']! / two.turns.mean);
  });
  it('is played by both rules on one board', () => {
    const r = run('neighbour-race', {}, [{ parameters: { rule: 'here-plus-die' } }, { parameters: { rule: 'die-is-factor' } }], 300);
    expect(r.items.filter((i) => i.seat === 0).every((i) => i.op === 'add')).toBe(true);
    expect(r.items.filter((i) => i.seat === 1).every((i) => i.op === 'factor')).toBe(true);
  });
  it('refuses a board that cannot be made', () => {
    expect(checkTable('neighbour-race', { wasted: 20 }, 2)).toMatchObject({
      problem: { code: 'impossible-parameters', field: 'parameters.wasted' },
    });
    expect(checkTable('neighbour-race', { ways: 3, width: 2 }, 2)).toMatchObject({ problem: { field: 'parameters.ways' } });
  });
});
