import { type Item, type Operation, operations } from '../items/item';
import { fail, ok, type Problem, type Result } from '../shared/codes';
import { compilePredicate, type ItemTest, operationsOf } from './compilePredicate';
import type { PrerequisiteSort, Skill, Strand } from './skill';

export interface SkillGraph {
  readonly skills: readonly Skill[];
  readonly strands: readonly Strand[];
  readonly indexOf: ReadonlyMap<string, number>;
  readonly tests: readonly (ItemTest | null)[];
  /** Indices of the skills that an item of each operation may be a chance for: most tests need not be asked. */
  readonly askedFor: ReadonlyMap<Operation, readonly number[]>;
  /** Direct prerequisites by index. */
  readonly needs: readonly (readonly { readonly index: number; readonly sort: PrerequisiteSort }[])[];
  /** Skills that need this one, by index. */
  readonly neededBy: readonly (readonly number[])[];
  /** Indices with every prerequisite before what needs it. */
  readonly order: readonly number[];
}

export interface SkillFile {
  readonly strand: {
    readonly id: string;
    readonly title: string;
    readonly hue: string;
    readonly line: string;
    readonly ladder: readonly string[];
  };
  readonly skills: readonly Skill[];
}

/**
 * Builds the graph and refuses duplicates, unknown prerequisites, cycles, and skills
 * that have neither a predicate nor a reason for having none.
 */
export function skillGraph(files: readonly SkillFile[]): Result<SkillGraph> {
  const skills = files.flatMap((file) => file.skills);
  const indexOf = new Map<string, number>();
  for (const [index, skill] of skills.entries()) {
    if (indexOf.has(skill.id)) return fail(problem('duplicate', `The skill "${skill.id}" is there twice.`, skill.id));
    if (skill.predicate === null && !skill.whyNoItems)
      return fail(problem('malformed', `"${skill.id}" has neither a predicate nor a reason why items cannot express it.`, skill.id));
    indexOf.set(skill.id, index);
  }
  const neededBy: number[][] = skills.map(() => []);
  const needs = skills.map((): { index: number; sort: PrerequisiteSort }[] => []);
  for (const [index, skill] of skills.entries()) {
    for (const prerequisite of skill.prerequisites) {
      const before = indexOf.get(prerequisite.id);
      if (before === undefined)
        return fail(problem('unknown-skill', `"${skill.id}" needs "${prerequisite.id}", which does not exist.`, skill.id));
      needs[index]!.push({ index: before, sort: prerequisite.sort });
      neededBy[before]!.push(index);
    }
  }
  const order = orderOf(skills, needs, neededBy);
  if (!order.ok) return order;
  const strands = files.map((file) => ({ ...file.strand, skills: file.skills.map((s) => s.id) }));
  const tests = skills.map((s) => (s.predicate ? compilePredicate(s.predicate) : null));
  return ok({ skills, strands, indexOf, tests, askedFor: askedFor(skills), needs, neededBy, order: order.value });
}

function askedFor(skills: readonly Skill[]): Map<Operation, number[]> {
  const asked = new Map<Operation, number[]>(operations.map((op) => [op, []]));
  for (const [index, skill] of skills.entries())
    if (skill.predicate) for (const op of operationsOf(skill.predicate) ?? operations) asked.get(op)!.push(index);
  return asked;
}

function problem(code: Problem['code'], message: string, detail: unknown): Problem {
  return { code, message, field: 'prerequisites', detail };
}

/** Kahn's topological order; what is left over lies on a cycle. */
function orderOf(
  skills: readonly Skill[],
  needs: readonly (readonly { index: number }[])[],
  neededBy: readonly (readonly number[])[],
): Result<readonly number[]> {
  const open = needs.map((n) => n.length);
  const ready = open.flatMap((n, i) => (n === 0 ? [i] : []));
  const order: number[] = [];
  while (ready.length > 0) {
    const next = ready.shift()!;
    order.push(next);
    for (const after of neededBy[next]!) {
      open[after]! -= 1;
      if (open[after] === 0) ready.push(after);
    }
  }
  if (order.length === skills.length) return ok(order);
  const stuck = skills.filter((_, i) => open[i]! > 0).map((s) => s.id);
  return fail(problem('cycle', `These skills need one another in a circle: ${stuck.join(', ')}.`, stuck));
}

/** Indices of the skills that an item is a chance for. */
export function chancesOf(graph: SkillGraph, item: Item): number[] {
  return graph.askedFor.get(item.op)!.filter((i) => graph.tests[i]!(item));
}

/** All prerequisites of a skill, direct and further back, without the skill itself. */
export function prerequisitesOf(graph: SkillGraph, index: number): Set<number> {
  const seen = new Set<number>();
  const visit = (at: number): void => {
    for (const { index: before } of graph.needs[at]!) {
      if (seen.has(before)) continue;
      seen.add(before);
      visit(before);
    }
  };
  visit(index);
  return seen;
}
