import { relaxSentence } from '../../text/sentences';
import type { Db } from '../db/db';
import type { StoredObstacle } from '../db/schema';
import { titles } from '../shared/titles';

/** What would let everybody sit down, in words. */
export function relaxSentences(db: Db, obstacles: readonly StoredObstacle[]): string[] {
  const title = titles(db);
  return obstacles.map((o) => relaxSentence(o, title.kind));
}
