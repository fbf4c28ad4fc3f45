import type { Body } from '../../contract/wire/route';
import type { shelfWire } from '../../contract/wire/shelf';
import { tooManyLines } from '../../core/play/howTo';
import { and, eq } from 'drizzle-orm';
import { cleanName, sameName, tidyTags } from '../../core/content/names';
import type { Db, Tx } from '../db/db';
import { bins, games, variants } from '../db/schema';
import { refuse } from '../http/problemError';
import { freeId } from '../shared/freeId';
import { sameVersion, wrote } from '../shared/versions';
import { recordChange, stepBack } from '../undo/undo';
import { gameById, sameTitle, variantById } from './shelfRows';

export type GameInput = Partial<Body<(typeof shelfWire)['POST /games']>>;

export function binFor(tx: Tx | Db, title: string): string {
  const asked = cleanName(title) || 'Unsorted';
  const found = tx
    .select()
    .from(bins)
    .all()
    .find((b) => sameName(b.title, asked) || b.id === asked);
  if (found) return found.id;
  const id = freeId(asked, (x) => tx.select().from(bins).where(eq(bins.id, x)).get() !== undefined);
  tx.insert(bins)
    .values({ id, title: asked, position: tx.select().from(bins).all().length + 1 })
    .run();
  return id;
}

export function createGame(db: Db, input: GameInput, now: string): { id: string; change: string } {
  return db.transaction((tx) => {
    const title = titleOf(tx, input.title, null);
    const id = freeId(title, (x) => tx.select().from(games).where(eq(games.id, x)).get() !== undefined);
    insertGame(tx, id, title, input, now);
    return { id, change: recordChange(tx, `Added ${title}`, [{ table: 'games', delete: { id } }]) };
  });
}

export function insertGame(tx: Tx, id: string, title: string, input: GameInput, now: string): void {
  tx.insert(games)
    .values(gameRow(id, title, binFor(tx, input.bin ?? 'Unsorted'), input, now))
    .run();
}

/** Longer rules nobody reads at a table; what goes beyond belongs into the notes. */
function rulesOf(rules: readonly string[]): string[] {
  const problem = tooManyLines(rules);
  if (problem) throw refuse('too-large', problem, 'rules');
  return [...rules];
}

export function gameRow(id: string, title: string, binId: string, input: GameInput, now: string): typeof games.$inferInsert {
  return {
    id,
    title,
    binId,
    source: input.source ?? 'made',
    condition: input.condition ?? '',
    notes: input.notes ?? '',
    rules: rulesOf(input.rules ?? []),
    tags: tidyTags(input.tags ?? []),
    createdAt: now,
  };
}

function titleOf(tx: Tx, asked: string | undefined, own: string | null): string {
  const title = cleanName(asked ?? '');
  if (title === '') throw refuse('malformed', 'The game needs a name.', 'title');
  const other = tx
    .select()
    .from(games)
    .all()
    .find((g) => sameTitle(g.title, title) && g.id !== own);
  if (other) throw refuse('duplicate', `"${other.title}" is on the shelf already.`, 'title', { id: other.id });
  return title;
}

/** Changes a game; `version` must be the one the person saw. */
export function updateGame(db: Db, id: string, input: GameInput, version: number): { id: string; version: number; change: string } {
  return db.transaction((tx) => {
    const before = gameById(tx, id);
    sameVersion(before, version);
    const after = {
      ...(input.title === undefined ? {} : { title: titleOf(tx, input.title, id) }),
      ...(input.bin === undefined ? {} : { binId: binFor(tx, input.bin) }),
      ...(input.source === undefined ? {} : { source: input.source }),
      ...(input.condition === undefined ? {} : { condition: input.condition }),
      ...(input.notes === undefined ? {} : { notes: input.notes }),
      // What stood there before may stay as long as it was.
      ...(input.rules === undefined ? {} : { rules: input.rules.length > before.rules.length ? rulesOf(input.rules) : input.rules }),
      ...(input.tags === undefined ? {} : { tags: tidyTags(input.tags) }),
      version: before.version + 1,
    };
    const done = tx
      .update(games)
      .set(after)
      .where(and(eq(games.id, id), eq(games.version, version)))
      .run();
    wrote(done, version, () => gameById(tx, id));
    return { id, version: after.version, change: recordChange(tx, `Changed ${before.title}`, [stepBack('games', { id }, before, after)]) };
  });
}

/** Puts a game (or variant) away without losing anything, or brings it back. */
export function setRetired(db: Db, what: 'game' | 'variant', id: string, retired: boolean, now: string): { id: string; change: string } {
  return db.transaction((tx) => {
    const before = what === 'game' ? gameById(tx, id) : variantById(tx, id);
    const after = { retiredAt: retired ? now : null, version: before.version + 1 };
    if (what === 'game') tx.update(games).set(after).where(eq(games.id, id)).run();
    else tx.update(variants).set(after).where(eq(variants.id, id)).run();
    const step = stepBack(what === 'game' ? 'games' : 'variants', { id }, before, after);
    return { id, change: recordChange(tx, `${retired ? 'Put away' : 'Brought back'} ${before.title}`, [step]) };
  });
}
