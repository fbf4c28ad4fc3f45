import { type Static, Type } from '@sinclair/typebox';
import { policies } from '../../core/mechanisms/mechanism';
import { wishes } from '../../core/simulate/searchChanges';
import { askedMeasures } from '../../core/simulate/simulation';
import { DEFAULT_TIME, type TimeModel } from '../../core/simulate/timeModel';
import { define } from './route';
import {
  anything,
  arr,
  closed,
  estimate,
  int,
  nullable,
  num,
  obj,
  oneOf,
  opt,
  problem,
  record,
  seed,
  str,
  waitQuery,
  whole,
  within,
} from './schema';
import { dose, item } from './things';

const seat = closed({ policy: oneOf(...policies), errorRate: num, parameters: record(anything), headStart: whole(0, 1000) });
/** So many alike, or each seat as it plays. */
const seats = Type.Union([Type.Integer(), arr(seat, 30, 1)]);
const table = { mechanism: str, parameters: record(anything), seats, seed };
const time = Type.Unsafe<Partial<TimeModel>>(closed(Object.fromEntries(Object.keys(DEFAULT_TIME).map((name) => [name, num]))));

const quantiles = obj({ ...estimate.properties, quantiles: record(num) });
const simulation = obj({
  games: int,
  seed: int,
  engine: str,
  seats: int,
  turns: quantiles,
  rounds: quantiles,
  minutes: Type.Unsafe<Record<string, number> & Static<typeof estimate>>(record(num)),
  minuteHistogram: arr(num),
  outcomes: obj({ wins: arr(num), ties: num, capped: num, score: estimate }),
  measures: record(num),
  measureErrors: record(num),
  shares: record(estimate),
  distinctFacts: int,
  doses: arr(arr(obj({ ...dose.properties, standardError: num }))),
  items: arr(obj({ ...item.properties, seat: int, count: num })),
});

const course = obj({ games: int, leadChanges: estimate, known: num, level: estimate, weakest: estimate });
const fairness = obj({
  games: int,
  wins: arr(estimate),
  seatAdvantage: estimate,
  choice: estimate,
  choiceWord: oneOf('little', 'somewhat', 'much'),
  course: nullable(course),
  handicap: nullable(obj({ seat: int, headStart: num, unit: str, before: estimate, after: estimate })),
});
export type CourseWire = Static<typeof course>;
const change = obj({ parameter: str, value: anything, before: estimate, after: estimate, minutes: estimate });
const story = obj({
  events: arr(
    Type.Union([
      obj({ kind: Type.Literal('turn'), seat: int, options: int }),
      obj({ kind: Type.Literal('told'), seat: int, sentence: int, x: num, y: num }),
      obj({ kind: Type.Literal('item'), seat: int, item }),
    ]),
  ),
  winner: int,
  scores: arr(num),
  turns: int,
  minutes: num,
});

const job = obj({
  id: str,
  status: oneOf('waiting', 'running', 'done', 'failed', 'cancelled'),
  progress: num,
  /** What the route that began it answers with in the end. */
  result: opt(anything),
  problem: opt(problem),
});

export const benchWire = define({
  'POST /fairness': {
    summary: 'Luck or choice, who goes first, each seat’s chance to win and the head start that evens it',
    query: waitQuery,
    body: closed(table, ['mechanism']),
    response: obj({ fairness: nullable(fairness) }),
    job: obj({ fairness: nullable(fairness) }),
    waits: true,
  },
  'POST /changes': {
    summary: 'Single changes of a parameter that do most for a wish, with their measured effect',
    query: waitQuery,
    body: closed({ ...table, seats: whole(1, 30), wish: oneOf(...wishes) }, ['mechanism', 'wish']),
    response: obj({ changes: arr(change) }),
    job: obj({ changes: arr(change) }),
    waits: true,
  },
  'POST /stories': {
    summary: 'One simulated game, told event by event',
    query: waitQuery,
    body: closed({ ...table, game: whole(0, 1_000_000) }, ['mechanism']),
    response: story,
    job: story,
    waits: true,
  },
});

export const simulationWire = define({
  'POST /simulations': {
    summary: 'Play a variant many times; 202 with a job when it takes long',
    query: waitQuery,
    body: closed(
      {
        ...table,
        games: whole(1, 2_000_000),
        time,
        precision: closed(
          {
            length: within(0.001, 1),
            share: within(0.0005, 1),
            of: closed({ measure: oneOf(...askedMeasures), relative: within(0.001, 1) }, ['measure', 'relative']),
          },
          ['length', 'share'],
        ),
      },
      ['mechanism'],
    ),
    response: simulation,
    job: simulation,
    waits: true,
  },
  'GET /jobs/{id}': { summary: 'How far long work is, and its result', response: job },
  'GET /jobs/{id}/file': { summary: 'The file that long work made', response: Type.String(), media: 'application/pdf' },
  'DELETE /jobs/{id}': { summary: 'Stop long work', response: job },
  'POST /jobs/{id}/finish': { summary: 'End long work soon, with the best so far; 409 where there is none before the end', response: job },
});
