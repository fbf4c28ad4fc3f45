import { unzipSync } from 'fflate';
import { fail, ok, type Result } from '../../core/shared/codes';

export const isZip = (bytes: Uint8Array): boolean => bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 0x03 && bytes[3] === 0x04;

/** What lies in a zip, by the sizes it names, before anything of it is unpacked. */
export interface ZipEntry {
  readonly name: string;
  readonly size: number;
}

const mostEntries = 1000;
/** A workbook of 20,000 rows unpacks to some ten megabytes. */
const mostUnpacked = 60 * 1024 * 1024;

/**
 * Names and sizes of what is in a zip; refused where it would unpack to more than a list of games can be, so that nothing
 * is unpacked that was made to fill a machine.
 */
export function zipEntries(bytes: Uint8Array): Result<readonly ZipEntry[]> {
  const entries: ZipEntry[] = [];
  try {
    unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        entries.push({ name, size: originalSize });
        return false;
      },
    });
  } catch {
    return fail({
      code: 'not-csv',
      field: 'file',
      message: 'This file cannot be opened: it is damaged or cut short. Save it anew and choose it again.',
    });
  }
  const sum = entries.reduce((s, e) => s + e.size, 0);
  if (entries.length > mostEntries || sum > mostUnpacked)
    return fail({
      code: 'too-large',
      field: 'file',
      message: `This file would unpack to ${(sum / 1e6).toFixed(0)} MB in ${entries.length} parts; a list of games or learners has less than ${mostUnpacked / 1024 / 1024} MB. Nothing was read.`,
    });
  return ok(entries);
}

/** Some files of a zip, none larger than it said. */
export const unzipSome = (bytes: Uint8Array, wanted: (name: string) => boolean): Readonly<Record<string, Uint8Array>> =>
  unzipSync(bytes, { filter: ({ name, originalSize }) => wanted(name) && originalSize <= mostUnpacked });
