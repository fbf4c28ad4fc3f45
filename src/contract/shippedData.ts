import { skillGraph, type SkillFile, type SkillGraph } from '../core/skills/skillGraph';
import type { ShippedKind } from '../core/materials/kind';
import { cautionOf } from '../core/safety/hazards';
import type { Substitute } from '../core/materials/substitutes';
import counting from '../../data/skills/1-counting.json';
import bonds from '../../data/skills/2-bonds.json';
import add from '../../data/skills/3-add.json';
import subtract from '../../data/skills/4-subtract.json';
import placeValue from '../../data/skills/5-place-value.json';
import multiply from '../../data/skills/6-multiply.json';
import fractions from '../../data/skills/7-fractions.json';
import measuring from '../../data/skills/8-measuring.json';
import patterns from '../../data/skills/9-patterns.json';
import shapes from '../../data/skills/10-shapes.json';
import kinds from '../../data/kinds/kinds.json';
import substitutes from '../../data/kinds/substitutes.json';

export const shippedSkillFiles = [
  counting,
  bonds,
  add,
  subtract,
  placeValue,
  multiply,
  fractions,
  measuring,
  patterns,
  shapes,
] as unknown as readonly SkillFile[];

let graph: SkillGraph | null = null;

/** The shipped skill graph, checked once. @throws when the shipped data is broken. */
export function shippedGraph(): SkillGraph {
  if (graph) return graph;
  const built = skillGraph(shippedSkillFiles);
  if (!built.ok) throw new Error(built.problem.message);
  graph = built.value;
  return graph;
}

export const shippedKinds: readonly ShippedKind[] = (kinds as readonly ShippedKind[]).map((k) => ({
  ...k,
  ...(k.hazards ? { caution: cautionOf(k.hazards)! } : {}),
}));
/** What will do for what, the best first. */
export const shippedSubstitutes = substitutes as readonly Substitute[];
