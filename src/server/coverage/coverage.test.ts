import { readFileSync } from 'node:fs';
import { eq } from 'drizzle-orm';
import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { CoverageWire, NextWire } from '../../contract/wire/coverage';
import { graphOf } from '../db/graphOf';
import { kinds } from '../db/schema';
import { closePool } from '../jobs/pool';
import { createLearner } from '../learners/learnerStore';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { pacingFor } from './pacingStore';
import { ask, Workspace } from '../workspace.testing';

const today = '2026-11-10';
const now = `${today}T10:00:00.000Z`;
let place: Workspace;
beforeEach(() => void (place = new Workspace()));
afterEach(() => place.remove());
afterAll(closePool);
const coverage = async (query = ''): Promise<CoverageWire> => (await ask('GET', `/coverage?today=${today}${query}`)).body as CoverageWire;
const there = (c: CoverageWire): string[] => c.items.filter((e) => e.state !== 'none').map((e) => e.code);

describe('standards and games on one page', () => {
  it('has every expectation without a game on an empty shelf, each with what the library has for it', async () => {
    const c = await coverage();
    expect([c.framework, c.fromMemory, c.items.length]).toEqual(['us', true, 177]);
    expect(there(c)).toEqual([]);
    const withRemedy = c.items.filter((e) => e.remedies.length > 0);
    expect(withRemedy.length).toBeGreaterThan(60);
    expect(c.items.every((e) => e.remedies.every((g) => g.dose >= 2))).toBe(true);
  });
  it('closes a hole by what it offers, and opens it again where that bin is away', async () => {
    const before = await coverage();
    const hole = before.items.find((e) => e.code === '1.OA.C.6')!;
    takeFromLibrary(place.db, hole.remedies[0]!.game, now);
    const after = await coverage();
    const closed = after.items.find((e) => e.code === '1.OA.C.6')!;
    expect(closed).toMatchObject({ state: 'there', gamesInAll: 1, remedies: [] });
    expect(closed.games[0]!.dose).toBeCloseTo(hole.remedies[0]!.dose, 1);
    expect(closed.stepsWithGame).toBeGreaterThan(0);
    const bin = (await ask('GET', '/bins')).body.items[0].id as string;
    const without = await coverage(`&without=${bin}`);
    expect(without.lost).toEqual(there(after));
    expect(there(without)).toEqual([]);
  });
  it('says who is ready for a hole, and nobody where nobody is near', async () => {
    createLearner(place.db, { nickname: 'Ada', born: '2020-05' }, today, now);
    const c = await coverage();
    const waits = c.items.filter((e) => e.waiting.length > 0);
    expect(waits.length).toBeGreaterThan(3);
    expect(waits.every((e) => e.waiting[0]!.nickname === 'Ada')).toBe(true);
    // A child of six waits for nothing of the sixth grade.
    expect(waits.some((e) => e.code.startsWith('6.'))).toBe(false);
  });
  it('reads another list, comes as CSV, and says when a list is not here', async () => {
    expect((await coverage('&framework=england')).items.length).toBe(97);
    const csv = (await ask('GET', `/coverage.csv?today=${today}`)).body as string;
    expect(csv.trim().split('\n')).toHaveLength(178);
    expect(csv).toContain('K.CC.A.1');
    expect((await ask('GET', '/coverage?framework=nowhere')).status).toBe(404);
  });
  it('finds what closes most in so many minutes, and less remains open once it is taken', async () => {
    for (const [nickname, born] of [
      ['Ada', '2020-05'],
      ['Ben', '2018-02'],
    ] as const)
      createLearner(place.db, { nickname, born }, today, now);
    const next = async (minutes: number) => (await ask('GET', `/coverage/next?today=${today}&minutes=${minutes}`)).body as NextWire;
    const hour = await next(60);
    expect(hour.open).toBeGreaterThan(4);
    expect(hour).toMatchObject({ proven: true });
    expect(hour.cost).toBeLessThanOrEqual(60);
    expect(hour.chosen.reduce((s, c) => s + c.cost, 0)).toBe(hour.cost);
    expect(hour.chosen.flatMap((c) => c.closes).reduce((s, c) => s + c.learners.length, 0)).toBe(hour.covered);
    expect((await next(5)).covered).toBeLessThanOrEqual(hour.covered);
    for (const c of hour.chosen) takeFromLibrary(place.db, c.game, now);
    expect((await next(60)).open).toBeLessThanOrEqual(hour.open - hour.covered + 2);
  });
  it('has nothing open where nobody is', async () => {
    expect((await ask('GET', '/coverage/next')).body).toMatchObject({ open: 0, covered: 0, chosen: [] });
  });
  it('keeps which codes were compared with the document, and prints it all on two pages', async () => {
    const before = await coverage();
    const some = before.items.slice(0, 3).map((e) => e.identifier);
    expect(before.items.some((e) => e.compared)).toBe(false);
    await ask('POST', '/coverage/compared', { framework: 'us', identifiers: some, compared: true });
    await ask('POST', '/coverage/compared', { framework: 'us', identifiers: some.slice(0, 1), compared: false });
    expect((await coverage()).items.filter((e) => e.compared).map((e) => e.identifier)).toEqual(some.slice(1));
    expect((await ask('POST', '/coverage/compared', { framework: 'us', identifiers: ['nowhere'], compared: true })).status).toBe(404);
    expect((await ask('POST', '/coverage/compared', { framework: 'nowhere', identifiers: [], compared: true })).status).toBe(404);
  });
  it('looks at what the sessions of a term play', async () => {
    takeFromLibrary(place.db, 'two-lamps-lit', now);
    expect(there(await coverage()).length).toBeGreaterThan(0);
    const term = await coverage('&over=term');
    expect([term.sessions, there(term)]).toEqual([0, []]);
    createLearner(place.db, { nickname: 'Ada', born: '2020-05' }, today, now);
    createLearner(place.db, { nickname: 'Ben', born: '2019-05' }, today, now);
    await ask('POST', `/plans?today=${today}`, { present: ['ada', 'ben'], rounds: 1, minutes: 15, tables: 1, helpers: 1, seconds: 0.2 });
    const played = await coverage('&over=term');
    expect(played.sessions).toBe(1);
    expect(there(played).length).toBeGreaterThan(0);
    expect(played.items.some((e) => e.state === 'there')).toBe(false);
  });
  it('looks at the games of one unit only, and at steps instead of expectations', async () => {
    takeFromLibrary(place.db, 'two-lamps-lit', now);
    takeFromLibrary(place.db, 'high-signal', now);
    await ask('POST', '/games/together', { games: ['two-lamps-lit'], tag: 'unit 3' });
    const unit = await coverage('&over=unit&tag=Unit%203');
    const games = new Set(unit.items.flatMap((e) => e.games.map((g) => g.game)));
    expect([...games]).toEqual(['two-lamps-lit']);
    expect(there(await coverage('&over=unit&tag=nothing'))).toEqual([]);
    const steps = await coverage('&framework=steps');
    expect([steps.framework, steps.fromMemory, steps.items.length > 170]).toEqual(['steps', false, true]);
    expect(steps.items.every((e) => e.steps === 1 && (e.state === 'none') === (e.lacks.length === 1))).toBe(true);
    expect(steps.bands.length).toBeGreaterThan(5);
  });
  it('brings back what was put away, and says where every game of a hole lacks things', async () => {
    takeFromLibrary(place.db, 'two-lamps-lit', now);
    place.db.update(kinds).set({ quantity: 0, told: 'number', plentiful: false }).run();
    const lacking = (await coverage()).items.filter((e) => e.lacking.length > 0);
    expect(lacking.length).toBeGreaterThan(0);
    expect(lacking[0]!.lacking[0]).toMatchObject({ game: 'two-lamps-lit', missing: [{ short: expect.any(Number) as number }] });
    place.db.update(kinds).set({ quantity: 99 }).run();
    expect((await coverage()).items.every((e) => e.lacking.length === 0)).toBe(true);
    const open = (await coverage()).items.filter((e) => e.state !== 'none').map((e) => e.code);
    await ask('POST', '/games/two-lamps-lit/retire');
    const after = await coverage();
    expect(after.items.filter((e) => e.away.some((g) => g.game === 'two-lamps-lit')).map((e) => e.code)).toEqual(open);
  });
  it('counts money where prices are written, and says where they are not', async () => {
    createLearner(place.db, { nickname: 'Ada', born: '2020-05' }, today, now);
    place.db.update(kinds).set({ quantity: 0, told: 'number', plentiful: false }).run();
    const next = async (money: number) => (await ask('GET', `/coverage/next?today=${today}&money=${money}`)).body as NextWire;
    const without = await next(20);
    expect([without.unit, without.unpriced > 0]).toEqual(['money', true]);
    expect(without.chosen.every((c) => c.cost === 0)).toBe(true);
    place.db.update(kinds).set({ price: 2 }).run();
    const priced = await next(20);
    expect([priced.unpriced, priced.proven]).toEqual([0, true]);
    expect(priced.cost).toBeLessThanOrEqual(20);
    expect(priced.cost).toBeCloseTo(
      priced.chosen.reduce((s, c) => s + c.cost, 0),
      9,
    );
    expect(priced.covered).toBeGreaterThanOrEqual(without.covered);
    const free = await next(0);
    expect(free.cost).toBe(0);
    // Playing cards stand in for a number deck, so that more is to be had for nothing.
    const titles = new Set(free.chosen.map((c) => c.game));
    place.db.update(kinds).set({ quantity: 9 }).where(eq(kinds.id, 'playing-cards')).run();
    const withCards = await next(0);
    expect(withCards.covered).toBeGreaterThan(free.covered);
    expect(withCards.chosen.some((c) => !titles.has(c.game))).toBe(true);
    expect(withCards.cost).toBe(0);
  });
});

describe('a pacing list', () => {
  const bring = (text: string, commit: boolean) => ask('POST', `/imports/pacing?today=${today}`, { framework: 'us', text, commit });
  const list = async (): Promise<[string, string[]][]> =>
    (await ask('GET', '/pacing?framework=us')).body.weeks.map((w: { week: string; codes: { code: string }[] }) => [
      w.week,
      w.codes.map((c) => c.code),
    ]);
  it('is looked at first, comes in whole in the place of the one before, and goes back in one step', async () => {
    const text = 'Week of,Standards\n2026-11-09,1.OA.C.6\n2026-11-16,K.OA.A.4; 1.OA.6';
    expect((await bring(text, false)).body).toMatchObject({ committed: false, weeks: 2, codes: 3, problems: [] });
    expect(await list()).toEqual([]);
    expect((await bring(text, true)).body.committed).toBe(true);
    expect(await list()).toEqual([
      ['2026-11-09', ['1.OA.C.6']],
      ['2026-11-16', ['K.OA.A.4', '1.OA.C.6']],
    ]);
    const second = (await bring('week\tcode\n2026-11-23\t3.NF.A.1', true)).body;
    expect(await list()).toEqual([['2026-11-23', ['3.NF.A.1']]]);
    await ask('POST', '/undo', { change: second.change });
    expect(await list()).toHaveLength(2);
    const away = (await ask('DELETE', '/pacing/us')).body;
    expect(await list()).toEqual([]);
    await ask('POST', '/undo', { change: away.change });
    expect(await list()).toHaveLength(2);
  });
  it('that ships as an example comes in whole, counted from the first week of the term', async () => {
    const term = {
      title: 'Autumn',
      starts: '2026-10-27',
      ends: '2027-01-19',
      weekdays: [2],
      startsAt: '10:00',
      rounds: 2,
      minutes: 15,
      tables: 2,
      helpers: 1,
    };
    await ask('PUT', `/term?today=${today}`, term);
    const found = (await bring(readFileSync('examples/pacing.csv', 'utf8'), true)).body;
    expect([found.committed, found.weeks, found.problems]).toEqual([true, 12, []]);
    const weeks = await list();
    expect(weeks[0]).toEqual(['2026-10-26', ['K.CC.A.1', '1.OA.C.6']]);
    expect(weeks[1]).toEqual(['2026-11-02', ['K.CC.B.4', '1.OA.C.6', '2.OA.B.2']]);
  });
  it('with a fault in it changes nothing, and says where', async () => {
    await bring('week,code\n2026-11-09,1.OA.C.6', true);
    const bad = (await bring('week,code\n2026-11-16,K.OA.A.4\n2026-11-23,9.ZZ.9', true)).body;
    expect([bad.committed, bad.problems[0].row, bad.problems[0].field]).toEqual([false, 3, 'code']);
    expect((await bring('week,code\n7,K.OA.A.4', true)).body.problems[0].message).toMatch(/when the term begins/);
    expect((await bring('week,code\n', true)).body.problems).toHaveLength(1);
    expect(await list()).toEqual([['2026-11-09', ['1.OA.C.6']]]);
    expect((await ask('GET', '/pacing?framework=nowhere')).status).toBe(404);
  });
  it('is what plans lean to, and the seat says so', async () => {
    for (const g of ['two-lamps-lit', 'high-signal', 'milepost']) takeFromLibrary(place.db, g, now);
    place.db.update(kinds).set({ quantity: 9 }).run();
    for (const nickname of ['Ada', 'Ben', 'Cleo', 'Dot']) createLearner(place.db, { nickname, born: '2019-05' }, today, now);
    const needOf = () => pacingFor(place.db, graphOf(place.db));
    expect(needOf()).toEqual([]);
    const codes = (await coverage()).items.filter((e) => e.state !== 'none' && e.waiting.length > 0).map((e) => e.code);
    await bring(`week,code\n2026-11-09,${codes.join(';')}`, true);
    expect(needOf()).toMatchObject([{ week: '2026-11-09', framework: 'us' }]);
    const plan = (
      await ask('POST', `/plans?today=${today}&wait=60`, {
        present: ['ada', 'ben', 'cleo', 'dot'],
        rounds: 1,
        minutes: 15,
        tables: 1,
        helpers: 1,
        seconds: 0.2,
      })
    ).body;
    const whys = plan.rounds[0].tables.flatMap((t: { seats: { why: string }[] }) => t.seats.map((s) => s.why));
    expect(whys.some((w: string) => w.includes('It is on your pacing list'))).toBe(true);
    // It is still true when the session is checked.
    const rounds = plan.rounds.map(
      (r: { tables: { game: string; seats: { learner: string; variant: string }[] }[]; resting: string[] }) => ({
        resting: r.resting,
        tables: r.tables.map((t) => ({ game: t.game, seats: t.seats.map(({ learner, variant }) => ({ learner, variant })) })),
      }),
    );
    const check = (await ask('POST', `/plans/${plan.id}/check?today=${today}`, { rounds })).body;
    expect(check.violations).toEqual([]);
    expect(check.objective).toBeCloseTo(plan.objective, 6);
  });
});
