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
      ...['ten-and-some', 'parts-6-7', 'parts-8-9'].flatMap((k) => [note(k, 'alone'), note(k, 'alone'), note(k, 'alone')]),
      note('pairs-of-10', 'stuck'),
      note('pairs-of-10', 'stuck'),
      note('make-ten', 'stuck'),
    ];
    expect(of(estimateMastery(graph, wren, notes, today), 'make-ten').frontier).toBe(false);
    expect(of(estimateMastery(graph, { ...wren, supportsInUse: ['bead-frame'] }, notes, today), 'make-ten').frontier).toBe(true);
  });

  it('knows ages', () => expect(ageOn('2019-09', '2026-09-15')).toBeCloseTo(7, 2));
});

describe('what a harder step shows of an easier one', () => {
  const seen = (skill: string, result: 'alone' | 'stuck', at: string) => ({ ...note(skill, result), id: `${skill}-${at}`, at });
  const read = (...notes: ReturnType<typeof seen>[]) => estimateMastery(graph, wren, notes, today);
  it('is at least as much, at any depth, unless a newer miss of its own stands against it', () => {
    const three = ['2026-10-01', '2026-10-08', '2026-10-15'].map((at) => seen('add-in-20', 'alone', at));
    const all = read(...three);
    for (const easy of ['add-in-10', 'add-in-5']) expect(of(all, easy).asSeen).toBeGreaterThanOrEqual(of(all, 'add-in-20').asSeen);
    const olderMiss = read(seen('add-in-5', 'stuck', '2026-09-01'), ...three);
    expect(of(olderMiss, 'add-in-5').asSeen).toBeGreaterThanOrEqual(of(olderMiss, 'add-in-20').asSeen);
    const newerMiss = read(...three, seen('add-in-5', 'stuck', '2026-11-01'));
    expect(of(newerMiss, 'add-in-5').asSeen).toBeLessThan(of(newerMiss, 'add-in-20').asSeen);
  });
  it('is nothing for a step of another sort: to know a sum is not to have made a ten', () => {
    const all = read(
      ...['2026-10-01', '2026-10-08', '2026-10-15'].map((at) => seen('add-in-20', 'alone', at)),
      seen('make-ten', 'stuck', '2026-09-01'),
    );
    expect(of(all, 'make-ten').asSeen).toBeLessThan(of(all, 'add-in-20').asSeen);
  });
});

describe('a gap', () => {
  it('is what was looked at and is open; what nobody looked at is told apart', () => {
    const all = estimateMastery(graph, wren, [note('add-in-10', 'stuck')], today);
    expect(of(all, 'add-in-10')).toMatchObject({ gap: true, unlooked: false });
    const others = all.filter((e) => e.wantedNow && !e.seen);
    expect(others.some((e) => e.unlooked)).toBe(true);
    expect(others.some((e) => e.gap)).toBe(false);
  });
});

/** What a specialist would conclude from notes a week apart of a child of eight. */
describe('four notes of one kind', () => {
  const eight: LearnerFacts = { ...wren, born: '2018-11' };
  const after = (skill: string, result: Evidence['result'], more: Partial<Evidence> = {}, times = 4): number[] => {
    const notes = Array.from({ length: times }, (_, i) =>
      note(skill, result, { at: `2026-10-${String(3 + 7 * i).padStart(2, '0')}T10:00:00Z`, ...more }),
    );
    return notes.map((n, i) => of(estimateMastery(graph, eight, notes.slice(0, i + 1), n.at.slice(0, 10)), skill).asSeen);
  };
  it('right with a tool: growing, and no note of it says that it is not there yet', () => {
    const notes = Array.from({ length: 6 }, (_, i) =>
      note('add-in-20', 'support', { at: `2026-10-${String(3 + 4 * i).padStart(2, '0')}T10:00:00Z`, support: 'bead-frame' }),
    );
    const noted = of(estimateMastery(graph, eight, notes, today), 'add-in-20').steps.filter((x) => x.because === 'noted');
    expect(noted).toHaveLength(6);
    for (const x of noted) expect(x.after).toBeGreaterThanOrEqual(Math.min(x.before, 0.4));
  });
  it('a written way worked out, with the steps written down, is held', () => {
    expect(after('take-3-trade', 'support', { support: 'writing-steps', how: 'worked-out' }).at(-1)!).toBeGreaterThan(0.85);
    expect(after('times-large', 'alone', { how: 'worked-out' }).at(-1)!).toBeGreaterThan(0.85);
    expect(after('length-ruler', 'alone', { how: 'worked-out' }).at(-1)!).toBeGreaterThan(0.85);
  });
  it('counted all where counting is the step is held', () => {
    expect(after('count-to-20', 'alone', { how: 'counted-all' }).at(-1)!).toBeGreaterThan(0.85);
    expect(after('area-count', 'alone', { how: 'counted-all' }).at(-1)!).toBeGreaterThan(0.85);
  });
  it('counted all at a step by heart shows that it is not yet by heart', () => {
    expect(after('add-in-20', 'alone', { how: 'counted-all' }).at(-1)!).toBeLessThan(0.4);
    expect(after('add-in-20', 'alone', { how: 'knew' }).at(-1)!).toBeGreaterThan(0.85);
  });
  it('a missed two and three lies on sums within five, not within twenty', () => {
    const items = [{ op: 'add' as const, a: 2, b: 3, correct: false }];
    const all = estimateMastery(graph, eight, [note('count-on', 'support', { items })], today);
    const none = estimateMastery(graph, eight, [note('count-on', 'support')], today);
    expect(of(all, 'add-in-5').asSeen).toBeLessThan(of(none, 'add-in-5').asSeen - 0.1);
    expect(of(all, 'add-in-20').seen).toBe(false);
    expect(of(all, 'add-in-5').seen).toBe(true);
  });
});

it('what a harder step showed lately is not due for review', () => {
  const notes = [
    note('add-in-10', 'alone', { at: '2026-03-01T10:00:00Z' }),
    ...['2026-11-05', '2026-11-12', '2026-11-19'].map((day) => note('add-in-20', 'alone', { at: `${day}T10:00:00Z`, how: 'knew' })),
  ];
  expect(of(estimateMastery(graph, wren, notes, today), 'add-in-10')).toMatchObject({ status: 'on-their-own', dueForReview: false });
});
