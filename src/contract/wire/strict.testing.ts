/**
 * A schema of an answer as tests read it: nothing may be said that it does not name. `partly` lets a test leave out
 * what its page does not read.
 */
export function strict(schema: unknown, partly = false): unknown {
  if (Array.isArray(schema)) return schema.map((s) => strict(s, partly));
  if (typeof schema !== 'object' || schema === null) return schema;
  const { required, properties, ...rest } = schema as Record<string, unknown>;
  const inner = Object.fromEntries(Object.entries(rest).map(([key, value]) => [key, strict(value, partly)]));
  if (typeof properties !== 'object') return { ...inner, ...(required ? { required } : {}) };
  const fields = Object.entries(properties as object).map(([key, value]) => [key, strict(value, partly)]);
  return { additionalProperties: false, ...inner, properties: Object.fromEntries(fields), ...(partly || !required ? {} : { required }) };
}
