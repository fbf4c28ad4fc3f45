import { default_w, forgetting_curve, FSRSAlgorithm, generatorParameters } from 'ts-fsrs';
import type { SkillNature } from '../skills/skill';
import { logistic } from './field';
import { fadingFall, forgetting } from './parameters';

/** What the scheduler remembers of one skill; null before anything was seen. */
export interface Memory {
  readonly difficulty: number;
  readonly stability: number;
}

const algorithm = new FSRSAlgorithm(generatorParameters({}));
/** The scheduler's ratings, by how it went. */
const ratings = { stuck: 1, support: 2, alone: 3, knew: 4 } as const;
export type Rating = keyof typeof ratings;

/** Memory after a skill was met again, `days` after the last time. */
export function remember(memory: Memory | null, days: number, rating: Rating, nature: SkillNature): Memory {
  const { difficulty, stability } = algorithm.next_state(
    memory,
    memory ? Math.max(0, days) * forgetting[nature].memoryDaysPerDay : 0,
    ratings[rating],
  );
  return { difficulty, stability };
}

/** Share that is likely still there `days` after the skill was last met: the scheduler's own curve on a slower clock, slowest for ideas. */
export function retention(memory: Memory | null, days: number, nature: SkillNature): number {
  return memory ? forgetting_curve(default_w, Math.max(0, days) * forgetting[nature].memoryDaysPerDay, memory.stability) : 1;
}

/** How far an ability carries what builds on it, 0 … 1: half at an ability a little under that of a child at its date. */
export const readinessBy = (theta: number): number => logistic(1.5 * (theta - 0.4));

/** θ that is gone when so much is retained: what was hardly there cannot fade. */
export const fallFrom = (theta: number, retained: number): number => fadingFall * (1 - retained) * readinessBy(theta);
