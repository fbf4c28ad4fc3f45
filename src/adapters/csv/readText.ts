import iconv from 'iconv-lite';
import { fail, ok, type Result } from '../../core/shared/codes';
import { latinOf } from './latinOf';

/** How the letters of a text file are kept. */
export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'utf-32le' | 'utf-32be' | 'windows-1252' | 'macintosh';

/** Bytes of a text file as text, and how they were read. */
export interface DecodedText {
  readonly text: string;
  readonly encoding: Encoding;
}

/** A share of zero bytes from which a file is taken for UTF-16, or for no text at all. */
const zeroShare = 0.3;

/**
 * Reads what spreadsheets save as text: UTF-8 with or without a byte order mark, UTF-16 and UTF-32 of either order with or
 * without one, and, where the bytes are no UTF-8, Windows-1252 or Mac OS Roman, whichever reads more like words. Zero bytes
 * elsewhere mean that it is no text file. The platform's own decoder reads Windows-1252 as ISO-8859-1 and loses dashes,
 * curly quotation marks, ellipses and the euro; so a kept library decodes.
 */
export function readText(bytes: Uint8Array): Result<DecodedText> {
  const [a, b, c, d] = bytes;
  if (a === 0xff && b === 0xfe && c === 0 && d === 0) return ok(decoded(bytes, 'utf-32le'));
  if (a === 0 && b === 0 && c === 0xfe && d === 0xff) return ok(decoded(bytes, 'utf-32be'));
  if (a === 0xff && b === 0xfe) return ok(decoded(bytes, 'utf-16le'));
  if (a === 0xfe && b === 0xff) return ok(decoded(bytes, 'utf-16be'));
  const sample = bytes.subarray(0, 4000);
  const zeros = [0, 0, 0, 0];
  for (let i = 0; i < sample.length; i++) if (sample[i] === 0) zeros[i % 4]!++;
  const quarter = sample.length / 4;
  const empty = (at: number): boolean => zeros[at]! > quarter * 0.95;
  // Every letter of these four bytes has two zeros at its far end.
  if (empty(2) && empty(3) && zeros[0]! < quarter * 0.05) return ok(decoded(bytes, 'utf-32le'));
  if (empty(0) && empty(1) && zeros[3]! < quarter * 0.05) return ok(decoded(bytes, 'utf-32be'));
  const [even, odd] = [zeros[0]! + zeros[2]!, zeros[1]! + zeros[3]!];
  const half = sample.length / 2;
  // Latin text in UTF-16 has a zero in every other byte.
  if (odd > half * zeroShare && even < half * 0.05) return ok(decoded(bytes, 'utf-16le'));
  if (even > half * zeroShare && odd < half * 0.05) return ok(decoded(bytes, 'utf-16be'));
  if (bytes.includes(0))
    return fail({ code: 'not-csv', field: 'file', message: 'This is not a text file. Choose the CSV file that your spreadsheet saved.' });
  try {
    return ok({ text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' });
  } catch {
    return ok(latinOf(decoded(bytes, 'windows-1252'), decoded(bytes, 'macintosh')));
  }
}

function decoded(bytes: Uint8Array, encoding: Encoding): DecodedText {
  const text = iconv.decode(Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength), encoding);
  // The library still has the currency sign where the euro has stood since 1998 (ROMAN.TXT of the Unicode Consortium).
  return { text: encoding === 'macintosh' ? text.replaceAll('¤', '€') : text, encoding };
}
