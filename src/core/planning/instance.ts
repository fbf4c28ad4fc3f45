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
  /** Price of fetching and explaining it, paid once a session for a family. */
  readonly fetch?: number;
  /** Somebody has to explain it: nobody here has played it yet. */
  readonly fresh?: boolean;
  /** Loud, or played on the floor. */
  readonly loud?: boolean;
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
  /** How often a learner may play games of one family; once where nothing is said. */
  readonly timesEach?: number;
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
  /** Rounds that each learner rested in lately. */
  readonly rested?: readonly number[];
  readonly aims?: PlanAims;
}

/** What is aimed at beside the sum of worth; each has its price in units of worth. */
export interface PlanAims {
  /** What a learner's session is worth below `least[l]` is paid for: `price` for each unit that is missing. */
  readonly floor?: { readonly least: readonly number[]; readonly price: number };
  /** Price of a round without a seat, by learner, and so many times that for the second and further one; rests are allowed only where this is given. */
  readonly rest?: readonly number[];
  /** Seats as they were, game by learner and round (−1 for none): each that stays is worth so much. */
  readonly keep?: { readonly games: readonly (readonly number[])[]; readonly worth: number };
  /** Who sits together: worth of the first, second … meeting of two in this session. */
  readonly together?: readonly { readonly pair: readonly [number, number]; readonly worth: readonly number[] }[];
  /** Two who never share a table. */
  readonly apart?: readonly (readonly [number, number])[];
  /** Tables of games to be explained that a round has people for, and the price of each beyond. */
  readonly fresh?: { readonly free: number; readonly price: number };
  /** Most loud or floor tables in a round. */
  readonly loud?: number;
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

/** Price of so many rounds without a seat: one, then two more, then three more, so that nobody rests twice before others do once. */
export const restPrice = (price: number, times: number): number => (price * times * (times + 1)) / 2;
