import type { Body } from '../../contract/wire/route';
import type { plansWire } from '../../contract/wire/plans';
import { firstGames } from '../../core/recommend/firstGames';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { needsOf } from '../evidence/evidenceStore';
import { allEstimates } from '../evidence/learnerState';
import { refuse } from '../http/problemError';
import type { Job } from '../jobs/jobList';
import { allLearners } from '../learners/learnerStore';
import { takeFromLibrary } from '../shelf/libraryRoutes';
import { playableNow, versionsLaidOut } from '../things/playableNow';
import { type PlannedJob, startPlan } from './startPlan';

/** With fewer games than this that the children can play, the library helps out. */
const enoughGames = 8;
/** Children at a table. */
const usualTable = 4;

/**
 * A session for these children now: ages are enough. Where the shelf has little that they can play with what is there,
 * the best of the library that they can are taken first. @throws nobody-present; malformed where nothing can be played
 */
export async function startSessionNow(
  db: Db,
  asked: Body<(typeof plansWire)['POST /sessions/now']>,
  today: string,
  now: string,
): Promise<{ readonly job: Job<PlannedJob>; readonly taken: readonly string[] }> {
  const people = allLearners(db).filter((l) => asked.present.includes(l.id));
  if (people.length === 0) throw refuse('nobody-present', 'Nobody is there. Tick at least one child.', 'present');
  const minutes = asked.minutes ?? 15;
  const playable = await playableNow(db, today);
  const forThem = playable.games.filter((g) => g.learners.some((l) => asked.present.includes(l)));
  const onShelf = forThem.filter((g) => g.where === 'shelf').length;
  const taken: string[] = [];
  if (onShelf < enoughGames) {
    const graph = graphOf(db);
    const maps = allEstimates(db, people, today);
    const needs = people.map((l) => needsOf(graph, l, maps.get(l.id)!, today));
    const { library: all } = await versionsLaidOut(db);
    const library = all.filter((v) => v.missing.length === 0).map((v) => v.offer);
    for (const game of firstGames(graph, library, needs, minutes, enoughGames - onShelf)) {
      takeFromLibrary(db, game, now);
      taken.push(library.find((o) => o.game === game)!.gameTitle);
    }
  }
  if (onShelf + taken.length === 0)
    throw refuse(
      'malformed',
      'With what is in the cupboard there is no game for these children yet. Tick what else you have under Things.',
      'things',
    );
  const job = startPlan(
    db,
    {
      present: people.map((l) => l.id),
      rounds: asked.rounds ?? 2,
      minutes,
      tables: asked.tables ?? Math.max(1, Math.ceil(people.length / usualTable)),
      helpers: asked.helpers ?? 1,
      ...(asked.grownUp ? { grownUp: true } : {}),
      seconds: 1,
    },
    today,
    now,
  );
  return { job, taken };
}
