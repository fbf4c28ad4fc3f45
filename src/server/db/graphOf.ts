import { graphFor, graphWith, noAdditions, type OwnAdditions } from '../../contract/graphWith';
import type { SkillGraph } from '../../core/skills/skillGraph';
import { type Db, sessionOf, type Tx } from './db';
import { ownIn } from './ownIn';

interface Known {
  readonly own: OwnAdditions;
  readonly graph: SkillGraph;
}

/** By connection, which a database and its transactions share. */
const byConnection = new WeakMap<object, Known>();

function knownOf(db: Db | Tx): Known {
  const known = byConnection.get(sessionOf(db));
  if (known) return known;
  const own = soundPart(ownIn(db));
  const fresh = { own, graph: graphFor(own) };
  byConnection.set(sessionOf(db), fresh);
  return fresh;
}

/** The skill graph of a workspace: the shipped one, and what its owner added. */
export const graphOf = (db: Db | Tx): SkillGraph => knownOf(db).graph;

/** What the owner added, for workers, which cannot look it up. */
export const ownOf = (db: Db | Tx): OwnAdditions => knownOf(db).own;

/** To be called after own skills, prerequisites or frameworks changed: the graph is read anew. */
export function renewGraph(db: Db | Tx): void {
  byConnection.delete(sessionOf(db));
}

/** All additions, or those that hold together where some do not (any more), as after an update of the shipped skills. */
function soundPart(own: OwnAdditions): OwnAdditions {
  if (graphWith(own).ok) return own;
  let sound: OwnAdditions = { ...noAdditions, norms: own.norms ?? {} };
  for (const skill of own.skills) {
    const more = { ...sound, skills: [...sound.skills, skill] };
    if (graphWith(more).ok) sound = more;
  }
  for (const edge of own.edges) {
    const more = { ...sound, edges: [...sound.edges, edge] };
    if (graphWith(more).ok) sound = more;
  }
  return sound;
}
