import { useState } from 'react';
import { readKept, writeKept } from './kept';

/** State as plain data that this browser keeps, so that a page that was left goes on where it was; `fresh` where nothing is kept. */
export function useKept<T>(place: string, fresh: T): [T, (next: T) => void] {
  const [value, setValue] = useState<T>(() => readKept(place, fresh));
  const keep = (next: T): void => {
    setValue(next);
    writeKept(place, next);
  };
  return [value, keep];
}
