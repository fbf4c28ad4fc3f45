import type { Fairness } from '../../core/simulate/fairness';
import type { Change } from '../../core/simulate/searchChanges';
import { benchWire } from '../../contract/wire/bench';
import { checkTable } from '../../contract/parameters';
import { ProblemError } from '../http/problemError';
import { startJob } from '../jobs/pool';
import { serve } from '../http/route';
import { answerOf } from './answerOf';

/** Games played for each question of fairness. */
const fairnessGames = 600;

export const benchRoutes = serve(benchWire, {
  'POST /fairness': ({ body, query }) => {
    const checked = checkTable(body.mechanism, body.parameters ?? {}, body.seats ?? 2);
    if (!checked.ok) throw new ProblemError(checked.problem);
    return answerOf(
      startJob(
        {
          kind: 'fairness',
          mechanism: body.mechanism,
          parameters: body.parameters ?? {},
          seats: body.seats ?? 2,
          seed: body.seed ?? 1,
          games: fairnessGames,
        },
        (fairness: Fairness | null) => ({ fairness }),
      ),
      query.wait,
      (done) => done,
    );
  },
  'POST /changes': ({ body, query }) => {
    const checked = checkTable(body.mechanism, body.parameters ?? {}, body.seats ?? 2);
    if (!checked.ok) throw new ProblemError(checked.problem);
    return answerOf(
      startJob(
        {
          kind: 'changes',
          mechanism: body.mechanism,
          parameters: body.parameters ?? {},
          seats: body.seats ?? 2,
          wish: body.wish,
          seed: body.seed ?? 1,
        },
        (changes: readonly Change[]) => ({ changes }),
      ),
      query.wait,
      (done) => done,
    );
  },
  'POST /stories': ({ body, query }) => {
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
      query.wait,
      (story) => story,
    );
  },
});
