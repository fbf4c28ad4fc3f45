import type { SkillGraph } from '../skills/skillGraph';
import type { LearnerNeeds } from './learnerNeeds';
import type { Offer } from './offer';
import { gateOf, valueOf } from './valueOf';

/** A game that fills less than this part of its round wants another after it. */
const fullFrom = 1 / 3;

/** Whether a table is done long before its round is: the longest of its versions fills less than a third. */
export const endsEarly = (playing: readonly Offer[], minutes: number): boolean =>
  playing.length > 0 && Math.max(...playing.map((o) => o.minutes)) < minutes * fullFrom;

/**
 * What the same children play on with from the same things when their game is done long before the round: one version for
 * all, that none of them is barred from, of a game they do not play elsewhere in the session; the one worth most to them
 * together, by name where two are alike. Null where there is none.
 * @param playing versions that are played at the table
 * @param elsewhere games that one of them plays at another time
 * @param players seats that are taken: fewer than children where two share one, one more with a grown-up
 */
export function andThen(
  graph: SkillGraph,
  offers: readonly Offer[],
  playing: readonly Offer[],
  learners: readonly LearnerNeeds[],
  minutes: number,
  elsewhere: ReadonlySet<string>,
  players: number = learners.length,
): Offer | null {
  const things = new Map<string, number>();
  for (const o of playing) for (const m of o.materials) things.set(m.kind, Math.max(things.get(m.kind) ?? 0, m.quantity));
  const left = minutes - Math.max(0, ...playing.map((o) => o.minutes));
  const games = new Set(playing.map((o) => o.game));
  const helped = playing.some((o) => o.helper === 'needed');
  let best: Offer | null = null;
  let most = 0;
  for (const o of offers) {
    if (games.has(o.game) || elsewhere.has(o.game) || o.minutes > left || o.preparationMinutes > 0) continue;
    if (o.helper === 'needed' && !helped) continue;
    if (players < o.players[0] || players > o.players[1]) continue;
    if (!o.materials.every((m) => (things.get(m.kind) ?? 0) >= m.quantity)) continue;
    if (learners.some((l) => gateOf(graph, o, l) !== null)) continue;
    const worth = learners.reduce((sum, l) => sum + valueOf(o, l, left), 0);
    if (worth > most || (worth === most && worth > 0 && best !== null && o.variant < best.variant)) [best, most] = [o, worth];
  }
  return best;
}
