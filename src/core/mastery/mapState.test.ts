import fc from 'fast-check';
import { default_w, forgetting_curve } from 'ts-fsrs';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { mapOf, readMap } from './estimateMastery';
import type { Evidence, LearnerFacts } from './evidence';
import { emptyMap, leastTold, seeEvidence } from './mapState';
import { forgetting } from './parameters';
import { packState, unpackState } from './packState';
import { remember, retention } from './retention';

const graph = shippedGraph();
const finch: LearnerFacts = { born: '2018-03', framework: 'us', permanentSupports: ['bead-frame'], supportsInUse: [] };
const today = '2026-11-20';

/** Any log of observations, one a day or so, in order. */
const logs = fc
  .array(
    fc.record({
      skill: fc.constantFrom(...graph.skills.map((s) => s.id)),
      kind: fc.constantFrom('placement' as const, 'note' as const, 'check-in' as const, 'statement' as const),
      result: fc.constantFrom('stuck' as const, 'support' as const, 'alone' as const),
      how: fc.constantFrom(null, 'counted-all' as const, 'counted-on' as const, 'worked-out' as const, 'knew' as const),
      support: fc.constantFrom(null, 'bead-frame', 'fingers'),
      correct: fc.integer({ min: 0, max: 10 }),
      gap: fc.integer({ min: 0, max: 9 }),
      ownChild: fc.boolean(),
      items: fc.array(
        fc.record({
          op: fc.constantFrom('add' as const, 'subtract' as const),
          a: fc.integer({ min: 10, max: 20 }),
          b: fc.integer({ min: 0, max: 9 }),
          correct: fc.boolean(),
        }),
        { maxLength: 3 },
      ),
    }),
    { maxLength: 25 },
  )
  .map((list) => {
    let day = Date.parse('2026-03-01T10:00:00Z');
    return list.map(({ gap, ownChild, correct, kind, result, ...rest }, i): Evidence => {
      day += gap * 86_400_000;
      const sheet = kind === 'check-in';
      return {
        id: `e${String(i).padStart(3, '0')}`,
        at: new Date(day + i * 1000).toISOString(),
        kind,
        ...rest,
        result: sheet ? null : result,
        correct: sheet ? correct : null,
        total: sheet ? 10 : null,
        by: { role: 'parent', ownChild },
      };
    });
  });

/** Two sums right on the way in a story. */
const note: Evidence = {
  id: 'e',
  at: '2026-11-19T10:00:00Z',
  kind: 'note',
  skill: 'story-result',
  result: 'alone',
  correct: null,
  total: null,
  how: null,
  support: null,
  items: [
    { op: 'add', a: 8, b: 5, correct: true },
    { op: 'add', a: 7, b: 6, correct: true },
  ],
  by: { role: 'helper', ownChild: false },
};

describe('taking in evidence', () => {
  it('gives the same one by one as all at once, and whatever order the log is read in', () => {
    fc.assert(
      fc.property(logs, (log) => {
        const map = emptyMap(graph);
        for (const e of log) seeEvidence(graph, finch, map, e);
        const oneByOne = readMap(graph, finch, map, today);
        expect(readMap(graph, finch, mapOf(graph, finch, [...log].reverse(), today), today)).toEqual(oneByOne);
      }),
      { numRuns: 60 },
    );
  });

  it('keeps every number between 0 and 1, the interval about it, and each step where the one before ended', () => {
    fc.assert(
      fc.property(logs, (log) => {
        for (const e of readMap(graph, finch, mapOf(graph, finch, log, today), today)) {
          expect(e.mastery).toBeGreaterThanOrEqual(0);
          expect(e.mastery).toBeLessThanOrEqual(1);
          expect(e.interval[0]).toBeLessThanOrEqual(e.mastery);
          expect(e.interval[1]).toBeGreaterThanOrEqual(e.mastery);
          expect(e.mastery).toBeLessThanOrEqual(e.asSeen + 1e-12);
          // Forgetting too small to tell is not told.
          e.steps.forEach((s, i) => i > 0 && expect(Math.abs(s.before - e.steps[i - 1]!.after)).toBeLessThanOrEqual(leastTold));
          expect(Math.abs(e.steps.at(-1)!.after - e.mastery)).toBeLessThanOrEqual(leastTold);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('credits by-heart skills from right facts, and strategies never from facts alone', () => {
    const after = readMap(graph, finch, mapOf(graph, finch, [note], today), today);
    const of = (id: string) => after.find((e) => e.skill === id)!;
    expect(of('add-in-20').steps.some((s) => s.because === 'right-facts' && s.what === '2')).toBe(true);
    expect(of('make-ten').steps.some((s) => s.because === 'right-facts')).toBe(false);
  });
});

describe('a sheet', () => {
  it('says less when a tool was in hand, unless this child keeps it', () => {
    const sheet = (support: string | null): number => {
      const e: Evidence = {
        id: 's',
        at: '2026-11-19T10:00:00Z',
        kind: 'check-in',
        skill: 'take-in-20',
        result: null,
        correct: 9,
        total: 10,
        how: null,
        support,
        items: [],
        by: { role: 'organiser', ownChild: false },
      };
      return readMap(graph, finch, mapOf(graph, finch, [e], today), today).find((x) => x.skill === 'take-in-20')!.mastery;
    };
    expect(sheet('hundred-chart')).toBeLessThan(sheet(null));
    expect(sheet('bead-frame')).toBe(sheet(null));
  });
});

describe('forgetting', () => {
  // The scheduler package's own curve and its default weights, asked directly.
  it('is the scheduler’s retrievability on a slower clock, slowest for ideas', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 400 }),
        fc.constantFrom('stuck' as const, 'support' as const, 'alone' as const, 'knew' as const),
        fc.constantFrom('by-heart' as const, 'method' as const, 'strategy' as const, 'concept' as const),
        (days, rating, nature) => {
          const memory = remember(null, 0, rating, nature);
          expect(retention(memory, days, nature)).toBeCloseTo(
            forgetting_curve(default_w, days * forgetting[nature].memoryDaysPerDay, memory.stability),
            12,
          );
          expect(retention(memory, days, 'concept')).toBeGreaterThanOrEqual(retention(memory, days, 'by-heart'));
        },
      ),
    );
    const memory = remember(null, 0, 'alone', 'by-heart');
    // By definition nine of ten are left after a stability's worth of time.
    expect(retention(memory, memory.stability / forgetting['by-heart'].memoryDaysPerDay, 'by-heart')).toBeCloseTo(0.9, 6);
  });
  it('goes slower the more often a skill was met', () => {
    const once = remember(null, 0, 'alone', 'by-heart');
    const twice = remember(once, 20, 'alone', 'by-heart');
    expect(retention(twice, 60, 'by-heart')).toBeGreaterThan(retention(once, 60, 'by-heart'));
  });
});

describe('a kept state', () => {
  it('reads the same as before it was packed, takes in more alike, and stays under 200 kB', () => {
    fc.assert(
      fc.property(logs, (log) => {
        const map = emptyMap(graph, false);
        for (const e of log) seeEvidence(graph, finch, map, e);
        const bytes = packState(map);
        expect(bytes.length).toBeLessThan(200_000);
        const back = unpackState(graph, bytes);
        expect(readMap(graph, finch, back, today)).toEqual(readMap(graph, finch, map, today));
        const more: Evidence = { ...note, at: '2026-11-20T10:00:00.000Z' };
        for (const m of [map, back]) seeEvidence(graph, finch, m, more);
        expect(readMap(graph, finch, back, today)).toEqual(readMap(graph, finch, map, today));
      }),
      { numRuns: 25 },
    );
  });
  it('tells the same with and without the steps of the way', () => {
    fc.assert(
      fc.property(logs, (log) => {
        const numbers = (told: boolean) =>
          readMap(graph, finch, mapOf(graph, finch, log, today, told), today).map(({ steps: _, ...e }) => e);
        expect(numbers(false)).toEqual(numbers(true));
      }),
      { numRuns: 25 },
    );
  });
});
