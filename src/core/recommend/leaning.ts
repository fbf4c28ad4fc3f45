import { daysBetween } from '../shared/days';

/** Steps to be met in the week that begins on a Monday, by index, for learners who follow a framework; `*` for everybody. */
export interface PacedWeek {
  readonly week: string;
  readonly framework: string;
  readonly skills: readonly number[];
}

/** How much more a step of the list is wanted: in its own week and the one after, and a little in the one before (common practice, no source). */
export const LEANING = { now: 1.6, soon: 1.25 };

/**
 * What plans lean to on a day, by index of the step: how many times its need counts. A list never opens what a child is not
 * ready for: need falls with readiness all the same.
 */
export function leaningOn(pacing: readonly PacedWeek[], day: string, framework: string): ReadonlyMap<number, number> {
  const leaning = new Map<number, number>();
  for (const { week, skills, framework: of } of pacing) {
    if (of !== framework && of !== '*') continue;
    const days = daysBetween(week, day);
    const factor = days >= 0 && days < 14 ? LEANING.now : days >= -7 && days < 0 ? LEANING.soon : 1;
    if (factor > 1) for (const k of skills) leaning.set(k, Math.max(factor, leaning.get(k) ?? 1));
  }
  return leaning;
}
