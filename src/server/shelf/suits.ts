import type { SuitsWire } from '../../contract/wire/practice';
import type { Kept } from '../../contract/wire/route';
import { graphOf } from '../db/graphOf';
import { practised } from '../../core/recommend/practised';
import { suitsOf } from '../../core/recommend/suitsOf';
import type { Db } from '../db/db';
import { needsOf } from '../evidence/evidenceStore';
import { allEstimates } from '../evidence/learnerState';
import { allLearners } from '../learners/learnerStore';
import { offersOf } from './offers';

/** How a variant would go for every learner here, by nickname; never a ranking. */
export async function suitsHere(db: Db, variant: string, today: string): Promise<{ items: Kept<SuitsWire>[]; total: number }> {
  const graph = graphOf(db);
  const offer = (await offersOf(db)).find((o) => o.variant === variant && o.source !== 'none');
  // Where no step of the map is in it, nobody can say how it would go.
  if (!offer || practised(offer.doses).length === 0) return { items: [], total: 0 };
  const learners = allLearners(db);
  const maps = allEstimates(db, learners, today);
  const items = learners.map((l) => {
    const map = maps.get(l.id)!;
    const s = suitsOf(
      graph,
      offer,
      needsOf(graphOf(db), l, map, today),
      map.map((e) => e.spread),
    );
    const g = s.gate;
    return {
      learner: l.id,
      nickname: l.nickname,
      success: s.success,
      low: s.low,
      high: s.high,
      because: g?.because ?? null,
      missing: g?.because === 'needs' ? graph.skills[g.missing]!.title : null,
    };
  });
  return { items, total: items.length };
}
