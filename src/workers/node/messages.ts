import type { PlannedMeeting, PlanningInput } from '../../core/planning/planTerm';
import type { Problem } from '../../core/shared/codes';
import type { Precision, SeatRequest } from '../../core/simulate/simulation';
import type { SimulationResult } from '../../core/simulate/simulationResult';

export interface SimulateTask {
  readonly kind: 'simulate';
  readonly mechanism: string;
  readonly parameters: object;
  readonly seats: number | readonly SeatRequest[];
  readonly seed: number;
  readonly games?: number;
  readonly precision?: Precision;
}

export interface PlanTask {
  readonly kind: 'plan';
  readonly input: PlanningInput;
}

/** Ends its worker without an answer, so that recovery can be tested. */
export interface CrashTask {
  readonly kind: 'crash';
}

export type Task = SimulateTask | PlanTask | CrashTask;

export interface TaskResults {
  simulate: SimulationResult;
  plan: PlannedMeeting[];
  crash: never;
}

export type FromWorker =
  | { readonly type: 'progress'; readonly share: number }
  | { readonly type: 'done'; readonly result: unknown }
  | { readonly type: 'failed'; readonly problem: Problem };
