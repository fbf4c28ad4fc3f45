import values from '../../../data/check-values/values.json';

/** An exact value by id, for tests. @throws when the id is unknown. */
export function checkValue<T>(id: string): T {
  const found = (values as readonly { id: string; value: unknown }[]).find((v) => v.id === id);
  if (!found) throw new Error(`no check value ${id}`);
  return found.value as T;
}
