import type { Operation } from '../../core/items/item';
import type { EvidenceWire } from '../../contract/wire/learners';
import type { PlanWire, SeatWire, TableWire } from '../../contract/wire/plan';
import { pageToday } from '../shared/words';
import { writeKey } from '../shared/useWriteKey';

/** What was seen of one child at one table. No result means that nobody said anything. */
export interface SeatNote {
  skill: string | null;
  result: EvidenceWire['result'];
  how: EvidenceWire['how'];
  support: string | null;
  missed: { op: Operation; a: number; b: number }[];
  /** Asks to play it again. */
  again?: boolean;
}
/** Notes of one table that are on this device and not sent yet. */
export interface Kept {
  /** Belongs to exactly what will be sent. */
  key: string;
  role: EvidenceWire['by']['role'];
  notes: Record<string, SeatNote>;
}

const blank = (skill: string | null): SeatNote => ({ skill, result: null, how: null, support: null, missed: [] });

/** The step a seat is for; where the session does not say, what the version asks most. */
const forStep = (seat: SeatWire | undefined): string | null => seat?.skill ?? seat?.doses[0]?.skill ?? null;

/** Where notes of a table are kept until they are sent, the same for a phone at the table and for paper that is keyed in. */
export const placeOf = (plan: string, round: number, table: number): string => `zeitgeber-notes|${plan}|${round}|${table}`;

export function readKept(place: string): Kept {
  const fresh: Kept = { key: writeKey(), role: 'helper', notes: {} };
  try {
    const text = localStorage.getItem(place);
    return text ? { ...fresh, ...(JSON.parse(text) as Kept) } : fresh;
  } catch {
    return fresh;
  }
}

/** Keeps changed notes; a new content is a new write. */
export function keepNotes(place: string, kept: Omit<Kept, 'key'>): Kept {
  const next = { ...kept, key: writeKey() };
  localStorage.setItem(place, JSON.stringify(next));
  return next;
}
export const forgetNotes = (place: string): void => localStorage.removeItem(place);

/** What is noted of a child, nothing yet where nobody tapped. */
export const noteOf = (kept: Kept, table: TableWire, learner: string): SeatNote =>
  kept.notes[learner] ?? blank(forStep(table.seats.find((s) => s.learner === learner)));

/** Taps of a session that are on this device and not sent yet, by round and table. */
export function unsentTables(plan: PlanWire): { round: number; table: number; taps: number }[] {
  return plan.rounds.flatMap((r, round) =>
    r.tables.flatMap((_, table) => {
      const taps = Object.values(readKept(placeOf(plan.id, round, table)).notes).filter((n) => n.result !== null).length;
      return taps > 0 ? [{ round, table, taps }] : [];
    }),
  );
}

/** The notes of a table as they are sent. What is told on a later day is about the day of the session. */
export function notesToSend(plan: PlanWire, table: TableWire, kept: Kept) {
  return table.seats.flatMap((seat) => {
    const note = noteOf(kept, table, seat.learner);
    if (!note.result || !note.skill) return [];
    return [
      {
        learner: seat.learner,
        ...(plan.date < pageToday() ? { at: plan.date } : {}),
        kind: 'note' as const,
        skill: note.skill,
        result: note.result,
        ...(note.how ? { how: note.how } : {}),
        ...(note.support ? { support: note.support } : {}),
        variant: seat.variant,
        session: plan.id,
        ...(note.missed.length > 0 ? { items: note.missed.map((m) => ({ ...m, correct: false })) } : {}),
        by: { role: kept.role },
      },
    ];
  });
}
