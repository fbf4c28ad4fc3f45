import { operations } from '../../core/items/item';
import { accommodations } from '../../core/recommend/accommodations';
import { type Static, Type } from '@sinclair/typebox';
import { define } from './route';
import {
  anything,
  arr,
  bool,
  closed,
  int,
  list,
  name,
  nullable,
  num,
  obj,
  oneOf,
  pageQuery,
  problem,
  record,
  str,
  truth,
  whole,
  within,
} from './schema';
import { fileBody, readingWishes, tableShown, notedItem, remark } from './things';
import { estimate, shortMap } from './maps';

const learnerFields = {
  nickname: name,
  born: name,
  framework: name,
  group: nullable(name),
  permanentSupports: arr(name, 60),
  supportsInUse: arr(name, 60),
  actions: arr(Type.String({ maxLength: 600 }), 40),
  goals: arr(name, 300),
  withoutNorms: bool,
  accommodations: arr(oneOf(...accommodations), 30),
  likings: arr(name, 300),
};

const learner = obj({
  id: str,
  nickname: str,
  born: str,
  framework: str,
  group: nullable(str),
  permanentSupports: arr(str),
  supportsInUse: arr(str),
  actions: arr(str),
  goals: arr(str),
  withoutNorms: bool,
  accommodations: arr(oneOf(...accommodations)),
  likings: arr(str),
  version: int,
});

export type LearnerWire = Static<typeof learner>;

const kind = oneOf('placement', 'check-in', 'note', 'statement');

const result = oneOf('stuck', 'support', 'alone');

const how = oneOf('counted-all', 'counted-on', 'worked-out', 'knew');

const role = oneOf('organiser', 'helper', 'parent');

const placementNext = obj({
  /** Null when every line in question was asked about. */
  next: nullable(str),
  strand: nullable(str),
  because: nullable(oneOf('sure', 'edge', 'above', 'below')),
  /** Questions that the whole talk will have, about. */
  about: int,
});

export type PlacementNextWire = Static<typeof placementNext>;

const checkNext = obj({
  /** The last sheet or placement lies two weeks back, or there was none. */
  due: bool,
  last: nullable(str),
  /** The most telling first. */
  steps: arr(obj({ skill: str, also: arr(str) })),
});

export type CheckNextWire = Static<typeof checkNext>;

const noteBody = closed(
  {
    learner: str,
    at: str,
    kind,
    skill: str,
    result,
    correct: whole(0, 200),
    total: whole(1, 200),
    how,
    support: str,
    variant: str,
    session: str,
    items: arr(closed({ op: oneOf(...operations), a: num, b: num, correct: bool }, ['op', 'a', 'b', 'correct']), 200),
    seconds: within(0, 7200),
    by: closed({ role, ownChild: bool }, ['role']),
  },
  ['learner', 'kind', 'skill'],
);

const seenBy = obj({ role, ownChild: bool });

const evidence = obj({
  id: str,
  learner: str,
  at: str,
  kind,
  skill: str,
  result: nullable(result),
  correct: nullable(int),
  total: nullable(int),
  how: nullable(how),
  support: nullable(str),
  variant: nullable(str),
  session: nullable(str),
  items: arr(notedItem),
  by: seenBy,
  retracted: bool,
  retractedBecause: nullable(str),
});

export type EvidenceWire = Static<typeof evidence>;

const imported = { committed: bool, tables: arr(tableShown), problems: arr(problem), remarks: arr(remark), added: int };

export const learnersWire = define({
  'GET /learners': { summary: 'Learners, youngest first', query: pageQuery, response: list(learner) },
  'POST /learners': {
    summary: 'Add a learner',
    body: closed(learnerFields, ['nickname', 'born']),
    status: 201,
    response: obj({ id: str }),
  },
  'GET /learners/{id}': { summary: 'One learner', response: learner },
  'PATCH /learners/{id}': {
    summary: 'Change a learner',
    body: closed({ ...learnerFields, version: int }, ['version']),
    response: obj({ id: str, version: int }),
  },
  'DELETE /learners/{id}': {
    summary: 'Truly erase everything about a child; confirm repeats the nickname',
    query: { confirm: str },
    response: obj({ erased: str, evidence: int, backups: arr(str), cleaned: bool }),
    waits: true,
  },
  'GET /learners/{id}/export': {
    summary: 'Everything about this child',
    response: obj({
      format: Type.Literal('zeitgeber-learner'),
      version: int,
      learner: record(anything),
      memberships: arr(record(anything)),
      evidence: arr(record(anything)),
      plans: arr(obj({ id: str, date: str, seats: arr(obj({ round: int, game: str, variant: str, why: str })) })),
    }),
  },
  'GET /learners/{id}/mastery': {
    summary: 'The map: estimate, interval and chain of reasons for every skill',
    query: { ...pageQuery, steps: truth },
    response: list(estimate),
  },
  'GET /learners/{id}/met': {
    summary: 'Chances probably met in games that were played; calculated, never evidence',
    query: pageQuery,
    response: list(obj({ skill: str, chances: int, sessions: int })),
    waits: true,
  },
  'GET /maps': { summary: 'Every learner’s map at a glance, in one answer', query: pageQuery, response: list(shortMap) },
  'POST /learners/{id}/placement': {
    summary: 'The question that tells most next; answers of this sitting are sent along and saved elsewhere',
    body: closed(
      {
        answers: arr(closed({ skill: str, result }, ['skill', 'result']), 300),
        strands: arr(str),
        leaveOut: arr(str),
        thorough: bool,
      },
      ['answers'],
    ),
    response: placementNext,
  },
  'GET /learners/{id}/check': { summary: 'The sheets that would tell most about this child now', response: checkNext },
  'POST /imports/roster': {
    summary: 'Preview or bring in a roster CSV, all or nothing',
    body: closed({ ...fileBody.properties, ...readingWishes }),
    waits: true,
    response: obj({
      ...imported,
      drafts: arr(
        obj({
          row: int,
          nickname: str,
          born: str,
          bornFrom: oneOf('month', 'grade'),
          framework: oneOf('us', 'england'),
          group: str,
        }),
      ),
    }),
  },
  'POST /imports/evidence': {
    summary: 'Preview or bring in observations: CSV, or xAPI statements as JSON; all or nothing',
    body: closed({ ...fileBody.properties, ...readingWishes }),
    waits: true,
    response: obj({
      ...imported,
      drafts: arr(
        obj({
          row: int,
          learner: str,
          at: str,
          skill: str,
          kind,
          result: nullable(result),
          correct: nullable(int),
          total: nullable(int),
          how: nullable(how),
          support: nullable(str),
          by: seenBy,
          items: arr(notedItem),
          seconds: nullable(num),
          variant: nullable(str),
          session: nullable(str),
        }),
      ),
    }),
  },
  'GET /roster.csv': { summary: 'Everybody, as a CSV that comes back in', response: Type.String(), media: 'text/csv' },
  'GET /evidence.csv': { summary: 'Everything noted, as CSV', query: { learner: str }, response: Type.String(), media: 'text/csv' },
  'GET /evidence.xapi': {
    summary: 'Everything noted, as xAPI 1.0.3 statements',
    query: { learner: str },
    response: arr(
      obj({
        id: str,
        actor: record(anything),
        verb: record(anything),
        object: record(anything),
        result: record(anything),
        context: record(anything),
        timestamp: str,
        version: Type.Literal('1.0.3'),
      }),
      1e9,
    ),
  },
  'GET /groups': { summary: 'Groups', query: pageQuery, response: list(obj({ id: str, title: str })) },
  'GET /evidence': {
    summary: 'What was seen of a learner, newest first',
    query: { ...pageQuery, learner: str, session: str },
    response: list(evidence),
  },
  'POST /evidence': { summary: 'Note one observation', body: noteBody, status: 201, response: obj({ id: str }) },
  'POST /evidence/batch': {
    summary: 'Note several observations, all or none',
    body: closed({ items: arr(noteBody, 1000, 1) }, ['items']),
    status: 201,
    response: obj({ ids: arr(str) }),
  },
  'POST /evidence/{id}/retract': {
    summary: 'Take an observation back; it stays on record',
    body: closed({ because: str }),
    response: obj({ id: str }),
  },
  'GET /supports': { summary: 'Ways of helping that are not things', query: pageQuery, response: list(obj({ id: str, title: str })) },
});
