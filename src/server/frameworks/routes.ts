import {
  any,
  arr,
  bool,
  closed,
  fileText,
  int,
  list,
  nullable,
  obj,
  ok,
  oneOf,
  page,
  pageQuery,
  Reply,
  type Route,
  str,
  undoable,
} from '../http/route';
import { exportCase, frameworkItems, frameworkList, importCase, removeFramework, tie } from './frameworkStore';

export const frameworkRoutes: readonly Route[] = [
  {
    method: 'GET',
    path: '/frameworks',
    summary: 'Frameworks that ship and that were brought in',
    query: pageQuery,
    response: list(obj({ id: str, title: str, creator: str, shipped: bool, expectations: int, tied: int })),
    handle: ({ db, query }) => page(frameworkList(db), query),
  },
  {
    method: 'GET',
    path: '/frameworks/{id}/items',
    summary: 'Expectations with the skills they stand for, and proposals',
    query: pageQuery,
    response: list(
      obj({
        identifier: str,
        code: str,
        statement: str,
        band: nullable(str),
        skills: arr(obj({ skill: str, relation: str })),
        proposals: arr(any),
      }),
    ),
    handle: ({ db, params, query }) => page(frameworkItems(db, params['id']!), query),
  },
  {
    method: 'POST',
    path: '/frameworks/{id}/ties',
    summary: 'Tie expectations to skills, or let go (relation null)',
    body: closed(
      {
        ties: {
          type: 'array',
          minItems: 1,
          maxItems: 2000,
          items: closed({ identifier: str, skill: str, relation: oneOf('same', 'related', null) }, ['identifier', 'skill', 'relation']),
        },
      },
      ['ties'],
    ),
    response: ok,
    handle: ({ db, params, body, now }) => tie(db, params['id']!, body.ties, now),
  },
  {
    method: 'GET',
    path: '/frameworks/{id}/case',
    summary: 'The framework as a CASE 1.0 package',
    response: obj({ CFDocument: obj({}), CFItems: arr(any), CFAssociations: arr(any) }),
    handle: ({ db, params }) =>
      new Reply(200, exportCase(db, params['id']!), {
        'content-disposition': `attachment; filename="${params['id']!.replace(/[^\w-]/g, '')}.case.json"`,
      }),
  },
  {
    method: 'DELETE',
    path: '/frameworks/{id}',
    summary: 'Take a framework away that was brought in',
    response: undoable,
    handle: ({ db, params }) => removeFramework(db, params['id']!),
  },
  {
    method: 'POST',
    path: '/imports/framework',
    summary: 'Preview or bring in a CASE 1.0 package, all or nothing',
    body: closed({ text: fileText, commit: bool }, ['text']),
    response: obj({ committed: bool, id: str, title: str, expectations: int, remarks: arr(str) }),
    handle: ({ db, body, now }) => importCase(db, body.text, body.commit === true, now),
  },
];
