import Ajv2020 from 'ajv/dist/2020.js';
import type { ValidateFunction } from 'ajv';
import type { Country } from '../core/play/country';
import type { SheetRequest } from '../core/print/sheetPage';
import { sheetKindById } from '../core/print/registry';
import type { SheetKind } from '../core/print/sheetKind';
import { fail, ok, type Result } from '../core/shared/codes';

const ajv = new Ajv2020({ allErrors: false, strict: false });
const validators = new Map<string, ValidateFunction>();

/** A set to be printed, as it is asked for: everything but its kind has a usual value. */
export type AskedSheet = { readonly sheet: string } & { readonly [K in keyof Omit<SheetRequest, 'country'>]?: SheetRequest[K] };

/** What a set is printed with unless somebody asks otherwise. */
export const usualRequest = {
  parameters: {},
  seed: 1,
  ink: 'colour',
  duplex: 'none',
  copies: 1,
  form: 'usual',
  mark: 'none',
  gutter: 0,
  label: '',
} as const;

/** Fills in what is usual, on the paper of a country, and checks the parameters against the kind's schema. */
export function sheetRequest(asked: AskedSheet, country: Country): Result<{ kind: SheetKind; request: SheetRequest }> {
  const kind = sheetKindById(asked.sheet);
  if (!kind) return fail({ code: 'not-found', field: 'sheet', message: `There is no sheet “${asked.sheet}”.` });
  let validate = validators.get(kind.id);
  if (!validate) {
    validate = ajv.compile(kind.parametersSchema);
    validators.set(kind.id, validate);
  }
  const parameters = asked.parameters ?? {};
  if (!validate(parameters)) {
    const error = validate.errors![0]!;
    const unknown = error.keyword === 'additionalProperties';
    const field = unknown
      ? (error.params as { additionalProperty: string }).additionalProperty
      : error.instancePath.slice(1).replaceAll('/', '.');
    const title = (kind.parametersSchema.properties[field]?.['title'] as string | undefined) ?? field;
    const allowed = error.keyword === 'enum' ? `: ${(error.params as { allowedValues: unknown[] }).allowedValues.join(', ')}` : '';
    return fail({
      code: 'out-of-range',
      field: `parameters.${field}`,
      message: unknown ? `${kind.title} have no setting “${field}”.` : `${title} ${error.message}${allowed}.`,
    });
  }
  const { sheet: _sheet, ...rest } = asked;
  return ok({ kind, request: { ...usualRequest, paper: country.paper, ...rest, parameters, country } });
}
