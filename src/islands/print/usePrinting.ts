import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { ApiError, call, fileOf, saveFile } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import { useTellUndo } from '../shared/useTellUndo';
import type { QueuedSet } from './printSettings';

/** Longer work than this is shown with how far it is, and can be stopped. */
const wait = 0.5;

/** Prints sets as one PDF or one each, with how far it is; and keeps that they are made. */
export function usePrinting(onMade: () => void) {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const stop = useRef<AbortController | null>(null);
  const [share, setShare] = useState(0);
  const [printed, setPrinted] = useState<readonly QueuedSet[]>([]);
  const print = useMutation({
    mutationFn: async ({ sets, together }: { sets: readonly QueuedSet[]; together: boolean }) => {
      stop.current = new AbortController();
      setShare(0);
      const files = together ? [sets] : sets.map((s) => [s]);
      for (const [i, file] of files.entries()) {
        const title = file.length === 1 ? file[0]!.title : 'Sheets';
        const given = { body: { sets: file.map((s) => ({ sheet: s.sheet, ...s.asked })), title }, query: { wait } };
        const made = await fileOf('POST /printouts', given, stop.current.signal, (part) => setShare((i + part) / files.length));
        saveFile(made, together ? 'sheets.pdf' : `${i + 1}-${file[0]!.sheet}.pdf`);
        setShare((i + 1) / files.length);
      }
      return sets;
    },
    onSuccess: setPrinted,
    onError: (e) => {
      if (!(e instanceof ApiError && e.problem.code === 'cancelled')) tell(messageOf(e), { bad: true });
    },
  });
  const made = useMutation({
    mutationFn: async (sets: readonly QueuedSet[]) => {
      const { change } = await call('POST /made/several', {
        body: { sets: sets.map((s) => ({ ...s.asked, sheet: s.sheet, variant: s.variant })) },
      });
      return { change, n: sets.length };
    },
    onSuccess: ({ change, n }) => {
      void client.invalidateQueries();
      setPrinted([]);
      onMade();
      tellUndo(n === 1 ? 'It stands in Things now.' : `${n} sets stand in Things now.`, change);
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  return {
    print: (sets: readonly QueuedSet[], together: boolean) => print.mutate({ sets, together }),
    stop: () => stop.current?.abort(),
    keep: () => made.mutate(printed),
    /** How far printing is; null where nothing is printed just now. */
    share: print.isPending ? share : null,
    busy: print.isPending || made.isPending,
    printed: printed.length > 0,
    forget: () => setPrinted([]),
  };
}
