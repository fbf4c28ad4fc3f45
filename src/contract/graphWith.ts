import type { PrerequisiteSort, Skill } from '../core/skills/skill';
import { skillGraph, type SkillGraph } from '../core/skills/skillGraph';
import type { Result } from '../core/shared/codes';
import { shippedGraph, shippedSkillFiles } from './shippedData';

/** What an owner added to the shipped graph. */
export interface OwnAdditions {
  readonly skills: readonly Skill[];
  readonly edges: readonly { readonly skill: string; readonly needs: string; readonly sort: PrerequisiteSort }[];
  /** Ages by which frameworks that were brought in want a skill, by framework and skill. */
  readonly norms?: Readonly<Record<string, Readonly<Record<string, number>>>>;
}
export const noAdditions: OwnAdditions = { skills: [], edges: [] };

/** The shipped graph with additions, or what is wrong with them: a circle, an unknown skill, one id twice. */
export function graphWith(additions: OwnAdditions): Result<SkillGraph> {
  const extended = (s: Skill): Skill => {
    const more = additions.edges.filter((e) => e.skill === s.id && !s.prerequisites.some((p) => p.id === e.needs));
    const norms = Object.entries(additions.norms ?? {}).flatMap(([framework, ages]) =>
      ages[s.id] === undefined ? [] : [[framework, ages[s.id]!] as const],
    );
    return more.length + norms.length === 0
      ? s
      : {
          ...s,
          wantedAt: { ...s.wantedAt, ...Object.fromEntries(norms) },
          prerequisites: [...s.prerequisites, ...more.map((e) => ({ id: e.needs, sort: e.sort }))],
        };
  };
  return skillGraph(
    shippedSkillFiles.map((file) => {
      const skills = [...file.skills, ...additions.skills.filter((s) => s.strand === file.strand.id)].map(extended);
      // Own skills stand on their line where they are usually wanted.
      return { ...file, skills: additions.skills.length === 0 ? skills : skills.sort((x, y) => x.wantedAt.us - y.wantedAt.us) };
    }),
  );
}

/** The shipped graph itself when nothing was added, else the one with additions. @throws when they are broken; check with `graphWith` first. */
export function graphFor(additions: OwnAdditions): SkillGraph {
  if (additions.skills.length + additions.edges.length + Object.keys(additions.norms ?? {}).length === 0) return shippedGraph();
  const built = graphWith(additions);
  if (!built.ok) throw new Error(built.problem.message);
  return built.value;
}
