/** Plain data that this browser keeps at a place; `fresh` where nothing is kept, or nothing may be. */
export function readKept<T>(place: string, fresh: T): T {
  try {
    const kept = localStorage.getItem(place);
    return kept === null ? fresh : (JSON.parse(kept) as T);
  } catch {
    return fresh;
  }
}

/** Keeps plain data at a place; a browser without room starts afresh next time. */
export function writeKept(place: string, value: unknown): void {
  try {
    localStorage.setItem(place, JSON.stringify(value));
  } catch {
    // Nothing to do about it: what was confirmed is in the database.
  }
}
