import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { checkValue } from '../mechanisms/checkValues';
import { estimateMastery } from './estimateMastery';
import { ageOn, type Evidence, type LearnerFacts } from './evidence';
import { chanceRight, learn, posterior, sheetPosterior, softPosterior } from './knowledgeTracing';
import { predictMastery } from './predictMastery';

const graph = shippedGraph();
const wren: LearnerFacts = { born: '2019-09', framework: 'us', permanentSupports: [], supportsInUse: [] };
let serial = 0;
const note = (skill: string, result: Evidence['result'], more: Partial<Evidence> = {}): Evidence => ({
  id: `e${++serial}`,
  at: '2026-11-10T10:00:00Z',
  kind: 'note',
  skill,
  result,
  correct: null,
  total: null,
  how: null,
  support: null,
  items: [],
  by: { role: 'helper', ownChild: false },
  ...more,
});
const of = (list: ReturnType<typeof estimateMastery>, skill: string) => list.find((e) => e.skill === skill)!;
const today = '2026-11-20';

describe('knowledge tracing', () => {
  // Worked steps for Corbett and Anderson's model (1995), computed exactly; see data/check-values.
  it.each(['1101', '0011', '111111', '0000', '1110111'])('follows the worked steps of %s', (sequence) => {
    const p = { slip: 0.1, guess: 0.2, transit: 0.1 };
    const want = checkValue<{
      steps: { p_correct_before: string; posterior_given_obs: string; p_known_after_learning: string }[];
      p_next_correct: string;
    }>(`bkt.${sequence}`);
    let known = 0.3;
    for (const [i, step] of want.steps.entries()) {
      expect(chanceRight(known, p)).toBeCloseTo(Number(step.p_correct_before), 11);
      const after = posterior(known, sequence[i] === '1', p);
      expect(after).toBeCloseTo(Number(step.posterior_given_obs), 11);
      known = learn(after, p);
      expect(known).toBeCloseTo(Number(step.p_known_after_learning), 11);
    }
    expect(chanceRight(known, p)).toBeCloseTo(Number(want.p_next_correct), 11);
  });

  it('stays between 0 and 1 and moves the right way', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.99, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.integer({ min: 1, max: 30 }),
        (known, credit, total) => {
          const p = { slip: 0.1, guess: 0.2, transit: 0.08 };
          const soft = softPosterior(known, credit, 1, p);
          expect(soft).toBeGreaterThanOrEqual(posterior(known, false, p) - 1e-12);
          expect(soft).toBeLessThanOrEqual(posterior(known, true, p) + 1e-12);
          expect(sheetPosterior(known, total, total, p)).toBeGreaterThan(known);
          expect(sheetPosterior(known, 0, total, p)).toBeLessThan(known);
          expect(predictMastery(known, total)).toBeGreaterThan(known);
          expect(predictMastery(known, total)).toBeLessThan(1);
        },
      ),
    );
  });
});

describe('an estimate', () => {
  it('starts from the norm, hollow, and says so', () => {
    const e = of(estimateMastery(graph, wren, [], today), 'add-in-10');
    expect(e).toMatchObject({ seen: false, notes: 0, sure: false });
    expect(e.steps.map((s) => s.because)).toEqual(['norm']);
    expect(e.mastery).toBeGreaterThan(0.3);
    expect(e.mastery).toBeLessThan(0.75);
  });

  it('rises alone, falls when stuck, and moves to the middle with support', () => {
    const at = (result: Evidence['result'], more = {}): number =>
      of(estimateMastery(graph, wren, [note('add-in-10', result, more)], today), 'add-in-10').mastery;
    const before = of(estimateMastery(graph, wren, [], today), 'add-in-10').mastery;
    expect(at('alone')).toBeGreaterThan(before);
    expect(at('stuck')).toBeLessThan(before);
    expect(at('support')).toBeGreaterThan(at('stuck'));
    expect(at('support')).toBeLessThan(at('alone'));
    expect(at('alone', { how: 'counted-all' })).toBeLessThan(at('alone', { how: 'knew' }));
    expect(at('stuck', { by: { role: 'parent', ownChild: true } })).toBeGreaterThan(at('stuck'));
  });

  it('gives full credit with a support that this child may always use', () => {
    const list = [note('add-in-10', 'support', { support: 'bead-frame' })];
    const usual = of(estimateMastery(graph, wren, list, today), 'add-in-10').mastery;
    const always = of(estimateMastery(graph, { ...wren, permanentSupports: ['bead-frame'] }, list, today), 'add-in-10').mastery;
    expect(always).toBeGreaterThan(usual);
  });

  it('lifts what a held skill needs and tempers what builds on a stuck one, and names the neighbour', () => {
    const base = estimateMastery(graph, wren, [], today);
    const lifted = estimateMastery(graph, wren, [note('make-ten', 'alone'), note('make-ten', 'alone'), note('make-ten', 'alone')], today);
    expect(of(lifted, 'pairs-of-10').mastery).toBeGreaterThan(of(base, 'pairs-of-10').mastery);
    expect(of(lifted, 'pairs-of-10').steps.at(-1)).toMatchObject({ because: 'later-skill', what: 'make-ten' });
    expect(of(lifted, 'pairs-of-10').seen).toBe(false);
    const damped = estimateMastery(graph, wren, [note('pairs-of-10', 'stuck'), note('pairs-of-10', 'stuck')], today);
    expect(of(damped, 'make-ten').mastery).toBeLessThan(of(base, 'make-ten').mastery);
  });

  it('lets a missed fact weigh on the hardest skill it belongs to and on no other', () => {
    const missed = [note('take-in-20', 'support', { items: [{ op: 'subtract', a: 44, b: 8, correct: false }] })];
    const plain = [note('take-in-20', 'support')];
    const with44 = estimateMastery(graph, wren, missed, today);
    const without = estimateMastery(graph, wren, plain, today);
    const moved = with44.filter((e, i) => e.steps.some((s) => s.because === 'missed-fact') || e.mastery !== without[i]!.mastery);
    // 44 − 8 belongs to no by-heart skill of the graph, so nothing but the note itself moves.
    expect(moved).toEqual([]);
    const with15 = estimateMastery(
      graph,
      wren,
      [note('count-back', 'support', { items: [{ op: 'subtract', a: 15, b: 8, correct: false }] })],
      today,
    );
    expect(of(with15, 'take-in-20').steps.some((s) => s.because === 'missed-fact')).toBe(true);
  });

  it('ignores notes later than today, whatever their order', () => {
    const late = note('add-in-10', 'stuck', { at: '2026-12-01T10:00:00Z' });
    expect(of(estimateMastery(graph, wren, [late], today), 'add-in-10').notes).toBe(0);
    fc.assert(
      fc.property(
        fc.shuffledSubarray(
          [
            note('add-in-10', 'alone', { at: '2026-11-01T09:00:00Z' }),
            note('add-in-10', 'stuck', { at: '2026-11-02T09:00:00Z' }),
            note('take-in-10', 'alone', { at: '2026-11-03T09:00:00Z' }),
          ],
          { minLength: 3 },
        ),
        (list) => {
          const again = estimateMastery(graph, wren, [...list].reverse(), today);
          expect(estimateMastery(graph, wren, list, today)).toEqual(again);
        },
      ),
    );
  });

  it('keeps every value and interval inside 0 and 1', () => {
    const skills = graph.skills.map((s) => s.id);
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.constantFrom(...skills), fc.constantFrom('stuck', 'support', 'alone') as fc.Arbitrary<'stuck' | 'support' | 'alone'>),
          { maxLength: 40 },
        ),
        (list) => {
          for (const e of estimateMastery(
            graph,
            wren,
            list.map(([s, r]) => note(s, r)),
            today,
          )) {
            expect(e.interval[0]).toBeLessThanOrEqual(e.mastery);
            expect(e.interval[1]).toBeGreaterThanOrEqual(e.mastery);
            expect(e.interval[0]).toBeGreaterThanOrEqual(0);
            expect(e.interval[1]).toBeLessThanOrEqual(1);
          }
        },
      ),
    );
  });

  it('reads "worth checking" after a long rest and puts gaps with ready prerequisites on the frontier', () => {
    const held = [1, 2, 3, 4].map(() => note('pairs-of-10', 'alone', { at: '2026-08-01T10:00:00Z' }));
    expect(of(estimateMastery(graph, wren, held, today), 'pairs-of-10').status).toBe('worth-checking');
    const ready = estimateMastery(
      graph,
      wren,
      [
        ...held,
        ...['ten-and-some', 'pairs-of-10'].flatMap((s) => [note(s, 'alone'), note(s, 'alone'), note(s, 'alone')]),
        note('make-ten', 'stuck'),
      ],
      today,
    );
    expect(of(ready, 'make-ten')).toMatchObject({ gap: true, frontier: true });
  });

  it('opens what needs it by heart when a support is in use', () => {
    const notes = [
      note('ten-and-some', 'alone'),
      note('ten-and-some', 'alone'),
      note('ten-and-some', 'alone'),
      note('pairs-of-10', 'stuck'),
      note('pairs-of-10', 'stuck'),
      note('make-ten', 'stuck'),
    ];
    expect(of(estimateMastery(graph, wren, notes, today), 'make-ten').frontier).toBe(false);
    expect(of(estimateMastery(graph, { ...wren, supportsInUse: ['bead-frame'] }, notes, today), 'make-ten').frontier).toBe(true);
  });

  it('knows ages', () => expect(ageOn('2019-09', '2026-09-15')).toBeCloseTo(7, 2));
});
