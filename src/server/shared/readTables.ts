import { isPacked, textTables } from '../../adapters/table/readTables';
import type { RawTable } from '../../core/content/rawTable';
import type { Result } from '../../core/shared/codes';
import { ProblemError } from '../http/problemError';
import { startJob } from '../jobs/pool';

/** The sheets of a file: separated or pasted cells at once, a workbook in a worker. @throws ProblemError in words */
export async function readTables(bytes: Uint8Array): Promise<readonly RawTable[]> {
  if (!isPacked(bytes)) return valueOf(textTables(bytes));
  const job = startJob<Result<readonly RawTable[]>>({ kind: 'sheet', bytes });
  await job.finished;
  if (job.status !== 'done')
    throw new ProblemError(job.problem ?? { code: 'worker-lost', message: 'The file could not be read. Try again.' });
  return valueOf(job.result!);
}

function valueOf<T>(read: Result<T>): T {
  if (!read.ok) throw new ProblemError(read.problem);
  return read.value;
}
