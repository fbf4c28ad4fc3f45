import { eq } from 'drizzle-orm';
import { codeOf } from '../../adapters/qr/codeOf';
import { type Label, labelPages } from '../../core/print/pack/binLabel';
import type { RangeMark } from '../../core/print/rangeMarks';
import { sheetKindById } from '../../core/print/registry';
import type { SheetPage } from '../../core/print/sheetPage';
import type { Paper } from '../../core/print/paper';
import { hereOf } from '../../core/materials/onHand';
import type { Db } from '../db/db';
import { bins, games, kinds, madeSets, variants } from '../db/schema';
import { notFound, refuse } from '../http/problemError';
import { countryOf } from '../shared/country';
import { titles } from '../shared/titles';
import { materialsOf } from '../shelf/shelfRows';

/**
 * Labels for a bin and for a bag of each game in it. With an address the code on each opens its page there; without one, words say
 * where to look: a code that no other machine can open is worse than none.
 */
export function binLabel(
  db: Db,
  id: string,
  asked: { readonly paper?: Paper; readonly address?: string },
): { title: string; pages: SheetPage[] } {
  const bin = db.select().from(bins).where(eq(bins.id, id)).get();
  if (!bin) throw notFound('bin', id);
  const base = (asked.address ?? '').trim().replace(/\/+$/, '');
  if (base !== '' && !/^https?:\/\/[^\s/]+/.test(base))
    throw refuse('malformed', `“${base}” is no address. Write it with http:// or https:// in front, or leave it empty.`, 'address');
  const codeTo = (path: string) => (base === '' ? null : codeOf(base + path));
  const title = titles(db);
  const here = db
    .select()
    .from(games)
    .where(eq(games.binId, id))
    .all()
    .filter((g) => g.retiredAt === null);
  const made = db.select().from(madeSets).all();
  const things = db.select().from(kinds).where(eq(kinds.binId, id)).all();
  const counted = things.map((k) => (k.told === 'number' ? `${hereOf(k)} × ${k.title.toLowerCase()}` : k.title.toLowerCase()));
  const bags = here.flatMap((g): Label[] => {
    const own = db
      .select()
      .from(variants)
      .where(eq(variants.gameId, g.id))
      .all()
      .filter((v) => v.retiredAt === null);
    const needs = new Map<string, number>();
    for (const v of own) for (const m of materialsOf(db, v.id)) needs.set(m.kind, Math.max(needs.get(m.kind) ?? 0, m.quantity));
    const contents = [...needs].map(([kind, n]) => `${n} × ${title.kind(kind).toLowerCase()}`);
    const code = codeTo(`/shelf/${g.id}`);
    const find = `Zeitgeber: Shelf, then “${g.title}”`;
    const one: Label = { title: g.title, contents: contents.length > 0 ? contents : ['what its box says'], code, find, mark: 'none' };
    // A set that was made with a mark has a bag of its own, which carries it.
    const marked = own.flatMap((v) => {
      const sets = made.filter((m) => m.variantId === v.id && m.mark !== 'none');
      return [...new Set(sets.map((m) => m.mark))].map((mark): Label => ({
        title: `${g.title}, ${v.title}`,
        contents: sets.filter((m) => m.mark === mark).map((m) => `${m.pieces} × ${sheetKindById(m.sheet)?.title.toLowerCase() ?? m.sheet}`),
        code,
        find,
        mark: mark as RangeMark,
      }));
    });
    return [one, ...marked];
  });
  return {
    title: bin.title,
    pages: labelPages(
      {
        title: bin.title,
        contents: [...here.map((g) => g.title), ...counted],
        code: codeTo(`/shelf?bin=${bin.id}`),
        find: `Zeitgeber: Shelf, then the bin “${bin.title}”`,
        mark: 'none',
      },
      bags,
      asked.paper ?? countryOf(db).paper,
    ),
  };
}
