import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { createRng, below } from '../../shared/rng';
import { careful, run } from '../playing.testing';
import { DEFAULTS, type EdgeTileParameters } from './parameters';
import { clearBoard, deckOf, EMPTY, fits, joinPoints, newBoard, onSide, put, SIDE, STEPS } from './rules';

describe('edges that meet', () => {
  it('score the allowed results, nothing for an equal pair, and nothing else fits', () => {
    expect(joinPoints(DEFAULTS, 7, 1, 8, 1)).toBe(15);
    expect(joinPoints(DEFAULTS, 7, 1, 8, 2)).toBe(-1);
    expect(joinPoints(DEFAULTS, 7, 1, 7, 1)).toBe(0);
    expect(joinPoints(DEFAULTS, 7, 1, 7, 2)).toBe(-1);
    expect(joinPoints({ ...DEFAULTS, noScorePairs: false }, 7, 1, 7, 1)).toBe(-1);
    expect(joinPoints({ ...DEFAULTS, operation: 'product', step: 4, most: 40 }, 4, 0, 6, 0)).toBe(24);
    expect(joinPoints({ ...DEFAULTS, step: 25, most: 100, highest: 25 }, 10, 0, 15, 0)).toBe(25);
  });

  it('must all suit at a spot between tiles, and both score', () => {
    const tiles = { number: Int32Array.from([5, 5, 5, 5, 10, 10, 10, 10, 5, 3, 5, 3]), colour: new Int32Array(12), count: 3 };
    const board = newBoard();
    const middle = SIDE * 20 + 20;
    put(board, middle - 1, 0, 0);
    put(board, middle + 1, 0, 0);
    expect(fits(DEFAULTS, tiles, board, middle, 1, 0)).toBe(30);
    expect(fits({ ...DEFAULTS, inner: 'must-fit-only' }, tiles, board, middle, 1, 0)).toBe(15);
    expect(fits({ ...DEFAULTS, inner: 'not-allowed' }, tiles, board, middle, 1, 0)).toBe(-1);
    // The third tile has a five above and below and a three at its sides: only turned does it fit.
    expect(fits(DEFAULTS, tiles, board, middle, 2, 0)).toBe(-1);
    expect(fits(DEFAULTS, tiles, board, middle, 2, 1)).toBe(20);
  });

  it('always suit wherever a tile was laid by the rules', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 1e6 }),
        fc.constantFrom<EdgeTileParameters['operation']>('sum', 'product', 'difference'),
        (seed, operation) => {
          const p: EdgeTileParameters = { ...DEFAULTS, operation, step: 1, most: 12 };
          const tiles = deckOf(p);
          const board = newBoard();
          clearBoard(board);
          const rng = createRng(seed);
          put(board, SIDE * 20 + 20, 0, 0);
          for (let t = 1; t < 20; t++) {
            const spot = board.open[below(rng, board.openCount)]!;
            const turn = below(rng, 4);
            if (board.tile[spot] !== EMPTY || fits(p, tiles, board, spot, t, turn) < 0) continue;
            put(board, spot, t, turn);
            for (let side = 0; side < 4; side++) {
              const next = spot + STEPS[side]!;
              if (board.tile[next] === EMPTY) continue;
              const own = [onSide(tiles.number, t, turn, side), onSide(tiles.colour, t, turn, side)] as const;
              const theirs = [
                onSide(tiles.number, board.tile[next]!, board.turn[next]!, (side + 2) % 4),
                onSide(tiles.colour, board.tile[next]!, board.turn[next]!, (side + 2) % 4),
              ] as const;
              expect(own[1]).toBe(theirs[1]);
              const value = { sum: own[0] + theirs[0], product: own[0] * theirs[0], difference: Math.abs(own[0] - theirs[0]) }[operation];
              expect((value > 0 && value <= 12) || own[0] === theirs[0]).toBe(true);
            }
          }
        },
      ),
      { numRuns: 30 },
    );
  });
});

describe('a game of edge tiles', () => {
  const any = run('edge-tiles', {}, careful(3), 400);
  // Common practice, no source: four colours, a hand of four, sums of five to twenty.
  it('leaves a real choice in most turns, and inner spots are rare', () => {
    expect(any.measures['choices']).toBeGreaterThan(1.5);
    expect(any.measures['innerSpots']! / any.turns.mean).toBeLessThan(0.25);
    expect(any.measures['innerSpots']).toBeGreaterThan(0);
  });
  // Common practice, no source: joining only the last tile makes the game shorter. The engine agrees
  // for each turn; to a target of points it then takes more turns, since fewer edges suit.
  it('offers far fewer choices and shorter turns, but more of them, when only the last tile may be joined', () => {
    const last = run('edge-tiles', { joinTo: 'last' }, careful(3), 400);
    expect(last.measures['choices']).toBeLessThan(any.measures['choices']! / 2);
    expect(last.minutes.mean / last.turns.mean).toBeLessThan((0.85 * any.minutes.mean) / any.turns.mean);
    expect(last.turns.mean - any.turns.mean).toBeGreaterThan(4 * Math.hypot(last.turns.standardError, any.turns.standardError));
  });
  it('emits the running total as an item too when it is kept', () => {
    expect(any.items.some((i) => i.a > 20)).toBe(true);
    expect(run('edge-tiles', { scoring: 'single' }, careful(3), 200).items.some((i) => i.a > 20)).toBe(false);
  });
  it('refuses a deck on which nothing can score, and too few tiles', () => {
    expect(checkTable('edge-tiles', { lowest: 1, highest: 2, step: 25, most: 100 }, 2)).toMatchObject({
      problem: { field: 'parameters.step' },
    });
    expect(checkTable('edge-tiles', { tiles: 12, hand: 6 }, 4)).toMatchObject({ problem: { field: 'parameters.tiles' } });
  });
});
