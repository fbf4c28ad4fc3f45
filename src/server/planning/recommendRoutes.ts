import { type RecommendationsWire, recommendWire } from '../../contract/wire/recommend';
import type { Body, Kept } from '../../contract/wire/route';
import { openGaps } from '../../core/recommend/openGaps';
import { recommend } from '../../core/recommend/recommend';
import { daysBetween } from '../../core/shared/days';
import { exclusionReason, suggestionReasons } from '../../text/sentences';
import { graphOf } from '../db/graphOf';
import { masteryOf, needsOf } from '../evidence/evidenceStore';
import { refuse } from '../http/problemError';
import { type Occasion, serve } from '../http/route';
import { learnerById } from '../learners/learnerStore';
import { offersOf, stockOf } from '../shelf/offers';
import { metBefore, playedBefore } from './playedBefore';
import { titles } from '../shared/titles';

type Asked = Body<(typeof recommendWire)['POST /recommendations']>;

/** Games for a table, with reasons and what excluded the others. */
export async function recommendations({ db, today }: Pick<Occasion, 'db' | 'today'>, body: Asked): Promise<Kept<RecommendationsWire>> {
  const graph = graphOf(db);
  if (body.learners.length === 0) throw refuse('nobody-present', 'Name at least one learner.', 'learners');
  const people = body.learners.map((id) => learnerById(db, id));
  const since = new Map<string, number>();
  for (const p of playedBefore(db, `${today}~`)) {
    if (!body.learners.includes(p.learner)) continue;
    const ago = daysBetween(p.date, today);
    since.set(p.game, Math.min(since.get(p.game) ?? Infinity, ago));
  }
  const offers = await offersOf(db);
  const met = metBefore(db, `${today}~`, offers);
  const table = people.map((l) => needsOf(graph, l, masteryOf(db, l, today), today, met.get(l.id)));
  const found = recommend(graph, offers, table, {
    minutes: body.minutes ?? 15,
    limit: body.limit ?? 10,
    stock: body.withStock === false ? null : stockOf(db).stock,
    daysSincePlayed: since,
    filters: {
      withoutHelper: body.withoutHelper === true,
      ...(body.preparationMinutes === undefined ? {} : { preparationMinutes: body.preparationMinutes }),
      withoutKinds: body.withoutKinds ?? [],
    },
  });
  const names = titles(db);
  return {
    items: found.items.map((s) => ({
      game: s.game,
      title: names.game(s.game),
      seats: s.seats.map((seat) => ({
        learner: seat.learner,
        variant: seat.variant,
        variantTitle: offers.find((o) => o.variant === seat.variant)!.title,
        value: seat.value,
        success: seat.success,
        skill: seat.skill < 0 ? null : graph.skills[seat.skill]!.id,
        chances: seat.chances,
      })),
      value: s.value,
      source: offers.find((o) => o.variant === s.seats[0]!.variant)!.source,
      reasons: suggestionReasons(graph, s, names),
    })),
    open: openGaps(graph, offers, table, body.minutes ?? 15).map((g) => ({
      learner: g.learner,
      skill: graph.skills[g.skill]!.id,
      barred: g.barred && {
        variant: g.barred.variant,
        title: names.variant(g.barred.variant),
        because: exclusionReason(graph, g.barred.because, names),
      },
    })),
    excluded: found.excluded.map((x) => ({
      game: x.game,
      title: names.game(x.game),
      because: exclusionReason(graph, x, names),
      alternative: x.because === 'gate' ? x.alternative : null,
    })),
  };
}

export const recommendRoutes = serve(recommendWire, {
  'POST /recommendations': (context) => recommendations(context, context.body),
});
