import { coverageWire } from '../../contract/wire/coverage';
import { coveragePdf } from '../../adapters/pdf/coveragePdf';
import { writeCsv } from '../../adapters/csv/writeCsv';
import { Reply, serve } from '../http/route';
import { coverageOf } from './coverageOf';
import { projectPath } from '../shared/projectPath';
import { tellCompared } from './comparedCodes';
import { frameworkList } from '../frameworks/frameworkStore';
import { nextBest } from './nextBest';
import { forgetPacing, importPacing, pacingList } from './pacingStore';

const stateWords = { none: 'no game', there: 'a game', planned: 'planned', played: 'played', seen: 'played and noted' } as const;

export const coverageRoutes = serve(coverageWire, {
  'GET /coverage': ({ db, query, today }) => coverageOf(db, query, today),
  'GET /pacing': ({ db, query }) => pacingList(db, query.framework ?? frameworkList(db)[0]!.id),
  'POST /imports/pacing': ({ db, body, today }) => importPacing(db, body, today),
  'DELETE /pacing/{id}': ({ db, params }) => forgetPacing(db, params.id),
  'GET /coverage.pdf': async ({ db, query, today }) => {
    const { items, framework, title, fromMemory } = await coverageOf(db, query, today);
    const pdf = await coveragePdf(
      {
        title,
        day: today,
        paper: query.paper === 'letter' ? 'letter' : 'a4',
        compared: fromMemory ? items.filter((e) => e.compared).length : null,
        standards: items.map((e) => ({
          code: e.code,
          band: e.band ?? '',
          statement: e.statement,
          state: e.state,
          best: e.games[0]?.title ?? '',
          ready: e.waiting.length,
        })),
      },
      projectPath(null, '.'),
    );
    return new Reply(200, pdf, { 'content-disposition': `attachment; filename="coverage-${framework.replace(/[^\w-]/g, '')}.pdf"` });
  },
  'POST /coverage/compared': ({ db, body, now }) => {
    tellCompared(db, body.framework, body.identifiers, body.compared, now);
    return { ok: true as const };
  },
  'GET /coverage/next': ({ db, query, today }) => nextBest(db, query, today),
  'GET /coverage.csv': async ({ db, query, today }) => {
    const { items, framework } = await coverageOf(db, query, today);
    const rows = items.map((e) => [
      e.code,
      e.band ?? '',
      e.statement,
      stateWords[e.state],
      `${e.stepsWithGame} of ${e.steps}`,
      String(e.gamesInAll),
      e.games.map((g) => `${g.title}, ${g.variantTitle} (${g.dose.toFixed(0)} in ten minutes)`).join('; '),
      String(e.waiting.length),
      e.remedies.map((g) => g.title).join('; '),
    ]);
    const head = [
      'code',
      'grade',
      'expectation',
      'how far',
      'steps with a game',
      'games',
      'best games',
      'children ready',
      'in the library',
    ];
    return new Reply(200, writeCsv([head, ...rows]), {
      'content-disposition': `attachment; filename="coverage-${framework.replace(/[^\w-]/g, '')}.csv"`,
    });
  },
});
