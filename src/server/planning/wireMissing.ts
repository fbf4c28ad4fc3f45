import type { MissingSeatsWire } from '../../contract/wire/plan';
import type { Kept } from '../../contract/wire/route';
import type { MissingSeats } from '../../core/planning/plannedMeeting';
import { helpingSentence } from '../../text/sentences';
import type { Db } from '../db/db';
import { isKnown } from '../../core/recommend/offer';
import { offersNow } from '../shelf/offers';
import { titles } from '../shared/titles';

/** What would let everybody sit down, in words and as something to be done. */
export function wireMissing(db: Db, { unseatedBefore, unseatedAfter, steps }: MissingSeats): Kept<MissingSeatsWire> {
  const title = titles(db);
  const offers = offersNow(db);
  const games = new Set(offers.map((o) => o.game));
  const known = new Set(offers.filter(isKnown).map((o) => o.game));
  return {
    unseated: unseatedBefore,
    unseatedAfter,
    games: games.size,
    unknown: games.size - known.size,
    steps: steps.map((step) => ({
      text: helpingSentence(step, title),
      relax: step.relax,
      ...(step.by === undefined ? {} : { by: step.by }),
      ...(step.kind === undefined ? {} : { kind: step.kind }),
      ...(step.lock === undefined ? {} : { lock: step.lock }),
    })),
  };
}
