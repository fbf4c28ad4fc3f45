import { mechanismById } from '../mechanisms/registry';
import type { Mechanism, Seat } from '../mechanisms/mechanism';
import { schemaProblem } from '../play/schemaValues';
import { fail, ok, type Result } from '../shared/codes';
import { seatsFor, type SeatRequest } from './seats';

/** A table that can be played: parameters and seats checked without a schema library. */
export function tableOf(
  id: string,
  parameters: object,
  seats: number | readonly SeatRequest[],
): Result<{ mechanism: Mechanism; seats: Seat<object>[] }> {
  const mechanism = mechanismById(id);
  if (!mechanism) return fail({ code: 'unknown-mechanism', field: 'mechanism', message: `There is no mechanism "${id}".` });
  const count = typeof seats === 'number' ? seats : seats.length;
  if (!Number.isInteger(count) || count < mechanism.seats.min || count > mechanism.seats.max)
    return fail({
      code: 'out-of-range',
      field: 'seats',
      message: `${mechanism.title} is played by ${mechanism.seats.min} to ${mechanism.seats.max}, not ${count}.`,
    });
  const full = seatsFor(mechanism, parameters, seats);
  for (const seat of full) {
    const problem = schemaProblem(mechanism.parametersSchema.properties, seat.parameters) ?? mechanism.check(seat.parameters);
    if (problem) return fail(problem);
  }
  const together = mechanism.checkTable?.(full) ?? null;
  return together ? fail(together) : ok({ mechanism, seats: full });
}
