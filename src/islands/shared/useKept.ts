import { useState } from 'react';

/** State as plain data that this browser keeps, so that a page that was left goes on where it was; `fresh` where nothing is kept. */
export function useKept<T>(place: string, fresh: T): [T, (next: T) => void] {
  const [value, setValue] = useState<T>(() => {
    try {
      const kept = localStorage.getItem(place);
      return kept === null ? fresh : (JSON.parse(kept) as T);
    } catch {
      return fresh;
    }
  });
  const keep = (next: T): void => {
    setValue(next);
    try {
      localStorage.setItem(place, JSON.stringify(next));
    } catch {
      // A browser without room starts afresh next time.
    }
  };
  return [value, keep];
}
