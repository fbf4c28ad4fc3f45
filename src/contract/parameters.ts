import Ajv2020 from 'ajv/dist/2020.js';
import type { ValidateFunction } from 'ajv';
import type { Mechanism } from '../core/mechanisms/mechanism';
import { mechanismById } from '../core/mechanisms/registry';
import { fail, ok, type Result } from '../core/shared/codes';
import { DEFAULT_ERROR_RATE, seatsFor, type SeatRequest } from '../core/simulate/seats';
import type { Seat } from '../core/mechanisms/mechanism';

const ajv = new Ajv2020({ allErrors: false, strict: false });
const validators = new Map<string, ValidateFunction>();

function validatorOf(mechanism: Mechanism): ValidateFunction {
  let validate = validators.get(mechanism.id);
  if (!validate) {
    validate = ajv.compile(mechanism.parametersSchema);
    validators.set(mechanism.id, validate);
  }
  return validate;
}

/** Parameters against the mechanism's schema, without the cross-field checks. */
function checkShape(mechanism: Mechanism, parameters: object, prefix: string): Result<null> {
  const validate = validatorOf(mechanism);
  if (validate(parameters)) return ok(null);
  const error = validate.errors![0]!;
  const name =
    error.keyword === 'additionalProperties'
      ? (error.params as { additionalProperty: string }).additionalProperty
      : error.instancePath.slice(1).replaceAll('/', '.');
  const why =
    error.keyword === 'additionalProperties'
      ? `${mechanism.title} has no parameter "${name}".`
      : `"${name}" ${error.message}${error.keyword === 'enum' ? `: ${(error.params as { allowedValues: unknown[] }).allowedValues.join(', ')}` : ''}.`;
  return fail({ code: 'out-of-range', field: `${prefix}${name}`, message: why });
}

/** Fills in defaults, then checks one variant's parameters whole. */
export function checkParameters(mechanismId: string, parameters: object): Result<object> {
  const mechanism = mechanismById(mechanismId);
  if (!mechanism) return fail({ code: 'unknown-mechanism', field: 'mechanism', message: `There is no mechanism "${mechanismId}".` });
  const shape = checkShape(mechanism, parameters, 'parameters.');
  if (!shape.ok) return shape;
  const full = { ...mechanism.defaults, ...parameters };
  const problem = mechanism.check(full);
  if (problem) return fail({ ...problem, field: `parameters.${problem.field ?? ''}` });
  return ok(full);
}

/** Checks a whole table: every seat's parameters, then what seats may not do together. */
export function checkTable(
  mechanismId: string,
  parameters: object,
  seats: number | readonly SeatRequest[],
): Result<{ mechanism: Mechanism; seats: Seat<object>[] }> {
  const base = checkParameters(mechanismId, parameters);
  if (!base.ok) return base;
  const mechanism = mechanismById(mechanismId)!;
  const count = typeof seats === 'number' ? seats : seats.length;
  if (!Number.isInteger(count) || count < mechanism.seats.min || count > mechanism.seats.max)
    return fail({
      code: 'out-of-range',
      field: 'seats',
      message: `${mechanism.title} is played by ${mechanism.seats.min} to ${mechanism.seats.max}, not ${count}.`,
    });
  const list = typeof seats === 'number' ? [] : seats;
  for (const [i, seat] of list.entries()) {
    const rate = seat.errorRate ?? DEFAULT_ERROR_RATE;
    if (!(rate >= 0 && rate <= 1))
      return fail({ code: 'out-of-range', field: `seats.${i}.errorRate`, message: 'An error rate lies between 0 and 1.' });
    const own = seat.parameters ?? {};
    const shape = checkShape(mechanism, own, `seats.${i}.parameters.`);
    if (!shape.ok) return shape;
    const problem = mechanism.check({ ...mechanism.defaults, ...parameters, ...own });
    if (problem) return fail({ ...problem, field: `seats.${i}.parameters.${problem.field ?? ''}` });
  }
  const full = seatsFor(mechanism, parameters, seats);
  const together = mechanism.checkTable?.(full) ?? null;
  return together ? fail({ ...together, field: `parameters.${together.field ?? ''}` }) : ok({ mechanism, seats: full });
}
