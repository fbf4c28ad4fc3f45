import { eq } from 'drizzle-orm';
import { tidyTags } from '../../core/content/names';
import { lookAlike } from '../../core/content/lookAlike';
import type { Db } from '../db/db';
import { games, type UndoStep, variants } from '../db/schema';
import { keptWhile, shelfStamp } from '../db/stamps';
import { refuse } from '../http/problemError';
import { recordChange, stepBack } from '../undo/undo';
import { gameById, sameTitle } from './shelfRows';

/** Games in use that may be one. */
export const alikeOn = keptWhile(shelfStamp, (db) => {
  const inUse = db
    .select({ id: games.id, title: games.title, retiredAt: games.retiredAt })
    .from(games)
    .all()
    .filter((g) => g.retiredAt === null);
  const titleOf = new Map(inUse.map((g) => [g.id, g.title]));
  return lookAlike(inUse).map(([first, second]) => ({
    first,
    firstTitle: titleOf.get(first)!,
    second,
    secondTitle: titleOf.get(second)!,
  }));
});

/**
 * Makes one game of two: versions of the other come to this one (under its name where this has one of that name), its notes
 * are added, the other is put away empty. One step takes all of it back. @throws not-found; conflict for a game and itself
 */
export function mergeGames(db: Db, id: string, other: string, now: string): { id: string; change: string } {
  if (id === other) throw refuse('conflict', 'A game cannot be put together with itself.', 'other');
  return db.transaction((tx) => {
    const game = gameById(tx, id);
    const second = gameById(tx, other);
    const own = tx.select().from(variants).where(eq(variants.gameId, id)).all();
    const titles = own.map((v) => v.title);
    const undo: UndoStep[] = [];
    for (const v of tx.select().from(variants).where(eq(variants.gameId, other)).all()) {
      const base = titles.some((t) => sameTitle(t, v.title)) ? `${v.title} (${second.title})` : v.title;
      let title = base;
      for (let n = 2; titles.some((t) => sameTitle(t, title)); n++) title = `${base} ${n}`;
      titles.push(title);
      const after = { gameId: id, title, version: v.version + 1 };
      tx.update(variants).set(after).where(eq(variants.id, v.id)).run();
      undo.unshift(stepBack('variants', { id: v.id }, v, after));
    }
    const notes = [game.notes, second.notes].filter((n, i, all) => n !== '' && all.indexOf(n) === i).join('\n');
    const kept = { notes, tags: tidyTags([...game.tags, ...second.tags]), version: game.version + 1 };
    const away = { retiredAt: now, version: second.version + 1 };
    tx.update(games).set(kept).where(eq(games.id, id)).run();
    tx.update(games).set(away).where(eq(games.id, other)).run();
    undo.push(stepBack('games', { id }, game, kept), stepBack('games', { id: other }, second, away));
    return { id, change: recordChange(tx, `Put ${second.title} together with ${game.title}`, undo) };
  });
}
