import { addDays } from '../shared/days';
import type { EstimateStep } from './mapState';

/** How far back "lately" reaches, in days, and the rise from which a skill has moved. */
const latelyDays = 28;
const leastRise = 0.08;

export interface Moved {
  readonly skill: string;
  /** Height of the arm before the first and after the last note of the time looked at. */
  readonly from: number;
  readonly to: number;
}

/**
 * Skills whose arm rose by what people noted lately, the largest rise first. An arm stays up
 * while something is likely forgotten, so getting that back is no rise.
 */
export function movedLately(
  estimates: readonly {
    readonly skill: string;
    readonly steps: readonly Pick<EstimateStep, 'evidence' | 'at' | 'because' | 'before' | 'after'>[];
  }[],
  today: string,
): Moved[] {
  const since = addDays(today, -latelyDays);
  const moved = estimates.flatMap(({ skill, steps }): Moved[] => {
    const arm = steps.filter((s) => s.because !== 'forgotten');
    // What a neighbour's note tells is no move of its own.
    const first = arm.findIndex((s) => s.evidence !== null && s.because !== 'neighbour' && s.at !== null && s.at >= since);
    if (first < 0) return [];
    const [from, to] = [first > 0 ? arm[first - 1]!.after : arm[first]!.before, arm.at(-1)!.after];
    return to - from >= leastRise ? [{ skill, from, to }] : [];
  });
  return moved.sort((x, y) => y.to - y.from - (x.to - x.from) || (x.skill < y.skill ? -1 : 1));
}
