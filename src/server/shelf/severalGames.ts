import { eq } from 'drizzle-orm';
import { cleanName, sameName, tidyTags } from '../../core/content/names';
import type { Db } from '../db/db';
import { games, type UndoStep } from '../db/schema';
import { refuse } from '../http/problemError';
import { recordChange, stepBack } from '../undo/undo';
import { gameById } from './shelfRows';
import { binFor } from './shelfStore';

export interface SeveralWishes {
  readonly games: readonly string[];
  readonly bin?: string;
  readonly away?: boolean;
  /** A tag that all of them get, or lose. */
  readonly tag?: string;
  readonly untag?: string;
}

/** Moves several games to a bin, tags them, puts them away; one step takes all of it back. @throws malformed for nothing to do; not-found */
export function changeSeveral(db: Db, wishes: SeveralWishes, now: string): { id: string; change: string } {
  const ids = [...new Set(wishes.games)];
  if (ids.length === 0) throw refuse('malformed', 'Choose at least one game.', 'games');
  const [tag, untag] = [cleanName(wishes.tag ?? ''), cleanName(wishes.untag ?? '')];
  if (wishes.bin === undefined && wishes.away === undefined && tag === '' && untag === '')
    throw refuse('malformed', 'Say where they go, how they are tagged, or that they are put away.', 'bin');
  return db.transaction((tx) => {
    const binId = wishes.bin === undefined ? undefined : binFor(tx, wishes.bin);
    const undo = ids.map((id): UndoStep => {
      const before = gameById(tx, id);
      const after = {
        ...(binId === undefined ? {} : { binId }),
        ...(wishes.away === undefined ? {} : { retiredAt: wishes.away ? now : null }),
        ...(tag === '' && untag === ''
          ? {}
          : { tags: tidyTags([...before.tags.filter((t) => !sameName(t, untag)), ...(tag === '' ? [] : [tag])]) }),
        version: before.version + 1,
      };
      tx.update(games).set(after).where(eq(games.id, id)).run();
      return stepBack('games', { id }, before, after);
    });
    const many = ids.length === 1 ? 'one game' : `${ids.length} games`;
    const tagged = tag === '' ? `Took “${untag}” off ${many}` : `Tagged ${many} “${tag}”`;
    const what =
      tag !== '' || untag !== ''
        ? tagged
        : wishes.away
          ? `Put ${many} away`
          : wishes.bin === undefined
            ? `Brought ${many} back`
            : `Moved ${many} to ${wishes.bin}`;
    return { id: ids[0]!, change: recordChange(tx, what, undo) };
  });
}
