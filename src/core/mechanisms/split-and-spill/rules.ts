import type { SplitParameters } from './parameters';

/** The split of `counters` with `first` of the first colour, as an index; −1 when it is not one to find. */
export function splitIndex(p: SplitParameters, first: number): number {
  if (!p.zeros && (first === 0 || first === p.counters)) return -1;
  return p.order ? first : Math.min(first, p.counters - first);
}

/** Splits that can come at all and count, for "all seen". */
export function splitsToFind(p: SplitParameters): number[] {
  const low = p.from === 'bag' ? Math.max(0, p.counters - p.second) : 0;
  const high = p.from === 'bag' ? Math.min(p.counters, p.first) : p.counters;
  const found = new Set<number>();
  for (let first = low; first <= high; first++) if (splitIndex(p, first) >= 0) found.add(splitIndex(p, first));
  return [...found];
}
