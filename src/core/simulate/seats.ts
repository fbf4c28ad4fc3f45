import type { Mechanism, Policy, Seat } from '../mechanisms/mechanism';

/** A seat as asked from outside: defaults are filled in by `seatsFor`. */
export interface SeatRequest {
  readonly policy?: Policy;
  readonly errorRate?: number;
  readonly parameters?: object;
  readonly headStart?: number;
}

export const DEFAULT_ERROR_RATE = 0.15;

/** Full seats from a number of players or a list of seats with their own parameters. */
export function seatsFor(mechanism: Mechanism, parameters: object, seats: number | readonly SeatRequest[]): Seat<object>[] {
  const list: readonly SeatRequest[] = typeof seats === 'number' ? Array.from({ length: seats }, () => ({})) : seats;
  return list.map((seat) => ({
    parameters: { ...mechanism.defaults, ...parameters, ...seat.parameters },
    policy: seat.policy ?? 'typical',
    errorRate: seat.errorRate ?? DEFAULT_ERROR_RATE,
    headStart: seat.headStart ?? 0,
  }));
}
