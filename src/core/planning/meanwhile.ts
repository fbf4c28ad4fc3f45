import type { Offer } from '../recommend/offer';
import type { BuiltSession } from './buildSession';
import { familyOf, type Schedule } from './instance';
import { learnerValue } from './objective';

/**
 * What somebody who has no seat in a round does meanwhile: the game on the shelf that would do most for that child of
 * those that can be played alone, with no helper, from what the tables of the round leave in the bins, and that the
 * child does not play at a table of this session. Null where there is none.
 */
export function meanwhileFor(
  built: BuiltSession,
  schedule: Schedule,
  round: number,
  learner: number,
  done: ReadonlySet<string>,
): Offer | null {
  const { instance, options, chosen, stretched } = built;
  const left = [...instance.stock];
  for (const t of schedule[round]!) for (const [kind, quantity] of instance.games[t.game]!.materials) left[kind]! -= quantity;
  const played = new Set(schedule.flat().flatMap((t) => (t.learners.includes(learner) ? [familyOf(instance, t.game)] : [])));
  let best: Offer | null = null;
  let most = 0;
  for (const [g, option] of options.entries()) {
    const offer = chosen[learner]![g];
    if (!offer || option.grownUp || stretched[learner]![g] || offer.players[0] > 1 || offer.helper === 'needed') continue;
    if (played.has(familyOf(instance, g)) || done.has(offer.variant) || offer.preparationMinutes > 0) continue;
    if (!instance.games[g]!.materials.every(([kind, quantity]) => left[kind]! >= quantity)) continue;
    const worth = learnerValue(instance, learner, [g]);
    if (worth > most) [best, most] = [offer, worth];
  }
  return best;
}
