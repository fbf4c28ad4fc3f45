import { eq } from 'drizzle-orm';
import type { CoverageWire, coverageWire, CoveredWire } from '../../contract/wire/coverage';
import type { Kept } from '../../contract/wire/route';
import { libraryOffers } from '../../contract/libraryOffers';
import { nameKey, sameName } from '../../core/content/names';
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
import { offersOf, offersPutAway, stockOf } from '../shelf/offers';
import { missingFor } from '../../core/recommend/recommend';
import type { SkillGraph } from '../../core/skills/skillGraph';
import type { Query } from '../../contract/wire/route';

const gamesTold = 5;
const remediesTold = 2;
const lacksTold = 3;

type CoverageQuery = Query<(typeof coverageWire)['GET /coverage']>;

/** The steps of the graph as a list of their own, by strands. */
const stepList = { id: 'steps', title: 'Steps, by strand', shipped: false };

const stepItems = (graph: SkillGraph) =>
  graph.strands.flatMap((strand) =>
    graph.skills
      .filter((s) => s.strand === strand.id)
      .map((s) => ({
        identifier: s.id,
        code: s.short,
        statement: s.title,
        band: strand.title as string | null,
        skills: [{ skill: s.id, relation: 'same' as const }],
      })),
  );

/** A child waits for a step it is ready for, and needs at least so much. */
const leastNeed = 0.3;

/** Standards and games on one page. @throws not-found for a framework that is not here */
export async function coverageOf(
  db: Db,
  { framework, without, over = 'shelf', tag }: CoverageQuery,
  today: string,
): Promise<Kept<CoverageWire>> {
  const list = frameworkList(db);
  const chosen = framework === stepList.id ? stepList : framework === undefined ? list[0]! : list.find((f) => f.id === framework);
  if (!chosen) throw notFound('framework', framework!);
  const graph = graphOf(db);
  const rows = db
    .select({ id: games.id, title: games.title, bin: games.binId, tags: games.tags, retiredAt: games.retiredAt })
    .from(games)
    .all();
  const binOf = new Map(rows.map((g) => [g.id, g.bin]));
  const titleOf = new Map(rows.map((g) => [g.id, g.title]));
  const whole = await offersOf(db);
  const inTerm = over === 'term' ? termSessions(db, today) : null;
  const ofUnit = new Set(rows.filter((g) => g.tags.some((t) => sameName(t, tag ?? ''))).map((g) => g.id));
  const whatCounts = inTerm
    ? whole.filter((o) => inTerm.variants.has(o.variant))
    : over === 'unit'
      ? whole.filter((o) => ofUnit.has(o.game))
      : whole;
  const shelf = without ? whatCounts.filter((o) => binOf.get(o.game) !== without) : whatCounts;
  const owned = new Set(rows.map((g) => nameKey(g.title)));
  const library = libraryOffers(graph).filter((o) => !owned.has(nameKey(o.gameTitle)));
  const items = framework === stepList.id ? stepItems(graph) : frameworkItems(db, chosen.id);
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
  const putAway = offersPutAway(db);
  const { stock } = stockOf(db);
  const missingOf = new Map<string, { kind: string; short: number }[]>();
  for (const o of shelf) {
    const missing = missingFor([o], stock);
    const known = missingOf.get(o.game);
    if (!known || missing.length < known.length) missingOf.set(o.game, missing);
  }
  /** What each game needs, where not one of them can be laid out. */
  const lackingOf = (found: readonly BestGame[]): CoveredWire['lacking'] =>
    found.length > 0 && found.every((g) => missingOf.get(g.game)!.length > 0)
      ? found.slice(0, remediesTold).map((g) => ({ game: g.game, title: titleOf.get(g.game)!, missing: missingOf.get(g.game)! }))
      : [];
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
      lacks: covered[i]!.lacks.slice(0, lacksTold).map((k) => graph.skills[k]!.id),
      away:
        covered[i]!.state === 'none'
          ? gamesFor(expected[i]!.skills, putAway)
              .slice(0, remediesTold)
              .map(({ game }) => ({ game, title: titleOf.get(game)! }))
          : [],
      lacking: lackingOf(covered[i]!.games),
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
