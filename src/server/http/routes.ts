import { programWire } from '../../contract/wire/api';
import { ENGINE } from '../../core/simulate/simulation';
import { coverageRoutes } from '../coverage/routes';
import { frameworkRoutes } from '../frameworks/routes';
import { groupRoutes } from '../group/groupRoutes';
import { learnerRoutes } from '../learners/routes';
import { recommendRoutes } from '../planning/recommendRoutes';
import { planningRoutes } from '../planning/routes';
import { prepRoutes } from '../prep/routes';
import { reviewRoutes } from '../review/routes';
import { printRoutes } from '../print/routes';
import { recogniseRoutes } from '../recognise/routes';
import { searchRoutes } from '../search/routes';
import { shelfRoutes } from '../shelf/routes';
import { howToRoutes } from '../shelf/howToRoutes';
import { libraryRoutes } from '../shelf/libraryRoutes';
import { benchRoutes } from '../simulations/benchRoutes';
import { skillRoutes } from '../skills/routes';
import { simulationRoutes } from '../simulations/routes';
import { termRoutes } from '../term/routes';
import { thingRoutes } from '../things/routes';
import { emptyWorkspace } from '../workspace/emptyWorkspace';
import { openApi } from './openapi';
import { type Route, serve } from './route';

export const VERSION = '0.1.0';

/** Every address of the API, in one table: dispatch and description are both made of it. */
export const routes: readonly Route[] = [
  ...serve(programWire, {
    'GET /health': ({ db }) => ({ status: db ? 'ok' : 'no database', version: VERSION, engine: ENGINE }),
    'GET /openapi.json': () => openApi(routes, VERSION),
    'DELETE /workspace': ({ db, query }) => emptyWorkspace(db, query.confirm),
  }),
  ...shelfRoutes,
  ...thingRoutes,
  ...coverageRoutes,
  ...recogniseRoutes,
  ...printRoutes,
  ...searchRoutes,
  ...libraryRoutes,
  ...howToRoutes,
  ...simulationRoutes,
  ...benchRoutes,
  ...skillRoutes,
  ...frameworkRoutes,
  ...groupRoutes,
  ...learnerRoutes,
  ...recommendRoutes,
  ...planningRoutes,
  ...prepRoutes,
  ...reviewRoutes,
  ...termRoutes,
];
