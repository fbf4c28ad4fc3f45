import { writeCsv } from '../../adapters/csv/writeCsv';
import { writeFacts } from '../../core/content/factList';
import { extensionIri } from '../../core/content/readStatements';
import { localDay, withOffset } from '../../core/shared/moments';
import type { Db } from '../db/db';
import { graphOf } from '../db/graphOf';
import { allLearners } from '../learners/learnerStore';
import type { EvidenceRow } from './evidenceRow';
import { evidenceOf } from './evidenceStore';

const columns = [
  'learner',
  'at',
  'local day',
  'zone',
  'skill',
  'kind',
  'result',
  'correct',
  'total',
  'how',
  'support',
  'by',
  'own child',
  'items',
  'seconds',
  'version',
  'session',
  'taken back',
] as const;

/** Everything noted, as CSV that reads back in whole; moments stand as the wall of the zone has them, with their day. */
export function evidenceCsv(db: Db, learner: string | undefined, zone: string): string {
  const rows = of(db, learner).map(({ nickname, row: r }) => [
    nickname,
    withOffset(r.at, zone),
    localDay(r.at, zone),
    zone,
    r.skill,
    r.kind,
    r.result ?? '',
    r.correct ?? '',
    r.total ?? '',
    r.how?.replace('-', ' ') ?? '',
    r.support ?? '',
    r.byRole,
    r.byOwnChild ? 'yes' : '',
    writeFacts(r.items),
    r.seconds ?? '',
    r.variantId ?? '',
    r.planId ?? '',
    r.retractedAt ?? '',
  ]);
  return writeCsv([[...columns], ...rows]);
}

const home = 'urn:zeitgeber:learners';
const mean = { alone: 1, support: 0.6, stuck: 0 } as const;

/** Everything noted and not taken back, as xAPI 1.0.3 statements; a nickname is the account's name. What the standard has no place for stands in extensions. */
export function evidenceStatements(db: Db, learner: string | undefined, zone: string) {
  const graph = graphOf(db);
  return of(db, learner)
    .filter(({ row }) => row.retractedAt === null)
    .map(({ nickname, row: r }) => ({
      id: r.id,
      actor: { objectType: 'Agent', account: { homePage: home, name: nickname } },
      verb: {
        id: r.total === null ? 'http://adlnet.gov/expapi/verbs/progressed' : 'http://adlnet.gov/expapi/verbs/scored',
        display: { en: r.total === null ? 'progressed' : 'scored' },
      },
      object: {
        objectType: 'Activity',
        id: `urn:zeitgeber:skills:${r.skill}`,
        definition: { name: { en: graph.skills[graph.indexOf.get(r.skill) ?? -1]?.title ?? r.skill } },
      },
      result: {
        ...(r.total === null
          ? { success: r.result === 'alone', score: { scaled: mean[r.result!] } }
          : { score: { raw: r.correct!, min: 0, max: r.total } }),
        ...(r.seconds === null ? {} : { duration: `PT${r.seconds}S` }),
      },
      context: { extensions: extensionsOf(r) },
      timestamp: withOffset(r.at, zone),
      version: '1.0.3' as const,
    }));
}

function extensionsOf(r: EvidenceRow): Record<string, string> {
  const all = {
    kind: r.kind,
    result: r.result,
    how: r.how,
    support: r.support,
    by: r.byRole,
    'own-child': r.byOwnChild ? 'yes' : null,
    items: writeFacts(r.items),
    version: r.variantId,
    session: r.planId,
  };
  return Object.fromEntries(Object.entries(all).flatMap(([name, value]) => (value ? [[extensionIri(name), value]] : [])));
}

function of(db: Db, learner: string | undefined): { nickname: string; row: EvidenceRow }[] {
  return allLearners(db)
    .filter((l) => learner === undefined || l.id === learner)
    .flatMap((l) => evidenceOf(db, l.id).map((row) => ({ nickname: l.nickname, row })))
    .sort((x, y) => x.row.sequence - y.row.sequence);
}
