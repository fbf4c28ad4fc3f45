import { useEffect, useState } from 'react';
import type { PlanWire } from '../../contract/wire/plan';
import { isTyping } from '../frame/keys';
import { type Draft, draftOf } from './edit';

interface Drafts {
  readonly list: readonly Draft[];
  readonly at: number;
  /** The one that is stored. */
  readonly saved: number;
}
const none: Drafts = { list: [], at: -1, saved: -1 };
const same = (x: Draft | undefined, y: Draft): boolean => x !== undefined && seatsOf(x) === seatsOf(y);
const seatsOf = (d: Draft): string =>
  JSON.stringify([
    d.rounds.map((r) => [r.tables.map((t) => [t.game, t.grownUp, t.seats.map((s) => [s.learner, s.with])]), r.resting]),
    d.locks,
  ]);

/**
 * Every set of seats this page has seen, back to the first: edits one by one, and what is stored anew (planned again, or
 * saved by somebody else) as one step more, so that it can be taken back.
 */
export function useDrafts(stored: PlanWire | undefined) {
  const [drafts, setDrafts] = useState<Drafts>(none);
  useEffect(() => {
    if (!stored) return;
    const next = draftOf(stored);
    setDrafts(({ list, at }) => {
      // What was saved comes back with the versions the program chose; it is the same step.
      const rest = same(list[at], next) ? list.slice(0, at) : list.slice(0, at + 1);
      return { list: [...rest, next], at: rest.length, saved: rest.length };
    });
  }, [stored]);
  const step = (by: -1 | 1): void => setDrafts((d) => ({ ...d, at: Math.min(d.list.length - 1, Math.max(0, d.at + by)) }));
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (!(event.ctrlKey || event.metaKey) || isTyping(event.target) || document.querySelector('dialog[open]')) return;
      const key = event.key.toLowerCase();
      const by = key === 'z' && !event.shiftKey ? -1 : key === 'y' || (key === 'z' && event.shiftKey) ? 1 : 0;
      if (by === 0) return;
      event.preventDefault();
      step(by);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
  const change = (next: Draft): void =>
    setDrafts((d) => ({ list: [...d.list.slice(0, d.at + 1), next], at: d.at + 1, saved: d.saved > d.at ? -1 : d.saved }));
  return {
    draft: drafts.list[drafts.at] ?? null,
    before: drafts.list[drafts.at - 1] ?? null,
    dirty: drafts.at >= 0 && drafts.at !== drafts.saved,
    canUndo: drafts.at > 0,
    canRedo: drafts.at < drafts.list.length - 1,
    step,
    change,
  };
}
