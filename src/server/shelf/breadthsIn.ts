import { breadthsOf } from '../../core/skills/breadth';
import type { SkillGraph } from '../../core/skills/skillGraph';

const known = new WeakMap<SkillGraph, Float64Array>();

/** How broad each skill is, worked out once for a graph. */
export function breadthsIn(graph: SkillGraph): Float64Array {
  const values = known.get(graph) ?? breadthsOf(graph);
  known.set(graph, values);
  return values;
}
