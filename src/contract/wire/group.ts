import { type Static, Type } from '@sinclair/typebox';
import { define } from './route';
import { arr, bool, int, obj, oneOf, str, truth } from './schema';

const groupQuery = { group: str, strands: str, edge: truth };

const groupMap = obj({
  learners: arr(str),
  skills: arr(str),
  cells: arr(arr(obj({ height: Type.Number(), seen: bool, next: bool }))),
  /** Games at which some would each practise an open step of their own. */
  together: arr(obj({ game: str, title: str, seats: arr(obj({ learner: str, variant: str, variantTitle: str, skill: str })) })),
  /** Stuck so many times in a row, since a day, whatever the line. */
  stuck: arr(obj({ learner: str, skill: str, times: int, since: str })),
});

export type GroupMapWire = Static<typeof groupMap>;

export const groupWire = define({
  'GET /group-map': {
    summary: 'Learners by skills, sorted so that blocks appear; who may sit together, who is stuck',
    query: groupQuery,
    response: groupMap,
  },
  'GET /group-map.csv': {
    summary: 'The same as CSV, a row for each learner and skill',
    query: groupQuery,
    response: Type.String(),
    media: 'text/csv',
  },
  'GET /group-map.pdf': {
    summary: 'The same to print',
    query: { ...groupQuery, paper: oneOf('a4', 'letter') },
    response: Type.String(),
    media: 'application/pdf',
    waits: true,
  },
});
