import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { estimateMastery } from './estimateMastery';
import { ageOn, type Evidence, type LearnerFacts } from './evidence';
import { growingFrom, heldAt } from './parameters';

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

describe('an estimate', () => {
  it('starts from the norm, hollow, and says so', () => {
    const e = of(estimateMastery(graph, wren, [], today), 'add-in-10');
    expect(e).toMatchObject({ seen: false, notes: 0, sure: false });
    expect(e.steps.map((s) => s.because)).toEqual(['norm']);
    expect(e.mastery).toBeGreaterThan(0.1);
    expect(e.mastery).toBeLessThan(heldAt);
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

  it('tells several notes about one neighbour in one line, and of another in another', () => {
    const twice = (skill: string, day: number): Evidence[] =>
      [0, 1].map((i) => note(skill, 'alone', { at: `2026-10-${day + i}T10:00:00Z`, how: 'knew' }));
    const told = estimateMastery(graph, wren, [...twice('pairs-of-10', 10), ...twice('doubles-to-10', 20)], today);
    const lines = of(told, 'parts-8-9').steps.filter((s) => s.because === 'neighbour');
    expect(lines.map((s) => s.what)).toEqual(['pairs-of-10', 'doubles-to-10']);
    expect(lines[1]!.before).toBe(lines[0]!.after);
  });

  it('raises with help well into growing and no further, and lowers for what goes wrong with help', () => {
    const at = (list: Evidence[]): number => of(estimateMastery(graph, wren, list, today), 'make-ten').mastery;
    const days = (n: number, result: Evidence['result'], month = '09'): Evidence[] =>
      Array.from({ length: n }, (_, i) =>
        note('make-ten', result, { at: `2026-${month}-${10 + i}T10:00:00Z`, support: result === 'support' ? 'bead-frame' : null }),
      );
    const low = days(3, 'stuck');
    expect(at([...low, ...days(2, 'support', '10')])).toBeGreaterThan(at(low));
    // Once is a little, not all of it.
    expect(at([...low, ...days(1, 'support', '10')])).toBeLessThan(at(low) + 0.15);
    expect(at(days(12, 'support'))).toBeLessThan(0.5);
    expect(at(days(12, 'support'))).toBeGreaterThan(growingFrom);
    const high = days(5, 'alone');
    expect(at([...high, note('make-ten', 'support', { at: '2026-09-15T10:00:00Z', support: 'bead-frame' })])).toBeGreaterThan(heldAt);
    const sheet = (correct: number) =>
      note('make-ten', null, { kind: 'check-in', correct, total: 10, support: 'bead-frame', at: '2026-09-16T10:00:00Z' });
    expect(at([...high, sheet(2)])).toBeLessThan(at([...high, sheet(9)]) - 0.2);
  });

  it('gives full credit with a support that this child may always use', () => {
    const list = [note('add-in-10', 'support', { support: 'bead-frame' })];
    const usual = of(estimateMastery(graph, wren, list, today), 'add-in-10').mastery;
    const always = of(estimateMastery(graph, { ...wren, permanentSupports: ['bead-frame'] }, list, today), 'add-in-10').mastery;
    expect(always).toBeGreaterThan(usual);
  });

  it('tells of neighbours by as much as they are alike, and names the neighbour', () => {
    const base = estimateMastery(graph, wren, [], today);
    const lifted = estimateMastery(graph, wren, [note('make-ten', 'alone'), note('make-ten', 'alone'), note('make-ten', 'alone')], today);
    expect(of(lifted, 'pairs-of-10').mastery).toBeGreaterThan(of(base, 'pairs-of-10').mastery);
    expect(of(lifted, 'pairs-of-10').steps.at(-1)).toMatchObject({ because: 'neighbour', what: 'make-ten' });
    expect(of(lifted, 'pairs-of-10').seen).toBe(false);
    const lowered = estimateMastery(graph, wren, [note('pairs-of-10', 'stuck'), note('pairs-of-10', 'stuck')], today);
    expect(of(lowered, 'make-ten').mastery).toBeLessThan(of(base, 'make-ten').mastery);
  });

  it('lets a missed fact fall on the narrowest step it belongs to', () => {
    const missed = (a: number, b: number) =>
      estimateMastery(graph, wren, [note('count-back', 'support', { items: [{ op: 'subtract', a, b, correct: false }] })], today);
    const plain = estimateMastery(graph, wren, [note('count-back', 'support')], today);
    const told = (all: ReturnType<typeof estimateMastery>) =>
      all.filter((e) => e.steps.some((s) => s.because === 'missed-fact')).map((e) => e.skill);
    expect(told(missed(15, 8))).toEqual(['take-in-20']);
    expect(of(missed(15, 8), 'take-in-20').mastery).toBeLessThan(of(plain, 'take-in-20').mastery);
    expect(told(plain)).toEqual([]);
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
    const held = [1, 2, 3, 4, 5].map(() => note('pairs-of-10', 'alone', { at: '2026-05-01T10:00:00Z' }));
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
      ...[1, 2, 3, 4].map(() => note('pairs-of-10', 'stuck')),
      note('make-ten', 'stuck'),
    ];
    expect(of(estimateMastery(graph, wren, notes, today), 'make-ten').frontier).toBe(false);
    expect(of(estimateMastery(graph, { ...wren, supportsInUse: ['bead-frame'] }, notes, today), 'make-ten').frontier).toBe(true);
  });

  it('shows a step that is nothing beside its parts as held when they are', () => {
    const parts = graph.skills[graph.indexOf.get('times-all')!]!.parts!;
    const none = estimateMastery(graph, wren, [], today);
    const least = (e: typeof none): number => Math.min(...parts.map((p) => of(e, p).mastery));
    expect(of(none, 'times-all').mastery).toBe(least(none));
    expect(of(estimateMastery(graph, { ...wren, born: '2015-01' }, [note('times-6-9', 'stuck')], today), 'times-all').unlooked).toBe(false);
    const all = parts.flatMap((p) => [1, 2, 3, 4, 5, 6].map(() => note(p, 'alone', { how: 'knew' })));
    const held = estimateMastery(graph, wren, all, today);
    expect(of(held, 'times-all')).toMatchObject({ status: 'on-their-own', mastery: least(held) });
    expect(of(held, 'times-all').steps.at(-1)).toMatchObject({ because: 'parts' });
    // The least sure part it is, wherever it stands in the list.
    for (const part of parts) {
      const weak = estimateMastery(
        graph,
        wren,
        [...all, ...[1, 2, 3, 4, 5, 6].map(() => note(part, 'stuck', { at: `${today}T12:00:00Z` }))],
        today,
      );
      expect([part, of(weak, 'times-all').mastery]).toEqual([part, least(weak)]);
    }
    // One part that is not there is enough.
    const but = estimateMastery(
      graph,
      wren,
      [...all, ...[1, 2, 3, 4, 5, 6].map(() => note('times-6-9', 'stuck', { at: `${today}T12:00:00Z` }))],
      today,
    );
    expect(of(but, 'times-all').mastery).toBe(of(but, 'times-6-9').mastery);
    // Seen itself and better than the least sure part, it keeps its own.
    const seen = estimateMastery(
      graph,
      wren,
      [1, 2, 3, 4].map(() => note('times-all', 'alone')),
      today,
    );
    expect(of(seen, 'times-all').mastery).toBeGreaterThanOrEqual(least(seen));
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
    const misses = (day: string) => [1, 2, 3].map((i) => seen('add-in-5', 'stuck', `${day}T1${i}`));
    expect(of(read(...misses('2026-09-01'), ...three), 'add-in-5').asSeen).toBeGreaterThanOrEqual(
      of(read(...misses('2026-09-01'), ...three), 'add-in-20').asSeen,
    );
    const newerMiss = read(...three, ...misses('2026-11-01'));
    expect(of(newerMiss, 'add-in-5').asSeen).toBeLessThan(of(read(...three), 'add-in-5').asSeen);
    expect(of(newerMiss, 'add-in-5').steps.some((s) => s.because === 'later-skill' && s.what === 'add-in-20')).toBe(false);
  });
  it('is nothing for a step of another sort: to know a sum is not to have made a ten', () => {
    const all = read(
      ...['2026-10-01', '2026-10-08', '2026-10-15'].map((at) => seen('add-in-20', 'alone', at)),
      seen('make-ten', 'stuck', '2026-09-01'),
    );
    expect(of(all, 'make-ten').steps.some((s) => s.because === 'later-skill')).toBe(false);
    expect(of(all, 'add-in-10').asSeen).toBeGreaterThanOrEqual(of(all, 'add-in-20').asSeen);
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
describe('notes of one kind, a week apart', () => {
  const eight: LearnerFacts = { ...wren, born: '2018-09' };
  const after = (skill: string, results: readonly Partial<Evidence>[], who = eight): number[] => {
    const notes = results.map((more, i) => note(skill, 'alone', { at: new Date(Date.UTC(2026, 8, 3 + 7 * i, 10)).toISOString(), ...more }));
    return notes.map((n, i) => of(estimateMastery(graph, who, notes.slice(0, i + 1), n.at.slice(0, 10)), skill).asSeen);
  };
  const times = (n: number, more: Partial<Evidence>) => Array.from({ length: n }, () => more);
  const rising = (list: readonly number[]): boolean => list.every((x, i) => i === 0 || x > list[i - 1]!);

  it('on their own: rising to held in four notes, and known at once no slower', () => {
    const alone = after('add-in-20', times(4, {}));
    expect(rising(alone)).toBe(true);
    expect(alone[0]!).toBeLessThan(heldAt);
    expect(alone[3]!).toBeGreaterThan(heldAt);
    expect(after('add-in-20', times(4, { how: 'knew' }))[3]!).toBeGreaterThanOrEqual(alone[3]! - 0.01);
  });
  it('counted on or counted all at a step by heart: not yet by heart, and only that step says so', () => {
    expect(after('add-in-20', times(4, { how: 'counted-on' })).at(-1)!).toBeLessThan(growingFrom);
    expect(after('add-in-20', times(4, { how: 'counted-all' })).at(-1)!).toBeLessThan(growingFrom / 2);
    const before = estimateMastery(graph, eight, [], today);
    const counted = estimateMastery(graph, eight, [note('add-in-20', 'alone', { how: 'counted-all', at: `${today}T10:00:00Z` })], today);
    const lower = counted.filter((e, k) => e.mastery < before[k]!.mastery - 1e-9).map((e) => e.skill);
    expect(lower).toEqual(['add-in-20']);
  });
  it('right with a tool: growing, and never falling', () => {
    const list = after('add-in-20', times(6, { result: 'support', support: 'bead-frame' }));
    for (const [i, x] of list.entries()) expect(x).toBeGreaterThanOrEqual((list[i - 1] ?? 0) - 0.02);
    expect(list[0]!).toBeGreaterThan(growingFrom);
    expect(list[5]!).toBeLessThan(heldAt);
    expect(list[5]!).toBeLessThan(after('add-in-20', times(6, {}))[5]!);
  });
  it('a written way worked out, with the steps written down, is held', () => {
    const nine = { ...eight, born: '2017-09' };
    const written = after('take-3-trade', times(4, { result: 'support', support: 'writing-steps', how: 'worked-out' }), nine);
    expect(written.at(-1)!).toBeGreaterThan(heldAt);
    expect(written).toEqual(after('take-3-trade', times(4, { how: 'worked-out' }), nine));
    expect(after('times-large', times(4, { how: 'worked-out' }), { ...eight, born: '2015-09' }).at(-1)!).toBeGreaterThan(heldAt);
    expect(after('length-ruler', times(4, { how: 'worked-out' })).at(-1)!).toBeGreaterThan(heldAt);
  });
  it('counted all where counting is the step is held', () => {
    const six = { ...eight, born: '2020-09' };
    expect(after('count-to-20', times(4, { how: 'counted-all' }), six)).toEqual(after('count-to-20', times(4, {}), six));
    expect(after('count-to-20', times(4, { how: 'counted-all' }), six).at(-1)!).toBeGreaterThan(heldAt);
    expect(after('area-count', times(4, { how: 'counted-all' }), { ...eight, born: '2017-09' }).at(-1)!).toBeGreaterThan(heldAt);
  });
  it('a strategy that was not shown is not one that cannot be', () => {
    const list = after('make-ten', times(3, { how: 'counted-all' }));
    const none = of(estimateMastery(graph, eight, [], '2026-09-03'), 'make-ten').asSeen;
    for (const x of list) expect(x).toBeGreaterThanOrEqual(none - 1e-9);
    expect(list.at(-1)! - none).toBeLessThan(0.1);
  });
  it('stuck, stuck, stuck is not there; on their own afterwards climbs', () => {
    const list = after('add-in-20', [...times(3, { result: 'stuck' }), ...times(6, {})]);
    expect(list[2]!).toBeLessThan(0.05);
    expect(rising(list.slice(2))).toBe(true);
    expect(list.at(-1)!).toBeGreaterThan(list[2]! + 0.1);
  });
  it('sheets of ten: ten is held, eight is open, six and three are not yet', () => {
    const sheet = (correct: number): number => after('add-in-20', [{ kind: 'check-in', result: null, correct, total: 10 }])[0]!;
    expect(sheet(10)).toBeGreaterThan(0.8);
    expect(sheet(10)).toBeLessThan(0.98);
    expect(sheet(8)).toBeGreaterThan(growingFrom);
    expect(sheet(8)).toBeLessThan(heldAt);
    expect(sheet(6)).toBeLessThan(growingFrom);
    expect(sheet(3)).toBeLessThan(0.02);
  });
  it('a parent of the own child counts, a little less; a kept tool counts in full', () => {
    const parent = after('add-in-20', times(3, { by: { role: 'parent', ownChild: true } }));
    const helper = after('add-in-20', times(3, {}));
    expect(rising(parent)).toBe(true);
    expect(parent[2]!).toBeLessThan(helper[2]!);
    const keeps = { ...eight, permanentSupports: ['hundred-chart'] };
    expect(after('add-in-20', times(3, { result: 'support', support: 'hundred-chart' }), keeps)).toEqual(
      after('add-in-20', times(3, {}), keeps),
    );
  });
  it('tables want a check after a summer, ideas far later', () => {
    const shown = (skill: string, weeks: number) => {
      const at = (d: number) => ({ at: new Date(Date.UTC(2026, 3, 1 + d, 10)).toISOString() });
      const sheet = note(skill, null, { kind: 'check-in', correct: 10, total: 10, ...at(14) });
      const notes = [sheet, note(skill, 'alone', at(21)), note(skill, 'alone', at(28))];
      const day = new Date(Date.UTC(2026, 3, 29 + weeks * 7)).toISOString().slice(0, 10);
      return of(estimateMastery(graph, { ...eight, born: '2017-11' }, notes, day), skill);
    };
    expect(shown('times-3-4', 2).dueForReview).toBe(false);
    expect(shown('times-3-4', 12).dueForReview).toBe(true);
    expect(shown('equal-groups', 12).dueForReview).toBe(false);
    expect(shown('equal-groups', 12).retention).toBeGreaterThan(shown('times-3-4', 12).retention);
  });
  it('seeing it done is never worth less than never looking', () => {
    const eleven = { ...eight, born: '2015-09' };
    const never = of(estimateMastery(graph, eleven, [], '2026-09-28'), 'take-tens');
    const once = of(
      estimateMastery(graph, eleven, [note('take-tens', 'alone', { at: '2026-09-03T10:00:00Z' })], '2026-09-28'),
      'take-tens',
    );
    expect(once.asSeen).toBeGreaterThanOrEqual(never.asSeen);
    expect(once.dueForReview).toBe(false);
  });
  it('a missed two and three lies on sums within five, not within twenty', () => {
    const items = [{ op: 'add' as const, a: 2, b: 3, correct: false }];
    const all = estimateMastery(graph, eight, [note('count-on', 'support', { items })], today);
    const none = estimateMastery(graph, eight, [note('count-on', 'support')], today);
    const fall = (skill: string): number => of(none, skill).theta - of(all, skill).theta;
    expect(fall('add-in-5')).toBeGreaterThan(0.3);
    expect(fall('add-in-20')).toBeLessThan(fall('add-in-5'));
    expect(of(all, 'add-in-20').seen).toBe(false);
    expect(of(all, 'add-in-5').seen).toBe(true);
  });
  it('within a term no step follows the calendar; a new term reads the age anew where nobody looked', () => {
    const notes = [note('add-in-10', 'alone', { at: '2026-09-03T10:00:00Z' })];
    const at = (day: string, skill: string) => of(estimateMastery(graph, eight, notes, day), skill).asSeen;
    expect(at('2026-12-20', 'times-6-9')).toBe(at('2026-09-03', 'times-6-9'));
    expect(at('2027-01-10', 'times-6-9')).toBeGreaterThan(at('2026-12-20', 'times-6-9'));
    expect(at('2027-01-10', 'add-in-10')).toBe(at('2026-12-20', 'add-in-10'));
  });
});

it('what a harder step showed lately is not due for review', () => {
  const notes = [
    note('add-in-10', 'alone', { at: '2026-03-01T10:00:00Z' }),
    ...['2026-10-22', '2026-10-29', '2026-11-05', '2026-11-12', '2026-11-19'].map((day) =>
      note('add-in-20', 'alone', { at: `${day}T10:00:00Z`, how: 'knew' }),
    ),
  ];
  expect(of(estimateMastery(graph, wren, notes, today), 'add-in-10')).toMatchObject({ status: 'on-their-own', dueForReview: false });
});
