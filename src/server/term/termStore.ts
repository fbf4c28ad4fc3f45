import { and, eq } from 'drizzle-orm';
import type { TermBody, TermWire } from '../../contract/wire/term';
import type { Kept } from '../../contract/wire/route';
import { addDays, daysBetween, isTime, weekdayOf } from '../../core/shared/days';
import { localDay } from '../../core/shared/moments';
import type { TermMeeting } from '../../core/planning/planTerm';
import type { PlannedMeeting } from '../../core/planning/plannedMeeting';
import type { Db } from '../db/db';
import { meetings, memberships, plans, terms } from '../db/schema';
import { notFound, refuse } from '../http/problemError';
import type { Job } from '../jobs/jobList';
import { startJob } from '../jobs/pool';
import { startAfter } from '../jobs/startAfter';
import { ownOf } from '../db/graphOf';
import { zoneHere } from '../shared/clock';
import { sameVersion, wrote } from '../shared/versions';
import { measureMissing } from '../shelf/measure';
import { allLearners } from '../learners/learnerStore';
import { planningInput } from '../planning/planningInput';
import { storePlan } from '../planning/storePlan';
import { doorOf } from './door';
import { currentTerm } from './termNow';

export { currentTerm };

export type MeetingRow = typeof meetings.$inferSelect;

const mostWeeks = 53;

/**
 * Sets the term and its meetings. Those that stay keep what was said of them (that they do not take place, say), those
 * that have a plan keep their date, and those that are past stay as they were.
 * @throws conflict when `version` is given and is not that of the term as it stands.
 */
export function putTerm(db: Db, input: TermBody, now: string): { id: string; meetings: number } {
  if (input.ends < input.starts) throw refuse('out-of-range', 'The term ends before it starts.', 'ends');
  const days = daysBetween(input.starts, input.ends);
  if (!isTime(input.startsAt)) throw refuse('malformed', `"${input.startsAt}" is not a time of day like 09:30.`, 'startsAt');
  if (days > mostWeeks * 7) throw refuse('out-of-range', 'A term has at most 53 weeks.', 'ends');
  if (input.tables < 1) throw refuse('no-tables', 'There is no table to sit at. Give at least one.', 'tables');
  return db.transaction((tx) => {
    const overlapping = tx
      .select()
      .from(terms)
      .all()
      .find((t) => t.starts <= input.ends && t.ends >= input.starts);
    if (overlapping && input.version !== undefined) sameVersion(overlapping, input.version);
    const id = overlapping?.id ?? crypto.randomUUID();
    const row = { id, title: input.title, starts: input.starts, ends: input.ends, version: (overlapping?.version ?? 0) + 1 };
    tx.insert(terms).values(row).onConflictDoUpdate({ target: terms.id, set: row }).run();
    const planned = new Set(
      tx
        .select()
        .from(plans)
        .all()
        .map((p) => p.date),
    );
    const dates = Array.from({ length: days + 1 }, (_, i) => addDays(input.starts, i)).filter((d) => input.weekdays.includes(weekdayOf(d)));
    if (dates.length === 0) throw refuse('out-of-range', 'No meeting falls into this term. Tick a weekday.', 'weekdays');
    const { startsAt, rounds, minutes, tables, helpers } = input;
    const wanted = { startsAt, rounds, minutes, tables, helpers };
    const there = new Map(
      tx
        .select()
        .from(meetings)
        .where(eq(meetings.termId, id))
        .all()
        .map((m) => [m.date, m]),
    );
    const staying = new Set(dates);
    // The day on the wall, which late in the evening is not that of the moment's letters.
    const today = localDay(now, zoneHere());
    for (const m of there.values())
      if (!staying.has(m.date) && !planned.has(m.date)) tx.delete(meetings).where(eq(meetings.id, m.id)).run();
    for (const date of dates) {
      const before = there.get(date);
      if (!before)
        tx.insert(meetings)
          .values({ id: crypto.randomUUID(), termId: id, date, ...wanted, changedAt: now })
          .run();
      else if (date >= today && (Object.keys(wanted) as (keyof typeof wanted)[]).some((k) => before[k] !== wanted[k]))
        tx.update(meetings)
          .set({ ...wanted, version: before.version + 1, changedAt: now })
          .where(eq(meetings.id, before.id))
          .run();
    }
    return { id, meetings: dates.length };
  });
}

export function meetingsOf(db: Db, termId: string): MeetingRow[] {
  return db
    .select()
    .from(meetings)
    .where(eq(meetings.termId, termId))
    .all()
    .sort((x, y) => (x.date < y.date ? -1 : 1));
}

export type MeetingChange = Partial<Pick<MeetingRow, 'off' | 'offBecause' | 'startsAt' | 'rounds' | 'minutes' | 'tables' | 'helpers'>>;

/** Changes a meeting and counts the change, so that calendars that have it take the newer one. @throws conflict when it is no longer the one the person saw. */
export function updateMeeting(db: Db, id: string, change: MeetingChange, version: number, now: string): { id: string; version: number } {
  const row = db.select().from(meetings).where(eq(meetings.id, id)).get();
  if (!row) throw notFound('meeting', id);
  sameVersion(row, version);
  if (Object.keys(change).length === 0) return { id, version };
  const done = db
    .update(meetings)
    .set({ ...change, version: version + 1, changedAt: now })
    .where(and(eq(meetings.id, id), eq(meetings.version, version)))
    .run();
  wrote(done, version, () => row);
  return { id, version: version + 1 };
}

/** The plan that stands for a date: played first, then made by hand, then the forecast; one that found no seats last. */
export function planFor(all: readonly (typeof plans.$inferSelect)[], date: string): typeof plans.$inferSelect | null {
  const rank = (p: typeof plans.$inferSelect): number => (p.playedAt ? 0 : p.status === 'infeasible' ? 3 : p.forecast ? 2 : 1);
  return all.filter((p) => p.date === date).sort((x, y) => rank(x) - rank(y) || (x.createdAt < y.createdAt ? 1 : -1))[0] ?? null;
}

export function termView(db: Db, today: string): Kept<TermWire> {
  const term = currentTerm(db, today);
  const door = doorOf(db);
  if (!term) return { term: null, meetings: [], today, door };
  const all = db.select().from(plans).all();
  return {
    term,
    today,
    door,
    meetings: meetingsOf(db, term.id).map((m) => {
      const p = planFor(all, m.date);
      return {
        ...m,
        state: m.off ? 'off' : p?.playedAt ? 'played' : m.date < today ? 'missed' : 'ahead',
        plan: p
          ? {
              id: p.id,
              status: p.status,
              objective: p.objective,
              bound: p.bound,
              forecast: p.forecast,
              edited: p.edited,
              playedAt: p.playedAt,
              games: [...new Set(p.rounds.flatMap((r) => r.tables.map((t) => t.game)))],
            }
          : null,
      };
    }),
  };
}

/** Learners who belong on a day: those in a group then, or in no group at all. */
export function presentOn(db: Db, date: string): string[] {
  const all = db.select().from(memberships).all();
  return allLearners(db)
    .filter((l) => {
      const own = all.filter((m) => m.learnerId === l.id);
      return own.length === 0 || own.some((m) => m.from <= date && (m.to === null || m.to > date));
    })
    .map((l) => l.id);
}

/** Plans every meeting still ahead by rolling the session model forward; plans made by hand stay. */
export function startTermPlan(
  db: Db,
  today: string,
  now: string,
  options: { seed: number; secondsPerMeeting: number },
): Job<{ planned: number; kept: number; of: number }> {
  const term = currentTerm(db, today);
  if (!term) throw refuse('not-found', 'There is no term yet. Say first when you meet.', 'term');
  const all = db.select().from(plans).all();
  const ahead = meetingsOf(db, term.id).filter((m) => {
    const p = planFor(all, m.date);
    return !m.off && m.date >= today && (!p || (p.forecast && !p.playedAt));
  });
  if (ahead.length === 0) throw refuse('out-of-range', 'Every meeting ahead is planned by hand already.', 'term');
  const learners = new Map(ahead.map((m) => [m.id, presentOn(db, m.date)]));
  if ([...learners.values()].every((l) => l.length === 0))
    throw refuse('nobody-present', 'There are no learners yet. Bring in a roster first.', 'present');
  const wanted = ahead.map((m) => ({
    date: m.date,
    present: learners.get(m.id)!,
    rounds: m.rounds,
    minutes: m.minutes,
    tables: m.tables,
    helpers: m.helpers,
  }));
  const more = {
    locks: [],
    resting: [],
    seed: options.seed,
    secondsPerMeeting: options.secondsPerMeeting,
    preparationMinutes: termPreparation,
  };
  return startAfter(measureMissing(db), () =>
    startJob(
      { kind: 'plan', own: ownOf(db), input: planningInput(db, wanted, today, more) },
      (planned: PlannedMeeting[]) => ({ ...storeTerm(db, planned, wanted, options.seed, now), of: wanted.length }),
      undefined,
      // What was finished before the work was lost is kept.
      (planned: PlannedMeeting[], problem) => {
        const done = storeTerm(db, planned, wanted, options.seed, now).planned;
        return { ...problem, message: `${problem.message} The first ${done} of ${wanted.length} meetings are planned and kept.` };
      },
    ),
  );
}

const termPreparation = 120;

/** Stores what was planned ahead; a meeting that somebody planned, changed or called off meanwhile keeps what it has. */
function storeTerm(
  db: Db,
  planned: readonly PlannedMeeting[],
  wanted: readonly TermMeeting[],
  seed: number,
  now: string,
): { planned: number; kept: number } {
  return db.transaction((tx) => {
    let kept = 0;
    planned.forEach((meeting, i) => {
      const m = wanted[i]!;
      const standing = tx.select().from(meetings).where(eq(meetings.date, m.date)).get();
      const old = planFor(tx.select().from(plans).where(eq(plans.date, m.date)).all(), m.date);
      if (!standing || standing.off || (old && (!old.forecast || old.playedAt))) {
        kept++;
        return;
      }
      const request = { ...m, present: [...m.present], seed: seed + i, preparationMinutes: termPreparation };
      storePlan(tx, meeting, request, now, { ...(old ? { replace: old } : {}), forecast: true });
    });
    return { planned: planned.length - kept, kept };
  });
}
