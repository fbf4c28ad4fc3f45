import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkTable } from '../../../contract/parameters';
import { createRng } from '../../shared/rng';
import { run } from '../playing.testing';
import { type ChainParameters, DEFAULTS } from './parameters';
import { answersOf, loopProblem, newLoop, writeLoop } from './rules';

describe('the loop', () => {
  it('closes, once and only at its end, whatever it asks', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<ChainParameters['operation']>('sum', 'difference', 'product', 'ten-more-or-less', 'double-or-half'),
        fc.integer({ min: 6, max: 30 }),
        fc.integer({ min: 0, max: 1e6 }),
        (operation, cards, seed) => {
          const p: ChainParameters = { ...DEFAULTS, operation, cards, highest: 144 };
          const pool = Int32Array.from(answersOf(p));
          const loop = newLoop(cards);
          writeLoop(p, loop, pool, createRng(seed));
          expect(loopProblem(loop)).toBeNull();
          expect(Math.max(...loop.answer)).toBeLessThanOrEqual(144);
        },
      ),
    );
  });
  it('is found broken when a card is changed', () => {
    const loop = newLoop(8);
    writeLoop({ ...DEFAULTS, cards: 8 }, loop, Int32Array.from(answersOf(DEFAULTS)), createRng(1));
    loop.answer[3] = loop.answer[5]!;
    expect(loopProblem(loop)).toMatch(/is on 0 cards|is on 2 cards/);
    const short = newLoop(4);
    short.answer.set([1, 2, 3, 4]);
    short.a.set([2, 1, 4, 3]);
    expect(loopProblem(short)).toBe('closes after 2 of 4 cards');
  });
  it('is dealt evenly over the readers', () => {
    const r = run('chain-cards', { everyone: false, cards: 12 }, [{ errorRate: 0 }, { errorRate: 0 }, { errorRate: 0 }], 200);
    const met = [0, 1, 2].map((s) => r.items.filter((i) => i.seat === s).reduce((n, i) => n + i.count, 0));
    expect(met).toEqual([800, 800, 800]);
  });
  it('refuses more cards than there are answers', () => {
    expect(checkTable('chain-cards', { cards: 30, highest: 20 }, 2)).toMatchObject({ problem: { field: 'parameters.cards' } });
  });
});
