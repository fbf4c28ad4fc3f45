import { recogniseWire } from '../../contract/wire/recognise';
import { page, serve } from '../http/route';
import { acceptKnown } from './accept';
import { queueOf } from './queue';
import { recogniseRows } from './recogniseRows';

export const recogniseRoutes = serve(recogniseWire, {
  'GET /recognise': ({ db, query }) => {
    const asked = queueOf(db);
    return { ...page(asked, query), sure: asked.filter((a) => a.sure).length };
  },
  'POST /recognise': ({ body }) => recogniseRows(body.rows),
  'POST /variants/{id}/known': ({ db, params, body }) => acceptKnown(db, params.id, body),
});
