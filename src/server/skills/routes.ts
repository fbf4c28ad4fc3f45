import { graphOf } from '../db/graphOf';
import { operations, representations } from '../../core/items/item';
import { exampleItems } from '../../core/skills/exampleItems';
import { overlapsOf } from '../../core/skills/overlaps';
import { predicateProblem } from '../../core/skills/predicateProblem';
import { ProblemError } from '../http/problemError';
import { itemText } from '../../text/itemText';
import { any, arr, bool, closed, int, nullable, num, obj, oneOf, type Route, type Schema, str, undoable } from '../http/route';
import { addEdge, addSkill, changeSkill, ownList, removeEdge, removeSkill } from './ownSkillStore';

const operand = { type: 'number', minimum: -1_000_000, maximum: 1_000_000 };
const span: Schema = { type: 'array', items: operand, minItems: 2, maxItems: 2 };
const oneOrMore = (values: readonly string[]): Schema => ({
  anyOf: [{ enum: values }, { type: 'array', minItems: 1, items: { enum: values } }],
});
const conditions: Record<string, Schema> = {
  op: oneOrMore(operations),
  a: span,
  b: span,
  smaller: span,
  larger: span,
  result: span,
  unknown: oneOrMore(['result', 'a', 'b']),
  rep: oneOrMore(representations),
  ten: oneOrMore(['within', 'reaching', 'leaving', 'crossing']),
  regroups: bool,
  crossesHundred: bool,
  double: bool,
  nearDouble: bool,
  bondOf: num,
  either: { type: 'array', items: num, minItems: 1, maxItems: 50 },
  bothMultiplesOf: { type: 'integer', minimum: 1 },
  largerMultipleOf: { type: 'integer', minimum: 1, maximum: 100_000 },
  resultMultipleOf: { type: 'integer', minimum: 1, maximum: 100_000 },
  aMultipleOf: { type: 'integer', minimum: 1, maximum: 100_000 },
  denominators: { type: 'array', items: { type: 'integer', minimum: 1, maximum: 99 }, minItems: 1, maxItems: 50 },
  likeDenominators: bool,
  negative: bool,
  whole: bool,
};
const predicate: Schema = closed({ ...conditions, anyOf: { type: 'array', minItems: 1, maxItems: 12, items: closed(conditions) } });
const prerequisite = closed({ id: str, sort: oneOf('idea', 'heart') }, ['id', 'sort']);
const skillFields: Record<string, Schema> = {
  title: str,
  short: str,
  looksLike: str,
  strand: str,
  nature: oneOf('by-heart', 'strategy', 'concept'),
  wantedAt: closed({ us: num, england: num }, ['us', 'england']),
  prerequisites: arr(prerequisite),
  codes: arr(str),
  predicate: nullable(predicate),
  whyNoItems: str,
  slips: arr(str),
};
const required = ['title', 'looksLike', 'strand', 'nature', 'wantedAt', 'predicate'];
const examplesWanted = 8;

export const skillRoutes: readonly Route[] = [
  {
    method: 'POST',
    path: '/skills/examples',
    summary: 'Items that meet a predicate and items that do not, and the skills it overlaps',
    body: closed({ predicate, except: str }, ['predicate']),
    response: obj({ match: arr(str), miss: arr(str), overlaps: arr(obj({ skill: str, title: str, inside: num, covers: num })) }),
    handle: ({ db, body }) => {
      const graph = graphOf(db);
      const wrong = predicateProblem(body.predicate);
      if (wrong) throw new ProblemError(wrong);
      const { match, miss } = exampleItems(body.predicate, examplesWanted);
      return {
        match: match.map(itemText),
        miss: miss.map(itemText),
        overlaps: overlapsOf(graph, body.predicate, body.except ?? null)
          .slice(0, 6)
          .map((o) => ({ ...o, title: graph.skills[graph.indexOf.get(o.skill)!]!.title })),
      };
    },
  },
  {
    method: 'GET',
    path: '/skills/own',
    summary: 'Skills and prerequisites the owner added',
    response: obj({ skills: arr(any), edges: arr(obj({ skill: str, needs: str, sort: str })) }),
    handle: ({ db }) => ownList(db),
  },
  {
    method: 'POST',
    path: '/skills',
    summary: 'Add a skill',
    body: closed(skillFields, required),
    status: 201,
    response: obj({ id: str, change: str }),
    handle: ({ db, body, now }) => addSkill(db, body, now),
  },
  {
    method: 'PUT',
    path: '/skills/{id}',
    summary: 'Change a skill the owner added',
    body: closed({ ...skillFields, version: int }, [...required, 'version']),
    response: obj({ id: str, version: int, change: str }),
    handle: ({ db, params, body: { version, ...input } }) => changeSkill(db, params['id']!, input, version),
  },
  {
    method: 'DELETE',
    path: '/skills/{id}',
    summary: 'Take away a skill the owner added',
    response: undoable,
    handle: ({ db, params }) => removeSkill(db, params['id']!),
  },
  {
    method: 'POST',
    path: '/skills/{id}/needs',
    summary: 'Add a prerequisite',
    body: prerequisite,
    status: 201,
    response: undoable,
    handle: ({ db, params, body, now }) => addEdge(db, params['id']!, body.id, body.sort, now),
  },
  {
    method: 'DELETE',
    path: '/skills/{id}/needs/{needs}',
    summary: 'Take away a prerequisite that was added',
    response: undoable,
    handle: ({ db, params }) => removeEdge(db, params['id']!, params['needs']!),
  },
];
