import { ENGINE } from '../../core/simulate/simulation';
import { frameworkRoutes } from '../frameworks/routes';
import { groupRoutes } from '../group/groupRoutes';
import { learnerRoutes } from '../learners/routes';
import { planningRoutes } from '../planning/routes';
import { shelfRoutes } from '../shelf/routes';
import { libraryRoutes } from '../shelf/libraryRoutes';
import { benchRoutes } from '../simulations/benchRoutes';
import { skillRoutes } from '../skills/routes';
import { simulationRoutes } from '../simulations/routes';
import { emptyWorkspace } from '../workspace/emptyWorkspace';
import { openApi } from './openapi';
import { obj, ok, type Route, str } from './route';

export const VERSION = '0.1.0';

/** Every address of the API, in one table: dispatch and description are both made of it. */
export const routes: readonly Route[] = [
  {
    method: 'GET',
    path: '/health',
    summary: 'Whether the program is well',
    response: obj({ status: { const: 'ok' }, version: str, engine: str }),
    handle: ({ db }) => ({ status: db ? 'ok' : 'no database', version: VERSION, engine: ENGINE }),
  },
  {
    method: 'GET',
    path: '/openapi.json',
    summary: 'This description',
    response: obj({ openapi: str, paths: obj({}) }, ['openapi', 'paths']),
    handle: () => openApi(routes, VERSION),
  },
  ...shelfRoutes,
  ...libraryRoutes,
  ...simulationRoutes,
  ...benchRoutes,
  ...skillRoutes,
  ...frameworkRoutes,
  ...groupRoutes,
  ...learnerRoutes,
  ...planningRoutes,
  {
    method: 'DELETE',
    path: '/workspace',
    summary: 'Take everything away (demo and test only)',
    query: { confirm: str },
    response: ok,
    handle: ({ db, query }) => emptyWorkspace(db, query['confirm']),
  },
];
