import { checkTable } from '../../contract/parameters';
import { wishes } from '../../core/simulate/searchChanges';
import { ProblemError } from '../http/problemError';
import { any, arr, closed, int, num, obj, oneOf, type Route, str } from '../http/route';
import { seatsSchema } from '../http/schemas';
import { startJob } from '../jobs/pool';
import { answerOf, waitQuery } from './routes';

/** Games played for each question of fairness. */
const fairnessGames = 600;
const seed = { type: 'integer', minimum: 0, maximum: 9007199254740991 } as const;
const table = { mechanism: str, parameters: { type: 'object' }, seats: seatsSchema, seed } as const;

export const benchRoutes: readonly Route[] = [
  {
    method: 'POST',
    path: '/fairness',
    summary: 'Luck or choice, who goes first, each seat’s chance to win and the head start that evens it',
    query: waitQuery,
    body: closed(table, ['mechanism']),
    response: any,
    waits: true,
    handle: ({ body, query }) => {
      const checked = checkTable(body.mechanism, body.parameters ?? {}, body.seats ?? 2);
      if (!checked.ok) throw new ProblemError(checked.problem);
      return answerOf(
        startJob({
          kind: 'fairness',
          mechanism: body.mechanism,
          parameters: body.parameters ?? {},
          seats: body.seats ?? 2,
          seed: body.seed ?? 1,
          games: fairnessGames,
        }),
        query['wait'],
        (fairness) => ({ fairness }),
      );
    },
  },
  {
    method: 'POST',
    path: '/changes',
    summary: 'Single changes of a parameter that do most for a wish, with their measured effect',
    query: waitQuery,
    body: closed({ ...table, seats: { type: 'integer', minimum: 1, maximum: 30 }, wish: oneOf(...wishes) }, ['mechanism', 'wish']),
    response: any,
    waits: true,
    handle: ({ body, query }) => {
      const checked = checkTable(body.mechanism, body.parameters ?? {}, body.seats ?? 2);
      if (!checked.ok) throw new ProblemError(checked.problem);
      return answerOf(
        startJob({
          kind: 'changes',
          mechanism: body.mechanism,
          parameters: body.parameters ?? {},
          seats: body.seats ?? 2,
          wish: body.wish,
          seed: body.seed ?? 1,
        }),
        query['wait'],
        (changes) => ({ changes }),
      );
    },
  },
  {
    method: 'POST',
    path: '/stories',
    summary: 'One simulated game, told event by event',
    body: closed({ ...table, game: { type: 'integer', minimum: 0, maximum: 1_000_000 } }, ['mechanism']),
    response: obj({
      events: arr(obj({ kind: oneOf('turn', 'told', 'item'), seat: int })),
      winner: int,
      scores: arr(num),
      turns: int,
      minutes: num,
    }),
    query: waitQuery,
    waits: true,
    handle: ({ body, query }) => {
      const checked = checkTable(body.mechanism, body.parameters ?? {}, body.seats ?? 2);
      if (!checked.ok) throw new ProblemError(checked.problem);
      return answerOf(
        startJob({
          kind: 'story',
          mechanism: body.mechanism,
          parameters: body.parameters ?? {},
          seats: body.seats ?? 2,
          seed: body.seed ?? 1,
          game: body.game ?? 1,
        }),
        query['wait'],
        (story) => story,
      );
    },
  },
];
