import { fail, ok, type Result } from '../../core/shared/codes';
import { readGameFile } from '../../core/content/gameFile';
import { isUsers, rosterOf } from '../../core/content/oneRoster';
import type { RawTable } from '../../core/content/rawTable';
import { csvCells } from '../csv/readCsv';
import { readWorkbook } from './readWorkbook';
import { isZip, unzipSome, zipEntries } from './zip';

/** Whether a file is one that a worker reads, since it takes long. */
export const isPacked = (bytes: Uint8Array): boolean => isZip(bytes);

/** Old workbooks begin like this; nothing here reads them. */
const oldWorkbook = [0xd0, 0xcf, 0x11, 0xe0];

/** The one table of a file of separated cells, or of cells that were pasted; a school roster as a roster of ours. */
export function textTables(bytes: Uint8Array): Result<readonly RawTable[]> {
  if (oldWorkbook.every((b, i) => bytes[i] === b))
    return fail({
      code: 'not-csv',
      field: 'file',
      message: 'This is a workbook of an old kind (.xls). Save it as .xlsx or as CSV and choose that file.',
    });
  const game = gamesOf(bytes);
  if (game) return game;
  const read = csvCells(bytes);
  if (!read.ok) return read;
  const table: RawTable = { name: '', rows: read.value.rows, remarks: read.value.remarks };
  return ok([isUsers(table) ? rosterOf(new Map([['users.csv', table]])) : table]);
}

/** The games of a JSON-LD file as a table; null for a file that is none. */
function gamesOf(bytes: Uint8Array): Result<readonly RawTable[]> | null {
  const begins = new TextDecoder()
    .decode(bytes.slice(0, 64))
    .replace(/^\uFEFF/, '')
    .trimStart();
  if (!/^[{[]/.test(begins)) return null;
  let json: unknown;
  try {
    json = JSON.parse(new TextDecoder().decode(bytes).replace(/^\uFEFF/, ''));
  } catch (error) {
    return fail({
      code: 'malformed',
      field: 'file',
      message: `This is no JSON: ${error instanceof Error ? error.message : 'it is damaged'}`,
    });
  }
  const table = readGameFile(json);
  return table ? ok([table]) : fail({ code: 'malformed', field: 'file', message: 'This JSON file holds no game (schema.org Game).' });
}

const usersFile = /(?:^|\/)users\.csv$/i;
const rosterFiles = /(?:^|\/)(?:users|roles|classes|enrollments)\.csv$/i;

/** The sheets of a workbook, or the children of a zipped school roster. */
export async function packedTables(bytes: Uint8Array): Promise<Result<readonly RawTable[]>> {
  const entries = zipEntries(bytes);
  if (!entries.ok) return entries;
  if (!entries.value.some((e) => usersFile.test(e.name))) return readWorkbook(bytes);
  const files = new Map<string, RawTable>();
  for (const [name, content] of Object.entries(unzipSome(bytes, (n) => rosterFiles.test(n)))) {
    const short = name.split('/').at(-1)!.toLowerCase();
    if (content.length === 0) continue;
    const read = csvCells(content);
    if (!read.ok) return fail({ ...read.problem, message: `${short}: ${read.problem.message}` });
    files.set(short, { name: short, rows: read.value.rows, remarks: [] });
  }
  return ok([rosterOf(files)]);
}
