import type { NextWire } from '../../contract/wire/coverage';
import type { Kept } from '../../contract/wire/route';
import type { MostCovered } from '../../core/recommend/mostCovered';
import { enoughInRound, openGaps } from '../../core/recommend/openGaps';
import type { Offer } from '../../core/recommend/offer';
import { groupBy, missingFor } from '../../core/recommend/recommend';
import { gateOf } from '../../core/recommend/valueOf';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { kinds } from '../db/schema';
import { needsOf } from '../evidence/evidenceStore';
import { allEstimates } from '../evidence/learnerState';
import { ProblemError } from '../http/problemError';
import { startJob } from '../jobs/pool';
import { allLearners } from '../learners/learnerStore';
import { offersOf, stockOf } from '../shelf/offers';
import { versionsLaidOut } from '../things/playableNow';

const usualMinutes = 60;
const roundMinutes = 15;
/** A game costs this at least: somebody has to read its rules and lay it out. */
const leastMinutes = 3;
/** What can be played with what is there is as good as free. */
const leastMoney = 0.01;
const solverSeconds = 3;

/** The games of the library that close most open needs of the children within so many minutes of preparing. */
export async function nextBest(
  db: Db,
  given: { readonly minutes?: number; readonly money?: number },
  today: string,
): Promise<Kept<NextWire>> {
  const unit = given.money === undefined ? 'minutes' : 'money';
  const budget = given.money ?? given.minutes ?? usualMinutes;
  const graph = graphOf(db);
  const people = allLearners(db);
  const maps = allEstimates(db, people, today);
  const needs = people.map((l) => needsOf(graph, l, maps.get(l.id)!, today));
  const shelf = await offersOf(db);
  const gaps = needs.flatMap((n) => openGaps(graph, shelf, [n], roundMinutes));
  const { library } = await versionsLaidOut(db);
  const byGame = groupBy(
    library.map((v) => v.offer),
    (o) => o.game,
  );
  const needOf = new Map(needs.map((n) => [n.learner, n]));
  const { stock } = stockOf(db);
  const prices = new Map(
    db
      .select({ id: kinds.id, price: kinds.price })
      .from(kinds)
      .all()
      .map((k) => [k.id, k.price]),
  );
  /** What the things cost that are missing for all of these versions; null where a price is not written. */
  const priceOf = (versions: readonly Offer[]): number | null =>
    missingFor(versions, stock).reduce<number | null>((sum, m) => {
      const price = prices.get(m.kind) ?? null;
      return sum === null || price === null ? null : sum + price * m.short;
    }, 0);
  const closes = (v: Offer, g: (typeof gaps)[number]): boolean =>
    (v.doses[g.skill]! * roundMinutes) / 10 >= enoughInRound && gateOf(graph, v, needOf.get(g.learner)!) === null;
  const candidates = [...byGame].map(([game, versions]) => {
    const useful = versions.filter((v) => gaps.some((g) => closes(v, g)));
    const cost = unit === 'minutes' ? Math.max(leastMinutes, ...versions.map((v) => v.preparationMinutes)) : (priceOf(useful) ?? Infinity);
    return {
      id: game,
      cost: unit === 'money' ? Math.max(leastMoney, cost) : cost,
      covers: gaps.flatMap((g, i) => (useful.some((v) => closes(v, g)) ? [i] : [])),
    };
  });
  const job = startJob<MostCovered>({
    kind: 'cover',
    worth: gaps.map(() => 1),
    candidates: candidates.filter((c) => c.cost < Infinity),
    // What is as good as free fits into any budget.
    budget: unit === 'money' ? budget + leastMoney * candidates.length : budget,
    seconds: solverSeconds,
  });
  await job.finished;
  if (job.status !== 'done')
    throw new ProblemError(job.problem ?? { code: 'worker-lost', message: 'This could not be worked out. Try again.' });
  const found = job.result!;
  const nickname = new Map(people.map((l) => [l.id, l.nickname]));
  const reachable = new Set(candidates.flatMap((c) => c.covers));
  const told = (list: readonly number[]): NextWire['missing'] =>
    [...groupBy(list, (i) => gaps[i]!.skill)]
      .map(([skill, of]) => ({
        skill: graph.skills[skill]!.id,
        title: graph.skills[skill]!.title,
        learners: of.map((i) => nickname.get(gaps[i]!.learner)!),
      }))
      .sort((x, y) => y.learners.length - x.learners.length);
  const spent = (cost: number): number => (unit === 'money' && cost <= leastMoney ? 0 : cost);
  const taken = new Set<number>();
  return {
    open: gaps.length,
    within: reachable.size,
    missing: told([...gaps.keys()].filter((i) => !reachable.has(i))),
    covered: found.covered.length,
    cost: found.chosen.reduce((sum, id) => sum + spent(candidates.find((c) => c.id === id)!.cost), 0),
    unit,
    unpriced: candidates.filter((c) => c.cost === Infinity && c.covers.length > 0).length,
    proven: found.proven,
    atMost: Math.floor(found.bound + 1e-6),
    // Each need is told with the first game that closes it, the game that closes most first.
    chosen: found.chosen
      .map((id) => candidates.find((c) => c.id === id)!)
      .sort((x, y) => y.covers.length - x.covers.length || (x.id < y.id ? -1 : 1))
      .map((c) => {
        const own = c.covers.filter((i) => !taken.has(i));
        own.forEach((i) => taken.add(i));
        return {
          game: c.id,
          title: byGame.get(c.id)![0]!.gameTitle,
          cost: spent(c.cost),
          closes: told(own),
        };
      }),
  };
}
