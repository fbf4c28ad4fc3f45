import { prepWire } from '../../contract/wire/prep';
import { serve } from '../http/route';
import { planBAhead } from '../planning/planB';
import { planById } from '../planning/planById';
import { prepAhead } from './ahead';
import { gatherList, tick } from './gatherList';
import { tickStep } from './prepTicks';

export const prepRoutes = serve(prepWire, {
  'GET /plans/{id}/gather': ({ db, params, today }) => {
    const plan = planById(db, params.id);
    planBAhead(db, plan, today);
    return gatherList(db, plan);
  },
  'GET /prep/ahead': ({ db, query, today }) => prepAhead(db, query.until, today),
  'PUT /prep/steps': ({ db, body, now }) => tickStep(db, body, now),
  'PUT /plans/{id}/gather': ({ db, params, body, now }) => tick(db, planById(db, params.id), body.item, body.ticked, now),
});
