import fc from 'fast-check';
import { default_w, forgetting_curve } from 'ts-fsrs';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { mapOf, readMap } from './estimateMastery';
import type { Evidence, LearnerFacts } from './evidence';
import { levelOf, noLevelEvidence, offsets, seeLevel, yearsAhead } from './levelGrid';
import { emptyMap, leastTold, seeEvidence } from './mapState';
import { nextQuestion, openShare } from './nextQuestion';
import { forgetting } from './parameters';
import { afterForgetting, remember, retention } from './retention';

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

describe('the level of a line', () => {
  it('moves ahead with what is held beyond the norm, carries over to other lines in part, and starts at the norm', () => {
    const e = noLevelEvidence(2);
    expect(yearsAhead(levelOf(e, 0))).toBeCloseTo(0, 9);
    for (let i = 0; i < 4; i++) seeLevel(e, 0, 7, 8.5, 0.9, 0.1, 1);
    const own = yearsAhead(levelOf(e, 0));
    const other = yearsAhead(levelOf(e, 1));
    expect(own).toBeGreaterThan(0.5);
    expect(other).toBeGreaterThan(0.1);
    expect(other).toBeLessThan(own);
    expect(levelOf(e, 0).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
    expect(offsets[0]).toBe(-offsets.at(-1)!);
  });
});

describe('forgetting', () => {
  // The scheduler package's own curve and its default weights, asked directly.
  it('is the scheduler’s retrievability on a slower clock', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 400 }),
        fc.constantFrom('stuck' as const, 'support' as const, 'alone' as const, 'knew' as const),
        (days, rating) => {
          const memory = remember(null, 0, rating);
          expect(retention(memory, days)).toBeCloseTo(
            forgetting_curve(default_w, days * forgetting.memoryDaysPerDay, memory.stability),
            12,
          );
        },
      ),
    );
    const memory = remember(null, 0, 'alone');
    // By definition nine of ten are left after a stability's worth of time.
    expect(retention(memory, memory.stability / forgetting.memoryDaysPerDay)).toBeCloseTo(0.9, 6);
  });
  it('goes slower the more often a skill was met, and never adds', () => {
    const once = remember(null, 0, 'alone');
    const twice = remember(once, 20, 'alone');
    expect(retention(twice, 60)).toBeGreaterThan(retention(once, 60));
    expect(afterForgetting(0.8, retention(once, 60))).toBeLessThan(0.8);
    expect(afterForgetting(0.8, 1)).toBe(0.8);
  });
});

describe('the next question of a placement', () => {
  const lines = ['add', 'subtract'];
  it('asks where it is open, not what is surely there or far away, and stops when little is to be learnt', () => {
    const map = emptyMap(graph);
    const first = nextQuestion(graph, finch, map, today, lines)!;
    const skill = graph.skills[first.skill]!;
    expect(lines).toContain(skill.strand);
    expect(Math.abs(skill.wantedAt.us - 8.7)).toBeLessThan(2);
    let asked = 0;
    for (
      let next = nextQuestion(graph, finch, map, today, lines);
      next && asked < 30;
      next = nextQuestion(graph, finch, map, today, lines)
    ) {
      expect(map.skills[next.skill]!.lastSeen).toBeNull();
      seeEvidence(graph, finch, map, {
        id: `q${asked}`,
        at: `2026-11-20T10:00:${String(asked).padStart(2, '0')}Z`,
        kind: 'placement',
        skill: graph.skills[next.skill]!.id,
        result: graph.skills[next.skill]!.wantedAt.us < 8.2 ? 'alone' : 'stuck',
        correct: null,
        total: null,
        how: null,
        support: null,
        items: [],
        by: { role: 'organiser', ownChild: false },
      });
      asked++;
    }
    expect(asked).toBeGreaterThan(2);
    expect(asked).toBeLessThan(12);
  });
  it('asks on when somebody wants to know more exactly', () => {
    const map = emptyMap(graph);
    const count = (thorough: boolean): number => {
      const out = new Set<string>();
      for (
        let next = nextQuestion(graph, finch, map, today, lines, out, thorough);
        next;
        next = nextQuestion(graph, finch, map, today, lines, out, thorough)
      )
        out.add(graph.skills[next.skill]!.id);
      return out.size;
    };
    expect(count(true)).toBeGreaterThan(count(false));
  });
  it('tells how much is left open, less after every answer and not nothing at the end', () => {
    const map = emptyMap(graph);
    const open = [openShare(graph, finch, map, today, lines)];
    expect(open[0]).toBeCloseTo(1, 9);
    for (let q = 0, next = nextQuestion(graph, finch, map, today, lines); next; next = nextQuestion(graph, finch, map, today, lines), q++) {
      const s = graph.skills[next.skill]!;
      seeEvidence(graph, finch, map, {
        id: `o${q}`,
        at: `2026-11-20T10:00:${String(q).padStart(2, '0')}Z`,
        kind: 'placement',
        skill: s.id,
        result: s.wantedAt.us < 8.2 ? 'alone' : 'stuck',
        correct: null,
        total: null,
        how: null,
        support: null,
        items: [],
        by: { role: 'organiser', ownChild: false },
      });
      open.push(openShare(graph, finch, map, today, lines));
    }
    expect(open.at(-1)!).toBeLessThan(open[0]!);
    expect(open.at(-1)!).toBeGreaterThan(0.05);
  });
  it('has nothing to ask about no line', () => expect(nextQuestion(graph, finch, emptyMap(graph), today, [])).toBeNull());
});
