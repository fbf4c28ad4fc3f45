import { and, eq, isNull, max } from 'drizzle-orm';
import type { PlannedMeeting } from '../../core/planning/plannedMeeting';
import { seatSentence } from '../../text/sentences';
import type { Db, Tx } from '../db/db';
import { graphOf } from '../db/graphOf';
import { learners, plans, settings, type StoredRound, variants } from '../db/schema';
import { notFound, type ProblemError, refuse } from '../http/problemError';
import type { PlanRow } from './planById';
import type { FullRequest } from './planRequest';

/** What a session stands on when it is stored: the plan it takes the place of, or the id it is to have. */
interface Place {
  readonly replace?: PlanRow;
  readonly id?: string;
  readonly forecast: boolean;
}

/** Rounds of a planned meeting as they are stored. A child who was erased while the plan was made is not brought back by it. */
export function storedRounds(
  db: Db | Tx,
  meeting: Pick<PlannedMeeting, 'rounds'>,
): { readonly here: (learner: string) => boolean; readonly rounds: StoredRound[] } {
  const nicknames = new Map(
    db
      .select()
      .from(learners)
      .all()
      .map((l) => [l.id, l.nickname]),
  );
  const graph = graphOf(db);
  const needHelp = new Set(
    db
      .select()
      .from(variants)
      .all()
      .filter((v) => v.helper === 'needed')
      .map((v) => v.id),
  );
  const here = (learner: string): boolean => nicknames.has(learner);
  const rounds: StoredRound[] = meeting.rounds.map((round) => ({
    resting: round.resting.filter(here),
    ...(round.meanwhile.length > 0 ? { meanwhile: round.meanwhile.filter((m) => here(m.learner)) } : {}),
    tables: round.tables
      .map((t) => ({ ...t, seats: t.seats.filter((s) => here(s.learner)) }))
      .filter((t) => t.seats.length > 0)
      .map((t) => ({
        game: t.game,
        // Somebody has to sit beside where a game is hard for a child.
        helper: t.grownUp === true || t.seats.some((s) => needHelp.has(s.variant) || s.stretched),
        ...(t.grownUp ? { grownUp: true } : {}),
        lookFor: t.lookFor !== null && here(t.lookFor) ? t.lookFor : null,
        seats: t.seats.map((s) => ({
          learner: s.learner,
          variant: s.variant,
          why: seatSentence(
            s.with === undefined ? s : { ...s, partner: nicknames.get(s.with) },
            nicknames.get(s.learner)!,
            (k) => graph.skills[graph.indexOf.get(k)!]!.title,
          ),
          skill: s.skill,
          tool: s.tool,
          ...(s.with !== undefined && here(s.with) ? { with: s.with } : {}),
        })),
      })),
  }));
  return { here, rounds };
}

/** Stores a planned session. @throws conflict when the plan it was to replace was changed, played or thrown away meanwhile. */
export function storePlan(
  db: Db | Tx,
  meeting: PlannedMeeting,
  request: FullRequest,
  now: string,
  { replace, id, forecast }: Place,
): string {
  const { here, rounds } = storedRounds(db, meeting);
  const { locks, ...asked } = request;
  const values = {
    date: request.date,
    request: {
      ...asked,
      present: asked.present.filter(here),
      ...(asked.resting ? { resting: asked.resting.filter((x) => here(x.learner)) } : {}),
      missing: meeting.missing,
      considered: meeting.considered,
    },
    rounds,
    locks: (locks ?? []).filter((k) => here(k.learner)),
    status: meeting.status,
    objective: meeting.objective,
    bound: meeting.bound,
    edited: false,
    forecast,
  };
  if (replace) {
    const done = db
      .update(plans)
      .set({ ...values, version: replace.version + 1 })
      .where(and(eq(plans.id, replace.id), eq(plans.version, replace.version), isNull(plans.playedAt)))
      .run();
    if (done.changes === 0) throw changedMeanwhile(db, replace);
    return replace.id;
  }
  const planId = id ?? crypto.randomUUID();
  db.insert(plans)
    .values({ id: planId, ...values, createdAt: now, number: nextNumber(db) })
    .onConflictDoNothing()
    .run();
  return planId;
}

const numbered = 'plans-numbered';

/** The next number for paper. Each is given once, also where the session that had one is gone: its strips may still lie about. */
function nextNumber(db: Db | Tx): number {
  const told = Number(db.select().from(settings).where(eq(settings.key, numbered)).get()?.value ?? 0);
  const next =
    Math.max(
      told,
      db
        .select({ last: max(plans.number) })
        .from(plans)
        .get()?.last ?? 0,
    ) + 1;
  const value = String(next);
  db.insert(settings).values({ key: numbered, value }).onConflictDoUpdate({ target: settings.key, set: { value } }).run();
  return next;
}

function changedMeanwhile(db: Db | Tx, seen: PlanRow): ProblemError {
  const current = db.select().from(plans).where(eq(plans.id, seen.id)).get();
  if (!current) return notFound('plan', seen.id);
  if (current.playedAt) return refuse('conflict', 'This session was played meanwhile; what took place stays as it is.', 'id');
  return refuse(
    'conflict',
    'Somebody changed this session while it was planned again. Both are kept: look at theirs, then plan again.',
    'version',
    {
      yours: seen.version,
      current: current.version,
    },
  );
}
