import type { Skill } from './skill';

/** What a step is known by here; a step of the owner's may have no codes. */
type Placed = Pick<Skill, 'codes' | 'wantedAt'>;

/**
 * The grades (K is 0) whose published codes name a step; without one, the grade at whose end it is wanted,
 * grade n being for children of n + 5 to n + 6 years (common practice in the United States, from memory).
 *
 * @example
 * gradesOfSkill({ codes: ['2.OA.B.2', '3.NBT.A.2', 'Y2-AS-4'], wantedAt: { us: 8 } }); // => [2, 3]
 */
export function gradesOfSkill(s: Placed): number[] {
  const coded = s.codes.flatMap((code) => /^(K|[1-6])\.[A-Z]/.exec(code)?.[1] ?? []).map((g) => (g === 'K' ? 0 : Number(g)));
  if (coded.length > 0) return [...new Set(coded)].sort((a, b) => a - b);
  const wanted = s.wantedAt['us'];
  return wanted === undefined || wanted === null ? [] : [Math.min(6, Math.max(0, Math.ceil(wanted) - 6))];
}
