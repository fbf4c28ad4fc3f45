import { create } from 'qrcode';

/** A QR code (ISO/IEC 18004) of some words as dark squares by row and column; a quarter of it may be unreadable. */
export function codeOf(words: string): boolean[][] {
  const { modules } = create(words, { errorCorrectionLevel: 'Q' });
  return Array.from({ length: modules.size }, (_, r) => Array.from({ length: modules.size }, (__, c) => modules.get(r, c) === 1));
}
