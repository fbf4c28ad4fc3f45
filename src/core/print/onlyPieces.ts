import { fail, ok, type Result } from '../shared/codes';
import type { Drawn } from './sheetKind';

/**
 * The pieces of a drawing that are asked for, by their numbers from 1 in the order in which they lie: a lost card is made again
 * without the rest of its set. Whole pages fall away.
 */
export function onlyPieces(drawn: Drawn, only: readonly number[]): Result<Drawn> {
  const sets = drawn.pieces ?? [];
  const all = sets.reduce((n, s) => n + s.count, 0);
  if (all === 0)
    return fail({ code: 'impossible-parameters', field: 'only', message: 'Nothing is cut out of this sheet; print the page again.' });
  if (only.length === 0) return fail({ code: 'out-of-range', field: 'only', message: 'Tick the pieces that are missing.' });
  const beyond = only.find((n) => n < 1 || n > all);
  if (beyond !== undefined)
    return fail({ code: 'out-of-range', field: 'only', message: `This set has ${all} pieces; there is no number ${beyond}.` });
  const wanted = new Set(only);
  let before = 0;
  const pieces = sets.map((s) => {
    const from = before;
    before += s.count;
    const own = Array.from({ length: s.count }, (_, n) => n).filter((n) => wanted.has(from + n + 1));
    const { back } = s;
    return {
      ...s,
      count: own.length,
      face: (n: number, at: Parameters<typeof s.face>[1]) => s.face(own[n]!, at),
      ...(back ? { back: (n: number, at: Parameters<typeof back>[1]) => back(own[n]!, at) } : {}),
    };
  });
  return ok({ pieces: pieces.filter((s) => s.count > 0) });
}
