import { shippedSubstitutes } from '../../contract/shippedData';
import { thingsWire } from '../../contract/wire/thingsOwned';
import { isAutomatic, type Substitute } from '../../core/materials/substitutes';
import { effectSentence } from '../../text/things';
import { bins, kinds } from '../db/schema';
import { page, serve } from '../http/route';
import { titles } from '../shared/titles';
import { leftOver } from './leftOver';
import { playableNow } from './playableNow';
import { addThing, setAllStock, setStock, updateThing, wireKind } from './thingStore';

export const thingRoutes = serve(thingsWire, {
  'GET /kinds': ({ db, query }) => {
    const inBins = db.select().from(bins).all();
    return page(
      db
        .select()
        .from(kinds)
        .all()
        .sort((x, y) => (x.title < y.title ? -1 : 1))
        .map((k) => wireKind(k, inBins)),
      query,
    );
  },
  'GET /kinds/{id}/left': ({ db, params, query }) => leftOver(db, params.id, query.quantity ?? 0),
  'POST /kinds': ({ db, body }) => addThing(db, body),
  'PUT /kinds': ({ db, body }) => setAllStock(db, body.things),
  'PUT /kinds/{id}/stock': ({ db, params, body }) => setStock(db, params.id, body),
  'PATCH /kinds/{id}': ({ db, params, body }) => updateThing(db, params.id, body),
  'GET /substitutes': ({ db, query }) => {
    const name = titles(db);
    const wire = (s: Substitute) => ({
      for: s.for,
      use: s.use,
      title: s.use === null ? s.say : name.kind(s.use),
      say: s.say,
      minutes: s.minutes,
      automatic: isAutomatic(s),
      effect: { sort: s.effect.sort, say: effectSentence(s) },
    });
    return page(shippedSubstitutes.filter((s) => query.for === undefined || s.for === query.for).map(wire), query);
  },
  'GET /things/playable': ({ db, today, query }) => playableNow(db, today, query.only?.split(',').filter(Boolean) ?? null),
});
