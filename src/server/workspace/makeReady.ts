import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { breadthsIn } from '../shelf/breadthsIn';
import { explainedMastery } from '../evidence/evidenceStore';
import { estimatesOf } from '../evidence/learnerState';
import { allLearners } from '../learners/learnerStore';
import { recommendations } from '../planning/recommendRoutes';
import { offersNow } from '../shelf/offers';
import { measuredAll } from '../shelf/measure';

/** Maps that are made ready at a time, while a request waits for its turn. */
const atATime = 8;

/**
 * After a start: reads the shelf, and then the maps a few children at a time, so that the first page finds them
 * ready. Requests are answered in between; nothing is written but what a page would write too.
 */
export async function makeReady(db: Db, today: string): Promise<void> {
  const turn = async (): Promise<boolean> => {
    await new Promise((next) => setImmediate(next));
    return db.$client.open;
  };
  if (!(await turn())) return;
  measuredAll(db);
  breadthsIn(graphOf(db));
  if (!(await turn())) return;
  offersNow(db);
  // Read at every turn: who was erased meanwhile is not brought back.
  for (let i = 0; ; i += atATime) {
    if (!(await turn())) return;
    const some = allLearners(db).slice(i, i + atATime);
    if (some.length === 0) break;
    for (const learner of some) estimatesOf(db, learner, today);
  }
  // What is asked for the first time takes three times as long: it is asked once before anybody does.
  const [one] = allLearners(db);
  if (!one) return;
  explainedMastery(db, one, today);
  if ((await turn()) && measuredAll(db)) await recommendations({ db, today }, { learners: [one.id] });
}
