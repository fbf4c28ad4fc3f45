import { type EvidenceWire, type LearnerWire, learnersWire } from '../../contract/wire/learners';
import type { EstimateWire } from '../../contract/wire/maps';
import type { Kept } from '../../contract/wire/route';
import type { SkillEstimate } from '../../core/mastery/estimateMastery';
import { rightAt } from '../../core/mastery/field';
import { FORECAST } from '../../core/mastery/parameters';
import { page, Reply, serve } from '../http/route';
import type { Db } from '../db/db';
import { groups } from '../db/schema';
import type { EvidenceRow } from '../evidence/evidenceRow';
import { addEvidence, evidenceOf, explainedMastery, helpWithoutThings, masteryOf, retractEvidence } from '../evidence/evidenceStore';
import { helpWords } from '../../text/sentences';
import { bytesOf } from '../shared/filePart';
import { evidenceCsv, evidenceStatements } from '../evidence/exportEvidence';
import { importNotes, isJson, parsed } from '../evidence/importEvidence';
import { metInGames } from './metInGames';
import { checkNext } from './checkNext';
import { placementNext } from './placement';
import { shortMaps } from './shortMaps';
import { readTables } from '../shared/readTables';
import { rosterCsv } from './exportRoster';
import { importRosterTables } from './importRoster';
import { eraseLearner } from './eraseLearner';
import { allLearners, createLearner, exportLearner, groupOf, learnerById, updateLearner, type LearnerRow } from './learnerStore';

const wireLearner = (db: Db, l: LearnerRow, today: string): Kept<LearnerWire> => ({
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

const wireEvidence = (r: EvidenceRow): Kept<EvidenceWire> => ({
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

/** An estimate as pages see it: what abilities mean for answers, and not the logits themselves. */
const wireEstimate = ({ standing: _, theta, spread: _s, ...e }: SkillEstimate): Kept<EstimateWire> => ({
  ...e,
  right: rightAt(theta, 0, FORECAST),
});

export const learnerRoutes = serve(learnersWire, {
  'GET /learners': ({ db, query, today }) =>
    page(
      allLearners(db).map((l) => wireLearner(db, l, today)),
      query,
    ),
  'POST /learners': ({ db, body, today, now }) => createLearner(db, body, today, now),
  'GET /learners/{id}': ({ db, params, today }) => wireLearner(db, learnerById(db, params.id), today),
  'PATCH /learners/{id}': ({ db, params, body: { version, ...input }, today }) => updateLearner(db, params.id, input, version, today),
  'DELETE /learners/{id}': ({ db, params, query }) => eraseLearner(db, params.id, query.confirm ?? ''),
  'GET /learners/{id}/export': ({ db, params }) => exportLearner(db, params.id),
  'GET /learners/{id}/mastery': ({ db, params, query, today }) =>
    page(
      query.steps === 'false'
        ? masteryOf(db, learnerById(db, params.id), today).map((e) => ({ ...wireEstimate(e), steps: [] }))
        : explainedMastery(db, learnerById(db, params.id), today).map(wireEstimate),
      query,
    ),
  'GET /learners/{id}/met': async ({ db, params, query }) => page(await metInGames(db, params.id), query),
  'GET /maps': ({ db, query, today }) => page(shortMaps(db, today), query),
  'POST /learners/{id}/placement': ({ db, params, body, today }) =>
    placementNext(db, params.id, body.answers, body.strands, body.leaveOut ?? [], body.thorough === true, today),
  'GET /learners/{id}/check': ({ db, params, today }) => checkNext(db, params.id, today),
  'POST /imports/roster': async ({ db, body, today, now }) => importRosterTables(db, await readTables(bytesOf(body)), body, today, now),
  'POST /imports/evidence': async ({ db, body, today, now }) => {
    const bytes = bytesOf(body);
    return importNotes(db, isJson(bytes) ? { statements: parsed(bytes) } : { tables: await readTables(bytes) }, body, today, now);
  },
  'GET /roster.csv': ({ db, today }) =>
    new Reply(200, rosterCsv(db, today), { 'content-disposition': 'attachment; filename="roster.csv"' }),
  'GET /evidence.csv': ({ db, query, zone }) =>
    new Reply(200, evidenceCsv(db, query.learner, zone), { 'content-disposition': 'attachment; filename="evidence.csv"' }),
  'GET /evidence.xapi': ({ db, query, zone }) =>
    new Reply(200, evidenceStatements(db, query.learner, zone), { 'content-disposition': 'attachment; filename="evidence.xapi.json"' }),
  'GET /groups': ({ db, query }) => page(db.select().from(groups).all(), query),
  'GET /evidence': ({ db, query }) => {
    const who = query.learner === undefined ? allLearners(db) : [learnerById(db, query.learner)];
    return page(
      who
        .flatMap((l) => evidenceOf(db, l.id))
        .filter((r) => query.session === undefined || r.planId === query.session)
        .sort((x, y) => y.sequence - x.sequence)
        .map(wireEvidence),
      query,
    );
  },
  'POST /evidence': ({ db, body, today, now }) => ({ id: addEvidence(db, [body], today, now).ids[0]! }),
  'POST /evidence/batch': ({ db, body, today, now }) => addEvidence(db, body.items, today, now),
  'POST /evidence/{id}/retract': ({ db, params, body, now }) => retractEvidence(db, params.id, body.because ?? '', now),
  'GET /supports': ({ query }) =>
    page(
      helpWithoutThings.map((id) => ({ id, title: helpWords[id]! })),
      query,
    ),
});
