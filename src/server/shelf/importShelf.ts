import { readCsv } from '../../adapters/csv/readCsv';
import { checkParameters } from '../../contract/parameters';
import { graphInUse } from '../../contract/graphInUse';
import { plainWords } from '../../core/content/cells';
import { columnOf } from '../../core/content/catalogueColumns';
import { type CatalogueReading, readCatalogue, type VariantDraft } from '../../core/content/readCatalogue';
import { mechanismById } from '../../core/mechanisms/registry';
import type { Problem } from '../../core/shared/codes';
import type { Db, Tx } from '../db/db';
import { games, kinds, type UndoStep, variants } from '../db/schema';
import { ProblemError } from '../http/problemError';
import { freeId, insertGame, insertVariant } from './shelfStore';
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

/** Shows what a catalogue file would bring; with `commit` brings all of it, or nothing. */
export function importShelf(db: Db, bytes: Uint8Array, commit: boolean, now: string): ShelfImport {
  const table = readCsv(bytes, columnOf, ['game']);
  if (!table.ok) throw new ProblemError(table.problem);
  const reading = readCatalogue(table.value.rows, {
    kinds: db
      .select()
      .from(kinds)
      .all()
      .map((k) => ({ ...k, caution: k.caution ?? undefined })),
    skills: graphInUse().skills,
    checkParameters,
    seatsOf: (id) => mechanismById(id)?.seats ?? null,
  });
  const titles = new Map(
    db
      .select()
      .from(games)
      .all()
      .map((g) => [g.id, plainWords(g.title)]),
  );
  const known = new Set(
    db
      .select()
      .from(variants)
      .all()
      .map((v) => `${titles.get(v.gameId)}|${plainWords(v.title)}`),
  );
  const rows = reading.drafts.map((d) => ({ ...d, already: known.has(`${plainWords(d.game)}|${plainWords(d.variant)}`) }));
  const preview = {
    rows,
    problems: reading.problems,
    remarks: [
      ...reading.remarks,
      ...rows
        .filter((r) => r.already)
        .map((r) => ({ row: r.row, message: `${r.game}, ${r.variant} is on the shelf already; left as is.` })),
    ],
    proposedKinds: reading.proposedKinds,
  };
  if (!commit) return { committed: false, ...preview, added: { games: 0, variants: 0, kinds: 0 }, change: null };
  if (reading.problems.length > 0) {
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
      undo.unshift({ table: 'kinds', delete: { id: k.id } });
    }
    const byTitle = new Map(
      tx
        .select()
        .from(games)
        .all()
        .map((g) => [plainWords(g.title), g.id]),
    );
    let newGames = 0;
    for (const d of drafts) {
      let gameId = byTitle.get(plainWords(d.game));
      if (!gameId) {
        gameId = freeId(d.game, (x) => [...byTitle.values()].includes(x));
        byTitle.set(plainWords(d.game), gameId);
        const rules = d.mechanism ? [...mechanismById(d.mechanism)!.words] : [];
        insertGame(tx, gameId, d.game, { bin: d.bin, source: d.source, condition: d.condition, notes: d.notes, rules }, now);
        undo.unshift({ table: 'games', delete: { id: gameId } });
        newGames++;
      }
      const id = freeId(`${d.game} ${d.variant}`, (x) =>
        tx
          .select()
          .from(variants)
          .all()
          .some((v) => v.id === x),
      );
      insertVariant(tx, id, gameId, {
        title: d.variant,
        mechanism: d.mechanism,
        parameters: { ...d.parameters },
        ages: [...d.ages],
        players: { min: d.players[0], max: d.players[1] },
        minutes: d.minutes,
        declared: [...d.declared],
        ...(d.materials.length > 0 || !d.mechanism ? { materials: [...d.materials] } : {}),
      });
      undo.unshift({ table: 'variants', delete: { id } });
    }
    // What is listed for one table is taken to be in the cupboard, until stock is taken.
    for (const d of drafts) for (const m of d.materials) raiseStock(tx, m.kind, m.quantity, undo);
    const change = recordChange(tx, `Brought in ${drafts.length} versions from a file`, undo);
    return { added: { games: newGames, variants: drafts.length, kinds: reading.proposedKinds.length }, change };
  });
}

function raiseStock(tx: Tx, kind: string, quantity: number, undo: UndoStep[]): void {
  const row = tx
    .select()
    .from(kinds)
    .all()
    .find((k) => k.id === kind)!;
  if (row.quantity >= quantity) return;
  if (row.shipped) undo.push({ table: 'kinds', put: row });
  tx.insert(kinds)
    .values({ ...row, quantity })
    .onConflictDoUpdate({ target: kinds.id, set: { quantity } })
    .run();
}
