import { Type } from '@sinclair/typebox';
import { benchWire, simulationWire } from './bench';
import { groupWire } from './group';
import { learnersWire } from './learners';
import { plansWire } from './plans';
import { prepWire } from './prep';
import { reviewWire } from './review';
import { recommendWire } from './recommend';
import { termWire } from './term';
import { define, type Address } from './route';
import { arr, ok, obj, record, anything, str } from './schema';
import { howToWire } from './howTo';
import { libraryWire } from './library';
import { shelfWire } from './shelf';
import { frameworksWire, skillsWire } from './skills';
import { thingsWire } from './thingsOwned';
import { coverageWire } from './coverage';
import { searchWire } from './search';
import { recogniseWire } from './recognise';
import { printWire } from './print';

export const programWire = define({
  'GET /health': { summary: 'Whether the program is well', response: obj({ status: str, version: str, engine: str }) },
  'GET /openapi.json': {
    summary: 'This description',
    response: obj({
      openapi: Type.String(),
      info: record(anything),
      servers: arr(record(anything)),
      paths: record(record(anything)),
      components: record(anything),
    }),
  },
  'DELETE /workspace': { summary: 'Take everything away (demo and test only)', query: { confirm: str }, response: ok },
});

/** Every address of the API and what travels there: checking, description and the pages' calls are made of this. */
export const apiWire = {
  ...programWire,
  ...shelfWire,
  ...thingsWire,
  ...coverageWire,
  ...recogniseWire,
  ...printWire,
  ...searchWire,
  ...libraryWire,
  ...howToWire,
  ...simulationWire,
  ...benchWire,
  ...skillsWire,
  ...frameworksWire,
  ...groupWire,
  ...learnersWire,
  ...recommendWire,
  ...plansWire,
  ...prepWire,
  ...reviewWire,
  ...termWire,
};
export type Api = typeof apiWire;
export type ApiAddress = keyof Api & Address;
