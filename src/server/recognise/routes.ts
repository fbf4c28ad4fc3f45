import { recogniseWire } from '../../contract/wire/recognise';
import { page, serve } from '../http/route';
import { acceptKnown } from './accept';
import { queueOf } from './queue';

export const recogniseRoutes = serve(recogniseWire, {
  'GET /recognise': ({ db, query }) => {
    const asked = queueOf(db);
    return { ...page(asked, query), sure: asked.filter((a) => a.sure).length };
  },
  'POST /variants/{id}/known': ({ db, params, body }) => acceptKnown(db, params.id, body),
});
