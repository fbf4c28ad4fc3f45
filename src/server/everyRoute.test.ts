/* eslint-disable @typescript-eslint/no-explicit-any -- answers are read as a foreign script would: without types, held to the description. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Validator } from '@seriousme/openapi-schema-validator';
import Ajv2020 from 'ajv/dist/2020.js';
import addFormats from 'ajv-formats';
import ICAL from 'ical.js';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { strict } from '../contract/wire/strict.testing';
import { ask, Workspace } from './workspace.testing';

const today = '2026-11-10';
const ajv = new Ajv2020({ strict: false, allErrors: true });
addFormats(ajv);

interface Operation {
  responses: Record<string, { content: Record<string, { schema: object }> }>;
}
type Document = { openapi: string; paths: Record<string, Record<string, Operation>> };

let document: Document;
let place: Workspace;
const called = new Set<string>();

/** Calls a route by its template, checks status and that the answer is what the description says. */
async function call(
  method: string,
  template: string,
  options: { path?: string; body?: unknown; query?: Record<string, string>; status?: number; headers?: Record<string, string> } = {},
): Promise<any> {
  const operation = document.paths[template]?.[method.toLowerCase()];
  expect(operation, `${method} ${template} is described`).toBeTruthy();
  const query = new URLSearchParams({ today, ...options.query });
  const answer = await ask(method, `${options.path ?? template}?${query}`, options.body, options.headers);
  const documented = Object.keys(operation!.responses)[0]!;
  const want = options.status ?? Number(documented);
  const data = answer.body;
  expect(answer.status, `${method} ${template}: ${JSON.stringify(data).slice(0, 300)}`).toBe(want);
  called.add(`${method} ${template}`);
  const content = operation!.responses[want >= 400 ? '422' : documented]!.content;
  if (!content['application/json']) return data instanceof Uint8Array ? Buffer.from(data).toString('latin1') : data;
  if (want >= 400) {
    expect(data.error.code).toMatch(/^[a-z-]+$/);
    expect(data.error.message.length).toBeGreaterThan(5);
    return data;
  }
  if (want === 202 && documented !== '202') return data;
  const validate = ajv.compile(strict(content['application/json'].schema) as object);
  expect(validate(data), `${method} ${template}: ${JSON.stringify(validate.errors?.slice(0, 3))}`).toBe(true);
  return data;
}

beforeAll(async () => {
  process.env['ZEITGEBER_TEST'] = '1';
  place = new Workspace();
  document = (await ask('GET', '/openapi.json')).body as Document;
});
afterAll(() => place.remove());

it('the description is valid OpenAPI 3.1', async () => {
  const result = await new Validator().validate(document as unknown as Record<string, unknown>);
  expect(result.errors ?? []).toEqual([]);
  expect(result.valid).toBe(true);
  expect(document.openapi).toBe('3.1.0');
});

// Every route once, and some of them plan: longer than other tests on a busy machine.
it('every route answers as described', async () => {
  const go = call;
  expect(await go('GET', '/health')).toMatchObject({ status: 'ok' });
  await go('GET', '/openapi.json');
  const mechanisms = await go('GET', '/mechanisms');
  expect(mechanisms.items.map((m: { id: string }) => m.id)).toEqual(
    expect.arrayContaining(['sum-columns', 'running-total', 'pair-memory', 'target-combine']),
  );
  const skills = await go('GET', '/skills', { query: { limit: '5000' } });
  expect(skills.total).toBeGreaterThanOrEqual(45);

  expect((await go('GET', '/library/titles', { query: { limit: '3' } })).items).toHaveLength(3);

  // Simulations: an answer, the same again, and a job that is stopped.
  const body = {
    mechanism: 'running-total',
    parameters: {},
    games: 2000,
    seed: 7,
    seats: [{ policy: 'careful' }, { policy: 'typical', errorRate: 0.1, parameters: { highestCard: 5 } }],
  };
  const first = await go('POST', '/simulations', { body });
  expect(await go('POST', '/simulations', { body })).toEqual(first);
  expect(first).toMatchObject({ games: 2000, seed: 7 });
  expect(first.outcomes.wins).toHaveLength(2);
  expect(first.items.some((i: { seat: number }) => i.seat === 1)).toBe(true);
  const long = await go('POST', '/simulations', { body: { ...body, games: 2_000_000 }, query: { wait: '0' }, status: 202 });
  await go('GET', '/jobs/{id}', { path: `/jobs/${long.job}` });
  expect(await go('DELETE', '/jobs/{id}', { path: `/jobs/${long.job}` })).toMatchObject({ status: 'cancelled' });

  // The bench: fairness, changes, one game told; a pace nobody plays at is refused.
  const fair = await go('POST', '/fairness', { body: { mechanism: 'track-race', parameters: { end: 20 }, seats: 2, seed: 7 } });
  expect(fair.fairness.seatAdvantage.mean).toBeGreaterThan(0);
  const { changes } = await go('POST', '/changes', {
    body: { mechanism: 'running-total', seats: 2, wish: 'more-subtraction', seed: 7 },
    query: { wait: '60' },
  });
  expect(changes[0].after.mean).toBeGreaterThan(changes[0].before.mean);
  const rulesTold = await go('POST', '/how-to', {
    body: { mechanism: 'track-race', parameters: { end: 40, landing: 'exact' }, ages: [5, 8] },
  });
  expect([rulesTold.setUp[0], rulesTold.end, rulesTold.presence.is]).toEqual([
    'Everyone puts a peg on 0 of a track to 40.',
    'The first on 40 (by an exact throw) ends the race.',
    'nearby',
  ]);
  await go('POST', '/how-to', { body: { mechanism: 'track-race', parameters: { end: -1 } }, status: 422 });
  await go('POST', '/how-to', { body: { mechanism: 'track-race', seats: 99 }, status: 422 });
  const story = await go('POST', '/stories', { body: { mechanism: 'press-your-luck', seats: 2, seed: 7, game: 3 } });
  expect(await go('POST', '/stories', { body: { mechanism: 'press-your-luck', seats: 2, seed: 7, game: 3 } })).toEqual(story);
  expect(
    (await go('POST', '/simulations', { body: { ...body, time: { handlingSeconds: 0, lookSeconds: 1, easySeconds: 1 } }, status: 422 }))
      .error.code,
  ).toBe('implausible-pace');

  // Shelf, from the library and from a file.
  expect((await go('GET', '/library', { query: { limit: '1000' } })).total).toBeGreaterThanOrEqual(60);
  const taken = await go('POST', '/library/{id}/take', { path: '/library/branch-line/take', body: {} });
  expect((await go('POST', '/library/{id}/take', { path: '/library/branch-line/take', body: {}, status: 422 })).error.code).toBe(
    'duplicate',
  );
  await go('POST', '/undo', { body: { change: taken.change } });
  const shelf = readFileSync('examples/shelf.csv').toString('base64');
  expect((await go('POST', '/imports/shelf', { body: { base64: shelf } })).committed).toBe(false);
  expect((await go('GET', '/games')).total).toBe(0);
  expect((await go('POST', '/imports/shelf', { body: { base64: shelf, commit: true } })).added.variants).toBe(25);
  const again = await go('POST', '/imports/shelf', { body: { base64: shelf, commit: true } });
  expect(again.added).toMatchObject({ games: 0, variants: 0 });
  const games = await go('GET', '/games', { query: { limit: '5000' } });
  expect(games.total).toBe(21);
  const made = await go('POST', '/games', { body: { title: 'Owl Clock', bin: 'Bonds', source: 'made' } });
  const owl = await go('GET', '/games/{id}', { path: `/games/${made.id}` });
  await go('PATCH', '/games/{id}', { path: `/games/${made.id}`, body: { condition: 'new', version: owl.version } });
  const conflict = await go('PATCH', '/games/{id}', {
    path: `/games/${made.id}`,
    body: { condition: 'old', version: owl.version },
    status: 409,
  });
  expect(conflict.error.detail.current.condition).toBe('new');
  await go('POST', '/games/{id}/retire', { path: `/games/${made.id}/retire`, body: {} });
  expect((await go('GET', '/games', { query: { limit: '5000' } })).total).toBe(21);
  await go('POST', '/games/{id}/restore', { path: `/games/${made.id}/restore`, body: {} });
  const variant = await go('POST', '/variants', {
    body: { game: made.id, title: 'pairs of eight', mechanism: 'pair-memory', parameters: { sum: 8, highestCard: 8 } },
  });
  const played = await go('GET', '/variants/{id}/how-to', { path: `/variants/${variant.id}/how-to` });
  expect(played.howTo).toHaveProperty('turn');
  expect(played.quick).toEqual({ mood: 'calm', mixed: 'head-start', firstTime: 'taught' });
  const owned = await go('GET', '/variants/{id}', { path: `/variants/${variant.id}` });
  expect(owned.materials.length).toBeGreaterThan(0);
  await go('PATCH', '/variants/{id}', { path: `/variants/${variant.id}`, body: { minutes: 12, version: owned.version } });
  await go('POST', '/variants/{id}/retire', { path: `/variants/${variant.id}/retire`, body: {} });
  await go('POST', '/variants/{id}/restore', { path: `/variants/${variant.id}/restore`, body: {} });
  expect((await go('GET', '/variants', { query: { game: made.id } })).total).toBe(1);
  const profile = await go('GET', '/variants/{id}/profile', { path: `/variants/${variant.id}/profile`, query: { seats: '3' } });
  expect(profile).toMatchObject({ seats: 3, source: 'calculated' });
  expect(profile.doses[0].standardError).toBeGreaterThan(0);
  await go('GET', '/profiles');
  await go('GET', '/bins');
  await go('GET', '/kinds', { query: { limit: '5000' } });
  for (const [kind, quantity] of [
    ['number-deck-1-10', 3],
    ['pip-die', 6],
    ['target-cards', 2],
    ['pair-cards', 2],
    ['dot-cards', 2],
  ] as const)
    await go('PUT', '/kinds/{id}/stock', { path: `/kinds/${kind}/stock`, body: { quantity } });
  await go('PUT', '/kinds', { body: { things: [{ id: 'coins', told: 'plenty' }] } });
  await go('POST', '/kinds', { body: { title: 'Bottle tops', quantity: 40, bin: 'Spare parts' } });
  await go('PATCH', '/kinds/{id}', { path: '/kinds/pip-die', body: { loans: [{ who: 'Ash', quantity: 1, until: '2026-12-09' }] } });
  expect((await go('GET', '/substitutes', { query: { for: 'pip-die' } })).items.map((s: any) => s.use)).toContain('playing-cards');
  expect((await go('GET', '/things/playable')).games.length).toBeGreaterThan(0);
  expect((await go('GET', '/changes')).total).toBeGreaterThan(4);
  expect((await go('POST', '/undo', { body: {} })).what).toContain('Changed pip die');

  // Learners.
  const roster = readFileSync('examples/roster.csv').toString('base64');
  expect((await go('POST', '/imports/roster', { body: { base64: roster, commit: true } })).added).toBe(9);
  const oak = await go('POST', '/learners', { body: { nickname: 'Oak', born: '2018-04', framework: 'us', group: 'Larks' } });
  const oakNow = await go('GET', '/learners/{id}', { path: `/learners/${oak.id}` });
  expect(oakNow.group).toBe('Larks');
  await go('PATCH', '/learners/{id}', {
    path: `/learners/${oak.id}`,
    body: { group: 'Swallows', supportsInUse: ['bead-frame'], version: oakNow.version },
  });
  const learners = await go('GET', '/learners');
  expect(learners.total).toBe(10);
  await go('GET', '/groups');
  await go('GET', '/supports');

  // Evidence and the map.
  const before = (await go('GET', '/learners/{id}/mastery', { path: `/learners/${oak.id}/mastery`, query: { limit: '5000' } })).items.find(
    (e: { skill: string }) => e.skill === 'take-in-20',
  );
  const note = await go('POST', '/evidence', {
    body: {
      learner: oak.id,
      at: `${today}T08:00:00Z`,
      kind: 'note',
      skill: 'take-in-20',
      result: 'alone',
      how: 'knew',
      variant: variant.id,
      items: [{ op: 'subtract', a: 13, b: 5, correct: true }],
      by: { role: 'helper', ownChild: false },
    },
  });
  const after = (await go('GET', '/learners/{id}/mastery', { path: `/learners/${oak.id}/mastery`, query: { limit: '5000' } })).items.find(
    (e: { skill: string }) => e.skill === 'take-in-20',
  );
  expect(after.mastery).toBeGreaterThan(before.mastery);
  expect(after).toMatchObject({ seen: true, notes: 1 });
  await go('POST', '/evidence/{id}/retract', { path: `/evidence/${note.id}/retract`, body: { because: 'wrong child' } });
  const back = (await go('GET', '/learners/{id}/mastery', { path: `/learners/${oak.id}/mastery`, query: { limit: '5000' } })).items.find(
    (e: { skill: string }) => e.skill === 'take-in-20',
  );
  expect(back.mastery).toBe(before.mastery);
  await go('POST', '/evidence/batch', {
    body: {
      items: [
        { learner: oak.id, kind: 'placement', skill: 'pairs-of-10', result: 'alone' },
        { learner: oak.id, kind: 'check-in', skill: 'add-in-10', correct: 7, total: 10 },
      ],
    },
  });
  expect(
    (await go('GET', '/evidence', { query: { learner: oak.id } })).items.filter((e: { retracted: boolean }) => e.retracted),
  ).toHaveLength(1);

  // Recommending and planning.
  const found = await go('POST', '/recommendations', { body: { learners: [oak.id], minutes: 15, limit: 100, withStock: true } });
  expect(found.items[0].reasons).toHaveLength(2);
  expect(found.items.length + found.excluded.length).toBe(22);
  await go('PUT', '/term', {
    body: {
      title: 'Autumn',
      starts: '2026-11-02',
      ends: '2026-12-13',
      weekdays: [2],
      startsAt: '10:00',
      rounds: 2,
      minutes: 15,
      tables: 4,
      helpers: 2,
    },
  });
  const present = learners.items.map((l: { id: string }) => l.id);
  const plan = await go('POST', '/plans', {
    body: { date: today, present, rounds: 2, minutes: 15, tables: 4, helpers: 2, seed: 1, seconds: 0.5 },
  });
  expect(plan.objective).toBeLessThanOrEqual(plan.bound + 1e-9);
  for (const round of plan.rounds)
    expect(
      [...round.tables.flatMap((t: { seats: { learner: string }[] }) => t.seats.map((s) => s.learner)), ...round.resting].sort(),
    ).toEqual([...present].sort());
  expect(plan.rounds[0].tables[0].seats[0].doses.length).toBeGreaterThan(0);
  await go('GET', '/plans');
  await go('GET', '/plans/{id}', { path: `/plans/${plan.id}` });
  await go('GET', '/plans/{id}/then', { path: `/plans/${plan.id}/then` });
  await go('GET', '/plans/{id}/everybody', { path: `/plans/${plan.id}/everybody` });
  const rounds = plan.rounds.map((r: any) => ({
    tables: r.tables.map((t: any) => ({ game: t.game, seats: t.seats.map((s: any) => ({ learner: s.learner, variant: s.variant })) })),
    resting: r.resting,
  }));
  expect((await go('POST', '/plans/{id}/check', { path: `/plans/${plan.id}/check`, body: { rounds } })).violations).toEqual([]);
  const coverage = await go('GET', '/coverage', { query: { framework: 'us' } });
  expect(coverage.items.length).toBeGreaterThan(100);
  await go('GET', '/kinds/{id}/left', { path: '/kinds/pip-die/left', query: { quantity: '1' } });
  await go('PUT', '/door', { body: { door: null } });
  // Coins, rulers and words of the owner's country: asked, chosen, seen in the library and in the rules.
  expect(await go('GET', '/countries')).toMatchObject({ country: 'uk' });
  await go('PUT', '/country', { body: { country: 'moon' }, status: 422 });
  await go('PUT', '/country', { body: { country: 'us' } });
  expect((await go('GET', '/countries')).country).toBe('us');
  const inLibrary = async (id: string) => (await go('GET', '/library', { query: { limit: '1000' } })).items.find((g: any) => g.id === id);
  expect((await inLibrary('row-of-sleepers')).title).toBe('Row of Ties');
  expect((await inLibrary('plank-and-rule')).variants.find((v: any) => v.id === 'centimetres').profile.games).toBeGreaterThan(0);
  const market = { mechanism: 'money-race', parameters: {}, ages: [8, 9] };
  expect(JSON.stringify(await go('POST', '/how-to', { body: market }))).toContain('$10.00');
  const family = async (id: string) => (await go('GET', '/mechanisms', { query: { limit: '100' } })).items.find((m: any) => m.id === id);
  expect((await family('part-whole-dice')).told[0]).toContain('and colors it');
  await go('PUT', '/country', { body: { country: 'euro' } });
  expect((await family('part-whole-dice')).told[0]).toContain('and colours it');
  expect(JSON.stringify(await go('POST', '/how-to', { body: market }))).toContain('10,00 €');
  await go('PUT', '/country', { body: { country: 'uk' } });
  await go('GET', '/coverage.csv');
  await go('POST', '/imports/pacing', { body: { framework: 'us', text: 'week,code\n2026-11-16,1.OA.C.6', commit: true } });
  await go('GET', '/pacing', { query: { framework: 'us' } });
  await go('DELETE', '/pacing/{id}', { path: '/pacing/us' });
  await go('GET', '/coverage.pdf', { query: { paper: 'letter' } });
  await go('POST', '/coverage/compared', { body: { framework: 'us', identifiers: [coverage.items[0].identifier], compared: true } });
  expect((await go('GET', '/coverage/next', { query: { minutes: '30' } })).cost).toBeLessThanOrEqual(30);
  await go('GET', '/prep/ahead', { query: { until: '2027-01-31' } });
  const cutOut = await go('POST', '/games', { body: { title: 'Cut out of card', tags: ['winter'] } });
  const toCut = await go('POST', '/variants', {
    body: {
      game: cutOut.id,
      title: 'one sheet',
      steps: [{ sort: 'cut', what: '', minutes: 4 }],
      uses: [{ what: 'card', quantity: 1, cost: 0.3 }],
    },
  });
  await go('PUT', '/prep/steps', { body: { variant: toCut.id, step: '0', ticked: true } });
  await go('GET', '/games/{id}/history', { path: `/games/${cutOut.id}/history` });
  await go('POST', '/games/{id}/liked', { path: `/games/${cutOut.id}/liked`, body: { learners: [learners.items[0].id], liked: true } });
  await go('GET', '/shelf.csv');
  await go('GET', '/look-alike');
  const alone = await go('POST', '/games', { body: { title: 'Put away at once' } });
  await go('POST', '/games/together', { body: { games: [alone.id], away: true } });
  const twins = [];
  for (const title of ['Lanterns in a row', 'Lanterns in a rows']) twins.push(await go('POST', '/games', { body: { title } }));
  await go('POST', '/games/{id}/merge', { path: `/games/${twins[0].id}/merge`, body: { other: twins[1].id } });
  await go('GET', '/games/{id}/file', { path: `/games/${(await go('GET', '/games')).items[0].id}/file` });
  const unsaid = await go('POST', '/games', { body: { title: 'Told by nobody' } });
  const unsaidVersion = await go('POST', '/variants', { body: { game: unsaid.id, title: 'as it comes' } });
  expect((await go('GET', '/search', { query: { q: 'make ten' } })).items.length).toBeGreaterThan(0);
  expect((await go('GET', '/recognise')).total).toBeGreaterThan(0);
  expect((await go('POST', '/recognise', { body: { rows: [{ title: 'Make ten pairs' }] } })).total).toBe(1);
  await go('POST', '/variants/{id}/known', {
    path: `/variants/${unsaidVersion.id}/known`,
    body: { version: 1, mechanism: 'pair-memory' },
  });
  const atOnce = await go('POST', '/sessions/now', { query: { wait: '60' }, body: { present: present.slice(0, 3), rounds: 1 } });
  await go('GET', '/plans/{id}', { path: `/plans/${atOnce.plan}` });
  const printable = (await go('GET', '/sheets')).items[0].id;
  expect((await go('POST', '/plans/{id}/plan-b', { path: `/plans/${plan.id}/plan-b`, query: { wait: '60' } })).away.length).toBeGreaterThan(
    0,
  );
  // A print that nobody waits for is a job; its file is fetched when it is done.
  const print = await go('POST', '/printouts', { body: { sets: [{ sheet: printable }] }, query: { wait: '0' }, status: 202 });
  for (let n = 0; n < 200; n++) {
    const { status, result } = await go('GET', '/jobs/{id}', { path: `/jobs/${print.job}` });
    if (status === 'done') expect(result).toEqual({ file: 'sheets.pdf', size: expect.any(Number) });
    if (status === 'done') break;
    await new Promise((r) => setTimeout(r, 50));
  }
  expect(await go('GET', '/jobs/{id}/file', { path: `/jobs/${print.job}/file` })).toMatch(/^%PDF-/);
  await go('GET', '/jobs/{id}/file', { path: '/jobs/none/file', status: 404 });
  await go('POST', '/sheets/{id}/layout', { path: `/sheets/${printable}/layout`, body: { seed: 3 } });
  for (const [address, path, body] of [
    ['/sheets/{id}/pdf', `/sheets/${printable}/pdf`, { ink: 'thin' }],
    ['/printouts', '/printouts', { sets: [{ sheet: printable }], title: 'One set' }],
    ['/bins/{id}/label', `/bins/${(await go('GET', '/bins')).items[0].id}/label`, { address: 'http://127.0.0.1' }],
    ['/plans/{id}/pack', `/plans/${plan.id}/pack`, {}],
  ] as const)
    expect(await go('POST', address, { path, body, ...(path.endsWith('/pack') ? { query: { wait: '60' } } : {}) })).toMatch(/^%PDF-/);
  expect(await go('GET', '/term/sheet', { query: { paper: 'letter' } })).toMatch(/^%PDF-/);
  const onPaper = (await go('GET', '/variants', { query: { limit: '500' } })).items.find((v: any) => v.mechanism === 'sum-columns').id;
  await go('GET', '/variants/{id}/sheets', { path: `/variants/${onPaper}/sheets`, query: { players: '3' } });
  expect(await go('POST', '/variants/{id}/sheets', { path: `/variants/${onPaper}/sheets`, body: { players: 3 } })).toMatch(/^%PDF-/);
  const madeSet = await go('POST', '/made', { body: { sheet: printable, variant: onPaper } });
  await go('PATCH', '/made/{id}', { path: `/made/${madeSet.id}`, body: { minutes: 12 } });
  expect((await go('GET', '/made')).total).toBe(1);
  await go('DELETE', '/made/{id}', { path: `/made/${madeSet.id}` });
  const several = await go('POST', '/made/several', { body: { sets: [{ sheet: printable }, { sheet: printable, seed: 2 }] } });
  expect((await go('GET', '/made')).total).toBe(2);
  await go('POST', '/undo', { body: { change: several.change } });
  expect((await go('GET', '/made')).total).toBe(0);
  await go('DELETE', '/plans/{id}', { path: `/plans/${atOnce.plan}` });
  const price = await go('POST', '/plans/{id}/price', { path: `/plans/${plan.id}/price`, query: { wait: '60' }, body: { aim: 'games' } });
  expect(price).toMatchObject({ aim: 'games', games: expect.any(Number), gamesWithout: expect.any(Number) });
  expect(price.share).toBeGreaterThanOrEqual(0);
  const [joined] = rounds[0].tables;
  const stranger = present.find((l: string) => !joined.seats.some((s: any) => s.learner === l))!;
  const whatIf = await go('POST', '/plans/{id}/whatif', {
    path: `/plans/${plan.id}/whatif`,
    query: { wait: '60' },
    body: { rounds, round: 0, table: 0, learner: stranger },
  });
  expect(whatIf.children).toHaveLength(joined.seats.length + 1);
  expect(whatIf.children.filter((c: any) => c.now === null).map((c: any) => c.learner)).toEqual([stranger]);
  const winning = whatIf.children.flatMap((c: any) => (c.then.win ? [c.then.win.mean] : []));
  if (winning.length > 0) expect(winning.reduce((sum: number, w: number) => sum + w, 0)).toBeLessThanOrEqual(1.0001);
  const instead = await go('POST', '/plans/{id}/instead', {
    path: `/plans/${plan.id}/instead`,
    body: { rounds, round: 0, table: 0, limit: 5 },
  });
  for (const s of instead.items) {
    const swapped = structuredClone(rounds);
    swapped[0].tables[0] = { game: s.game, seats: s.seats.map((x: any) => ({ learner: x.learner, variant: x.variant })) };
    const told = await go('POST', '/plans/{id}/check', { path: `/plans/${plan.id}/check`, body: { rounds: swapped } });
    expect(told.violations).toEqual([]);
  }
  const moved = structuredClone(rounds);
  moved[0].resting.push(moved[0].tables[0].seats.shift().learner);
  expect((await go('POST', '/plans/{id}/check', { path: `/plans/${plan.id}/check`, body: { rounds: moved } })).violations).toBeInstanceOf(
    Array,
  );
  const locks = rounds[0].tables[0].seats.map((s: { learner: string }) => ({
    learner: s.learner,
    round: 0,
    game: rounds[0].tables[0].game,
  }));
  const edited = await go('PUT', '/plans/{id}', { path: `/plans/${plan.id}`, body: { rounds, locks, version: plan.version } });
  const replanned = await go('POST', '/plans/{id}/replan', {
    path: `/plans/${plan.id}/replan`,
    body: { version: edited.version, seed: 9, seconds: 0.5 },
  });
  for (const lock of locks)
    expect(
      replanned.rounds[0].tables.filter((t: any) => t.game === lock.game).flatMap((t: any) => t.seats.map((s: any) => s.learner)),
    ).toContain(lock.learner);
  const atTables = await go('GET', '/plans/{id}/how-to', { path: `/plans/${plan.id}/how-to` });
  expect(atTables.items.length).toBeGreaterThan(0);
  for (const t of atTables.items) expect(t.howTo === null || t.howTo.card.length <= 5).toBe(true);
  const gather = await go('GET', '/plans/{id}/gather', { path: `/plans/${plan.id}/gather` });
  await go('PUT', '/plans/{id}/gather', { path: `/plans/${plan.id}/gather`, body: { item: gather.bins[0].items[0].item, ticked: true } });
  expect((await go('GET', '/plans/{id}/gather', { path: `/plans/${plan.id}/gather` })).ticked).toBe(1);
  const seat = replanned.rounds[0].tables[0].seats[0];
  await go('POST', '/evidence', {
    body: {
      learner: seat.learner,
      kind: 'note',
      skill: seat.doses[0].skill,
      result: 'alone',
      variant: seat.variant,
      session: plan.id,
      by: { role: 'helper' },
    },
  });
  await go('POST', '/plans/{id}/played', { path: `/plans/${plan.id}/played`, body: { played: true } });
  const over = await go('POST', '/plans/{id}/replan', {
    path: `/plans/${plan.id}/replan`,
    body: { version: replanned.version },
    status: 409,
  });
  expect(over.error.message).toContain('was played');
  const review = await go('GET', '/plans/{id}/review', { path: `/plans/${plan.id}/review` });
  expect(review.noted).toBe(1);
  expect(
    review.learners.find((l: any) => l.learner === seat.learner).moved.find((m: any) => m.skill === seat.doses[0].skill).because[0],
  ).toContain('on their own');
  const term = await go('GET', '/term');
  expect(term.meetings.find((m: any) => m.date === today).state).toBe('played');
  const { id: last, version } = term.meetings.at(-1);
  await go('PATCH', '/meetings/{id}', { path: `/meetings/${last}`, body: { off: true, offBecause: 'holiday', version } });
  const wishes = await go('GET', '/wishes');
  expect(wishes).toMatchObject({ fewerGames: false, longestWait: null, version: 0 });
  const wished = await go('PUT', '/wishes', {
    body: { ...wishes, mix: true, together: [present.slice(0, 2), present.slice(0, 2).reverse()] },
  });
  expect(wished).toMatchObject({ mix: true, together: [[present[1], present[0]]], version: 1 });
  const { job } = await go('POST', '/term/plan', { body: { secondsPerMeeting: 0.1 } });
  await expect.poll(async () => (await go('GET', '/jobs/{id}', { path: `/jobs/${job}` })).status, { timeout: 170_000 }).toBe('done');
  // What is over stays as it ended, however often it is asked to end.
  expect((await go('POST', '/jobs/{id}/finish', { path: `/jobs/${job}/finish` })).status).toBe('done');
  const ahead = (await go('GET', '/term')).meetings.filter((m: any) => m.plan?.forecast);
  expect(ahead.length).toBe(3);
  const calendar = new ICAL.Component(ICAL.parse(await go('GET', '/term/calendar')) as unknown[]);
  const events = calendar.getAllSubcomponents('vevent');
  expect(events.length).toBe(term.meetings.length);
  expect(events.every((e) => e.getFirstPropertyValue('uid') && e.getFirstPropertyValue('dtstamp'))).toBe(true);
  const spare = ahead.at(-1).plan.id;
  await go('DELETE', '/plans/{id}', { path: `/plans/${spare}` });

  // Placement, what was met, whom it suits, what would help.
  const next = await go('POST', '/learners/{id}/placement', {
    path: `/learners/${oak.id}/placement`,
    body: { answers: [{ skill: 'add-in-20', result: 'alone' }], strands: ['add', 'subtract'] },
  });
  expect(next.next).not.toBeNull();
  const check = await go('GET', '/learners/{id}/check', { path: `/learners/${oak.id}/check` });
  // Oak was placed and noted of today: two weeks of play come first, and what would tell most then is known already.
  expect(check.due).toBe(false);
  expect(check.steps).toHaveLength(3);
  await go('GET', '/learners/{id}/met', { path: `/learners/${oak.id}/met` });
  const suits = await go('GET', '/variants/{id}/suits', { path: `/variants/${variant.id}/suits` });
  expect(suits.total).toBe(10);
  for (const s of suits.items) expect(s.low <= s.success && s.success <= s.high).toBe(true);
  const turning = await go('POST', '/variants/{id}/for', {
    path: `/variants/${variant.id}/for`,
    query: { wait: '0' },
    body: { learners: [oak.id], direction: 'easier', beside: [variant.id] },
    status: 202,
  });
  let turned: any;
  await expect
    .poll(async () => (turned = await go('GET', '/jobs/{id}', { path: `/jobs/${turning.job}` })).status, { timeout: 170_000 })
    .toBe('done');
  for (const c of turned.result.changes) expect(c.children[0].after).toBeGreaterThan(c.children[0].before);
  const asked = await go('POST', '/skills/{id}/help', { path: '/skills/times-6-9/help', query: { wait: '0' }, status: 202 });
  let help: any;
  await expect
    .poll(async () => (help = await go('GET', '/jobs/{id}', { path: `/jobs/${asked.job}` })).status, { timeout: 170_000 })
    .toBe('done');
  expect(help.result.library.length).toBeGreaterThan(0);
  for (const c of help.result.changes) expect(c.after.mean).toBeGreaterThan(c.before.mean);
  const map = await go('GET', '/group-map', { query: { strands: 'add,subtract' } });
  expect(map.cells.length).toBe(map.learners.length);
  expect(await go('GET', '/group-map.csv', { query: { strands: 'add' } })).toContain('how it stands');
  expect(await go('GET', '/group-map.pdf', { query: { strands: 'add' } })).toMatch(/^%PDF-/);

  const short = await go('GET', '/maps');
  expect(short.items.map((m: { learner: string }) => m.learner).sort()).toEqual([...map.learners].sort());

  // Own skills, prerequisites and their checks.
  const mine = {
    title: 'Sums to lamp nine',
    looksLike: 'Says 5 and 4 at once.',
    strand: 'add',
    nature: 'by-heart',
    wantedAt: { us: 6.9, england: 6 },
    prerequisites: [{ id: 'add-in-5', sort: 'idea' }],
    predicate: { op: 'add', result: [9, 9] },
  };
  const examples = await go('POST', '/skills/examples', { body: { predicate: mine.predicate } });
  expect(examples.match.length).toBeGreaterThan(2);
  expect(examples.overlaps.map((o: any) => o.skill)).toContain('add-in-10');
  const own = await go('POST', '/skills', { body: mine });
  expect((await go('GET', '/skills', { query: { limit: '5000' } })).total).toBe(skills.total + 1);
  const changedOwn = await go('PUT', '/skills/{id}', {
    path: `/skills/${own.id}`,
    body: { ...mine, looksLike: 'Says 6 and 3 at once.', version: 1 },
  });
  expect(changedOwn.version).toBe(2);
  await go('POST', '/skills/{id}/needs', { path: '/skills/add-in-20/needs', body: { id: own.id, sort: 'idea' } });
  const circle = await go('POST', '/skills/{id}/needs', {
    path: `/skills/${own.id}/needs`,
    body: { id: 'add-in-20', sort: 'idea' },
    status: 422,
  });
  expect(circle.error.code).toBe('cycle');
  await go('DELETE', '/skills/{id}', { path: `/skills/${own.id}`, status: 422 });
  expect((await go('GET', '/skills/own')).edges).toEqual([{ skill: 'add-in-20', needs: own.id, sort: 'idea' }]);
  await go('DELETE', '/skills/{id}/needs/{needs}', { path: `/skills/add-in-20/needs/${own.id}` });
  await go('DELETE', '/skills/{id}', { path: `/skills/${own.id}` });
  await go('DELETE', '/skills/{id}', { path: '/skills/add-in-20', status: 403 });

  // Frameworks: in, tied, out as they came; broken ones change nothing.
  const text = readFileSync('examples/framework.case.json', 'utf8');
  expect((await go('POST', '/imports/framework', { body: { text } })).committed).toBe(false);
  const framework = await go('POST', '/imports/framework', { body: { text, commit: true } });
  const where = { path: `/frameworks/${framework.id}/items` };
  const expectations = (await go('GET', '/frameworks/{id}/items', where)).items;
  expect(expectations.find((e: any) => e.code === '3.OA.7').proposals.map((p: any) => p.because)).toContain('code');
  expect(expectations.find((e: any) => e.code === 'SB.S.1').proposals).toEqual([]);
  expect(await go('GET', '/frameworks/{id}/case', { path: `/frameworks/${framework.id}/case` })).toEqual(JSON.parse(text));
  await go('POST', '/frameworks/{id}/ties', {
    path: `/frameworks/${framework.id}/ties`,
    body: { ties: [{ identifier: expectations[0].identifier, skill: 'pairs-of-10', relation: 'same' }] },
  });
  expect((await go('GET', '/frameworks')).items.find((f: any) => f.id === framework.id).tied).toBe(1);
  expect(
    (await go('GET', '/frameworks/{id}/case', { path: `/frameworks/${framework.id}/case` })).CFAssociations.at(-1).associationType,
  ).toBe('exactMatchOf');
  // A learner may go by it: what it ties is wanted when it says.
  const follower = await go('GET', '/learners/{id}', { path: `/learners/${oak.id}` });
  await go('PATCH', '/learners/{id}', { path: `/learners/${oak.id}`, body: { framework: framework.id, version: follower.version } });
  const pairs = (await go('GET', '/skills', { query: { limit: '5000' } })).items.find((s: any) => s.id === 'pairs-of-10');
  expect(pairs.wantedAt[framework.id]).toBe(6);
  expect((await go('DELETE', '/frameworks/{id}', { path: `/frameworks/${framework.id}`, status: 409 })).error.message).toContain(
    'Oak goes by this framework',
  );
  await go('PATCH', '/learners/{id}', { path: `/learners/${oak.id}`, body: { framework: 'us', version: follower.version + 1 } });
  await go('PATCH', '/learners/{id}', {
    path: `/learners/${oak.id}`,
    body: { framework: 'nowhere', version: follower.version + 2 },
    status: 422,
  });
  const dangling = JSON.parse(text);
  dangling.CFAssociations[0].destinationNodeURI.identifier = '00000000-0000-4000-8000-000000000099';
  expect(
    (await go('POST', '/imports/framework', { body: { text: JSON.stringify(dangling), commit: true }, status: 422 })).error,
  ).toMatchObject({ code: 'dangling', field: 'CFAssociations.0.destinationNodeURI' });
  await go('DELETE', '/frameworks/{id}', { path: `/frameworks/${framework.id}` });
  expect((await go('GET', '/frameworks')).total).toBe(2);

  // Observations from files: all or nothing, and out again.
  const notes = readFileSync('examples/notes.csv').toString('base64');
  expect((await go('POST', '/imports/evidence', { body: { base64: notes, commit: true } })).added).toBe(3);
  const statements = await go('POST', '/imports/evidence', {
    body: { text: readFileSync('examples/statements.json', 'utf8'), commit: true },
  });
  expect([statements.added, statements.remarks.length]).toEqual([2, 1]);
  expect(await go('GET', '/roster.csv')).toContain('Nickname,Birth month,Group,Framework');
  const takenOut = await go('GET', '/evidence.csv');
  const total = (await go('GET', '/evidence', { query: { limit: '5000' } })).total;
  expect(takenOut.trim().split('\r\n').length).toBe(total + 1);
  expect((await go('GET', '/evidence.xapi')).length).toBe(total - 1);
  const tenThousand = [
    'learner,date,skill,result',
    ...Array.from({ length: 10_000 }, (_, i) => `Fern,2026-11-03,add-in-10,${i === 6000 ? 'shining' : 'alone'}`),
  ].join('\n');
  const bad = await go('POST', '/imports/evidence', { body: { text: tenThousand, commit: true }, status: 422 });
  expect(bad.error).toMatchObject({ code: 'unknown-value', field: 'result', row: 6002 });
  expect((await go('GET', '/evidence', { query: { limit: '5000' } })).total).toBe(total);

  // Everything about this child, and true erasure.
  const told = await go('GET', '/learners/{id}/export', { path: `/learners/${oak.id}/export` });
  expect(told.evidence.length).toBeGreaterThanOrEqual(3);
  await go('DELETE', '/learners/{id}', { path: `/learners/${oak.id}`, query: { confirm: 'no' }, status: 400 });
  await go('DELETE', '/learners/{id}', { path: `/learners/${oak.id}`, query: { confirm: 'Oak' } });
  expect(readFileSync(join(place.directory, 'zeitgeber.sqlite')).includes('Oak')).toBe(false);
  await go('GET', '/learners/{id}', { path: `/learners/${oak.id}`, status: 404 });
  await go('DELETE', '/workspace', { query: { confirm: 'empty' } });
  expect((await go('GET', '/games')).total).toBe(0);

  const described = Object.entries(document.paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((m) => `${m.toUpperCase()} ${path}`),
  );
  expect(described.filter((d) => !called.has(d))).toEqual([]);
}, 600_000);

it('a write with the same key is made once', async () => {
  const headers = { 'idempotency-key': 'one-and-the-same' };
  const body = { nickname: 'Twin', born: '2018-04' };
  const first = await call('POST', '/learners', { body, headers });
  expect(await call('POST', '/learners', { body, headers })).toEqual(first);
  expect((await call('GET', '/learners')).total).toBe(1);
  await call('POST', '/games', { body: { title: 'x' }, headers, status: 409 });
});

it('bad input gets a precise error and changes nothing', async () => {
  const refused = async (
    method: string,
    template: string,
    body: unknown,
    status: number,
    want: object,
    more: Parameters<typeof call>[2] = {},
  ) => {
    const { error } = await call(method, template, { body, status, ...more });
    expect(error).toMatchObject(want as Record<string, unknown>);
  };
  const child = (await call('GET', '/learners')).items[0].id;
  const session = { present: [child], rounds: 1, minutes: 15, tables: 1, helpers: 0 };
  await refused('POST', '/plans', { ...session, tables: 0 }, 422, { code: 'no-tables', field: 'tables' });
  await refused('POST', '/plans', { ...session, present: [] }, 422, { code: 'nobody-present', field: 'present' });
  await refused('POST', '/plans', { ...session, present: ['ghost'] }, 422, { code: 'unknown-value', field: 'present.0' });
  await refused('POST', '/plans', { ...session, rounds: 'three' }, 400, { code: 'malformed', field: 'rounds' });
  await refused('POST', '/plans', { present: [child] }, 400, { code: 'malformed', field: 'rounds' });
  // Lists that would keep the program busy for minutes are refused before they are looked at.
  const round = { tables: [], resting: [] };
  const nine = { rounds: Array.from({ length: 9 }, () => round) };
  await refused('POST', '/plans/{id}/check', nine, 400, { code: 'malformed', field: 'rounds' }, { path: '/plans/none/check' });
  await refused('PUT', '/plans/{id}', { ...nine, version: 1 }, 400, { field: 'rounds' }, { path: '/plans/none' });
  const crowd = { rounds: [{ ...round, resting: Array.from({ length: 61 }, () => child) }] };
  await refused('POST', '/plans/{id}/check', crowd, 400, { field: 'rounds.0.resting' }, { path: '/plans/none/check' });
  await refused(
    'POST',
    '/evidence',
    { learner: child, kind: 'note', skill: 'add-in-10', result: 'alone', at: '2026-11-11T00:10:00Z' },
    422,
    { code: 'in-the-future', field: 'at' },
  );
  await refused('POST', '/evidence', { learner: child, kind: 'note', skill: 'juggling', result: 'alone' }, 422, { code: 'unknown-skill' });
  await refused('POST', '/evidence', { learner: child, kind: 'note', skill: 'add-in-10' }, 400, { code: 'malformed', field: 'result' });
  await refused(
    'POST',
    '/evidence/batch',
    {
      items: [
        { learner: child, kind: 'note', skill: 'add-in-10', result: 'alone' },
        { learner: child, kind: 'note', skill: 'nowhere', result: 'alone' },
      ],
    },
    422,
    { code: 'unknown-skill', field: 'items.1.skill' },
  );
  expect((await call('GET', '/evidence', { query: { learner: child } })).total).toBe(0);
  await refused('POST', '/learners', { nickname: 'twin', born: '2018-04' }, 422, { code: 'duplicate', field: 'nickname' });
  await refused('POST', '/learners', { nickname: 'Old', born: '1925-01' }, 422, { code: 'out-of-range', field: 'born' });
  await refused('POST', '/simulations', { mechanism: 'pair-memory', parameters: { sum: 30, lowestCard: 1, highestCard: 10 } }, 422, {
    code: 'impossible-parameters',
    field: 'parameters.sum',
  });
  await refused('POST', '/simulations', { mechanism: 'nowhere' }, 422, { code: 'unknown-mechanism' });
  await refused('POST', '/simulations', { mechanism: 'sum-columns', games: 1e9 }, 400, { field: 'games' });
  const broken = readFileSync('examples/shelf-broken.csv').toString('base64');
  const preview = await call('POST', '/imports/shelf', { body: { base64: broken } });
  expect(new Set(preview.problems.map((p: { row: number }) => p.row)).size).toBe(11);
  await refused('POST', '/imports/shelf', { base64: broken, commit: true }, 422, { row: 2, field: 'game' });
  await refused('POST', '/imports/shelf', { base64: Buffer.alloc(5_000_000, 'junk').toString('base64'), commit: true }, 413, {
    code: 'too-large',
  });
  await refused('POST', '/imports/shelf', { base64: Buffer.from([0xff, 0xfe, 1, 2]).toString('base64'), commit: true }, 422, {
    code: 'missing-column',
  });
  await refused('POST', '/imports/shelf', { text: 'no header here\n1,2', commit: true }, 422, { code: 'missing-column', row: 1 });
  expect((await call('GET', '/games')).total).toBe(0);
  await refused('GET', '/learners', undefined, 400, { field: 'today' }, { query: { today: '2026-02-30' } });
  await refused('GET', '/learners', undefined, 400, { field: 'limit' }, { query: { limit: '0' } });
  expect((await call('GET', '/health')).status).toBe('ok');
});
