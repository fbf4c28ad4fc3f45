import { slugOf } from '../../core/content/cells';

/** Addresses that pages of their own stand at, so that nothing can be called like them: /shelf/library is no game. */
const pagesOfTheirOwn: ReadonlySet<string> = new Set(['import', 'library', 'group', 'place', 'skills', 'evidence', 'frameworks']);

/** An id not used yet: the slug, then slug-2, slug-3 … */
export function freeId(base: string, taken: (id: string) => boolean): string {
  const slug = slugOf(base);
  let id = slug;
  for (let n = 2; taken(id) || pagesOfTheirOwn.has(id); n++) id = `${slug}-${n}`;
  return id;
}

/** The same for many in a row: counts on from where it stood, so that a thousand twins cost no more than one. */
export function idGiver(taken: Iterable<string>): (base: string) => string {
  const used = new Set([...taken, ...pagesOfTheirOwn]);
  const next = new Map<string, number>();
  return (base) => {
    const slug = slugOf(base);
    let n = next.get(slug) ?? 1;
    let id = n === 1 ? slug : `${slug}-${n}`;
    while (used.has(id)) id = `${slug}-${++n}`;
    next.set(slug, n + 1);
    used.add(id);
    return id;
  };
}
