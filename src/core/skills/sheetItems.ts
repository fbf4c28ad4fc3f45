import type { Item } from '../items/item';
import { creditsOf } from './creditsOf';
import { exampleItems } from './exampleItems';
import type { Skill } from './skill';
import { type SkillGraph, skillGraph } from './skillGraph';

type Asked = Pick<Skill, 'id' | 'nature' | 'predicate' | 'prerequisites' | 'asks' | 'placeToStart'>;

/** Examples drawn for each question asked, so that there is something to choose from. */
const drawnForEach = 12;
const turnable: readonly string[] = ['add', 'compose', 'multiply'];

const graphs = new WeakMap<readonly Asked[], SkillGraph>();

/** The graph of a list of skills; what only people read may be missing from it. */
function graphOfAll(all: readonly Asked[]): SkillGraph {
  const known = graphs.get(all);
  if (known) return known;
  const strand = { id: 'all', title: '', hue: '', line: '', ladder: [] };
  const made = skillGraph([{ strand, skills: all.map((s) => ({ ...s, whyNoItems: '–' })) as unknown as readonly Skill[] }]);
  if (!made.ok) throw new Error(made.problem.message);
  graphs.set(all, made.value);
  return made.value;
}

/**
 * Questions for a sheet about one skill: different facts (3 × 8 and 8 × 3 are one), and first
 * those that are credited to it most, so that ten right answers to "times three and four" are not
 * answers to "times one". Fewer than `wanted` where the skill has no more. The same seed asks
 * the same.
 */
export function sheetItems(skill: Asked, all: readonly Asked[], wanted: number, seed = 1): Item[] {
  if (skill.predicate === null) return [];
  const facts = new Map<string, Item>();
  for (const i of exampleItems(skill.predicate, wanted * drawnForEach, seed, skill.asks).match) {
    const [x, y] = turnable.includes(i.op) && i.unknown === 'result' && i.a < i.b ? [i.b, i.a] : [i.a, i.b];
    const key = `${i.op}|${x}|${y}|${i.unknown}`;
    if (!facts.has(key)) facts.set(key, i);
  }
  const items = [...facts.values()];
  const graph = graphOfAll(all);
  const here = graph.indexOf.get(skill.id);
  const share = new Map(items.map((i) => [i, creditsOf(graph, i).find((c) => c.index === here)?.share ?? 0]));
  return items.sort((x, y) => share.get(y)! - share.get(x)!).slice(0, wanted);
}
