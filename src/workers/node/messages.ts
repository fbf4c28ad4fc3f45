import type { OwnAdditions } from '../../contract/graphWith';
import type { PlanInstance, Schedule } from '../../core/planning/instance';
import type { PlanningInput } from '../../core/planning/planTerm';
import type { Found } from '../../core/planning/searchFrom';
import type { Coverable } from '../../core/recommend/mostCovered';
import type { SheetPage, SheetRequest } from '../../core/print/sheetPage';
import type { Problem } from '../../core/shared/codes';
import type { SeatRequest } from '../../core/simulate/seats';
import type { Precision } from '../../core/simulate/simulation';
import type { Wish } from '../../core/simulate/searchChanges';
import type { TimeModel } from '../../core/simulate/timeModel';

export interface SimulateTask {
  readonly kind: 'simulate';
  /** Skills the owner added, which a worker cannot look up; none when left out. */
  readonly own?: OwnAdditions;
  readonly mechanism: string;
  readonly parameters: object;
  readonly seats: number | readonly SeatRequest[];
  readonly seed: number;
  readonly games?: number;
  readonly precision?: Precision;
  /** Seconds that differ from the usual ones. */
  readonly time?: Partial<TimeModel>;
}

export interface PlanTask {
  readonly kind: 'plan';
  readonly own: OwnAdditions;
  readonly input: PlanningInput;
  /** One number; other than 0 it says: end soon, with the best so far. */
  readonly stop?: SharedArrayBuffer;
}

/** What to do when something goes wrong with a session that stands. */
export interface PlanBTask {
  readonly kind: 'plan-b';
  readonly own: OwnAdditions;
  /** One meeting, with its seats to be kept. */
  readonly input: PlanningInput;
}

/** The second start of a search and the bound, beside the first. */
export interface SearchTask {
  readonly kind: 'search';
  readonly instance: PlanInstance;
  readonly first: Schedule;
  readonly seed: number;
  readonly start: number;
  readonly moves: number;
  readonly stop?: SharedArrayBuffer;
}

export interface SearchResult {
  readonly found: Found;
  readonly bound: number;
}

/** Luck, turn order and what evens a table. */
export interface FairnessTask {
  readonly kind: 'fairness';
  readonly mechanism: string;
  readonly parameters: object;
  readonly seats: number | readonly SeatRequest[];
  readonly seed: number;
  readonly games: number;
}

/** How a game between like players goes until it is won. */
export interface CourseTask extends Omit<FairnessTask, 'kind'> {
  readonly kind: 'course';
}

/** "What would give more …?" */
export interface ChangesTask {
  readonly kind: 'changes';
  readonly mechanism: string;
  readonly parameters: object;
  readonly seats: number;
  readonly wish: Wish;
  readonly seed: number;
}

/** Which single changes of several versions bring chances for one skill. */
export interface GapTask {
  readonly kind: 'gap';
  readonly own: OwnAdditions;
  readonly skill: string;
  readonly versions: readonly { readonly mechanism: string; readonly parameters: object; readonly seats: number }[];
  readonly seed: number;
}

/** Which single changes make a version easier or harder for the children of a table. */
export interface FitTask {
  readonly kind: 'fit';
  readonly own: OwnAdditions;
  readonly mechanism: string;
  readonly parameters: object;
  readonly seats: number;
  /** Expected share of right answers by index of the skill, child by child. */
  readonly successes: readonly (readonly number[])[];
  /** Settings of the versions it must be able to share a table with. */
  readonly beside: readonly object[];
  readonly direction: 'easier' | 'harder';
  readonly seed: number;
}

/** How likely each is to win at each of several tables; nothing for a table of one, or a game that nobody can win. */
export interface WinsTask {
  readonly kind: 'wins';
  readonly mechanism: string | null;
  readonly tables: readonly (readonly SeatRequest[])[];
  readonly seed: number;
  readonly games: number;
}

/** One game, told. */
export interface StoryTask {
  readonly kind: 'story';
  readonly mechanism: string;
  readonly parameters: object;
  readonly seats: number | readonly SeatRequest[];
  readonly seed: number;
  readonly game: number;
}

/** Ends its worker without an answer, so that recovery can be tested. */
export interface CrashTask {
  readonly kind: 'crash';
}

/** A workbook to be read; it takes long, so no page waits for it. */
export interface SheetTask {
  readonly kind: 'sheet';
  readonly bytes: Uint8Array;
}

/** Sets and pages to lay out and, when they are wanted on paper, to draw; in their order. */
export interface PrintTask {
  readonly kind: 'print';
  readonly title: string;
  readonly parts: readonly ({ readonly sheet: string; readonly request: SheetRequest } | { readonly pages: readonly SheetPage[] })[];
  readonly wants: 'layout' | 'pdf';
  /** The directory that holds the installed packages, for the faces. */
  readonly root: string;
}

/** What to make or buy next, solved exactly. */
export interface CoverTask extends Coverable {
  readonly kind: 'cover';
  readonly seconds: number;
}

export type Task =
  | SheetTask
  | PrintTask
  | CoverTask
  | SimulateTask
  | FairnessTask
  | CourseTask
  | ChangesTask
  | GapTask
  | FitTask
  | StoryTask
  | PlanTask
  | PlanBTask
  | SearchTask
  | WinsTask
  | CrashTask;

export type FromWorker =
  | { readonly type: 'progress'; readonly share: number }
  /** Something that is worth keeping already: one meeting of several, final or the best so far. */
  | { readonly type: 'part'; readonly index: number; readonly part: unknown; readonly final: boolean }
  | { readonly type: 'done'; readonly result: unknown }
  | { readonly type: 'failed'; readonly problem: Problem };
