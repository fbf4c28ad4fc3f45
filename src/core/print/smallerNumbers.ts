import type { Mechanism } from '../mechanisms/mechanism';

/** Parameters that say how far the numbers go, those on the cards before those of the whole game. */
const reaches = ['highestCard', 'highest', 'highestFace', 'to', 'high', 'most', 'longest', 'end', 'size'];
/** Shares of the numbers that are tried, the gentlest first (common practice, no source). */
const shares = [0.6, 0.5, 0.75];

/** The same version with smaller numbers, or null where its rules know none. */
export function smallerNumbers(m: Mechanism, parameters: object): Record<string, unknown> | null {
  const full = { ...m.defaults, ...parameters } as Record<string, unknown>;
  for (const name of reaches) {
    const now = full[name];
    const least = m.parametersSchema.properties[name]?.['minimum'];
    if (typeof now !== 'number' || typeof least !== 'number') continue;
    for (const share of shares) {
      const less = Math.max(least, Math.round(now * share));
      if (less < now && m.check({ ...full, [name]: less }) === null) return { ...parameters, [name]: less };
    }
  }
  return null;
}
