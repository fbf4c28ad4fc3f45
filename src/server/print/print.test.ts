import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { eq } from 'drizzle-orm';
import jsQR from 'jsqr';
import { afterAll, afterEach, beforeEach, describe, expect, it } from 'vitest';
import { bins, games, kinds, learners, prepTicks, variants } from '../db/schema';
import { closePool } from '../jobs/pool';
import { createLearner } from '../learners/learnerStore';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { undoChange } from '../undo/undo';
import { ask, Workspace } from '../workspace.testing';

const today = '2026-11-10';
const now = `${today}T10:00:00.000Z`;
let place: Workspace;
let files = '';
beforeEach(() => {
  place = new Workspace();
  files = mkdtempSync(join(tmpdir(), 'print-'));
  for (const g of ['signal-frame', 'two-lamps-lit', 'high-signal', 'ring-at-twenty-four']) takeFromLibrary(place.db, g, now);
});
afterEach(() => {
  place.remove();
  rmSync(files, { recursive: true, force: true });
});
afterAll(closePool);

/* eslint-disable @typescript-eslint/no-explicit-any -- answers are read as the page would read them; their shapes are held by the every-route test */
const post = async (path: string, body: object): Promise<{ status: number; body: any }> =>
  ask('POST', `${path}${path.includes('?') ? '&' : '?'}today=${today}`, body);
const get = async (path: string): Promise<any> => (await ask('GET', path)).body;
/** Pages and words of a PDF, read by another program. */
function read(bytes: unknown): { pages: number; text: string; file: string } {
  const file = join(files, 'sheet.pdf');
  writeFileSync(file, Buffer.from(bytes as Uint8Array));
  const tool = (name: string, ...args: string[]): string => execFileSync(name, [...args], { encoding: 'utf8' });
  return { file, pages: Number(/Pages: +(\d+)/.exec(tool('pdfinfo', file))![1]), text: tool('pdftotext', '-layout', file, '-') };
}
const kind = (id: string): any =>
  place.db
    .select()
    .from(kinds)
    .all()
    .find((k) => k.id === id);

describe('the print shop', () => {
  it('lists every sheet with what it asks for, and lays one out as boxes of millimetres', async () => {
    const { items, total } = await get('/sheets');
    expect(total).toBeGreaterThanOrEqual(40);
    expect(items.length).toBe(total);
    expect((await get('/sheets?limit=2&offset=1')).items).toEqual(items.slice(1, 3));
    const cards = items.find((k: any) => k.id === 'number-cards');
    expect(Object.keys(cards.parametersSchema.properties)).toEqual(Object.keys(cards.example));
    // A split pin, a paper clip.
    for (const id of ['clock-faces', 'spinner']) expect(items.find((k: any) => k.id === id).cautions.join(' ')).toMatch(/^.*Small parts/);
    expect(cards.cautions.join(' ')).toMatch(/Scissors.*guillotines.*maker’s age label/s);
    const { body } = await post('/sheets/number-cards/layout', { parameters: { low: 1, high: 10, copies: 4 }, paper: 'a4', seed: 41 });
    expect(body).toMatchObject({ verified: true, seed: 41, sheets: 5, pieces: 40 });
    expect(body.pages[0]).toMatchObject({ width: 210, height: 297, side: 'front' });
    expect(body.pages[0].boxes.filter((b: any) => b.kind === 'card')[0]).toMatchObject({ w: 60, h: 84 });
    expect(body.minutes).toBeGreaterThan(5);
  });
  it('makes PDF of one, of several in order, and of all a version needs on the paper of the country', async () => {
    const one = read((await post('/sheets/track-board/pdf', { parameters: { end: 20 } })).body);
    expect([one.pages, /Track board · seed 1/.test(one.text)]).toEqual([1, true]);
    const sets = [
      { sheet: 'score-sheet', copies: 2 },
      { sheet: 'number-line', label: 'Lower lamps' },
    ];
    const several = read((await post('/printouts', { sets, title: 'Tuesday' })).body);
    expect(several.pages).toBe(3);
    expect(several.text.indexOf('Score sheet')).toBeLessThan(several.text.indexOf('Lower lamps'));
    await ask('PUT', '/country', { country: 'us' });
    const [v] = (await get('/variants?limit=500')).items.filter((x: any) => x.game === 'ring-at-twenty-four');
    const all = read((await post(`/variants/${v.id}/sheets`, { players: 3, duplex: 'long' })).body);
    expect(execFileSync('pdfinfo', [all.file], { encoding: 'utf8' })).toMatch(/612 x 792/);
    expect(all.text).toContain('makes');
  });
  it('says in words what cannot be printed, and where', async () => {
    const told = async (path: string, body: object): Promise<any> => (await post(path, body)).body.error;
    expect(await told('/sheets/number-cards/layout', { parameters: { copies: 99 } })).toMatchObject({
      code: 'out-of-range',
      field: 'parameters.copies',
      message: 'Of each must be <= 20.',
    });
    expect(await told('/sheets/number-cards/layout', { parameters: { colour: 'red' } })).toMatchObject({ field: 'parameters.colour' });
    expect(await told('/sheets/number-cards/layout', { paper: 'a9' })).toMatchObject({ field: 'paper' });
    expect(await told('/sheets/number-cards/layout', { label: 'x'.repeat(500) })).toMatchObject({ field: 'label' });
    expect(await told('/sheets/number-cards/pdf', { label: '山' })).toMatchObject({
      message: expect.stringContaining('No bundled face can print 山'),
    });
    expect(await told('/sheets/no-such/layout', {})).toMatchObject({ code: 'not-found', message: 'There is no sheet “no-such”.' });
    expect(await told('/sheets/number-cards/layout', { copies: 200, parameters: { copies: 20, high: 400 } })).toMatchObject({
      code: 'too-large',
    });
    expect(await told('/variants/gone/sheets', {})).toMatchObject({ code: 'not-found' });
    // A refusal leaves nothing behind: the next sheet comes.
    expect((await post('/sheets/number-cards/layout', {})).status).toBe(200);
  });
  it('tells what a version needs, the same with smaller numbers, and its missing cards alone', async () => {
    const [v] = (await get('/variants?limit=500')).items.filter((x: any) => x.game === 'signal-frame');
    const needs = await get(`/variants/${v.id}/sheets?players=3`);
    expect(needs.items[0]).toMatchObject({ sheet: 'number-cards', parameters: { low: 1, high: v.parameters.highestCard } });
    expect(needs.smaller[0].parameters.high).toBeLessThan(v.parameters.highestCard);
    expect(needs.missing).toEqual([]);
    expect(needs.sheets).toBe(needs.items.reduce((n: number, i: any) => n + i.sheets, 0));
    place.db
      .update(variants)
      .set({ parameters: { ...v.parameters, missing: [3, 3, 5] } })
      .run();
    const missing = (await get(`/variants/${v.id}/sheets`)).missing[0];
    expect(missing).toMatchObject({ pieces: 3, sheets: 1 });
    const sheet = (await post('/sheets/number-cards/layout', { parameters: missing.parameters })).body;
    expect(sheet.pages[0].boxes.flatMap((b: any) => b.text ?? []).filter((t: string) => /^\d$/.test(t))).toEqual(['3', '3', '5']);
    place.db.update(variants).set({ mechanism: null }).run();
    expect((await ask('GET', `/variants/${v.id}/sheets`)).body).toMatchObject({
      error: { code: 'not-playable', message: expect.stringContaining('Say how it plays first') },
    });
  });
});

describe('what was made', () => {
  it('stands in Things, ticks off its work, can be printed again by its seed, and is taken back by one undo', async () => {
    const [v] = (await get('/variants?limit=500')).items.filter((x: any) => x.game === 'ring-at-twenty-four');
    const body = {
      sheet: 'target-cards',
      parameters: { target: 24, count: 12 },
      seed: 5,
      copies: 2,
      label: 'one star',
      mark: 'kite',
      variant: v.id,
      minutes: 12,
    };
    const before = kind('target-cards');
    const { status, body: made } = await post('/made', body);
    expect(status).toBe(201);
    expect(kind('target-cards')).toMatchObject({ quantity: 2, told: 'number' });
    expect(place.db.select().from(prepTicks).all().length).toBeGreaterThan(0);
    const [set] = (await get('/made')).items;
    expect(set).toMatchObject({
      id: made.id,
      title: 'Target cards',
      madeOn: today,
      label: 'one star',
      mark: 'kite',
      copies: 2,
      pieces: 24,
      thing: 'target-cards',
    });
    const again = async () =>
      (await post('/sheets/target-cards/layout', { parameters: set.parameters, seed: set.seed, mark: set.mark, label: set.label })).body;
    expect(await again()).toEqual(await again());
    undoChange(place.db, made.change, now);
    expect(kind('target-cards')).toEqual(before);
    expect(place.db.select().from(prepTicks).all()).toEqual([]);
    expect((await get('/made')).total).toBe(0);
  });
  it('is forgotten with its thing, and nothing that is plenty is counted', async () => {
    const { body: made } = await post('/made', { sheet: 'number-cards', copies: 3 });
    expect(kind('number-cards').quantity).toBe(3);
    const { body: gone } = await ask('DELETE', `/made/${made.id}`);
    expect(kind('number-cards').quantity).toBe(0);
    undoChange(place.db, (gone as any).change, now);
    expect([kind('number-cards').quantity, (await get('/made')).total]).toEqual([3, 1]);
    place.db.update(kinds).set({ told: 'plenty', quantity: 0 }).run();
    await post('/made', { sheet: 'number-cards' });
    expect(kind('number-cards')).toMatchObject({ told: 'plenty', quantity: 0 });
    expect((await ask('DELETE', '/made/nobody')).status).toBe(404);
  });
  it('teaches how long things take here, from the third time that was told', async () => {
    const minutes = async (): Promise<number> => (await post('/sheets/number-cards/layout', {})).body.minutes;
    const first = await minutes();
    for (const [i, took] of [30, 30, 30].entries()) {
      const { body: made } = await post('/made', { sheet: 'number-cards' });
      await ask('PATCH', `/made/${made.id}`, { minutes: took });
      expect((await minutes()) > first * 1.5).toBe(i === 2);
    }
  });
});

describe('labels', () => {
  it('say what lies in a bin and its bags, and carry a code that another program reads as their address', async () => {
    const bin = place.db.select().from(bins).all()[0]!;
    place.db.update(games).set({ binId: bin.id }).run();
    const { body } = await post(`/bins/${bin.id}/label`, { address: 'http://192.168.1.20:4399' });
    const { file, text } = read(body);
    for (const title of [bin.title, 'Signal Frame', 'target cards']) expect(text.toLowerCase()).toContain(title.toLowerCase());
    execFileSync('pdftoppm', ['-r', '150', '-f', '1', '-l', '1', file, join(files, 'label')]);
    const picture = readFileSync(join(files, readableName()));
    const [, width, height] = /^P6\s+(\d+)\s+(\d+)\s+255\s/.exec(picture.toString('latin1', 0, 40))!.map(Number) as [
      number,
      number,
      number,
    ];
    const start = picture.length - width * height * 3;
    // The upper half holds the large label alone.
    const rows = Math.floor(height * 0.34);
    const pixels = new Uint8ClampedArray(width * rows * 4).fill(255);
    for (let i = 0; i < width * rows; i++) for (let c = 0; c < 3; c++) pixels[4 * i + c] = picture[start + 3 * i + c]!;
    expect(jsQR(pixels, width, rows)?.data).toBe(`http://192.168.1.20:4399/shelf?bin=${bin.id}`);
    expect((await post('/bins/no-bin/label', {})).status).toBe(404);
    // A set that was made with a mark has a bag of its own, which says whose it is.
    const bagged = place.db.select().from(games).where(eq(games.binId, bin.id)).all()[0]!;
    const version = place.db.select().from(variants).where(eq(variants.gameId, bagged.id)).all()[0]!;
    await post('/made', { sheet: 'number-cards', mark: 'kite', variant: version.id });
    await post('/made', { sheet: 'number-cards', seed: 2, variant: version.id });
    const plain = read((await post(`/bins/${bin.id}/label`, {})).body).text.replace(/\s+/g, ' ');
    expect(plain).toContain('Zeitgeber: Shelf, then the bin');
    expect(await post(`/bins/${bin.id}/label`, { address: 'my laptop' })).toMatchObject({
      status: 400,
      body: { error: { field: 'address' } },
    });
    const marked = read((await post(`/bins/${bin.id}/label`, {})).body).text.replace(/\s+/g, ' ');
    expect(marked).toContain(`${bagged.title}, ${version.title}`.slice(0, 20));
    expect(marked).toContain('40 × number');
    expect(marked.match(/40 × number/g)).toHaveLength(1);
  });
  const readableName = (): string => 'label-1.ppm';
});

describe('a session on paper', () => {
  it('has the plan, what to gather, a card for every table, the sheets that are not ready yet, and their answers at the end', async () => {
    for (const nickname of ['Wren', 'Fern', 'Moss']) createLearner(place.db, { nickname, born: '2017-03' }, today, now);
    place.db.update(kinds).set({ quantity: 6, told: 'number' }).run();
    const { body: plan } = await post('/plans', {
      date: '2026-11-12',
      present: ['wren', 'fern', 'moss'],
      rounds: 2,
      minutes: 15,
      tables: 2,
      helpers: 1,
      seconds: 0.2,
    });
    const pack = read((await post(`/plans/${plan.id}/pack?wait=60`, {})).body);
    for (const words of ['Session', 'Round 1', 'Round 2', 'Gather', 'Wren', 'When time is up', 'Ask:']) expect(pack.text).toContain(words);
    // On the back of the plan: what to do when something goes wrong; on every card the number that leads to its page.
    for (const words of ['Plan B', 'is away', 'are away', 'Ten minutes fewer', 'Tick one sign', `strip ${plan.number}-1-1`])
      expect(pack.text).toContain(words);
    expect(pack.text.match(/strip \d+-\d+-\d+/g)).toHaveLength(plan.rounds.flatMap((r: any) => r.tables).length);
    for (const t of plan.rounds.flatMap((r: any) => r.tables)) expect(pack.text).toContain(t.title);
    for (const v of plan.rounds.flatMap((r: any) => r.tables.flatMap((t: any) => t.seats.map((s: any) => s.variant))))
      place.db.insert(prepTicks).values({ variantId: v, step: '0', tickedAt: now }).onConflictDoNothing().run();
    const ready = read((await post(`/plans/${plan.id}/pack?wait=60`, { paper: 'letter' })).body);
    const everything = read((await post(`/plans/${plan.id}/pack?wait=60`, { everything: true, ink: 'thin' })).body);
    expect(ready.pages).toBeLessThanOrEqual(pack.pages);
    expect(everything.pages).toBeGreaterThanOrEqual(pack.pages);
    // Nobody was looked at yet: with everything comes a sheet of ten for each, its answers at the end; else only for who has a round alone.
    for (const who of ['Wren', 'Fern', 'Moss']) expect(everything.text).toMatch(new RegExp(`Answers: [^\n]*${who}`));
    const alone = new Set(plan.rounds.flatMap((r: any) => r.resting));
    expect(pack.text.match(/Answers: Question sheet/g)?.length ?? 0).toBe(alone.size);
    // Pictures stand on the card of a table where somebody is below seven, and on no other.
    const [first] = (await ask('GET', `/plans/${plan.id}/how-to?today=${today}`)).body.items.filter(
      (r: any) => r.howTo?.pictures.length > 0,
    );
    const shows = async (born: string): Promise<boolean> => {
      place.db.update(learners).set({ born }).run();
      const text = read((await post(`/plans/${plan.id}/pack?wait=60`, {})).body).text.replace(/\s+/g, ' ');
      return first.howTo.pictures.every((p: any) => text.includes(p.say));
    };
    expect([await shows('2019-12'), await shows('2019-11'), await shows('2017-03')]).toEqual([true, false, false]);
    // What cannot be printed is said on the cover, and the rest comes all the same.
    const track = { start: 0, end: 900, special: 'none' };
    const played = plan.rounds[0].tables[0].seats[0].variant;
    place.db.update(variants).set({ mechanism: 'track-race', parameters: track }).where(eq(variants.id, played)).run();
    const partly = read((await post(`/plans/${plan.id}/pack?wait=60`, { everything: true })).body);
    expect(partly.text.replace(/\s+/g, ' ')).toMatch(/Not printed: track board for .*901 spaces do not fit on one page/);
    // A name that no face can print is said too.
    expect(partly.text).not.toContain('come as dots');
    place.db.update(learners).set({ nickname: '山' }).where(eq(learners.id, 'moss')).run();
    expect(read((await post(`/plans/${plan.id}/pack?wait=60`, {})).body).text.replace(/\s+/g, ' ')).toContain(
      'Not printed: one name in other than Latin',
    );
    // What a child may see carries no marks and no percentages.
    expect(ready.text).not.toMatch(/\d ?%|grade|worst|best/i);
  });
});

describe('a term on paper', () => {
  it('shows its weeks with what is played, why nobody meets, and one week alone in larger letters', async () => {
    const none = await ask('GET', `/term/sheet?today=${today}`);
    expect([none.status, none.body.error.message]).toEqual([404, expect.stringContaining('There is no term yet')]);
    const term = {
      title: 'Autumn',
      starts: '2026-11-02',
      ends: '2026-11-29',
      weekdays: [2],
      startsAt: '10:00',
      rounds: 2,
      minutes: 15,
      tables: 2,
      helpers: 1,
    };
    expect((await ask('PUT', '/term', term)).status).toBe(200);
    const [, second] = (await get(`/term?today=${today}`)).meetings;
    await ask('PATCH', `/meetings/${second.id}`, { version: second.version, off: true, offBecause: 'the stove is mended' });
    for (const nickname of ['Wren', 'Fern']) createLearner(place.db, { nickname, born: '2017-03' }, today, now);
    place.db.update(kinds).set({ quantity: 6, told: 'number' }).run();
    const { body: plan } = await post('/plans', {
      date: '2026-11-17',
      present: ['wren', 'fern'],
      rounds: 1,
      minutes: 15,
      tables: 1,
      helpers: 1,
      seconds: 0.2,
    });
    const all = read((await ask('GET', `/term/sheet?today=${today}`)).body);
    expect(all.pages).toBe(1);
    for (const words of [
      'Autumn',
      'week 1',
      'week 4',
      'Tuesday 17 November, 10:00',
      'no meeting: the stove is mended',
      'not planned yet',
      plan.rounds[0].tables[0].title,
    ])
      expect(all.text).toContain(words);
    expect(all.text).not.toContain('Wren');
    const one = read((await ask('GET', `/term/sheet?today=${today}&week=3&paper=letter`)).body);
    expect(one.text).toContain('Autumn, week 3');
    expect(one.text).not.toContain('stove');
    expect((await ask('GET', `/term/sheet?today=${today}&week=40`)).status).toBe(404);
  });
});
