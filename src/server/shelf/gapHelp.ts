import { graphInUse } from '../../contract/graphInUse';
import { shippedLibrary, shippedProfile } from '../../contract/shippedLibrary';
import { mechanismById } from '../../core/mechanisms/registry';
import { plainWords } from '../../core/content/cells';
import type { Change } from '../../core/simulate/searchChanges';
import { usualSeats } from '../../core/simulate/usualSeats';
import type { Db } from '../db/db';
import { games, variants } from '../db/schema';
import { refuse } from '../http/problemError';
import { startJob } from '../jobs/pool';
import { offersOf } from './offers';

const mostFromLibrary = 4;
const mostChanged = 3;
/** Versions on the shelf whose parameters are turned: those nearest to the skill. */
const versionsTried = 4;
const leastDose = 0.5;
const seed = 7;

/**
 * What would help where no game on the shelf practises a skill enough: shipped games that
 * are not on the shelf, and single changes of versions that are, each measured by the engine.
 */
export async function gapHelp(db: Db, skill: string): Promise<object> {
  const graph = graphInUse();
  const k = graph.indexOf.get(skill);
  if (k === undefined) throw refuse('unknown-skill', `There is no skill "${skill}".`, 'skill');
  const owned = new Set(db.select().from(games).all().map((g) => plainWords(g.title)));
  const library = shippedLibrary
    .filter((g) => !owned.has(plainWords(g.title)))
    .flatMap((g) => g.variants.flatMap((v) => (shippedProfile(g.id, v.id)?.doses ?? []).filter(([id, mean]) => id === skill && mean >= leastDose).map(([, mean, error]) => ({ game: g.id, title: g.title, version: v.title, perTenMinutes: mean, standardError: error }))))
    .sort((x, y) => y.perTenMinutes - x.perTenMinutes)
    .slice(0, mostFromLibrary);
  const offers = (await offersOf(db)).filter((o) => o.mechanism !== null);
  // A version that practises what is needed for the skill, or the skill a little, is nearest to it.
  const near = new Set([k, ...graph.needs[k]!.map((n) => n.index), ...graph.neededBy[k]!]);
  const tried = offers
    .map((o) => ({ o, nearness: o.doses.reduce((sum, dose, i) => sum + (near.has(i) ? (i === k ? 2 : 1) * dose : 0), 0) }))
    .filter((x) => x.nearness > 0)
    .sort((x, y) => y.nearness - x.nearness)
    .filter((x, i, all) => all.findIndex((y) => y.o.game === x.o.game) === i)
    .slice(0, versionsTried);
  const rows = new Map(db.select().from(variants).all().map((v) => [v.id, v]));
  const found = await Promise.all(
    tried.map(async ({ o }) => {
      const v = rows.get(o.variant)!;
      const job = await startJob<readonly Change[]>({ kind: 'changes', mechanism: v.mechanism!, parameters: v.parameters, seats: usualSeats({ min: v.playersMin, max: v.playersMax }), wish: { skill }, seed }).finished;
      const titles = mechanismById(v.mechanism!)!.parametersSchema.properties;
      return (job.result ?? []).map((c) => ({ game: o.game, variant: o.variant, gameTitle: o.gameTitle, title: o.title, parameter: c.parameter, parameterTitle: String(titles[c.parameter]?.['title'] ?? c.parameter), value: c.value, before: c.before, after: c.after, minutes: c.minutes }));
    }),
  );
  const changes = found.flat().sort((x, y) => y.after.mean - x.after.mean).slice(0, mostChanged);
  return { skill, library, changes };
}
