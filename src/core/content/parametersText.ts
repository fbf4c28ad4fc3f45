/** Parameters as `readParameters` reads them; what it could not read again is left to the usual value. // => "high=50; operations=add|subtract" */
export const parametersText = (parameters: Readonly<Record<string, unknown>>): string =>
  Object.entries(parameters)
    .flatMap(([name, value]) => {
      const text = valueText(value);
      return text === null ? [] : [`${name}=${text}`];
    })
    .join('; ');

function valueText(value: unknown): string | null {
  if (typeof value === 'number' || typeof value === 'boolean') return String(value);
  if (typeof value === 'string') return /[;|=\n]/.test(value) ? null : value;
  if (!Array.isArray(value) || value.length === 0) return null;
  const parts = value.map(valueText);
  if (parts.some((p) => p === null || p.includes('|'))) return null;
  // A list of one needs its bar to be a list again.
  return parts.length === 1 ? `${parts[0]}|` : parts.join('|');
}
