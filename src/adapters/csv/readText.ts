import { fail, ok, type Result } from '../../core/shared/codes';

/** Bytes of a text file as text, and how they were read. */
export interface DecodedText {
  readonly text: string;
  readonly encoding: 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';
}

/** A share of zero bytes from which a file is taken for UTF-16, or for no text at all. */
const zeroShare = 0.3;

/**
 * Reads what spreadsheets save as text: UTF-8 with or without a byte order mark, UTF-16 of either order with or without one,
 * and Windows-1252 where the bytes are no UTF-8. Zero bytes elsewhere mean that it is no text file.
 */
export function readText(bytes: Uint8Array): Result<DecodedText> {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return ok(decoded(bytes, 'utf-16le'));
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return ok(decoded(bytes, 'utf-16be'));
  const sample = bytes.subarray(0, 4000);
  const zeros = [0, 0];
  for (let i = 0; i < sample.length; i++) if (sample[i] === 0) zeros[i % 2]!++;
  const half = sample.length / 2;
  // Latin text in UTF-16 has a zero in every other byte.
  if (zeros[1]! > half * zeroShare && zeros[0]! < half * 0.05) return ok(decoded(bytes, 'utf-16le'));
  if (zeros[0]! > half * zeroShare && zeros[1]! < half * 0.05) return ok(decoded(bytes, 'utf-16be'));
  if (bytes.includes(0))
    return fail({ code: 'not-csv', field: 'file', message: 'This is not a text file. Choose the CSV file that your spreadsheet saved.' });
  try {
    return ok({ text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' });
  } catch {
    return ok(decoded(bytes, 'windows-1252'));
  }
}

const decoded = (bytes: Uint8Array, encoding: DecodedText['encoding']): DecodedText => ({
  text: new TextDecoder(encoding).decode(bytes),
  encoding,
});
