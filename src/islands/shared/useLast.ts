import { useState } from 'react';

/** The last value that was there: what is shown goes on being shown while there is nothing new, or something is wrong. */
export function useLast<T>(value: T | undefined): T | undefined {
  const [last, setLast] = useState(value);
  if (value !== undefined && value !== last) setLast(value);
  return value ?? last;
}
