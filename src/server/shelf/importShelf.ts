import { readCsv } from '../../adapters/csv/readCsv';
import { checkParameters } from '../../contract/parameters';
import { graphOf } from '../db/graphOf';
import { nameKey } from '../../core/content/names';
import { columnOf, ourColumns } from '../../core/content/catalogueColumns';
import { type CatalogueReading, readCatalogue, type VariantDraft } from '../../core/content/readCatalogue';
import { mechanismById } from '../../core/mechanisms/registry';
import type { Problem } from '../../core/shared/codes';
import type { Db } from '../db/db';
import { games, kinds, type UndoStep, variantMaterials, variants } from '../db/schema';
import { insertAll } from '../db/insertAll';
import { ProblemError } from '../http/problemError';
import { binFor, gameRow } from './shelfStore';
import { dosesInWords, rowWords, toldAges } from '../recognise/rowWords';
import { type VariantInput, variantRow } from './variantStore';
import { idGiver } from '../shared/freeId';
import { recordChange } from '../undo/undo';

export interface ShelfImport {
  readonly committed: boolean;
  readonly rows: readonly (VariantDraft & { readonly already: boolean })[];
  readonly problems: readonly Problem[];
  readonly remarks: CatalogueReading['remarks'];
  readonly proposedKinds: CatalogueReading['proposedKinds'];
  readonly added: { readonly games: number; readonly variants: number; readonly kinds: number };
  readonly change: string | null;
}

/** Shows what a catalogue file would bring; with `commit` brings all of it, or nothing; with `skip` all but the rows that need mending. */
export function importShelf(db: Db, bytes: Uint8Array, commit: boolean, now: string, skip = false): ShelfImport {
  const table = readCsv(bytes, columnOf, ['game']);
  if (!table.ok) throw new ProblemError(table.problem);
  const unread = table.value.headers.filter((h) => h !== '' && !ourColumns.includes(h));
  const reading = readCatalogue(table.value.rows, {
    unread,
    kinds: db
      .select()
      .from(kinds)
      .all()
      .map((k) => ({ ...k, caution: k.caution ?? undefined })),
    skills: graphOf(db).skills,
    checkParameters,
    seatsOf: (id) => mechanismById(id)?.seats ?? null,
  });
  const titles = new Map(
    db
      .select()
      .from(games)
      .all()
      .map((g) => [g.id, nameKey(g.title)]),
  );
  const known = new Set(
    db
      .select()
      .from(variants)
      .all()
      .map((v) => `${titles.get(v.gameId)}|${nameKey(v.title)}`),
  );
  const rows = reading.drafts.map((d) => ({ ...d, already: known.has(`${nameKey(d.game)}|${nameKey(d.variant)}`) }));
  const preview = {
    rows,
    problems: reading.problems,
    remarks: [
      ...table.value.remarks,
      ...(unread.length > 0
        ? [{ row: 1, message: `Not known here: ${unread.map((h) => `“${h}”`).join(', ')}. What those columns say is kept in the notes.` }]
        : []),
      ...reading.remarks,
      ...rows
        .filter((r) => r.already)
        .map((r) => ({ row: r.row, message: `${r.game}, ${r.variant} is on the shelf already; left as is.` })),
    ],
    proposedKinds: reading.proposedKinds,
  };
  if (!commit) return { committed: false, ...preview, added: { games: 0, variants: 0, kinds: 0 }, change: null };
  if (reading.problems.length > 0 && !skip) {
    const first = reading.problems[0]!;
    throw new ProblemError({ ...first, message: `${first.message} Nothing was brought in.`, detail: { problems: reading.problems } }, 422);
  }
  return {
    committed: true,
    ...preview,
    ...bring(
      db,
      rows.filter((r) => !r.already),
      reading,
      now,
    ),
  };
}

function bring(
  db: Db,
  drafts: readonly VariantDraft[],
  reading: CatalogueReading,
  now: string,
): { added: ShelfImport['added']; change: string } {
  return db.transaction((tx) => {
    const undo: UndoStep[] = [];
    for (const k of reading.proposedKinds) {
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
        const rules = d.mechanism ? [...mechanismById(d.mechanism)!.words] : [];
        gameRows.push(gameRow(game, d.game, bin(d.bin), { source: d.source, condition: d.condition, notes: d.notes, rules }, now));
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
        ...profileOf(d),
        ...(d.materials.length > 0 || !d.mechanism ? { materials: [...d.materials] } : {}),
      });
      variantRows.push(row);
      for (const m of materials) things.push({ variantId: id, kindId: m.kind, quantity: m.quantity });
      undo.push({ table: 'variants', delete: { id } });
    }
    insertAll(tx, games, gameRows);
    insertAll(tx, variants, variantRows);
    insertAll(tx, variantMaterials, things);
    // What hangs on another goes first when this is taken back.
    undo.reverse();
    const change = recordChange(tx, `Brought in ${drafts.length} versions from a file`, undo);
    return { added: { games: gameRows.length, variants: drafts.length, kinds: reading.proposedKinds.length }, change };
  });
}
