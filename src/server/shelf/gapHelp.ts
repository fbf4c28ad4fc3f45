import type { GapHelpWire } from '../../contract/wire/practice';
import type { Kept } from '../../contract/wire/route';
import { graphOf, ownOf } from '../db/graphOf';
import { libraryIn, titlesAnywhere } from '../../contract/libraryIn';
import { shippedProfile } from '../../contract/shippedLibrary';
import { countryOf } from '../shared/country';
import { mechanismById } from '../../core/mechanisms/registry';
import { nameKey } from '../../core/content/names';
import type { Change } from '../../core/simulate/searchChanges';
import { usualSeats } from '../../core/simulate/usualSeats';
import type { Db } from '../db/db';
import { games, variants } from '../db/schema';
import { refuse } from '../http/problemError';
import type { Job } from '../jobs/jobList';
import { startJob } from '../jobs/pool';
import { offersOf } from './offers';

const mostFromLibrary = 4;
const mostChanged = 3;
/** Versions on the shelf whose parameters are turned: those nearest to the skill. */
const versionsTried = 3;
const leastDose = 0.5;
/** Chances in ten minutes below which a change is no advice; how fast somebody is, is none either. */
const leastUseful = 2;
const seed = 7;

/** What would help: shipped games that are not on the shelf, at once; changes of those that are, by a job. */
export type GapHelp = Kept<GapHelpWire>;

/** Shipped versions not on the shelf that practise a skill, by their committed profiles. */
function inLibrary(db: Db, skill: string): GapHelp['library'] {
  const owned = new Set(
    db
      .select()
      .from(games)
      .all()
      .map((g) => nameKey(g.title)),
  );
  const country = countryOf(db);
  return libraryIn(country)
    .filter((g) => !titlesAnywhere(g.id).some((t) => owned.has(nameKey(t))))
    .flatMap((g) =>
      g.variants.flatMap((v) =>
        (shippedProfile(g.id, v.id, country.id)?.doses ?? [])
          .filter(([id, mean]) => id === skill && mean >= leastDose)
          .map(([, mean, error]) => ({ game: g.id, title: g.title, version: v.title, perTenMinutes: mean, standardError: error })),
      ),
    )
    .sort((x, y) => y.perTenMinutes - x.perTenMinutes)
    .slice(0, mostFromLibrary);
}

/**
 * Where no game on the shelf practises a skill enough: shipped games that are not on the
 * shelf, and single changes of the versions nearest to it, each measured by the engine.
 */
export async function startGapHelp(db: Db, skill: string): Promise<Job<GapHelp>> {
  const graph = graphOf(db);
  const k = graph.indexOf.get(skill);
  if (k === undefined) throw refuse('unknown-skill', `There is no skill "${skill}".`, 'skill');
  const library = inLibrary(db, skill);
  // A version that practises the skill a little, or what leads to it or follows, is nearest.
  const near = new Set([k, ...graph.needs[k]!.map((n) => n.index), ...graph.neededBy[k]!]);
  const tried = (await offersOf(db))
    .filter((o) => o.mechanism !== null)
    .map((o) => ({ o, nearness: o.doses.reduce((sum, dose, i) => sum + (near.has(i) ? (i === k ? 2 : 1) * dose : 0), 0) }))
    .filter((x) => x.nearness > 0)
    .sort((x, y) => y.nearness - x.nearness)
    .filter((x, i, all) => all.findIndex((y) => y.o.game === x.o.game) === i)
    .slice(0, versionsTried)
    .map((x) => x.o);
  const rows = new Map(
    db
      .select()
      .from(variants)
      .all()
      .map((v) => [v.id, v]),
  );
  const versions = tried.map((o) => ({
    mechanism: o.mechanism!,
    parameters: rows.get(o.variant)!.parameters,
    seats: usualSeats({ min: o.players[0], max: o.players[1] }),
  }));
  return startJob({ kind: 'gap', own: ownOf(db), skill, versions, seed }, (found: readonly (readonly Change[])[]) => {
    const useful = (c: Change): boolean => c.after.mean >= leastUseful && !/^seconds/i.test(c.parameter);
    const changes = found.flatMap((list, i) => {
      const o = tried[i]!;
      const titles = mechanismById(o.mechanism!)!.parametersSchema.properties;
      return list.filter(useful).map((c) => ({
        game: o.game,
        variant: o.variant,
        gameTitle: o.gameTitle,
        title: o.title,
        ...c,
        parameterTitle: String(titles[c.parameter]?.['title'] ?? c.parameter),
      }));
    });
    return { skill, library, changes: changes.sort((x, y) => y.after.mean - x.after.mean).slice(0, mostChanged) };
  });
}
