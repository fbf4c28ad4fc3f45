import { ProblemError } from '../http/problemError';

const conflict = (yours: number, current: object): ProblemError =>
  new ProblemError({
    code: 'conflict',
    message: 'Somebody changed this in the meantime. Look at both and save again.',
    detail: { yours, current },
  });

/** @throws conflict, with both to look at, when the row is no longer the one the person saw. */
export function sameVersion(current: { version: number }, seen: number): void {
  if (current.version !== seen) throw conflict(seen, current);
}

/** After a write whose WHERE names the version that was read. @throws conflict when it met no row. */
export function wrote(done: { readonly changes: number }, seen: number, current: () => object): void {
  if (done.changes === 0) throw conflict(seen, current());
}
