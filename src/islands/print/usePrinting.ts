import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { ApiError, call, fileOf, saveFile } from '../shared/api';
import { messageOf, useTell } from '../shared/App';
import { printLists } from '../shared/printHow';
import { useKept } from '../shared/useKept';
import { useTellUndo } from '../shared/useTellUndo';
import { type QueuedSet, sameSet } from './printSettings';

/** Longer work than this is shown with how far it is, and can be stopped. */
const wait = 0.5;

/**
 * Prints sets as one PDF or one each, with how far it is; and keeps that they are made. What was printed is asked about until
 * somebody says: cutting is done on another evening.
 */
export function usePrinting(onMade: (sets: readonly QueuedSet[]) => void, onReplaced: (sets: readonly QueuedSet[]) => void) {
  const client = useQueryClient();
  const tell = useTell();
  const tellUndo = useTellUndo();
  const stop = useRef<AbortController | null>(null);
  const [share, setShare] = useState(0);
  const [printed, setPrinted] = useKept<readonly QueuedSet[]>(printLists.printed, []);
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
    onSuccess: (sets) => {
      // Pieces that replace lost ones make no new set.
      const whole = sets.filter((s) => !s.asked.only);
      setPrinted([...printed.filter((p) => !whole.some((s) => sameSet(p, s))), ...whole]);
      if (whole.length < sets.length) onReplaced(sets.filter((s) => s.asked.only));
    },
    onError: (e) => {
      if (!(e instanceof ApiError && e.problem.code === 'cancelled')) tell(messageOf(e), { bad: true });
    },
  });
  const made = useMutation({
    mutationFn: async (sets: readonly QueuedSet[]) => {
      const { change } = await call('POST /made/several', {
        body: { sets: sets.map((s) => ({ ...s.asked, sheet: s.sheet, variant: s.variant })) },
      });
      return { change, sets };
    },
    onSuccess: ({ change, sets }) => {
      void client.invalidateQueries();
      setPrinted([]);
      onMade(sets);
      tellUndo(sets.length === 1 ? 'It stands in Things now.' : `${sets.length} sets stand in Things now.`, change);
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
    /** Out of the printer, and nobody has said yet that they are cut. */
    printed,
    forget: () => setPrinted([]),
  };
}
