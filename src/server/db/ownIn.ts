import type { OwnAdditions } from '../../contract/graphWith';
import { ageOfLevel } from '../../core/frameworks/ageOfLevel';
import type { Db, Tx } from './db';
import { crosswalk, expectations, ownEdges, ownSkills } from './schema';

/** What the owner added to the skill graph, as it stands in the database. */
export function ownIn(db: Db | Tx): OwnAdditions {
  return {
    skills: db
      .select()
      .from(ownSkills)
      .all()
      .map((r) => r.skill),
    edges: db
      .select()
      .from(ownEdges)
      .all()
      .map((r) => ({ skill: r.skill, needs: r.needs, sort: r.sort })),
    norms: normsIn(db),
  };
}

/** Ages from the levels of tied expectations; of several for one skill the latest, when all of it is wanted. */
function normsIn(db: Db | Tx): Record<string, Record<string, number>> {
  const ties = db.select().from(crosswalk).all();
  if (ties.length === 0) return {};
  const level = new Map(
    db
      .select()
      .from(expectations)
      .all()
      .map((e) => [`${e.frameworkId}|${e.identifier}`, ageOfLevel(e.band)]),
  );
  const norms: Record<string, Record<string, number>> = {};
  for (const t of ties) {
    const age = level.get(`${t.frameworkId}|${t.identifier}`);
    if (age === undefined || age === null) continue;
    const ages = (norms[t.frameworkId] ??= {});
    ages[t.skill] = Math.max(age, ages[t.skill] ?? 0);
  }
  return norms;
}
