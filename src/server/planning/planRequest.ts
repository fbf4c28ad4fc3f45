import type { PlanBody } from '../../contract/wire/plans';

/** What a session is asked for with. */
export type PlanRequest = PlanBody;

export type FullRequest = PlanRequest & { date: string };

/** What holds where a request does not say it. */
export const planDefaults = { seconds: 2, preparationMinutes: 120 };
