import { type AskedSheet, sheetRequest } from '../../contract/sheetRequest';
import type { SheetLayout } from '../../core/print/layOut';
import type { SheetPage, SheetRequest } from '../../core/print/sheetPage';
import type { SheetKind } from '../../core/print/sheetKind';
import type { PrintTask } from '../../workers/node/messages';
import type { Db } from '../db/db';
import { ProblemError } from '../http/problemError';
import { slugOf } from '../../core/content/cells';
import { FileResult } from '../jobs/fileResult';
import type { Job } from '../jobs/jobList';
import { startJob } from '../jobs/pool';
import { countryOf } from '../shared/country';
import { projectPath } from '../shared/projectPath';

/** A set with everything filled in. @throws out-of-range with the field that is wrong */
export function checkedSheet(db: Db, asked: AskedSheet): { kind: SheetKind; request: SheetRequest } {
  const checked = sheetRequest(asked, countryOf(db));
  if (!checked.ok) throw new ProblemError(checked.problem);
  return checked.value;
}

type Parts = PrintTask['parts'];

const start = <T>(task: Omit<PrintTask, 'kind' | 'root'>, then?: (result: never) => T): Job<T> =>
  startJob<T>({ kind: 'print', root: projectPath(null, '.'), ...task }, then);

async function done<T>(job: Job<T>): Promise<T> {
  await job.finished;
  if (job.status !== 'done') throw new ProblemError(job.problem ?? { code: 'cancelled', message: 'The sheet was not made. Try again.' });
  return job.result as T;
}

/** Sets laid out, in a worker. @throws what cannot be made, in words */
export const layouts = (db: Db, sets: readonly AskedSheet[]): Promise<SheetLayout[]> =>
  done(
    start({
      title: '',
      wants: 'layout',
      parts: sets.map((s) => {
        const { kind, request } = checkedSheet(db, s);
        return { sheet: kind.id, request };
      }),
    }),
  );

type PdfParts = readonly (AskedSheet | { readonly pages: readonly SheetPage[] })[];

/** One PDF of sets and of pages that are laid out already, in a worker. */
export const startPdf = (db: Db, title: string, parts: PdfParts): Job<FileResult> =>
  start(
    {
      title,
      wants: 'pdf',
      parts: parts.map((part): Parts[number] => {
        if ('pages' in part) return part;
        const { kind, request } = checkedSheet(db, part);
        return { sheet: kind.id, request };
      }),
    },
    (bytes: Uint8Array) => new FileResult(`${slugOf(title) || 'sheets'}.pdf`, bytes),
  );

/** The same, waited for. @throws what cannot be made, in words */
export const pdfOf = async (db: Db, title: string, parts: PdfParts): Promise<FileResult> => done(startPdf(db, title, parts));
