/** Sorts of work that get a game ready; what is of one sort is done in one go. */
export const prepSorts = ['print', 'colour', 'laminate', 'cut', 'mark', 'bag', 'collect', 'other'] as const;
export type PrepSort = (typeof prepSorts)[number];

/** One thing to do once before a version can be played. */
export interface PrepStep {
  readonly sort: PrepSort;
  /** In the owner's words; empty where the sort says it all. */
  readonly what: string;
  readonly minutes: number;
}

/** Something that is used up by getting a version ready. */
export interface UsedUp {
  readonly what: string;
  readonly quantity: number;
  /** What all of it costs, in the owner's money; null where nobody wrote it down. */
  readonly cost: number | null;
}

/** How a whole that names no steps is ticked off. */
export const wholeStep = 'all';

/** What has to be done to get a version ready: its steps by their number, or the whole where none are named. */
export function stepsOf(version: {
  readonly steps: readonly PrepStep[];
  readonly preparationMinutes: number;
}): (PrepStep & { readonly id: string })[] {
  if (version.steps.length > 0) return version.steps.map((s, i) => ({ ...s, id: String(i) }));
  return version.preparationMinutes > 0 ? [{ id: wholeStep, sort: 'other', what: '', minutes: version.preparationMinutes }] : [];
}

/** Minutes that are left to get it ready, when some of it is done. */
export const minutesLeft = (
  version: { readonly steps: readonly PrepStep[]; readonly preparationMinutes: number },
  done: ReadonlySet<string> | undefined,
): number => stepsOf(version).reduce((sum, s) => sum + (done?.has(s.id) ? 0 : s.minutes), 0);

/** Minutes of a version whose steps are named: their sum. */
export const minutesOfSteps = (steps: readonly PrepStep[]): number => steps.reduce((sum, s) => sum + s.minutes, 0);
