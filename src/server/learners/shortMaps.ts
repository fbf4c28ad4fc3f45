import type { ShortMapWire } from '../../contract/wire/maps';
import type { Kept } from '../../contract/wire/route';
import { foldFrom } from '../../core/group/foldLine';
import { goodNext } from '../../core/mastery/goodNext';
import { heldAt } from '../../core/mastery/parameters';
import { monthsBetween } from '../../core/shared/days';
import { wantedBy } from '../../core/skills/skill';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { allEstimates } from '../evidence/learnerState';
import { allLearners } from './learnerStore';

/** Arms drawn of each line: those around the edge of what is there. */
const armsShown = 7;
const nextShown = 2;

/** All maps at a glance, in one answer. */
export function shortMaps(db: Db, today: string): Kept<ShortMapWire>[] {
  const graph = graphOf(db);
  const learners = allLearners(db);
  const maps = allEstimates(db, learners, today);
  return learners.map((l) => {
    const all = maps.get(l.id)!;
    const of = (id: string) => all[graph.indexOf.get(id)!]!;
    const age = monthsBetween(l.born, today) / 12;
    return {
      learner: l.id,
      seen: all.some((e) => e.seen),
      next: goodNext(all, age, (k) => wantedBy(graph.skills[graph.indexOf.get(k)!]!, l.framework))
        .slice(0, nextShown)
        .map((e) => e.skill),
      lines: graph.strands.map((s) => {
        const heights = s.skills.map((id) => of(id).asSeen);
        const from = foldFrom(heights, -1, null, armsShown);
        return {
          held: heights.filter((h) => h >= heldAt).length,
          arms: s.skills.slice(from, from + armsShown).map((id) => [Math.round(of(id).asSeen * 1000) / 1000, of(id).seen] as const),
        };
      }),
    };
  });
}
