import { pricedAims } from '../../core/planning/wishes';
import { type Static, Type } from '@sinclair/typebox';
import { define } from './route';
import { arr, bool, closed, day, int, list, nullable, num, obj, ok, oneOf, opt, str, waitQuery, whole, within, pageQuery } from './schema';
import { changes, missingSeats, plan } from './plan';
import { suggestion } from './recommend';
import { mostRounds, mostTables, mostPresent, status, perSession } from './session';

/** What to do when something goes wrong: a sentence for each move, with its round where it is about one; how many seats change. */
const answerB = { say: arr(obj({ round: nullable(int), text: str })), changes: int, unseated: int } as const;
const planB = obj({
  madeOn: day,
  /** The two whose absence costs the others most, and then both at once. */
  away: arr(obj({ learners: arr(str), cost: num, lost: num, ...answerB })),
  without: arr(obj({ game: str, title: str, rounds: arr(int), ...answerB })),
  /** Ten minutes fewer; null where no round would be long enough. */
  shorter: nullable(obj({ count: int, minutes: num, ...answerB })),
});

export type PlanBWire = Static<typeof planB>;

const lockBody = closed({ learner: str, round: Type.Integer({ minimum: 0 }), game: str }, ['learner', 'round', 'game']);

const planned = obj({ plan: str, failed: nullable(missingSeats), changes: nullable(changes) });

const shortPlan = obj({
  id: str,
  date: str,
  status,
  objective: num,
  bound: num,
  playedAt: nullable(str),
  forecast: bool,
  edited: bool,
  /** Stands on its papers. */
  number: int,
});

export type PlanShort = Static<typeof shortPlan>;

const planBody = closed(
  {
    ...perSession,
    date: day,
    present: arr(str, mostPresent),
    seed: whole(0, 2147483647),
    seconds: within(0.1, 60),
    preparationMinutes: within(0, 10_000),
    /** How often a child may play the same game in the session. */
    timesEach: whole(1, 4),
    /** Games that are not to be played in this session. */
    withoutGames: arr(str, 500),
    /** A grown-up may take a seat where a game wants one player more. */
    grownUp: bool,
    /** Rounds in which everybody plays the same game at one table. */
    everybody: arr(closed({ round: whole(0, mostRounds - 1), game: str }, ['round', 'game']), mostRounds),
    locks: arr(lockBody, mostRounds * mostPresent),
    resting: arr(closed({ learner: str, round: Type.Integer({ minimum: 0 }) }, ['learner', 'round']), mostRounds * mostPresent),
  },
  ['present', 'rounds', 'minutes', 'tables', 'helpers'],
);

export type PlanBody = Static<typeof planBody>;

const replanBody = closed(
  {
    locks: arr(lockBody, mostRounds * mostPresent),
    present: arr(str, mostPresent),
    seed: int,
    seconds: within(0.1, 60),
    tables: int,
    helpers: int,
    rounds: perSession.rounds,
    minutes: perSession.minutes,
    preparationMinutes: within(0, 10_000),
    timesEach: whole(1, 4),
    /** Games that are not to be played today. */
    withoutGames: arr(str, 500),
    grownUp: bool,
    everybody: arr(closed({ round: whole(0, mostRounds - 1), game: str }, ['round', 'game']), mostRounds),
    /** Seats stay where they can. */
    fewChanges: bool,
    /** Seats stay unless a child cannot stay: what plan B says is what comes out. */
    planB: bool,
    version: int,
  },
  ['version'],
);

export type ReplanBody = Static<typeof replanBody>;

const editedRounds = arr(
  closed(
    {
      tables: arr(
        closed({ game: str, grownUp: bool, seats: arr(closed({ learner: str, variant: str, with: str }, ['learner']), mostPresent) }, [
          'game',
          'seats',
        ]),
        mostTables,
      ),
      resting: arr(str, mostPresent),
    },
    ['tables', 'resting'],
  ),
  mostRounds,
);

/** What an aim beside practice costs: the share of all practice it takes, and games to fetch with and without it. */
const aimPrice = obj({ aim: oneOf(...pricedAims), share: num, games: int, gamesWithout: int });

export type AimPriceWire = Static<typeof aimPrice>;

/** Games in place of one at a table. */
const instead = obj({
  items: arr(suggestion),
  /** Others that suit the children, but would break a rule here. */
  breaking: int,
});

export type InsteadWire = Static<typeof instead>;

const violation = obj({ rule: str, message: str, round: opt(int), learner: opt(str), game: opt(str) });

export type ViolationWire = Static<typeof violation>;

const storedRound = obj({
  tables: arr(
    obj({
      game: str,
      helper: bool,
      grownUp: opt(bool),
      lookFor: opt(nullable(str)),
      seats: arr(obj({ learner: str, variant: str, why: str, skill: opt(nullable(str)), tool: opt(nullable(str)), with: opt(str) })),
    }),
  ),
  resting: arr(str),
});

const seatThen = obj({
  variantTitle: str,
  /** What the seat would be for, in words. */
  skill: nullable(str),
  chances: num,
  success: num,
  /** Share of the round that is waiting for a turn; null where nobody counted. */
  waiting: nullable(num),
  /** Somebody would have to sit beside. */
  beside: bool,
  /** Chance to win, simulated; null where nobody wins or nobody has said how it is played. */
  win: nullable(obj({ mean: num, standardError: num })),
});
const whatIf = obj({
  title: str,
  /** Games played for the chances to win. */
  games: int,
  children: arr(obj({ learner: str, now: nullable(seatThen), then: seatThen })),
});
export type WhatIfWire = Static<typeof whatIf>;

/** Different games to fetch, and how many of them nobody who is there has played yet. */
const gamesOut = obj({ different: int, fresh: int });

export const plansWire = define({
  'POST /sessions/now': {
    summary: 'A session for these children now, with games of the library where the shelf has too few they can play',
    query: waitQuery,
    body: closed(
      {
        present: arr(str, mostPresent),
        minutes: perSession.minutes,
        rounds: perSession.rounds,
        tables: perSession.tables,
        helpers: perSession.helpers,
        grownUp: bool,
      },
      ['present'],
    ),
    status: 201,
    response: obj({ plan: str, taken: arr(str) }),
    job: planned,
    waits: true,
  },
  'POST /plans/{id}/price': {
    summary: 'What an aim beside practice costs this session: planned as long without it, nothing stored',
    query: waitQuery,
    body: closed({ aim: oneOf(...pricedAims) }, ['aim']),
    response: aimPrice,
    job: aimPrice,
    waits: true,
  },
  'POST /plans/{id}/whatif': {
    summary: 'What everybody at a table would practise, wait and win if one child sat there, against now',
    query: waitQuery,
    body: closed(
      {
        rounds: editedRounds,
        round: whole(0, mostRounds - 1),
        table: whole(0, mostTables - 1),
        learner: str,
      },
      ['rounds', 'round', 'table', 'learner'],
    ),
    response: whatIf,
    job: whatIf,
    waits: true,
  },
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
    response: obj({ id: str, version: int, violations: arr(violation), objective: num, practice: num, short: arr(str), games: gamesOut }),
    waits: true,
  },
  'DELETE /plans/{id}': { summary: 'Throw a plan away', response: ok },
  'POST /plans/{id}/check': {
    summary: 'Check edited rounds without saving',
    body: closed({ rounds: editedRounds, locks: arr(lockBody, mostRounds * mostPresent) }, ['rounds']),
    response: obj({
      violations: arr(violation),
      objective: num,
      practice: num,
      rounds: arr(storedRound),
      /** Learners whose session is worth less than half of the best there would be for each alone. */
      short: arr(str),
      games: gamesOut,
    }),
    waits: true,
  },
  'GET /plans/{id}/everybody': {
    summary: 'Games that all who are there could play together in one round, best first',
    response: obj({ items: arr(obj({ game: str, title: str, most: int, for: int })) }),
    waits: true,
  },
  'POST /plans/{id}/instead': {
    summary: 'Games that could be played at a table in place of its own without breaking a rule, best first',
    body: closed(
      {
        rounds: editedRounds,
        locks: arr(lockBody, mostRounds * mostPresent),
        round: whole(0, mostRounds - 1),
        table: whole(0, mostTables - 1),
        limit: whole(1, 40),
      },
      ['rounds', 'round', 'table'],
    ),
    response: instead,
    waits: true,
  },
  'POST /plans/{id}/replan': {
    summary: 'Plan again around what is fixed',
    query: waitQuery,
    body: replanBody,
    response: plan,
    job: planned,
    waits: true,
  },
  'POST /plans/{id}/plan-b': {
    summary: 'What to do when somebody is away, a game is not complete or time is short; worked out where it is not yet',
    query: waitQuery,
    response: planB,
    job: planB,
    waits: true,
  },
  'GET /plans/{id}/then': {
    summary: 'Tables that are done in less than a third of their round, and what they play on with from the same things',
    response: obj({
      items: arr(
        obj({
          round: int,
          table: int,
          minutes: num,
          then: nullable(obj({ game: str, title: str, variant: str, variantTitle: str, minutes: num })),
        }),
      ),
    }),
    waits: true,
  },
});
