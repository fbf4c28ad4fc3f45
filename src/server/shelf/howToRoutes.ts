import { and, eq, inArray, isNull, ne } from 'drizzle-orm';
import { howToWire } from '../../contract/howToOf';
import { checkParameters } from '../../contract/parameters';
import { type HowToWire, howToWire as wire, type QuickWire } from '../../contract/wire/howTo';
import { canShare } from '../../core/mechanisms/canShare';
import { quickLook } from '../../core/mechanisms/character';
import { mechanismById } from '../../core/mechanisms/registry';
import type { Country } from '../../core/play/country';
import { cautionsOnce } from '../../core/safety/hazards';
import { usualSeats } from '../../core/simulate/usualSeats';
import type { Db } from '../db/db';
import { games, kinds, variantMaterials, variants } from '../db/schema';
import { ProblemError, refuse } from '../http/problemError';
import { serve } from '../http/route';
import { planById } from '../planning/planById';
import { countryOf } from '../shared/country';
import { titles } from '../shared/titles';
import { ownLines } from './howToOf';
import { variantById, type VariantRow } from './shelfRows';

export const howToRoutes = serve(wire, {
  'POST /how-to': ({ db, body }) => {
    const checked = checkParameters(body.mechanism, body.parameters ?? {});
    if (!checked.ok) throw new ProblemError(checked.problem);
    const m = mechanismById(body.mechanism)!;
    const seats = body.seats ?? usualSeats(m.seats);
    if (!Number.isInteger(seats) || seats < m.seats.min || seats > m.seats.max)
      throw refuse('out-of-range', `“${m.title}” is played by ${m.seats.min} to ${m.seats.max}.`, 'seats');
    return howToWire(m, checked.value, seats, body.ages ?? [7, 12], titles(db).kind, countryOf(db));
  },
  'GET /variants/{id}/how-to': ({ db, params }) => {
    const v = variantById(db, params.id);
    const howTo = of(v, titles(db).kind, countryOf(db));
    return { howTo, quick: howTo && quickOf(db, v, howTo) };
  },
  'GET /plans/{id}/how-to': ({ db, params }) => {
    const seated = planById(db, params.id).rounds.flatMap((r) => r.tables.flatMap((t) => t.seats.map((s) => s.variant)));
    return { items: forTables(db, [...new Set(seated)]) };
  },
});

/** How versions are played, with what to mind at their things. */
export function forTables(
  db: Db,
  ids: readonly string[],
): { variant: string; title: string; own: string[]; cautions: string[]; howTo: HowToWire | null }[] {
  if (ids.length === 0) return [];
  const title = titles(db);
  const country = countryOf(db);
  return db
    .select({ variant: variants, rules: games.rules })
    .from(variants)
    .innerJoin(games, eq(games.id, variants.gameId))
    .where(inArray(variants.id, [...ids]))
    .all()
    .map(({ variant: v, rules }) => ({
      variant: v.id,
      title: v.title,
      own: ownLines(rules, [v.mechanism]),
      cautions: cautionsOf(db, v.id),
      howTo: of(v, title.kind, country),
    }));
}

/** What can hurt at the things of a version, each caution once. */
function cautionsOf(db: Db, variant: string): string[] {
  const rows = db
    .select({ caution: kinds.caution })
    .from(variantMaterials)
    .innerJoin(kinds, eq(kinds.id, variantMaterials.kindId))
    .where(eq(variantMaterials.variantId, variant))
    .all();
  return cautionsOnce(rows.flatMap((r) => r.caution ?? []));
}

/** Its mood, whom it is fair to, and who starts it; easier or harder numbers come from the other versions of the game. */
function quickOf(db: Db, v: VariantRow, howTo: HowToWire): QuickWire {
  const m = mechanismById(v.mechanism!)!;
  const own = db
    .select()
    .from(variants)
    .where(and(eq(variants.gameId, v.gameId), eq(variants.mechanism, m.id), isNull(variants.retiredAt), ne(variants.id, v.id)))
    .all()
    .some((o) => canShare(m, v.parameters, o.parameters));
  return { ...quickLook(m, v.room, [v.agesMin, v.agesMax], howTo.presence.is, own) };
}

function of(v: VariantRow, kind: (id: string) => string, country: Country): HowToWire | null {
  const m = v.mechanism === null ? undefined : mechanismById(v.mechanism);
  if (!m || !checkParameters(m.id, v.parameters).ok) return null;
  return howToWire(m, v.parameters, usualSeats({ min: v.playersMin, max: v.playersMax }), [v.agesMin, v.agesMax], kind, country);
}
