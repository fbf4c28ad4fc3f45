import { useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { call } from '../shared/api';
import type { PrintHow } from '../shared/printHow';
import { useLast } from '../shared/useLast';
import { askedOf, type OpenSet, type QueuedSet, type SheetAsked } from './printSettings';

const layingOut = (wanted: string) => ({
  queryKey: ['laid', wanted],
  queryFn: () => {
    const [id, body] = JSON.parse(wanted) as [string, SheetAsked];
    return call('POST /sheets/{id}/layout', { params: { id }, body });
  },
  retry: false,
  staleTime: Infinity,
});

/** The open set laid out: what lies on the desk, and what would come out of the printer on the paper `home` unless another was chosen. */
export function useLaid(open: OpenSet, how: PrintHow, home: 'a4' | 'letter') {
  const body = askedOf(how, {
    parameters: { ...open.parameters },
    seed: open.seed,
    copies: open.copies,
    mark: open.mark,
    label: open.label,
  });
  // While missing pieces are ticked the whole set lies there, once.
  const wanted = useDeferredValue(JSON.stringify([open.sheet, open.only ? { ...body, copies: 1 } : body]));
  const missing = useDeferredValue(open.only?.length ? JSON.stringify([open.sheet, { ...body, only: open.only }]) : null);
  const whole = useQuery(layingOut(wanted));
  const some = useQuery({ ...layingOut(missing ?? ''), enabled: missing !== null });
  const sheetNow = useLast(whole.data);
  const someNow = useLast(some.data);
  const out = open.only === null ? sheetNow : open.only.length > 0 && someNow?.kind === open.sheet ? someNow : undefined;
  /** What would be printed, as it stands on a list; null while nothing would. */
  const setOf = (id: number): QueuedSet | null =>
    out && !whole.error
      ? {
          id,
          sheet: open.sheet,
          title: open.only ? `${out.title}, ${open.only.length} missing` : out.title,
          asked: { ...body, paper: how.paper ?? home, seed: out.seed, ...(open.only ? { only: [...open.only] } : {}) },
          variant: open.variant,
          sheets: out.sheets,
          cuts: out.cuts,
          minutes: out.minutes,
        }
      : null;
  return { sheetNow, error: whole.error, busy: whole.isFetching, setOf };
}
