import exceljs from 'exceljs';
import jsonld from 'jsonld';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { csvCells } from '../../adapters/csv/readCsv';
import { packedTables, textTables } from '../../adapters/table/readTables';
import { shippedLibrary } from '../../contract/shippedLibrary';
import type { Db } from '../db/db';
import { games, variants } from '../db/schema';
import { Workspace } from '../workspace.testing';
import { importTables } from './importShelf';
import { takeFromLibrary } from './libraryRoutes';
import { setStock } from '../things/thingStore';
import { offersNow } from './offers';
import { createGame } from './shelfStore';
import { gameFile, shelfCsv } from './takeOut';
import { createVariant } from './variantStore';
import { materialsByVariant } from './wireShelf';

const now = '2026-11-29T10:00:00.000Z';
let here: Workspace;
let there: Workspace;
beforeEach(() => {
  here = new Workspace();
  there = new Workspace();
});
afterEach(() => {
  here.remove();
  there.remove();
});

const bring = (text: string) => {
  const tables = textTables(new TextEncoder().encode(text));
  if (!tables.ok) throw new Error(tables.problem.message);
  return importTables(there.db, tables.value, { commit: true }, now);
};
/** What two shelves have in common, whatever their ids. */
const shelfOf = (db: Db) => {
  const things = materialsByVariant(db);
  const titles = new Map(
    db
      .select()
      .from(games)
      .all()
      .map((g) => [g.id, g]),
  );
  return db
    .select()
    .from(variants)
    .all()
    .map((v) => ({
      game: titles.get(v.gameId)!.title,
      rules: titles.get(v.gameId)!.rules,
      source: titles.get(v.gameId)!.source,
      notes: titles.get(v.gameId)!.notes,
      tags: titles.get(v.gameId)!.tags,
      title: v.title,
      mechanism: v.mechanism,
      parameters: v.parameters,
      ages: [v.agesMin, v.agesMax],
      players: [v.playersMin, v.playersMax],
      minutes: v.minutes,
      helper: v.helper,
      room: v.room,
      preparation: v.preparationMinutes,
      steps: v.steps,
      uses: v.uses,
      declared: v.declared,
      things: [...(things.get(v.id) ?? [])].sort((x, y) => (x.kind < y.kind ? -1 : 1)),
    }))
    .sort((x, y) => (`${x.game}${x.title}` < `${y.game}${y.title}` ? -1 : 1));
};
/** The library, or every so many of its games, and one game of the owner's own. */
const fill = (every = 1): void => {
  for (const [i, g] of shippedLibrary.entries()) if (i % every === 0) takeFromLibrary(here.db, g.id, now);
  const game = createGame(
    here.db,
    {
      title: '=Bells, “loud” & co',
      bin: 'Hall',
      notes: 'one\ntwo; three',
      rules: ['Ring.', '-3 is lost'],
      tags: ['unit 3', 'mid-winter'],
      source: 'bought',
    },
    now,
  ).id;
  createVariant(here.db, game, {
    title: 'by fours',
    declared: [{ skill: 'count-on', perTenMinutes: 7 }],
    room: 'lively',
    helper: 'needed',
    steps: [
      { sort: 'cut', what: 'the bells', minutes: 3 },
      { sort: 'bag', what: '', minutes: 1 },
    ],
    uses: [{ what: 'Sheets of card', quantity: 2, cost: 0.4 }],
    materials: [{ kind: 'dominoes', quantity: 2 }],
  });
};

describe('taking the shelf out', () => {
  it('as a list brings back every version of the whole library as it was', () => {
    fill();
    const found = bring(shelfCsv(here.db, false));
    expect(found.problems).toEqual([]);
    expect(shelfOf(there.db)).toEqual(shelfOf(here.db));
  });

  it.each(['a list', 'a workbook', 'files'] as const)(
    'as %s keeps counts of things that come by the set, and what stood in for what was not there',
    async (way) => {
      setStock(here.db, 'dice-tray', { told: 'number', quantity: 0 });
      for (const [n, quantity] of [1, 4, 5, 20, 1000].entries()) {
        const game = createGame(here.db, { title: `Purses ${n}`, source: 'made' }, now).id;
        createVariant(here.db, game, {
          title: 'one',
          materials: [
            { kind: 'coins', quantity },
            { kind: 'dice-tray', quantity: 1 },
            { kind: 'pip-die', quantity: Math.max(1, quantity - 1) },
          ],
        });
      }
      const standIns = (db: Db) => offersNow(db).map((o) => o.standIns ?? []);
      expect(standIns(here.db).every((s) => s[0]?.instead === 'dice-tray')).toBe(true);
      const csv = shelfCsv(here.db, false);
      if (way === 'a list') bring(csv);
      else if (way === 'files') for (const g of here.db.select().from(games).all()) bring(gameFile(here.db, g.id));
      else {
        const cells = csvCells(new TextEncoder().encode(csv));
        if (!cells.ok) throw new Error(cells.problem.message);
        const book = new exceljs.Workbook();
        book.addWorksheet('Shelf').addRows(cells.value.rows.map((r) => [...r.cells]));
        const tables = await packedTables(new Uint8Array((await book.xlsx.writeBuffer()) as ArrayBuffer));
        if (!tables.ok) throw new Error(tables.problem.message);
        importTables(there.db, tables.value, { commit: true }, now);
      }
      expect(shelfOf(there.db)).toEqual(shelfOf(here.db));
      expect(standIns(there.db)).toEqual(standIns(here.db));
    },
  );

  it('as a file per game brings back each game as it was', () => {
    fill(3);
    for (const g of here.db.select().from(games).all()) expect([g.title, bring(gameFile(here.db, g.id)).problems]).toEqual([g.title, []]);
    expect(shelfOf(there.db)).toEqual(shelfOf(here.db));
  });

  it('does not make the owner’s word of what was only read from words', () => {
    const csv = 'Game,Grade,Notes\nMake ten pairs,K-1,keep them if they make ten\n';
    const tables = textTables(new TextEncoder().encode(csv));
    if (!tables.ok) throw new Error(tables.problem.message);
    importTables(here.db, tables.value, { commit: true }, now);
    const before = here.db.select().from(variants).get()!;
    expect([before.said, before.declared.length > 0]).toEqual(['words', true]);
    for (const file of [gameFile(here.db, before.gameId), shelfCsv(here.db, false)]) {
      there.remove();
      there = new Workspace();
      bring(file);
      expect(there.db.select().from(variants).get()).toMatchObject({ said: 'words', declared: before.declared });
    }
  });

  it('leaves nothing that a spreadsheet runs or turns into a day', () => {
    fill();
    const csv = shelfCsv(here.db, false);
    for (const line of csv.split('\r\n')) expect(line.replaceAll(/^"?/g, '')).not.toMatch(/^[=+@]/);
    expect(csv).not.toMatch(/,\d{1,2}-\d{1,2},/);
  });
});

describe('a game as JSON-LD', () => {
  it('means what it says to a general processor', async () => {
    fill();
    const doc = JSON.parse(gameFile(here.db, 'two-lamps-lit')) as object;
    const context = { '@context': { '@vocab': 'https://schema.org/' } };
    const documentLoader = (url: string) => Promise.resolve({ contextUrl: undefined, documentUrl: url, document: context });
    const [expanded] = (await jsonld.expand(doc as never, { documentLoader } as never)) as Record<
      string,
      { '@value'?: unknown; '@type'?: string[] }[]
    >[];
    expect(expanded!['@type']).toEqual(['https://schema.org/Game', 'https://schema.org/LearningResource']);
    expect(expanded!['https://schema.org/name']![0]!['@value']).toBe('Two Lamps Lit');
    const parts = expanded!['https://schema.org/hasPart'] as unknown as Record<string, { '@value': unknown }[]>[];
    const version = parts.find((p) => p['https://schema.org/timeRequired'])!;
    expect(version['https://schema.org/typicalAgeRange']![0]!['@value']).toMatch(/^\d+-\d+$/);
    expect(version['https://schema.org/timeRequired']![0]!['@value']).toMatch(/^PT\d+M$/);
  });
});
