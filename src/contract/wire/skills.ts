import { type Static, Type } from '@sinclair/typebox';
import { define } from './route';
import {
  anything,
  arr,
  bool,
  changed,
  closed,
  int,
  list,
  name,
  nullable,
  num,
  obj,
  ok,
  oneOf,
  pageQuery,
  record,
  str,
  undoable,
} from './schema';

import { nature, predicate, prerequisite, skill } from './things';

const skillFields = {
  title: str,
  short: str,
  looksLike: str,
  strand: str,
  nature,
  wantedAt: closed({ us: num, england: num }, ['us', 'england']),
  prerequisites: arr(prerequisite, 60),
  codes: arr(name, 100),
  predicate: nullable(predicate),
  whyNoItems: str,
  slips: arr(str, 60),
};
const neededFields = ['title', 'looksLike', 'strand', 'nature', 'wantedAt', 'predicate'] as const;
const ownSkill = obj({ ...skill.properties, version: int });
export type OwnSkillWire = Static<typeof ownSkill>;
const own = obj({ skills: arr(ownSkill), edges: arr(obj({ skill: str, needs: str, sort: oneOf('idea', 'heart') })) });
export type OwnWire = Static<typeof own>;

const framework = obj({
  id: str,
  title: str,
  creator: str,
  licence: nullable(str),
  notes: str,
  shipped: bool,
  expectations: int,
  tied: int,
});
export type FrameworkWire = Static<typeof framework>;
const relation = oneOf('same', 'related');
const expectation = obj({
  identifier: str,
  code: str,
  statement: str,
  band: nullable(str),
  skills: arr(obj({ skill: str, relation })),
  proposals: arr(obj({ skill: str, score: num, because: oneOf('code', 'words') })),
});
export type ExpectationWire = Static<typeof expectation>;

export const skillsWire = define({
  'POST /skills/examples': {
    summary: 'Items that meet a predicate and items that do not, and the skills it overlaps',
    body: closed({ predicate, except: str }, ['predicate']),
    response: obj({ match: arr(str), miss: arr(str), overlaps: arr(obj({ skill: str, title: str, inside: num, covers: num })) }),
  },
  'GET /skills/own': {
    summary: 'Skills and prerequisites the owner added',
    response: own,
  },
  'POST /skills': {
    summary: 'Add a skill',
    body: closed(skillFields, neededFields),
    status: 201,
    response: changed,
  },
  'PUT /skills/{id}': {
    summary: 'Change a skill the owner added',
    body: closed({ ...skillFields, version: int }, [...neededFields, 'version']),
    response: changed,
  },
  'DELETE /skills/{id}': { summary: 'Take away a skill the owner added', response: undoable },
  'POST /skills/{id}/needs': { summary: 'Add a prerequisite', body: prerequisite, status: 201, response: undoable },
  'DELETE /skills/{id}/needs/{needs}': { summary: 'Take away a prerequisite that was added', response: undoable },
});

export const frameworksWire = define({
  'GET /frameworks': { summary: 'Frameworks that ship and that were brought in', query: pageQuery, response: list(framework) },
  'GET /frameworks/{id}/items': {
    summary: 'Expectations with the skills they stand for, and proposals',
    query: pageQuery,
    response: list(expectation),
  },
  'POST /frameworks/{id}/ties': {
    summary: 'Tie expectations to skills, or let go (relation null)',
    body: closed(
      {
        ties: arr(
          closed({ identifier: str, skill: str, relation: oneOf('same', 'related', null) }, ['identifier', 'skill', 'relation']),
          2000,
          1,
        ),
      },
      ['ties'],
    ),
    response: ok,
  },
  'GET /frameworks/{id}/case': {
    summary: 'The framework as a CASE 1.0 package',
    response: obj({ CFDocument: record(anything), CFItems: arr(record(anything)), CFAssociations: arr(record(anything)) }),
  },
  'DELETE /frameworks/{id}': { summary: 'Take a framework away that was brought in', response: undoable },
  'POST /imports/framework': {
    summary: 'Preview or bring in a CASE 1.0 package, all or nothing',
    body: closed({ text: Type.String(), commit: bool }, ['text']),
    response: obj({
      committed: bool,
      id: str,
      title: str,
      creator: str,
      expectations: int,
      remarks: arr(str),
      sample: arr(obj({ code: str, statement: str, band: nullable(str) })),
    }),
  },
});
