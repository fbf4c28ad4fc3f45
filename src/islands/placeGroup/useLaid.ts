import { useState } from 'react';

type Laid = ReadonlyMap<string, string>;

const keyOf = (line: string): string => `placement-group:${line}`;

function read(line: string): Laid {
  try {
    return new Map(JSON.parse(sessionStorage.getItem(keyOf(line)) ?? '[]') as [string, string][]);
  } catch {
    return new Map();
  }
}

/** Names laid along a line, by learner the step; kept in the tab for each line, so that a reload loses nothing. */
export function useLaid(line: string): [Laid, (laid: Laid) => void] {
  const [all, setAll] = useState<ReadonlyMap<string, Laid>>(new Map());
  const laid = all.get(line) ?? read(line);
  return [
    laid,
    (next) => {
      setAll(new Map(all).set(line, next));
      if (next.size === 0) sessionStorage.removeItem(keyOf(line));
      else sessionStorage.setItem(keyOf(line), JSON.stringify([...next]));
    },
  ];
}
