import { eq } from 'drizzle-orm';
import type { CoverageWire, CoveredWire } from '../../contract/wire/coverage';
import type { Kept } from '../../contract/wire/route';
import { libraryOffers } from '../../contract/libraryOffers';
import { nameKey } from '../../core/content/names';
import { type BestGame, gamesFor, sparedGames, standardsCovered } from '../../core/frameworks/standardsCovered';
import type { Offer } from '../../core/recommend/offer';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { comparedCodes, evidence, games, plans, terms } from '../db/schema';
import { needsOf } from '../evidence/evidenceStore';
import { allEstimates } from '../evidence/learnerState';
import { frameworkItems, frameworkList } from '../frameworks/frameworkStore';
import { notFound } from '../http/problemError';
import { allLearners } from '../learners/learnerStore';
import { offersOf } from '../shelf/offers';

const gamesTold = 5;
const remediesTold = 2;
/** A child waits for a step it is ready for, and needs at least so much. */
const leastNeed = 0.3;

/** Standards and games on one page. @throws not-found for a framework that is not here */
export async function coverageOf(
  db: Db,
  framework: string | undefined,
  without: string | undefined,
  today: string,
  over: 'shelf' | 'term' = 'shelf',
): Promise<Kept<CoverageWire>> {
  const list = frameworkList(db);
  const chosen = framework === undefined ? list[0]! : list.find((f) => f.id === framework);
  if (!chosen) throw notFound('framework', framework!);
  const graph = graphOf(db);
  const rows = db.select({ id: games.id, title: games.title, bin: games.binId }).from(games).all();
  const binOf = new Map(rows.map((g) => [g.id, g.bin]));
  const titleOf = new Map(rows.map((g) => [g.id, g.title]));
  const whole = await offersOf(db);
  const inTerm = over === 'term' ? termSessions(db, today) : null;
  const whatCounts = inTerm ? whole.filter((o) => inTerm.variants.has(o.variant)) : whole;
  const shelf = without ? whatCounts.filter((o) => binOf.get(o.game) !== without) : whatCounts;
  const owned = new Set(rows.map((g) => nameKey(g.title)));
  const library = libraryOffers(graph).filter((o) => !owned.has(nameKey(o.gameTitle)));
  const items = frameworkItems(db, chosen.id);
  const expected = items.map((e) => ({
    identifier: e.identifier,
    skills: e.skills.flatMap((s) => graph.indexOf.get(s.skill) ?? []),
  }));
  const marks = marksOf(db, (skill) => graph.indexOf.get(skill));
  const covered = standardsCovered(expected, shelf, marks);
  const people = allLearners(db);
  const maps = allEstimates(db, people, today);
  const needs = people.map((l) => needsOf(graph, l, maps.get(l.id)!, today));
  const wire = (offers: readonly Offer[], count: number, found: readonly BestGame[]): CoveredWire['games'] =>
    found.slice(0, count).map(({ variant, skill, dose }) => {
      const o = offers.find((x) => x.variant === variant)!;
      return { game: o.game, title: o.gameTitle, variant, variantTitle: o.title, skill: graph.skills[skill]!.title, dose };
    });
  const compared = new Set(
    db
      .select()
      .from(comparedCodes)
      .where(eq(comparedCodes.framework, chosen.id))
      .all()
      .map((c) => c.identifier),
  );
  const before = without ? standardsCovered(expected, whatCounts, marks) : covered;
  return {
    framework: chosen.id,
    title: chosen.title,
    fromMemory: chosen.shipped,
    bands: [...new Set(items.map((e) => e.band ?? ''))],
    items: items.map((e, i) => ({
      identifier: e.identifier,
      code: e.code,
      statement: e.statement,
      compared: compared.has(e.identifier),
      band: e.band,
      state: covered[i]!.state,
      steps: expected[i]!.skills.length,
      stepsWithGame: covered[i]!.stepsWithGame,
      games: wire(shelf, gamesTold, covered[i]!.games),
      gamesInAll: covered[i]!.games.length,
      waiting: people
        .filter((_, p) => expected[i]!.skills.some((k) => needs[p]!.ready[k] === 1 && needs[p]!.need[k]! >= leastNeed))
        .map((l) => ({ learner: l.id, nickname: l.nickname })),
      remedies: covered[i]!.state === 'none' ? wire(library, remediesTold, gamesFor(expected[i]!.skills, library)) : [],
    })),
    spare: sparedGames(covered).map((s) => ({ ...s, title: titleOf.get(s.game) ?? s.game })),
    sessions: inTerm ? inTerm.sessions : null,
    lost: items.filter((_, i) => before[i]!.state !== 'none' && covered[i]!.state === 'none').map((e) => e.code),
  };
}

/** Versions in the sessions of the term that holds today, or the latest one; all sessions where there is no term. */
function termSessions(db: Db, today: string): { readonly sessions: number; readonly variants: ReadonlySet<string> } {
  const all = db.select().from(terms).all();
  const term = all.find((t) => t.starts <= today && today <= t.ends) ?? all.sort((x, y) => (x.starts < y.starts ? 1 : -1))[0];
  const sessions = db
    .select()
    .from(plans)
    .all()
    .filter((p) => !term || (p.date >= term.starts && p.date <= term.ends));
  return {
    sessions: sessions.length,
    variants: new Set(sessions.flatMap((p) => p.rounds.flatMap((r) => r.tables.flatMap((t) => t.seats.map((s) => s.variant))))),
  };
}

/** What stands in plans, what was played, and which steps somebody noted. */
function marksOf(db: Db, indexOf: (skill: string) => number | undefined) {
  const planned = new Set<string>();
  const played = new Set<string>();
  for (const { rounds, playedAt } of db.select({ rounds: plans.rounds, playedAt: plans.playedAt }).from(plans).all())
    for (const round of rounds)
      for (const table of round.tables) for (const seat of table.seats) (playedAt === null ? planned : played).add(seat.variant);
  const noted = db.selectDistinct({ skill: evidence.skill }).from(evidence).all();
  return { planned, played, noted: new Set(noted.flatMap((n) => (n.skill === null ? [] : (indexOf(n.skill) ?? [])))) };
}
