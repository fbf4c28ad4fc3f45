import { termCalendar } from '../../adapters/calendar/termCalendar';
import { openGaps } from '../../core/recommend/openGaps';
import { recommend } from '../../core/recommend/recommend';
import { daysBetween } from '../../core/shared/days';
import { exclusionReason, suggestionReasons } from '../../text/sentences';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { plans, type StoredTable } from '../db/schema';
import { masteryOf, needsOf } from '../evidence/evidenceStore';
import { refuse } from '../http/problemError';
import {
  any,
  arr,
  bool,
  closed,
  day,
  int,
  list,
  name,
  nullable,
  num,
  obj,
  ok,
  oneOf,
  page,
  pageQuery,
  Reply,
  type RequestContext,
  type Route,
  str,
  time,
} from '../http/route';
import { checkResponse, editedRounds, lock, planBody, planResponse } from '../http/schemas';
import { learnerById } from '../learners/learnerStore';
import { gatherList, tick } from '../prep/gatherList';
import { reviewOf } from '../review/reviewOf';
import { momentNow } from '../shared/clock';
import { uuidOf } from '../shared/uuidOf';
import { sameVersion } from '../shared/versions';
import { offersOf, stockOf } from '../shelf/offers';
import { answerOf, waitQuery } from '../simulations/routes';
import { currentTerm, meetingsOf, planFor, putTerm, startTermPlan, termView, updateMeeting } from '../term/termStore';
import { eq } from 'drizzle-orm';
import { completeRounds, editPlan, refusePlayed } from './editPlan';
import { checkRounds, planById, type PlanRequest, playedBefore, startPlan, titles } from './planStore';
import { wirePlan } from './wirePlan';

async function recommendations({ db, body, today }: RequestContext): Promise<object> {
  const graph = graphOf(db);
  if (body.learners.length === 0) throw refuse('nobody-present', 'Name at least one learner.', 'learners');
  const table = (body.learners as string[]).map((id) => {
    const l = learnerById(db, id);
    return needsOf(graphOf(db), l, masteryOf(db, l, today), today);
  });
  const since = new Map<string, number>();
  for (const p of playedBefore(db, `${today}~`)) {
    if (!body.learners.includes(p.learner)) continue;
    const ago = daysBetween(p.date, today);
    since.set(p.game, Math.min(since.get(p.game) ?? Infinity, ago));
  }
  const offers = await offersOf(db);
  const found = recommend(graph, offers, table, {
    minutes: body.minutes ?? 15,
    limit: body.limit ?? 10,
    stock: body.withStock === false ? null : stockOf(db).stock,
    daysSincePlayed: since,
    filters: {
      withoutHelper: body.withoutHelper === true,
      ...(body.preparationMinutes === undefined ? {} : { preparationMinutes: body.preparationMinutes }),
      withoutKinds: body.withoutKinds ?? [],
    },
  });
  const names = titles(db);
  return {
    items: found.items.map((s) => ({
      game: s.game,
      title: names.game(s.game),
      seats: s.seats.map((seat) => ({
        learner: seat.learner,
        variant: seat.variant,
        variantTitle: offers.find((o) => o.variant === seat.variant)!.title,
        value: seat.value,
        success: seat.success,
        skill: seat.skill < 0 ? null : graph.skills[seat.skill]!.id,
        chances: seat.chances,
      })),
      value: s.value,
      source: offers.find((o) => o.variant === s.seats[0]!.variant)!.source,
      reasons: suggestionReasons(graph, s, names),
    })),
    open: openGaps(graph, offers, table, body.minutes ?? 15).map((g) => ({
      learner: g.learner,
      skill: graph.skills[g.skill]!.id,
      barred: g.barred && {
        variant: g.barred.variant,
        title: names.variant(g.barred.variant),
        because: exclusionReason(graph, g.barred.because, names),
      },
    })),
    excluded: found.excluded.map((x) => ({
      game: x.game,
      title: names.game(x.game),
      because: exclusionReason(graph, x, names),
      alternative: x.because === 'gate' ? x.alternative : null,
    })),
  };
}

/** Who plays what stays at home unless it is asked for: calendars are given to services elsewhere. */
function calendar({ db, today, query }: RequestContext): Reply {
  const term = currentTerm(db, today);
  if (!term) throw refuse('not-found', 'There is no term yet. Say first when you meet.', 'term');
  const all = db.select().from(plans).all();
  const names = titles(db);
  const withNames = query['names'] === 'true';
  const text = termCalendar(
    term.title,
    meetingsOf(db, term.id).map((m) => {
      const p = planFor(all, m.date);
      const table = (t: StoredTable): string =>
        withNames ? `${names.game(t.game)} (${t.seats.map((s) => names.learner(s.learner)).join(', ')})` : names.game(t.game);
      const rounds = p?.rounds.map((r, i) => `Round ${i + 1}: ${r.tables.map(table).join('; ')}`) ?? ['Not planned yet.'];
      return {
        id: m.id,
        date: m.date,
        startsAt: m.startsAt,
        minutes: m.rounds * (m.minutes + 5),
        summary: m.off ? `No meeting: ${m.offBecause ?? 'off'}` : `${term.title}: games`,
        description: rounds.join('\n'),
        cancelled: m.off,
        // Both the meeting and its plan may change; either makes the event newer.
        version: m.version - 1 + (p?.version ?? 0),
        changedAt: [m.changedAt, p?.createdAt ?? ''].reduce((x, y) => (x > y ? x : y)),
      };
    }),
    momentNow(),
  );
  return new Reply(200, text, { 'content-disposition': 'attachment; filename="term.ics"' });
}

/** A plan that found no seats and left the last good session in its place says so beside it. */
async function answerPlan(db: Db, id: string, failed: readonly string[] | null): Promise<object> {
  const wire = await wirePlan(db, planById(db, id));
  return failed ? { ...wire, failed: { relax: failed } } : wire;
}

export const planningRoutes: readonly Route[] = [
  {
    method: 'POST',
    path: '/recommendations',
    summary: 'Games for a learner or a table, with reasons and what excluded the others',
    body: closed(
      {
        learners: { type: 'array', items: str, maxItems: 30 },
        minutes: { type: 'number', minimum: 3, maximum: 120 },
        limit: { type: 'integer', minimum: 1, maximum: 200 },
        withStock: bool,
        withoutHelper: bool,
        preparationMinutes: { type: 'number', minimum: 0, maximum: 600 },
        withoutKinds: arr(str),
      },
      ['learners'],
    ),
    response: obj({
      items: arr(obj({ game: str, seats: arr(obj({ learner: str, variant: str })), value: num, reasons: arr(str) })),
      excluded: arr(obj({ game: str, because: str })),
      open: arr(obj({ learner: str, skill: str, barred: nullable(obj({ variant: str, title: str, because: str })) })),
    }),
    waits: true,
    handle: recommendations,
  },
  {
    method: 'GET',
    path: '/plans',
    summary: 'Plans, newest date first',
    query: { ...pageQuery, date: day },
    response: list(obj({ id: str, date: str, status: str, objective: num, bound: num })),
    handle: ({ db, query }) =>
      page(
        db
          .select()
          .from(plans)
          .all()
          .filter((p) => query['date'] === undefined || p.date === query['date'])
          .sort((x, y) => (x.date < y.date ? 1 : -1))
          .map(({ id, date, status, objective, bound, playedAt, forecast, edited }) => ({
            id,
            date,
            status,
            objective,
            bound,
            playedAt,
            forecast,
            edited,
          })),
        query,
      ),
  },
  {
    method: 'POST',
    path: '/plans',
    summary: 'Plan a session; 202 with a job when it takes long',
    query: waitQuery,
    body: planBody,
    status: 201,
    response: planResponse,
    waits: true,
    handle: ({ db, body, query, today, now, key }) => {
      const date = (body as PlanRequest).date ?? today;
      const old = planFor(db.select().from(plans).all(), date);
      // The key decides the id, so that the same write sent again after a crash finds the plan it made.
      const where = old?.forecast ? { replace: old } : key ? { id: uuidOf(`urn:zeitgeber:plans:${key}`) } : {};
      const job = startPlan(db, body, today, now, where);
      return answerOf(job, query['wait'] ?? '30', async ({ plan, failed }) => new Reply(201, await answerPlan(db, plan, failed)));
    },
  },
  {
    method: 'GET',
    path: '/plans/{id}',
    summary: 'One plan',
    response: planResponse,
    waits: true,
    handle: ({ db, params }) => wirePlan(db, planById(db, params['id']!)),
  },
  {
    method: 'PUT',
    path: '/plans/{id}',
    summary: 'Save a plan edited by hand; broken rules are told, not forbidden',
    body: closed({ rounds: editedRounds, locks: arr(lock), version: int }, ['rounds', 'version']),
    response: obj({ id: str, version: int, violations: arr(any), objective: num }),
    waits: true,
    handle: ({ db, params, body, today }) => editPlan(db, params['id']!, body.rounds, body.locks ?? [], body.version, today),
  },
  {
    method: 'DELETE',
    path: '/plans/{id}',
    summary: 'Throw a plan away',
    response: ok,
    handle: ({ db, params }) => {
      const plan = planById(db, params['id']!);
      if (plan.playedAt) throw refuse('conflict', 'This session was played; its plan stays.', 'id');
      db.delete(plans).where(eq(plans.id, plan.id)).run();
      return { ok: true };
    },
  },
  {
    method: 'POST',
    path: '/plans/{id}/check',
    summary: 'Check edited rounds without saving',
    body: closed({ rounds: editedRounds, locks: arr(lock) }, ['rounds']),
    response: checkResponse,
    waits: true,
    handle: async ({ db, params, body, today }) => {
      const plan = planById(db, params['id']!);
      const rounds = await completeRounds(db, plan, body.rounds, today);
      return { ...(await checkRounds(db, { ...plan, locks: body.locks ?? plan.locks }, rounds, today)), rounds };
    },
  },
  {
    method: 'POST',
    path: '/plans/{id}/replan',
    summary: 'Plan again around what is fixed',
    query: waitQuery,
    body: closed(
      {
        locks: arr(lock),
        present: arr(str),
        seed: int,
        seconds: { type: 'number', minimum: 0.1, maximum: 60 },
        tables: int,
        helpers: int,
        version: int,
      },
      ['version'],
    ),
    response: planResponse,
    waits: true,
    handle: ({ db, params, body, query, today, now }) => {
      const plan = planById(db, params['id']!);
      refusePlayed(plan);
      sameVersion(plan, body.version);
      const { obstacles: _, ...request } = plan.request;
      const present: string[] = body.present ?? request.present;
      const locks = (body.locks ?? plan.locks).filter((k: { learner: string }) => present.includes(k.learner));
      const job = startPlan(
        db,
        {
          ...request,
          date: plan.date,
          present,
          locks,
          ...(body.seed === undefined ? {} : { seed: body.seed }),
          ...(body.seconds === undefined ? {} : { seconds: body.seconds }),
          ...(body.tables === undefined ? {} : { tables: body.tables }),
          ...(body.helpers === undefined ? {} : { helpers: body.helpers }),
        },
        today,
        now,
        { replace: plan },
      );
      return answerOf(job, query['wait'] ?? '30', ({ plan: id, failed }) => answerPlan(db, id, failed));
    },
  },
  {
    method: 'POST',
    path: '/plans/{id}/played',
    summary: 'Say that a session took place (or not after all)',
    body: closed({ played: bool }),
    response: obj({ id: str, playedAt: nullable(str) }),
    handle: ({ db, params, body, now, today }) => {
      const plan = planById(db, params['id']!);
      if (body.played !== false && plan.date > today)
        throw refuse('in-the-future', `This session is planned for ${plan.date}, after today.`, 'date');
      const playedAt = body.played === false ? null : now;
      db.update(plans).set({ playedAt, forecast: false }).where(eq(plans.id, plan.id)).run();
      return { id: plan.id, playedAt };
    },
  },
  {
    method: 'GET',
    path: '/plans/{id}/gather',
    summary: 'What to bring, bin by bin',
    response: obj({ plan: str, bins: arr(obj({ bin: str, title: str, items: arr(any) })), ticked: int, total: int }),
    handle: ({ db, params }) => gatherList(db, planById(db, params['id']!)),
  },
  {
    method: 'PUT',
    path: '/plans/{id}/gather',
    summary: 'Tick something off the list',
    body: closed({ item: str, ticked: bool }, ['item', 'ticked']),
    response: obj({ item: str, ticked: bool }),
    handle: ({ db, params, body, now }) => tick(db, planById(db, params['id']!), body.item, body.ticked, now),
  },
  {
    method: 'GET',
    path: '/plans/{id}/review',
    summary: 'What a session moved on the map, and why',
    response: obj({ plan: str, planned: int, noted: int, learners: arr(any), practice: arr(any) }),
    waits: true,
    handle: ({ db, params }) => reviewOf(db, planById(db, params['id']!)),
  },
  {
    method: 'GET',
    path: '/term',
    summary: 'The term with its meetings',
    response: obj({ term: nullable(any), meetings: arr(any), today: str }),
    handle: ({ db, today }) => termView(db, today),
  },
  {
    method: 'PUT',
    path: '/term',
    summary: 'Say when you meet',
    body: closed(
      {
        title: { ...name, minLength: 1 },
        starts: day,
        ends: day,
        weekdays: { type: 'array', items: { type: 'integer', minimum: 1, maximum: 7 }, minItems: 1, maxItems: 7 },
        startsAt: time,
        rounds: { type: 'integer', minimum: 1, maximum: 8 },
        minutes: { type: 'integer', minimum: 3, maximum: 120 },
        tables: { type: 'integer', minimum: 0, maximum: 20 },
        helpers: { type: 'integer', minimum: 0, maximum: 20 },
      },
      ['title', 'starts', 'ends', 'weekdays', 'startsAt', 'rounds', 'minutes', 'tables', 'helpers'],
    ),
    response: obj({ id: str, meetings: int }),
    handle: ({ db, body, now }) => putTerm(db, body, now),
  },
  {
    method: 'PATCH',
    path: '/meetings/{id}',
    summary: 'Change a meeting, or take it off',
    body: closed({
      off: bool,
      offBecause: name,
      startsAt: time,
      rounds: { type: 'integer', minimum: 1, maximum: 8 },
      minutes: { type: 'integer', minimum: 3, maximum: 120 },
      tables: { type: 'integer', minimum: 1, maximum: 20 },
      helpers: { type: 'integer', minimum: 0, maximum: 20 },
    }),
    response: obj({ id: str }),
    handle: ({ db, params, body, now }) => updateMeeting(db, params['id']!, body, now),
  },
  {
    method: 'POST',
    path: '/term/plan',
    summary: 'Plan every meeting ahead by rolling the session model forward; answers 202 with a job',
    body: closed({ seed: int, secondsPerMeeting: { type: 'number', minimum: 0.05, maximum: 10 } }),
    status: 202,
    response: obj({ job: str }),
    handle: ({ db, body, today, now }) => ({
      job: startTermPlan(db, today, now, { seed: body.seed ?? 1, secondsPerMeeting: body.secondsPerMeeting ?? 0.5 }).id,
    }),
  },
  {
    method: 'GET',
    path: '/term/calendar',
    summary: 'The term as iCalendar; nicknames only when asked for',
    query: { names: oneOf('true', 'false') },
    media: 'text/calendar; charset=utf-8',
    response: str,
    handle: calendar,
  },
];
