/** One game (or one way of sharing a game) that a table may play. */
export interface PlanGame {
  readonly min: number;
  readonly max: number;
  /** Kind index and quantity per table. */
  readonly materials: readonly (readonly [number, number])[];
  /** Helpers bound to such a table. */
  readonly helper: number;
  readonly preparation: number;
  /** Games of one family count as the same game for "no repeats"; own index when absent. */
  readonly family?: number;
}

/**
 * One session to plan. Learners l, games g, gaps i of a learner:
 * value[l][g] is −1 when g is barred, dose[l][g] lists how far g serves each gap.
 */
export interface PlanInstance {
  readonly name?: string;
  readonly learners: number;
  readonly rounds: number;
  readonly tables: number;
  readonly helpers: number;
  readonly preparationMinutes: number;
  readonly stock: readonly number[];
  /** Worth of the first, second and third unit of dose on one gap; falling. */
  readonly slopes: readonly number[];
  readonly games: readonly PlanGame[];
  readonly gaps: readonly (readonly number[])[];
  readonly value: readonly (readonly number[])[];
  readonly dose: readonly (readonly (readonly (readonly [number, number])[] | null)[])[];
  readonly locks?: readonly PlanLock[];
  /** Learners who rest in a round, as [learner, round]. */
  readonly resting?: readonly (readonly [number, number])[];
}

/** Keeps a learner at a game in a round. */
export interface PlanLock {
  readonly learner: number;
  readonly round: number;
  readonly game: number;
}

export interface PlannedTable {
  readonly game: number;
  readonly learners: readonly number[];
}

/** Tables of each round. */
export type Schedule = readonly (readonly PlannedTable[])[];

export const familyOf = (instance: PlanInstance, game: number): number => instance.games[game]!.family ?? game;

export function rests(instance: PlanInstance, learner: number, round: number): boolean {
  return instance.resting?.some(([l, r]) => l === learner && r === round) ?? false;
}
