import { firmAt } from '../mastery/parameters';
import type { LearnerNeeds } from '../recommend/learnerNeeds';
import { atTable } from '../recommend/atTable';
import { isKnown, type Offer } from '../recommend/offer';
import { groupBy, mainSkill } from '../recommend/recommend';
import { gateOf, lengthSlack, valueOf } from '../recommend/valueOf';
import type { SkillGraph } from '../skills/skillGraph';

/** Who may sit together at a game, each with a version and a step of its own. */
export interface TogetherAt {
  readonly game: string;
  readonly seats: readonly { readonly learner: string; readonly variant: string; readonly skill: string }[];
}

/** A seat counts where it is worth this part of the child's best one. */
const worthwhile = 0.5;
/** Between these shares of right answers a step is well placed. */
const band: readonly [number, number] = [0.55, 0.93];
const leastTogether = 2;
const minutes = 15;

/**
 * Games at which two or more would each practise a step that is open for them, those that serve most first; every
 * game once, with no more at it than can play.
 */
export function togetherAt(graph: SkillGraph, offers: readonly Offer[], group: readonly LearnerNeeds[], most: number): TogetherAt[] {
  const known = offers.filter((o) => isKnown(o) && o.minutes <= minutes * lengthSlack).map((o) => atTable(o, null, minutes));
  const tables = [...groupBy(known, (o) => `${o.game}|${o.mixClass}`).values()];
  const seats = group.map((l) => tables.map((versions) => seatOf(graph, versions, l)));
  const best = seats.map((row) => Math.max(0, ...row.map((s) => s?.value ?? 0)));
  const found = tables.flatMap((versions, t) => {
    const [least, room] = [Math.max(...versions.map((o) => o.players[0])), Math.min(...versions.map((o) => o.players[1]))];
    const here = group
      .flatMap((l, i) => {
        const s = seats[i]![t];
        return s && s.value >= worthwhile * best[i]! ? [{ learner: l.learner, ...s, share: s.value / best[i]! }] : [];
      })
      .sort((x, y) => y.share - x.share || (x.learner < y.learner ? -1 : 1))
      .slice(0, room);
    return here.length < Math.max(leastTogether, least)
      ? []
      : [{ game: versions[0]!.game, here, sum: here.reduce((a, s) => a + s.share, 0) }];
  });
  const games = new Set<string>();
  return found
    .sort((x, y) => y.sum - x.sum || (x.game < y.game ? -1 : 1))
    .filter((f) => !games.has(f.game) && games.add(f.game))
    .slice(0, most)
    .map(({ game, here }) => ({
      game,
      seats: here.map(({ learner, variant, skill }) => ({ learner, variant, skill: graph.skills[skill]!.id })),
    }));
}

/** The best version for one child whose step is open, ready and neither hopeless nor dull. */
function seatOf(
  graph: SkillGraph,
  versions: readonly Offer[],
  l: LearnerNeeds,
): { readonly variant: string; readonly skill: number; readonly value: number } | null {
  let best: { variant: string; skill: number; value: number } | null = null;
  for (const o of versions) {
    const value = valueOf(o, l, minutes);
    if (best && value <= best.value) continue;
    const skill = mainSkill(o, l, minutes);
    if (skill < 0 || l.known[skill]! >= firmAt || l.ready[skill] !== 1) continue;
    if (l.success[skill]! < band[0] || l.success[skill]! > band[1] || gateOf(graph, o, l) !== null) continue;
    best = { variant: o.variant, skill, value };
  }
  return best;
}
