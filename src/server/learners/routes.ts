import type { Db } from '../db/db';
import { groups } from '../db/schema';
import type { EvidenceRow } from '../evidence/evidenceRow';
import { addEvidence, evidenceOf, explainedMastery, helpWithoutThings, masteryOf, retractEvidence } from '../evidence/evidenceStore';
import { any, arr, bool, closed, int, list, nullable, num, obj, page, pageQuery, Reply, type Route, str } from '../http/route';
import { bytesBody, changed, evidenceBody, learnerFields, learnerResponse, masteryItem } from '../http/schemas';
import { helpWords } from '../../text/sentences';
import { bytesOf } from '../shared/filePart';
import { evidenceCsv, evidenceStatements } from '../evidence/exportEvidence';
import { importEvidence } from '../evidence/importEvidence';
import { metInGames } from './metInGames';
import { placementNext } from './placement';
import { shortMaps } from './shortMaps';
import { importRoster } from './importRoster';
import { eraseLearner } from './eraseLearner';
import { allLearners, createLearner, exportLearner, groupOf, learnerById, updateLearner, type LearnerRow } from './learnerStore';

const wireLearner = (db: Db, l: LearnerRow, today: string): object => ({
  id: l.id,
  nickname: l.nickname,
  born: l.born,
  framework: l.framework,
  group: groupOf(db, l.id, today),
  permanentSupports: l.permanentSupports,
  supportsInUse: l.supportsInUse,
  actions: l.actions,
  goals: l.goals,
  withoutNorms: l.withoutNorms,
  accommodations: l.accommodations,
  likings: l.likings,
  version: l.version,
});

const wireEvidence = (r: EvidenceRow): object => ({
  id: r.id,
  learner: r.learnerId,
  at: r.at,
  kind: r.kind,
  skill: r.skill,
  result: r.result,
  correct: r.correct,
  total: r.total,
  how: r.how,
  support: r.support,
  variant: r.variantId,
  session: r.planId,
  items: r.items,
  by: { role: r.byRole, ownChild: r.byOwnChild },
  retracted: r.retractedAt !== null,
  retractedBecause: r.retractedBecause,
});

export const learnerRoutes: readonly Route[] = [
  {
    method: 'GET',
    path: '/learners',
    summary: 'Learners, youngest first',
    query: pageQuery,
    response: list(learnerResponse),
    handle: ({ db, query, today }) =>
      page(
        allLearners(db).map((l) => wireLearner(db, l, today)),
        query,
      ),
  },
  {
    method: 'POST',
    path: '/learners',
    summary: 'Add a learner',
    body: closed(learnerFields, ['nickname', 'born']),
    status: 201,
    response: obj({ id: str }),
    handle: ({ db, body, today, now }) => createLearner(db, body, today, now),
  },
  {
    method: 'GET',
    path: '/learners/{id}',
    summary: 'One learner',
    response: learnerResponse,
    handle: ({ db, params, today }) => wireLearner(db, learnerById(db, params['id']!), today),
  },
  {
    method: 'PATCH',
    path: '/learners/{id}',
    summary: 'Change a learner',
    body: closed({ ...learnerFields, version: int }, ['version']),
    response: changed,
    handle: ({ db, params, body: { version, ...input }, today }) => updateLearner(db, params['id']!, input, version, today),
  },
  {
    method: 'DELETE',
    path: '/learners/{id}',
    summary: 'Truly erase everything about a child; confirm repeats the nickname',
    query: { confirm: str },
    response: obj({ erased: str, evidence: int, backups: arr(str), cleaned: bool }),
    waits: true,
    handle: ({ db, params, query }) => eraseLearner(db, params['id']!, query['confirm'] ?? ''),
  },
  {
    method: 'GET',
    path: '/learners/{id}/export',
    summary: 'Everything about this child',
    response: obj({ format: str, learner: obj({}), evidence: arr(any) }, ['format', 'learner', 'evidence']),
    handle: ({ db, params }) => exportLearner(db, params['id']!),
  },
  {
    method: 'GET',
    path: '/learners/{id}/mastery',
    summary: 'The map: estimate, interval and chain of reasons for every skill',
    query: { ...pageQuery, steps: { enum: ['true', 'false'] } },
    response: list(masteryItem),
    handle: ({ db, params, query, today }) =>
      page(
        query['steps'] === 'false'
          ? masteryOf(db, learnerById(db, params['id']!), today).map(({ steps: _, ...e }) => e)
          : explainedMastery(db, learnerById(db, params['id']!), today),
        query,
      ),
  },
  {
    method: 'GET',
    path: '/learners/{id}/met',
    summary: 'Chances probably met in games that were played; calculated, never evidence',
    query: pageQuery,
    response: list(obj({ skill: str, chances: int, sessions: int })),
    waits: true,
    handle: async ({ db, params, query }) => page(await metInGames(db, params['id']!), query),
  },
  {
    method: 'GET',
    path: '/maps',
    summary: 'Every learner’s map at a glance, in one answer',
    query: pageQuery,
    response: list(
      obj({
        learner: str,
        seen: bool,
        next: arr(str),
        lines: arr(obj({ held: int, arms: arr({ type: 'array', prefixItems: [num, bool], minItems: 2, maxItems: 2 }) })),
      }),
    ),
    handle: ({ db, query, today }) => page(shortMaps(db, today), query),
  },
  {
    method: 'POST',
    path: '/learners/{id}/placement',
    summary: 'The question that tells most next; answers of this sitting are sent along and saved elsewhere',
    body: closed(
      {
        answers: {
          type: 'array',
          maxItems: 300,
          items: closed({ skill: str, result: { enum: ['stuck', 'support', 'alone'] } }, ['skill', 'result']),
        },
        strands: arr(str),
        leaveOut: arr(str),
        thorough: bool,
      },
      ['answers'],
    ),
    response: obj({ next: nullable(str), information: num, open: num }),
    handle: ({ db, params, body, today }) =>
      placementNext(db, params['id']!, body.answers, body.strands, body.leaveOut ?? [], body.thorough === true, today),
  },
  {
    method: 'POST',
    path: '/imports/roster',
    summary: 'Preview or bring in a roster CSV, all or nothing',
    body: bytesBody,
    response: obj({ committed: bool, drafts: arr(any), problems: arr(any), remarks: arr(any), added: int }),
    handle: ({ db, body, today, now }) => importRoster(db, bytesOf(body), body.commit === true, today, now),
  },
  {
    method: 'POST',
    path: '/imports/evidence',
    summary: 'Preview or bring in observations: CSV, or xAPI statements as JSON; all or nothing',
    body: bytesBody,
    response: obj({ committed: bool, drafts: arr(any), problems: arr(any), remarks: arr(any), added: int }),
    handle: ({ db, body, today, now }) => importEvidence(db, bytesOf(body), body.commit === true, today, now),
  },
  {
    method: 'GET',
    path: '/evidence.csv',
    summary: 'Everything noted, as CSV',
    query: { learner: str },
    response: str,
    media: 'text/csv',
    handle: ({ db, query }) =>
      new Reply(200, evidenceCsv(db, query['learner']), { 'content-disposition': 'attachment; filename="evidence.csv"' }),
  },
  {
    method: 'GET',
    path: '/evidence.xapi',
    summary: 'Everything noted, as xAPI 1.0.3 statements',
    query: { learner: str },
    response: arr(obj({ id: str, actor: obj({}), verb: obj({}), object: obj({}) })),
    handle: ({ db, query }) =>
      new Reply(200, evidenceStatements(db, query['learner']), { 'content-disposition': 'attachment; filename="evidence.xapi.json"' }),
  },
  {
    method: 'GET',
    path: '/groups',
    summary: 'Groups',
    query: pageQuery,
    response: list(obj({ id: str, title: str })),
    handle: ({ db, query }) => page(db.select().from(groups).all(), query),
  },
  {
    method: 'GET',
    path: '/evidence',
    summary: 'What was seen of a learner, newest first',
    query: { ...pageQuery, learner: str, session: str },
    response: list(
      obj({
        id: str,
        learner: str,
        at: str,
        kind: str,
        skill: str,
        result: nullable(str),
        by: obj({ role: str, ownChild: bool }),
        retracted: bool,
      }),
    ),
    handle: ({ db, query }) => {
      const who = query['learner'] === undefined ? allLearners(db) : [learnerById(db, query['learner'])];
      return page(
        who
          .flatMap((l) => evidenceOf(db, l.id))
          .filter((r) => query['session'] === undefined || r.planId === query['session'])
          .sort((x, y) => y.sequence - x.sequence)
          .map(wireEvidence),
        query,
      );
    },
  },
  {
    method: 'POST',
    path: '/evidence',
    summary: 'Note one observation',
    body: evidenceBody,
    status: 201,
    response: obj({ id: str }),
    handle: ({ db, body, today, now }) => ({ id: addEvidence(db, [body], today, now).ids[0]! }),
  },
  {
    method: 'POST',
    path: '/evidence/batch',
    summary: 'Note several observations, all or none',
    body: closed({ items: { type: 'array', items: evidenceBody, minItems: 1, maxItems: 1000 } }, ['items']),
    status: 201,
    response: obj({ ids: arr(str) }),
    handle: ({ db, body, today, now }) => addEvidence(db, body.items, today, now),
  },
  {
    method: 'POST',
    path: '/evidence/{id}/retract',
    summary: 'Take an observation back; it stays on record',
    body: closed({ because: str }),
    response: obj({ id: str }),
    handle: ({ db, params, body, now }) => retractEvidence(db, params['id']!, body.because ?? '', now),
  },
  {
    method: 'GET',
    path: '/supports',
    summary: 'Ways of helping that are not things',
    query: pageQuery,
    response: list(obj({ id: str, title: str })),
    handle: ({ query }) =>
      page(
        helpWithoutThings.map((id) => ({ id, title: helpWords[id]! })),
        query,
      ),
  },
];
