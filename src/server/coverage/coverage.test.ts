import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { CoverageWire, NextWire } from '../../contract/wire/coverage';
import { createLearner } from '../learners/learnerStore';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { ask, Workspace } from '../workspace.testing';

const today = '2026-11-10';
const now = `${today}T10:00:00.000Z`;
let place: Workspace;
beforeEach(() => void (place = new Workspace()));
afterEach(() => place.remove());
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
    expect(hour.minutes).toBeLessThanOrEqual(60);
    expect(hour.chosen.reduce((s, c) => s + c.minutes, 0)).toBe(hour.minutes);
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
});
