/** A written day or moment as ISO 8601 in UTC, null when it is neither: a day becomes its noon, a moment must carry its zone. */
export function momentOf(text: string): string | null {
  // A thirtieth of February is read as a day of March, so the day must come back as it was written.
  const day = text.slice(0, 10);
  const at = Date.parse(day);
  if (Number.isNaN(at) || new Date(at).toISOString().slice(0, 10) !== day) return null;
  if (/^\d{4}-\d{2}-\d{2}$/.test(text)) return `${text}T12:00:00.000Z`;
  if (!/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:\d{2})$/.test(text)) return null;
  const ms = Date.parse(text);
  return Number.isNaN(ms) ? null : new Date(ms).toISOString();
}
