import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { ladderOf, nextSupport } from './nextSupport';

const graph = shippedGraph();
const ladders = graph.skills.map((s) =>
  ladderOf(
    s,
    graph.strands.find((x) => x.id === s.strand)!,
  ),
);
const ladder = ladders[graph.indexOf.get('add-in-20')!]!;
const stuck = (support: string | null) => ({ result: 'stuck' as const, support });

describe('the next support', () => {
  it('is none for who holds the skill, and much for who does not', () => {
    expect(nextSupport(ladder, 0.95, [], []).support).toBeNull();
    const low = nextSupport(ladder, 0.05, [], []);
    expect(ladder.indexOf(low.support!)).toBeLessThan(2);
  });
  it('gets lighter as mastery grows, and keeps seven of ten right where the ladder can', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.nat(graph.skills.length - 1),
        (x, y, skill) => {
          const rung = (known: number): number => {
            const s = nextSupport(ladders[skill]!, known, [], []);
            return s.support === null ? ladders[skill]!.length : ladders[skill]!.indexOf(s.support);
          };
          expect(rung(Math.max(x, y))).toBeGreaterThanOrEqual(rung(Math.min(x, y)));
          const s = nextSupport(ladders[skill]!, x, [], []);
          if (s.because === 'lightest') expect(s.success).toBeGreaterThanOrEqual(0.7);
        },
      ),
    );
  });
  it('steps back to more help after two stuck notes, not after one', () => {
    expect(nextSupport(ladder, 0.9, [stuck(null)], []).because).toBe('lightest');
    const back = nextSupport(ladder, 0.9, [stuck('number-line'), stuck('number-line')], []);
    expect([back.because, back.support]).toEqual(['stepped-back', 'hundred-chart']);
  });
  it('leaves a child the tool it keeps', () => {
    expect(nextSupport(ladder, 0.95, [], ['bead-frame'])).toMatchObject({ support: 'bead-frame', because: 'keeps' });
  });
});
