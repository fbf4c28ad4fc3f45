import { type Static, Type } from '@sinclair/typebox';
import { define } from './route';
import {
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
  opt,
  pageQuery,
  str,
  time,
  truth,
  waitQuery,
  whole,
  within,
} from './schema';
import { material, offerSource } from './things';

/** Bounds of one session: work on it grows with their product, so no list may be longer. */
const mostRounds = 8;
const mostTables = 20;
const mostPresent = 60;

const status = oneOf('optimal', 'good', 'stopped-early', 'infeasible');
const lock = obj({ learner: str, round: int, game: str });
export type LockWire = Static<typeof lock>;
const lockBody = closed({ learner: str, round: Type.Integer({ minimum: 0 }), game: str }, ['learner', 'round', 'game']);
const table = obj({
  game: str,
  title: str,
  helper: bool,
  materials: arr(obj({ ...material.properties, title: str })),
  seats: arr(
    obj({
      learner: str,
      variant: str,
      variantTitle: str,
      doses: arr(obj({ skill: str, items: num, source: oneOf('calculated', 'declared') })),
      why: str,
    }),
  ),
});
export type TableWire = Static<typeof table>;
export type SeatWire = TableWire['seats'][number];
const round = obj({ tables: arr(table), resting: arr(str) });
export type RoundWire = Static<typeof round>;
const plan = obj({
  id: str,
  date: str,
  status,
  objective: num,
  bound: num,
  /** Share of the bound that the plan may at most fall short of. */
  gap: num,
  /** What would make room, where nobody could be seated. */
  relax: opt(arr(str)),
  /** Planning again found no seats, and the session stands as it was. */
  failed: opt(obj({ relax: arr(str) })),
  rounds: arr(round),
  locks: arr(lock),
  request: obj({
    present: arr(str),
    rounds: int,
    minutes: int,
    tables: int,
    helpers: int,
    seed: int,
    preparationMinutes: nullable(num),
  }),
  edited: bool,
  forecast: bool,
  playedAt: nullable(str),
  version: int,
});
export type PlanWire = Static<typeof plan>;
const planned = obj({ plan: str, failed: nullable(arr(str)) });
const shortPlan = obj({
  id: str,
  date: str,
  status,
  objective: num,
  bound: num,
  playedAt: nullable(str),
  forecast: bool,
  edited: bool,
});
export type PlanShort = Static<typeof shortPlan>;

const perSession = {
  rounds: whole(1, mostRounds),
  minutes: whole(3, 120),
  tables: whole(0, mostTables),
  helpers: whole(0, 20),
};
const planBody = closed(
  {
    ...perSession,
    date: day,
    present: arr(str, mostPresent),
    seed: whole(0, 2147483647),
    seconds: within(0.1, 60),
    preparationMinutes: within(0, 10_000),
    locks: arr(lockBody, mostRounds * mostPresent),
    resting: arr(closed({ learner: str, round: Type.Integer({ minimum: 0 }) }, ['learner', 'round']), mostRounds * mostPresent),
  },
  ['present', 'rounds', 'minutes', 'tables', 'helpers'],
);
export type PlanBody = Static<typeof planBody>;
const editedRounds = arr(
  closed(
    {
      tables: arr(
        closed({ game: str, seats: arr(closed({ learner: str, variant: str }, ['learner']), 30) }, ['game', 'seats']),
        mostTables,
      ),
      resting: arr(str, mostPresent),
    },
    ['tables', 'resting'],
  ),
  mostRounds,
);
const violation = obj({ rule: str, message: str, round: opt(int), learner: opt(str), game: opt(str) });
export type ViolationWire = Static<typeof violation>;
const storedRound = obj({
  tables: arr(obj({ game: str, helper: bool, seats: arr(obj({ learner: str, variant: str, why: str, skill: opt(nullable(str)) })) })),
  resting: arr(str),
});

const suggestion = obj({
  game: str,
  title: str,
  seats: arr(
    obj({
      learner: str,
      variant: str,
      variantTitle: str,
      value: num,
      success: num,
      skill: nullable(str),
      chances: num,
    }),
  ),
  value: num,
  source: offerSource,
  reasons: arr(str),
});
export type SuggestionWire = Static<typeof suggestion>;
const recommendations = obj({
  items: arr(suggestion),
  open: arr(obj({ learner: str, skill: str, barred: nullable(obj({ variant: str, title: str, because: str })) })),
  excluded: arr(obj({ game: str, title: str, because: str, alternative: nullable(str) })),
});
export type RecommendationsWire = Static<typeof recommendations>;

const gather = obj({
  plan: str,
  date: str,
  bins: arr(
    obj({
      bin: str,
      title: str,
      items: arr(
        obj({
          item: str,
          title: str,
          quantity: int,
          have: nullable(int),
          state: oneOf('there', 'short', 'missing'),
          forGames: arr(str),
          rounds: arr(int),
          caution: nullable(str),
          notes: str,
          ticked: bool,
        }),
      ),
    }),
  ),
  ticked: int,
  total: int,
  smallParts: bool,
});
export type GatherWire = Static<typeof gather>;

const skillStatus = oneOf('not-yet', 'growing', 'on-their-own', 'worth-checking');
const review = obj({
  plan: str,
  date: str,
  playedAt: nullable(str),
  planned: int,
  noted: int,
  learners: arr(
    obj({
      learner: str,
      nickname: str,
      notes: int,
      moved: arr(
        obj({
          skill: str,
          title: str,
          before: num,
          after: num,
          statusBefore: skillStatus,
          statusAfter: skillStatus,
          because: arr(str),
        }),
      ),
    }),
  ),
  practice: arr(obj({ skill: str, title: str, items: num })),
});
export type ReviewWire = Static<typeof review>;

const meeting = obj({
  id: str,
  termId: str,
  date: str,
  startsAt: str,
  rounds: int,
  minutes: int,
  tables: int,
  helpers: int,
  off: bool,
  offBecause: nullable(str),
  version: int,
  changedAt: str,
  state: oneOf('played', 'missed', 'ahead', 'off'),
  plan: nullable(
    obj({
      id: str,
      status,
      objective: num,
      bound: num,
      forecast: bool,
      edited: bool,
      playedAt: nullable(str),
      games: arr(str),
    }),
  ),
});
export type MeetingWire = Static<typeof meeting>;
const term = obj({
  term: nullable(obj({ id: str, title: str, starts: str, ends: str })),
  meetings: arr(meeting),
  today: str,
});
export type TermWire = Static<typeof term>;
const termBody = closed(
  {
    ...perSession,
    title: Type.String({ minLength: 1, maxLength: 200 }),
    starts: day,
    ends: day,
    weekdays: arr(whole(1, 7), 7, 1),
    startsAt: time,
  },
  ['title', 'starts', 'ends', 'weekdays', 'startsAt', 'rounds', 'minutes', 'tables', 'helpers'],
);
export type TermBody = Static<typeof termBody>;

export const plansWire = define({
  'GET /plans': { summary: 'Plans, newest date first', query: { ...pageQuery, date: day }, response: list(shortPlan) },
  'POST /plans': {
    summary: 'Plan a session; 202 with a job when it takes long',
    query: waitQuery,
    body: planBody,
    status: 201,
    response: plan,
    job: planned,
    waits: true,
  },
  'GET /plans/{id}': { summary: 'One plan', response: plan, waits: true },
  'PUT /plans/{id}': {
    summary: 'Save a plan edited by hand; broken rules are told, not forbidden',
    body: closed({ rounds: editedRounds, locks: arr(lockBody, mostRounds * mostPresent), version: int }, ['rounds', 'version']),
    response: obj({ id: str, version: int, violations: arr(violation), objective: num }),
    waits: true,
  },
  'DELETE /plans/{id}': { summary: 'Throw a plan away', response: ok },
  'POST /plans/{id}/check': {
    summary: 'Check edited rounds without saving',
    body: closed({ rounds: editedRounds, locks: arr(lockBody, mostRounds * mostPresent) }, ['rounds']),
    response: obj({ violations: arr(violation), objective: num, rounds: arr(storedRound) }),
    waits: true,
  },
  'POST /plans/{id}/replan': {
    summary: 'Plan again around what is fixed',
    query: waitQuery,
    body: closed(
      {
        locks: arr(lockBody, mostRounds * mostPresent),
        present: arr(str, mostPresent),
        seed: int,
        seconds: within(0.1, 60),
        tables: int,
        helpers: int,
        version: int,
      },
      ['version'],
    ),
    response: plan,
    job: planned,
    waits: true,
  },
  'POST /plans/{id}/played': {
    summary: 'Say that a session took place (or not after all)',
    body: closed({ played: bool }),
    response: obj({ id: str, playedAt: nullable(str) }),
  },
  'GET /plans/{id}/gather': { summary: 'What to bring, bin by bin', response: gather },
  'PUT /plans/{id}/gather': {
    summary: 'Tick something off the list',
    body: closed({ item: str, ticked: bool }, ['item', 'ticked']),
    response: obj({ item: str, ticked: bool }),
  },
  'GET /plans/{id}/review': { summary: 'What a session moved on the map, and why', response: review, waits: true },
});

export const recommendWire = define({
  'POST /recommendations': {
    summary: 'Games for a learner or a table, with reasons and what excluded the others',
    body: closed(
      {
        learners: arr(str, 30),
        minutes: within(3, 120),
        limit: whole(1, 200),
        withStock: bool,
        withoutHelper: bool,
        preparationMinutes: within(0, 600),
        withoutKinds: arr(str),
      },
      ['learners'],
    ),
    response: recommendations,
    waits: true,
  },
});

export const termWire = define({
  'GET /term': { summary: 'The term with its meetings', response: term },
  'PUT /term': { summary: 'Say when you meet', body: termBody, response: obj({ id: str, meetings: int }) },
  'PATCH /meetings/{id}': {
    summary: 'Change a meeting, or take it off',
    body: closed({ ...perSession, tables: whole(1, mostTables), off: bool, offBecause: name, startsAt: time }),
    response: obj({ id: str }),
  },
  'POST /term/plan': {
    summary: 'Plan every meeting ahead by rolling the session model forward; answers 202 with a job',
    body: closed({ seed: int, secondsPerMeeting: within(0.05, 10) }),
    status: 202,
    response: obj({ job: str }),
    job: obj({ planned: int, kept: int }),
  },
  'GET /term/calendar': {
    summary: 'The term as iCalendar; nicknames only when asked for',
    query: { names: truth },
    media: 'text/calendar; charset=utf-8',
    response: Type.String(),
  },
});
