import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { AskedWire } from '../../contract/wire/recognise';
import { call } from '../shared/api';

export type Mark = 'to-do' | 'done' | 'later' | 'no-game';

export interface Entry {
  readonly row: AskedWire;
  readonly mark: Mark;
}

/** Seconds that a row takes before the owner's own pace is known. */
const usualSeconds = 12;
const paceAfter = 5;

/** The queue as it stood when the page was opened: answered rows stay in their place, so that nothing moves under the hand. */
export function useQueue() {
  const client = useQueryClient();
  const query = useQuery({ queryKey: ['recognise'], queryFn: () => call('GET /recognise', { query: { limit: 5000 } }) });
  const [order, setOrder] = useState<readonly string[]>([]);
  const [rows, setRows] = useState<ReadonlyMap<string, AskedWire>>(new Map());
  const [marks, setMarks] = useState<ReadonlyMap<string, Mark>>(new Map());
  const answeredAt = useRef<number[]>([]);
  useEffect(() => {
    const items = query.data?.items;
    if (!items) return;
    setRows((known) => new Map([...known, ...items.map((a) => [a.variant, a] as const)]));
    setOrder((known) => [...known, ...items.map((a) => a.variant).filter((id) => !known.includes(id))]);
  }, [query.data]);
  const entries: Entry[] = order.map((id) => ({ row: rows.get(id)!, mark: marks.get(id) ?? 'to-do' }));
  const mark = (id: string, as: Mark): void => {
    setMarks((known) => new Map(known).set(id, as));
    if (as === 'done') answeredAt.current.push(performance.now());
  };
  const pace = answeredAt.current;
  const seconds = pace.length > paceAfter ? (pace[pace.length - 1]! - pace[pace.length - 1 - paceAfter]!) / paceAfter / 1000 : usualSeconds;
  const left = entries.filter((e) => e.mark === 'to-do').length;
  return {
    query,
    entries,
    mark,
    left,
    minutesLeft: Math.ceil((left * Math.min(seconds, 60)) / 60),
    // A turn that was told stays as it was.
    refresh: () => client.invalidateQueries({ predicate: (q) => q.queryKey[0] !== 'one-turn' }),
  };
}
