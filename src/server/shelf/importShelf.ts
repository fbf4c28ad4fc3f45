import { eq } from 'drizzle-orm';
import { textTables } from '../../adapters/table/readTables';
import { checkParameters } from '../../contract/parameters';
import { graphOf } from '../db/graphOf';
import { nameKey } from '../../core/content/names';
import { catalogueSpecs } from '../../core/content/catalogueColumns';
import type { RawTable } from '../../core/content/rawTable';
import { type CatalogueReading, readCatalogue, type VariantDraft } from '../../core/content/readCatalogue';
import { mechanismById } from '../../core/mechanisms/registry';
import type { MaterialKind } from '../../core/materials/kind';
import type { Problem } from '../../core/shared/codes';
import type { Db } from '../db/db';
import { games, kinds, type UndoStep, variantMaterials, variants } from '../db/schema';
import { insertAll } from '../db/insertAll';
import { ProblemError } from '../http/problemError';
import { binFor, gameRow } from './shelfStore';
import { dosesInWords, rowWords, toldAges } from '../recognise/rowWords';
import { bringChanges, type ChangedRow, changesOf, knownVersions } from './importChanges';
import { thingsProblem, type VariantInput, variantRow } from './variantStore';
import { type ReadingWishes, sheetsOf, type TableShown } from '../shared/sheetsOf';
import { idGiver } from '../shared/freeId';
import { recordChange, stepBack } from '../undo/undo';

/** A row of a file with what it would do here. */
export interface ShelfRow extends VariantDraft {
  readonly table: string;
  /** It is on the shelf; what the file tells otherwise stands in `changes`. */
  readonly already: boolean;
  readonly changes: readonly ChangedRow[];
}

export interface ShelfImport {
  readonly committed: boolean;
  readonly tables: readonly TableShown[];
  readonly rows: readonly ShelfRow[];
  readonly problems: readonly Problem[];
  readonly remarks: readonly { readonly table: string; readonly row: number; readonly message: string }[];
  readonly proposedKinds: CatalogueReading['proposedKinds'];
  readonly added: { readonly games: number; readonly variants: number; readonly kinds: number; readonly changed: number };
  readonly change: string | null;
}

export interface ImportWishes extends ReadingWishes {
  readonly commit?: boolean;
  /** Leave out the rows that need mending. */
  readonly skip?: boolean;
  /** Bring in what the file tells otherwise of versions that are here. */
  readonly update?: boolean;
}

/** The same for a file of separated cells. @throws ProblemError where it cannot be read */
export function importShelf(db: Db, bytes: Uint8Array, commit: boolean, now: string, skip = false): ShelfImport {
  const tables = textTables(bytes);
  if (!tables.ok) throw new ProblemError(tables.problem);
  return importTables(db, tables.value, { commit, skip }, now);
}

/**
 * Shows what the sheets of a file would bring; with `commit` brings all of it, or nothing; with `skip` all but the rows that
 * need mending. Each sheet is read as its choice says, or as its columns look.
 */
export function importTables(db: Db, raw: readonly RawTable[], wishes: ImportWishes, now: string): ShelfImport {
  const { sheets, shown, missing } = sheetsOf(raw, catalogueSpecs, ['game'], wishes);
  const several = raw.length > 1;
  const problems: Problem[] = [...missing];
  const remarks: { table: string; row: number; message: string }[] = [];
  const proposedKinds: CatalogueReading['proposedKinds'][number][] = [];
  const drafts: (VariantDraft & { table: string })[] = [];
  const kindsKnown: MaterialKind[] = db
    .select()
    .from(kinds)
    .all()
    .map((k) => ({ ...k, caution: k.caution ?? undefined }));
  const first = new Map<string, string>();
  for (const { table, headerRow, rows, unread, remarks: said } of sheets) {
    const remark = (row: number, message: string): void =>
      void remarks.push({ table, row, message: several ? `${table}: ${message}` : message });
    said.forEach((r) => remark(r.row, r.message));
    if (unread.length > 0)
      remark(headerRow || 1, `Not known here: ${unread.map((h) => `“${h}”`).join(', ')}. What those columns say is kept in the notes.`);
    const reading = readCatalogue(rows, {
      unread,
      kinds: [...kindsKnown, ...proposedKinds.map(asKind)],
      skills: graphOf(db).skills,
      checkParameters,
      seatsOf: (id) => mechanismById(id)?.seats ?? null,
      thingsProblem: (id, parameters, listed) => thingsProblem(db, mechanismById(id)!, parameters, listed),
    });
    for (const p of reading.problems) {
      const cells = rows.find((r) => r.row === p.row)?.cells ?? {};
      problems.push({
        ...p,
        message: several ? `${table}, ${p.message}` : p.message,
        detail: { table, game: cells['game'] ?? '', value: cells[p.field ?? ''] ?? '' },
      });
    }
    reading.remarks.forEach((r) => remark(r.row, r.message));
    proposedKinds.push(...reading.proposedKinds);
    for (const d of reading.drafts) {
      const key = keyOf(d);
      const before = first.get(key);
      if (before !== undefined) remark(d.row, `${d.game}, ${d.variant} stands in ${before} already; taken once.`);
      else drafts.push({ ...d, table });
      first.set(key, before ?? table);
    }
  }
  const known = knownVersions(db);
  const told = new Map(sheets.map((t) => [t.table, t.told]));
  const rows = drafts.map((d): ShelfRow => {
    const here = known.get(keyOf(d));
    return { ...d, already: here !== undefined, changes: here ? changesOf(here, d, told.get(d.table)!) : [] };
  });
  for (const r of rows)
    if (r.already && r.changes.length === 0)
      remarks.push({ table: r.table, row: r.row, message: `${r.game}, ${r.variant} is on the shelf already; left as is.` });
  const preview = { tables: shown, rows, problems, remarks, proposedKinds };
  const nothing = { games: 0, variants: 0, kinds: 0, changed: 0 };
  if (!wishes.commit) return { committed: false, ...preview, added: nothing, change: null };
  const columnsMissing = problems.find((p) => p.code === 'missing-column');
  if (columnsMissing) throw new ProblemError(columnsMissing, 422);
  if (problems.length > 0 && !wishes.skip) {
    const one = problems[0]!;
    throw new ProblemError({ ...one, message: `${one.message} Nothing was brought in.`, detail: { problems } }, 422);
  }
  const added = bring(
    db,
    rows.filter((r) => !r.already),
    wishes.update ? rows.filter((r) => r.changes.length > 0) : [],
    proposedKinds,
    now,
  );
  return { committed: true, ...preview, ...added };
}

const keyOf = (d: { readonly game: string; readonly variant: string }): string => `${nameKey(d.game)}|${nameKey(d.variant)}`;

const asKind = (k: { readonly id: string; readonly title: string }): MaterialKind => ({
  id: k.id,
  title: k.title,
  alsoCalled: [],
  unit: 'piece',
  smallParts: false,
  plentiful: false,
});

function bring(
  db: Db,
  drafts: readonly VariantDraft[],
  changed: readonly ShelfRow[],
  proposedKinds: CatalogueReading['proposedKinds'],
  now: string,
): { added: ShelfImport['added']; change: string } {
  return db.transaction((tx) => {
    const undo: UndoStep[] = [];
    for (const k of proposedKinds) {
      tx.insert(kinds)
        .values({ id: k.id, title: k.title, alsoCalled: [], unit: 'piece', smallParts: false, plentiful: false, shipped: false })
        .onConflictDoNothing()
        .run();
      undo.push({ table: 'kinds', delete: { id: k.id } });
    }
    const allGames = tx.select({ id: games.id, title: games.title }).from(games).all();
    const byTitle = new Map(allGames.map((g) => [nameKey(g.title), g.id]));
    const gameId = idGiver(allGames.map((g) => g.id));
    const variantId = idGiver(
      tx
        .select({ id: variants.id })
        .from(variants)
        .all()
        .map((v) => v.id),
    );
    const kindTitles = new Map(
      tx
        .select({ id: kinds.id, title: kinds.title })
        .from(kinds)
        .all()
        .map((k) => [k.id, k.title]),
    );
    const graph = graphOf(tx);
    /** The owner's word on what it practises; where she gave none, carefully what its words say, until somebody answers. */
    const profileOf = (d: VariantDraft): Pick<VariantInput, 'declared' | 'said'> => {
      if (d.mechanism || d.declared.length > 0) return { declared: [...d.declared], said: 'owner' };
      const things = d.materials.map((m) => kindTitles.get(m.kind) ?? m.kind);
      const words = rowWords({ game: d.game, variant: d.variant, notes: d.notes, rules: [], things });
      return { declared: dosesInWords(graph, words, toldAges(d.ages)).map((x) => ({ ...x })), said: 'words' };
    };
    const binOf = new Map<string, string>();
    const bin = (title: string): string => {
      const id = binOf.get(title) ?? binFor(tx, title);
      binOf.set(title, id);
      return id;
    };
    const gameRows: (typeof games.$inferInsert)[] = [];
    const variantRows: (typeof variants.$inferInsert)[] = [];
    const things: (typeof variantMaterials.$inferInsert)[] = [];
    for (const d of drafts) {
      let game = byTitle.get(nameKey(d.game));
      if (!game) {
        game = gameId(d.game);
        byTitle.set(nameKey(d.game), game);
        gameRows.push(
          gameRow(
            game,
            d.game,
            bin(d.bin),
            { source: d.source, condition: d.condition, notes: d.notes, rules: [...d.rules], tags: [...d.tags] },
            now,
          ),
        );
        undo.push({ table: 'games', delete: { id: game } });
      }
      const id = variantId(`${d.game} ${d.variant}`);
      const { row, materials } = variantRow(tx, id, game, {
        title: d.variant,
        mechanism: d.mechanism,
        parameters: { ...d.parameters },
        ages: [...d.ages],
        players: { min: d.players[0], max: d.players[1] },
        minutes: d.minutes,
        helper: d.helper,
        room: d.room,
        preparationMinutes: d.preparationMinutes,
        steps: [...d.steps],
        uses: [...d.uses],
        ...profileOf(d),
        ...(d.materials.length > 0 || !d.mechanism ? { materials: [...d.materials] } : {}),
      });
      variantRows.push(row);
      for (const m of materials) things.push({ variantId: id, kindId: m.kind, quantity: m.quantity });
      undo.push({ table: 'variants', delete: { id } });
    }
    // What was not there where the list comes from is not here either, unless somebody said so already.
    const absent = new Set(drafts.flatMap((d) => d.stoodInFor));
    for (const kind of tx.select().from(kinds).all()) {
      if (!absent.has(kind.id) || kind.told !== null) continue;
      const none = { told: 'number' as const, quantity: 0 };
      tx.update(kinds).set(none).where(eq(kinds.id, kind.id)).run();
      undo.push(stepBack('kinds', { id: kind.id }, kind, none));
    }
    insertAll(tx, games, gameRows);
    insertAll(tx, variants, variantRows);
    insertAll(tx, variantMaterials, things);
    // What hangs on another goes first when this is taken back.
    undo.reverse();
    undo.unshift(...bringChanges(tx, changed));
    const what = [
      ...(drafts.length > 0 || changed.length === 0 ? [`Brought in ${drafts.length} versions from a file`] : []),
      ...(changed.length > 0 ? [`${drafts.length > 0 ? 'changed' : 'Changed'} ${changed.length} by a file`] : []),
    ];
    const change = recordChange(tx, what.join(', '), undo);
    return {
      added: { games: gameRows.length, variants: drafts.length, kinds: proposedKinds.length, changed: changed.length },
      change,
    };
  });
}
