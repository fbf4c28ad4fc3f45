import { eq, inArray } from 'drizzle-orm';
import { nameKey } from '../../core/content/names';
import type { VariantDraft } from '../../core/content/readCatalogue';
import type { Db, Tx } from '../db/db';
import { bins, games, type UndoStep, variantMaterials, variants } from '../db/schema';
import { stepBack } from '../undo/undo';
import { binFor } from './shelfStore';
import type { GameRow, VariantRow } from './shelfRows';

/** What a file tells otherwise of a version that is here. */
export interface ChangedRow {
  readonly field: 'ages' | 'players' | 'minutes' | 'bin' | 'notes' | 'condition' | 'source' | 'tags' | 'materials';
  readonly before: string;
  readonly after: string;
}

export interface KnownVersion {
  readonly game: GameRow;
  readonly variant: VariantRow;
  readonly bin: string;
  readonly materials: readonly { readonly kind: string; readonly quantity: number }[];
}

/** Every version by the names of game and version, as a file would name it. */
export function knownVersions(db: Db): ReadonlyMap<string, KnownVersion> {
  const binTitles = new Map(
    db
      .select()
      .from(bins)
      .all()
      .map((b) => [b.id, b.title]),
  );
  const byGame = new Map(
    db
      .select()
      .from(games)
      .all()
      .map((g) => [g.id, g]),
  );
  const things = new Map<string, { kind: string; quantity: number }[]>();
  for (const m of db.select().from(variantMaterials).all()) {
    const list = things.get(m.variantId) ?? [];
    list.push({ kind: m.kindId, quantity: m.quantity });
    things.set(m.variantId, list);
  }
  return new Map(
    db
      .select()
      .from(variants)
      .all()
      .map((variant) => {
        const game = byGame.get(variant.gameId)!;
        const known = { game, variant, bin: binTitles.get(game.binId ?? '') ?? '', materials: things.get(variant.id) ?? [] };
        return [`${nameKey(game.title)}|${nameKey(variant.title)}`, known] as const;
      }),
  );
}

const span = (low: number, high: number): string => (low === high ? String(low) : `${low}–${high}`);
const listed = (things: readonly { readonly kind: string; readonly quantity: number }[]): string =>
  [...things]
    .sort((x, y) => (x.kind < y.kind ? -1 : 1))
    .map((m) => `${m.quantity} ${m.kind}`)
    .join(', ');

/** What a row tells otherwise, of the columns that its file has. A column that is not there changes nothing. */
export function changesOf(here: KnownVersion, d: VariantDraft, columns: ReadonlySet<string>): ChangedRow[] {
  const { game, variant } = here;
  const told = (...names: readonly string[]): boolean => names.some((n) => columns.has(n));
  const pairs: (ChangedRow & { readonly told: boolean })[] = [
    { field: 'ages', before: span(variant.agesMin, variant.agesMax), after: span(...d.ages), told: told('ages', 'grade') },
    {
      field: 'players',
      before: span(variant.playersMin, variant.playersMax),
      after: span(...d.players),
      told: told('players', 'players min', 'players max'),
    },
    { field: 'minutes', before: String(variant.minutes), after: String(d.minutes), told: told('minutes') },
    { field: 'bin', before: here.bin, after: d.bin, told: told('bin') },
    { field: 'notes', before: game.notes, after: d.notes, told: told('notes') },
    { field: 'condition', before: game.condition, after: d.condition, told: told('condition') },
    { field: 'source', before: game.source, after: d.source, told: told('source') },
    { field: 'tags', before: game.tags.join(', '), after: d.tags.join(', '), told: told('tags') },
    { field: 'materials', before: listed(here.materials), after: listed(d.materials), told: told('materials') && d.materials.length > 0 },
  ];
  return pairs.filter((p) => p.told && p.before !== p.after).map(({ field, before, after }) => ({ field, before, after }));
}

/** Writes what a file tells otherwise, and gives the steps that take it back. */
export function bringChanges(tx: Tx, rows: readonly (VariantDraft & { readonly changes: readonly ChangedRow[] })[]): UndoStep[] {
  if (rows.length === 0) return [];
  const known = knownVersions(tx as unknown as Db);
  const undo: UndoStep[] = [];
  const written = new Map<string, GameRow>();
  for (const d of rows) {
    const here = known.get(`${nameKey(d.game)}|${nameKey(d.variant)}`);
    if (!here) continue;
    const has = (field: ChangedRow['field']): boolean => d.changes.some((c) => c.field === field);
    const game = written.get(here.game.id) ?? here.game;
    const gameAfter = {
      ...(has('bin') ? { binId: binFor(tx, d.bin) } : {}),
      ...(has('notes') ? { notes: d.notes } : {}),
      ...(has('condition') ? { condition: d.condition } : {}),
      ...(has('source') ? { source: d.source } : {}),
      ...(has('tags') ? { tags: [...d.tags] } : {}),
    };
    if (Object.keys(gameAfter).length > 0) {
      const after = { ...gameAfter, version: game.version + 1 };
      tx.update(games).set(after).where(eq(games.id, game.id)).run();
      undo.unshift(stepBack('games', { id: game.id }, game, after));
      written.set(game.id, { ...game, ...after });
    }
    const { variant } = here;
    const variantAfter = {
      ...(has('ages') ? { agesMin: d.ages[0], agesMax: d.ages[1] } : {}),
      ...(has('players') ? { playersMin: d.players[0], playersMax: d.players[1] } : {}),
      ...(has('minutes') ? { minutes: d.minutes } : {}),
    };
    if (Object.keys(variantAfter).length > 0 || has('materials')) {
      const after = { ...variantAfter, version: variant.version + 1 };
      tx.update(variants).set(after).where(eq(variants.id, variant.id)).run();
      undo.unshift(stepBack('variants', { id: variant.id }, variant, after));
    }
    if (has('materials')) {
      tx.delete(variantMaterials)
        .where(inArray(variantMaterials.variantId, [variant.id]))
        .run();
      tx.insert(variantMaterials)
        .values(d.materials.map((m) => ({ variantId: variant.id, kindId: m.kind, quantity: m.quantity })))
        .run();
      undo.unshift(
        { table: 'variantMaterials', delete: { variantId: variant.id } },
        ...here.materials.map((m): UndoStep => ({
          table: 'variantMaterials',
          put: { variantId: variant.id, kindId: m.kind, quantity: m.quantity },
        })),
      );
    }
  }
  return undo;
}
