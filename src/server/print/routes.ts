import { printWire } from '../../contract/wire/print';
import { cautionOf, cautionOfWork, cautionsOnce } from '../../core/safety/hazards';
import { createRng } from '../../core/shared/rng';
import { asWritten } from '../../contract/countries';
import { sheetKinds } from '../../core/print/registry';
import type { SheetKind } from '../../core/print/sheetKind';
import type { FileResult } from '../jobs/fileResult';
import { startSteps } from '../jobs/startSteps';
import { planById } from '../planning/planById';
import { answerOf } from '../simulations/answerOf';
import { Commit, page, Reply, serve } from '../http/route';
import { keepMade, keepSeveral, madeList, minutesHere, ownPace, timeMade, unmake } from './madeSets';
import { binLabel } from './binLabel';
import { neededSheets, setsFor } from './neededSheets';
import { checkedSheet, layouts, pdfOf, startPdf } from './printing';
import { sessionPack } from './sessionPack';
import { termOnPaper } from './termOnPaper';

/** Whether pieces are cut out of it, in its example. */
function isCut(kind: SheetKind): boolean {
  const made = kind.make(kind.example, { rng: createRng(1, 17), country: asWritten });
  return (kind.draw(made, kind.example).pieces ?? []).some((p) => p.count > 1);
}

const list = sheetKinds.map((k) => ({
  id: k.id,
  title: k.title,
  about: k.about,
  group: k.group,
  forFamilies: [...k.forFamilies],
  parametersSchema: k.parametersSchema as unknown as Record<string, unknown>,
  example: k.example as unknown as Record<string, unknown>,
  cautions: cautionsOnce([cautionOf(k.hazards ?? []), isCut(k) ? cautionOfWork('cut') : null].flatMap((c) => c ?? [])),
}));

const pdf = ({ file, bytes }: FileResult): Reply<Uint8Array> =>
  new Reply(200, bytes, { 'content-disposition': `inline; filename="${file}"` });

export const printRoutes = serve(printWire, {
  'GET /sheets': ({ query }) => page(list, { limit: list.length, ...query }),
  'POST /sheets/{id}/layout': async ({ db, params, body }) => {
    const [laid] = await layouts(db, [{ ...body, sheet: params.id }]);
    const { answers, ...sheet } = laid!;
    return { ...sheet, answerPages: answers.length, minutes: minutesHere(ownPace(db), sheet) };
  },
  'POST /sheets/{id}/pdf': async ({ db, params, body }) => {
    const { kind } = checkedSheet(db, { ...body, sheet: params.id });
    return pdf(await pdfOf(db, kind.title, [{ ...body, sheet: params.id }]));
  },
  'POST /printouts': ({ db, body, query }) => answerOf(startPdf(db, body.title ?? 'Sheets', body.sets), query.wait, pdf),
  'GET /variants/{id}/sheets': ({ db, params, query }) => neededSheets(db, params.id, query),
  'POST /variants/{id}/sheets': async ({ db, params, body }) => {
    const { title, sets } = setsFor(db, params.id, body);
    return pdf(await pdfOf(db, title, sets));
  },
  'POST /bins/{id}/label': async ({ db, params, body }) => {
    const { title, pages } = await binLabel(db, params.id, body);
    return pdf(await pdfOf(db, title, [{ pages }]));
  },
  'POST /plans/{id}/pack': ({ db, params, body, query, today }) => {
    const plan = planById(db, params.id);
    const work = startSteps(async (run) => {
      const { title, parts } = await sessionPack(db, plan, body, today, (job) => run(job, 0.6));
      return run(startPdf(db, title, parts), 1);
    });
    return answerOf(work, query.wait, pdf);
  },
  'GET /term/sheet': async ({ db, query, today }) => {
    const { title, pages } = termOnPaper(db, query, today);
    return pdf(await pdfOf(db, title, [{ pages }]));
  },
  'GET /made': ({ db, query }) => page(madeList(db), { limit: 5000, ...query }),
  'POST /made': async ({ db, body, today, now }) => {
    const { variant: _variant, minutes: _minutes, ...set } = body;
    const [laid] = await layouts(db, [set]);
    return new Commit(() => keepMade(db, body, laid!, today, now));
  },
  'POST /made/several': async ({ db, body, today, now }) => {
    const laid = await layouts(
      db,
      body.sets.map(({ variant: _, ...set }) => set),
    );
    return new Commit(() =>
      keepSeveral(
        db,
        body.sets.map((set, i) => [set, laid[i]!] as const),
        today,
        now,
      ),
    );
  },
  'PATCH /made/{id}': ({ db, params, body }) => timeMade(db, params.id, body.minutes),
  'DELETE /made/{id}': ({ db, params }) => unmake(db, params.id),
});
