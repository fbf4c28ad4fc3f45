import { prepWire } from '../../contract/wire/prep';
import { serve } from '../http/route';
import { planById } from '../planning/planById';
import { prepAhead } from './ahead';
import { gatherList, tick } from './gatherList';
import { tickStep } from './prepTicks';

export const prepRoutes = serve(prepWire, {
  'GET /plans/{id}/gather': ({ db, params }) => gatherList(db, planById(db, params.id)),
  'GET /prep/ahead': ({ db, query, today }) => prepAhead(db, query.until, today),
  'PUT /prep/steps': ({ db, body, now }) => tickStep(db, body, now),
  'PUT /plans/{id}/gather': ({ db, params, body, now }) => tick(db, planById(db, params.id), body.item, body.ticked, now),
});
