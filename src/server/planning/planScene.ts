import { and, isNotNull, lt } from 'drizzle-orm';
import { buildSession, type BuiltSession } from '../../core/planning/buildSession';
import { daysSince } from '../../core/planning/planTerm';
import { metInPlay } from '../../core/recommend/metInPlay';
import type { LearnerNeeds } from '../../core/recommend/learnerNeeds';
import type { Offer } from '../../core/recommend/offer';
import { groupBy } from '../../core/recommend/recommend';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { plans } from '../db/schema';
import { masteryOf, needsOf } from '../evidence/evidenceStore';
import { allLearners } from '../learners/learnerStore';
import { offersOf, stockOf } from '../shelf/offers';
import { pacingFor } from '../coverage/pacingStore';
import type { PlanRow } from './planById';
import { planDefaults } from './planRequest';
import { companyBefore, playedBefore } from './playedBefore';
import { wishesForPlanning } from './wishesStore';

/** What a session that stands is checked and completed with: its children, what they need, its shelf, its rules. */
export interface PlanScene {
  readonly graph: SkillGraph;
  readonly offers: readonly Offer[];
  /** Versions of a game in use. */
  readonly ofGame: ReadonlyMap<string, readonly Offer[]>;
  /** Children of the session, in the order of the instance. */
  readonly order: readonly string[];
  readonly needs: ReadonlyMap<string, LearnerNeeds>;
  /** The session as the planner sees it, with the seats that are fixed now; with grown-ups in seats where they may be or are. */
  readonly built: (locks: PlanRow['locks'], grownUp?: boolean) => BuiltSession;
}

/** What a scene was made of: things that are compared as they are, and one text of all the rest. */
interface Made {
  readonly parts: readonly unknown[];
  readonly text: string;
  readonly scene: PlanScene;
}

/** The last scene of a connection: somebody at a board asks about one session again and again. */
const lastOf = new WeakMap<object, Made>();

/** The scene of a session as it stands now; while nothing that it depends on changes, it is built once. */
export async function sceneOf(db: Db, plan: PlanRow, today: string): Promise<PlanScene> {
  const offers = await offersOf(db);
  const graph = graphOf(db);
  const r = plan.request;
  const rows = allLearners(db).filter((l) => r.present.includes(l.id));
  const day = plan.date < today ? plan.date : today;
  const maps = rows.map((l) => masteryOf(db, l, day));
  const { stock, plentiful } = stockOf(db);
  const wishes = wishesForPlanning(db);
  const pacing = pacingFor(db, graph);
  const parts = [graph, offers, ...maps];
  const text = JSON.stringify([rows, r, plan.date, [...stock], [...plentiful], wishes, pacing, playedStamp(db, plan.date)]);
  const last = lastOf.get(db.$client);
  if (last?.text === text && last.parts.length === parts.length && last.parts.every((p, i) => p === parts[i])) return last.scene;

  const played = playedBefore(db, plan.date);
  const met = metInPlay(played, offers);
  const needs = rows.map((l, i) => needsOf(graph, l, maps[i]!, plan.date, met.get(l.id), pacing));
  const settings = {
    rounds: r.rounds,
    minutes: r.minutes,
    tables: r.tables,
    helpers: r.helpers,
    preparationMinutes: r.preparationMinutes ?? planDefaults.preparationMinutes,
    stock,
    plentiful,
    daysSincePlayed: daysSince(played, plan.date),
    ...(r.timesEach ? { timesEach: r.timesEach } : {}),
    ...(r.grownUp ? { grownUp: true } : {}),
    everyGame: true,
    wishes,
    satTogether: new Map(companyBefore(db, plan.date).satTogether),
    resting: r.resting ?? [],
  };
  let built: { readonly locks: string; readonly session: BuiltSession } | null = null;
  const scene: PlanScene = {
    graph,
    offers,
    ofGame: groupBy(offers, (o) => o.game),
    order: rows.map((l) => l.id),
    needs: new Map(needs.map((n) => [n.learner, n])),
    built: (locks, grownUp = false) => {
      const fixed = JSON.stringify([locks, grownUp]);
      const more = grownUp ? { grownUp } : {};
      if (built?.locks !== fixed) built = { locks: fixed, session: buildSession(graph, offers, needs, { ...settings, ...more, locks }) };
      return built.session;
    },
  };
  if (!db.$client.inTransaction) lastOf.set(db.$client, { parts, text, scene });
  return scene;
}

/** Which sessions took place before a day, each as it was last written: their rounds need not be read to see that nothing changed. */
function playedStamp(db: Db, day: string): unknown[] {
  return db
    .select({ id: plans.id, version: plans.version, played: plans.playedAt, date: plans.date })
    .from(plans)
    .where(and(isNotNull(plans.playedAt), lt(plans.date, day)))
    .all();
}
