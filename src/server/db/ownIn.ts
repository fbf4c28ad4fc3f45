import type { OwnAdditions } from '../../contract/graphInUse';
import type { Db, Tx } from './db';
import { ownEdges, ownSkills } from './schema';

/** What the owner added to the skill graph, as it stands in the database. */
export function ownIn(db: Db | Tx): OwnAdditions {
  return {
    skills: db.select().from(ownSkills).all().map((r) => r.skill),
    edges: db.select().from(ownEdges).all().map((r) => ({ skill: r.skill, needs: r.needs, sort: r.sort })),
  };
}
