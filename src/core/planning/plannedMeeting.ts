import type { PlanOutcome } from './planSession';

/**
 * Why a seat is good for a learner: open and everything before it there; open with something
 * before it still growing; held and met again after a while; or held, and played for the joy of it.
 */
export type SeatBecause = 'ready' | 'near' | 'again' | 'joy';

export interface PlannedSeat {
  readonly learner: string;
  readonly variant: string;
  /** Skill that weighs most, its chances in the round, expected success. */
  readonly skill: string | null;
  readonly because: SeatBecause;
  /** The tool to lay out: the one this child keeps, else the lightest that keeps success in the band. */
  readonly tool: string | null;
  readonly chances: number;
  readonly success: number;
  readonly stretched: boolean;
  /** The child whose seat it is, where two play it as partners. */
  readonly with?: string;
  /** The step stands on a pacing list for these weeks. */
  readonly paced?: boolean;
}

/** One thing that would help: a number of the session that is larger, things to be had, or something that is let go. */
export interface HelpingStep {
  readonly relax: 'tables' | 'helpers' | 'preparation' | 'stock' | 'lock' | 'repeats' | 'lively' | 'apart';
  readonly by?: number;
  readonly kind?: string;
  readonly lock?: SeatName;
  /** What the fixed seat cannot be kept beside. */
  readonly beside?: SeatName;
}

export interface SeatName {
  readonly learner: string;
  readonly round: number;
  readonly game: string;
}

export interface MissingSeats {
  readonly unseatedBefore: number;
  readonly unseatedAfter: number;
  readonly steps: readonly HelpingStep[];
}

export interface PlannedMeeting {
  readonly date: string;
  readonly status: PlanOutcome['status'];
  readonly objective: number;
  readonly bound: number;
  /** Where seats were to be kept: how many are others now, and the share of worth given up for the rest. */
  readonly changes: { readonly seats: number; readonly of: number; readonly price: number } | null;
  /** Ways to share a game that were looked at closely, where the shelf has more; the bound is one over those. */
  readonly considered: number | null;
  /** Why not all have a seat, and the smallest set of things that together would bring it; null where all have. */
  readonly missing: MissingSeats | null;
  readonly rounds: readonly {
    readonly tables: readonly {
      readonly game: string;
      readonly seats: readonly PlannedSeat[];
      /** The child whose note would tell most for what comes next; null where no seat is for a step. */
      readonly lookFor: string | null;
      /** A grown-up takes a seat. */
      readonly grownUp?: boolean;
    }[];
    /** A game to be played alone for those who rest and did not ask for it; null where there is none. */
    readonly meanwhile: readonly { readonly learner: string; readonly variant: string | null }[];
    readonly resting: readonly string[];
  }[];
}
