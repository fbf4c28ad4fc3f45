import { frameworksWire } from '../../contract/wire/skills';
import { page, Reply, serve } from '../http/route';
import { exportCase, frameworkItems, frameworkList, importCase, removeFramework, tie } from './frameworkStore';

export const frameworkRoutes = serve(frameworksWire, {
  'GET /frameworks': ({ db, query }) => page(frameworkList(db), query),
  'GET /frameworks/{id}/items': ({ db, params, query }) => page(frameworkItems(db, params.id), query),
  'POST /frameworks/{id}/ties': ({ db, params, body, now }) => tie(db, params.id, body.ties, now),
  'GET /frameworks/{id}/case': ({ db, params }) =>
    new Reply(200, exportCase(db, params.id), {
      'content-disposition': `attachment; filename="${params.id.replace(/[^\w-]/g, '')}.case.json"`,
    }),
  'DELETE /frameworks/{id}': ({ db, params }) => removeFramework(db, params.id),
  'POST /imports/framework': ({ db, body, now }) => importCase(db, body.text, body.commit === true, now),
});
