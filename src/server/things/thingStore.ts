import { eq } from 'drizzle-orm';
import type { Body } from '../../contract/wire/route';
import type { thingsWire } from '../../contract/wire/thingsOwned';
import { shippedKinds, shippedSubstitutes } from '../../contract/shippedData';
import { cleanName, nameKey, sameName } from '../../core/content/names';
import { type Counted, hereOf, stateOf } from '../../core/materials/onHand';
import type { Db, Tx } from '../db/db';
import { type bins, kinds, type UndoStep } from '../db/schema';
import { notFound, refuse } from '../http/problemError';
import { freeId } from '../shared/freeId';
import { binFor } from '../shelf/shelfStore';
import { recordChange, stepBack } from '../undo/undo';

export type KindRow = typeof kinds.$inferSelect;
type StockBody = Body<(typeof thingsWire)['PUT /kinds/{id}/stock']>;
type ThingBody = Body<(typeof thingsWire)['PATCH /kinds/{id}']>;

export function kindById(tx: Tx | Db, id: string): KindRow {
  const row = tx.select().from(kinds).where(eq(kinds.id, id)).get();
  if (!row) throw notFound('material', id);
  return row;
}

const shippedDrawer = new Map(shippedKinds.map((k) => [k.id, k.drawer]));

const drawers = [...new Set(shippedKinds.map((k) => k.drawer))];
const spare = 'Spare parts';
const last = 1_000_000;
type BinRow = typeof bins.$inferSelect;

/** Where it lies: in its bin, else where such things usually lie; the usual places come first. */
function drawerOf({ id, binId }: KindRow, all: readonly BinRow[]): { readonly drawer: string; readonly place: number } {
  const bin = binId === null ? null : all.find((b) => b.id === binId);
  if (bin) return { drawer: bin.title, place: drawers.length + bin.position };
  const drawer = shippedDrawer.get(id) ?? spare;
  return { drawer, place: drawer === spare ? last : drawers.indexOf(drawer) };
}

/** A kind as the API speaks of it. */
export function wireKind(k: KindRow, bins: readonly BinRow[] = []) {
  const state = stateOf(k);
  return {
    id: k.id,
    title: k.title,
    alsoCalled: k.alsoCalled,
    unit: k.unit,
    quantity: hereOf(k),
    owned: k.quantity,
    state,
    plentiful: state === 'plenty' || state === 'unsure',
    bin: k.binId,
    ...drawerOf(k, bins),
    condition: k.condition,
    incomplete: k.incomplete,
    loans: k.loans,
    standIn: k.standIn,
    price: k.price,
    smallParts: k.smallParts,
    caution: k.caution,
    shipped: k.shipped,
  };
}

/** How many there are, in words. */
function stockWords(k: Counted): string {
  const state = stateOf(k);
  return state === 'unsure' ? 'not sure' : state === 'number' ? `${k.quantity}` : state;
}

/** Writes how many there are; gives what was before, what is now, and the way back. */
function tellStock(tx: Tx, id: string, said: StockBody): { before: KindRow; after: Partial<KindRow>; back: UndoStep } {
  const before = kindById(tx, id);
  const told = said.told ?? 'number';
  if (told === 'number' && said.quantity === undefined) throw refuse('malformed', 'How many are there? Give a number.', 'quantity');
  const after = { told, ...(said.quantity === undefined ? {} : { quantity: said.quantity }) };
  tx.update(kinds).set(after).where(eq(kinds.id, id)).run();
  return { before, after, back: stepBack('kinds', { id }, before, after) };
}

/** Many at once, all or none, undone as one. @throws not-found for a thing that is not known */
export function setAllStock(db: Db, things: readonly (StockBody & { id: string })[]): { id: string; change: string } {
  return db.transaction((tx) => {
    const back = things.map((t) => tellStock(tx, t.id, t).back);
    return { id: 'kinds', change: recordChange(tx, `Took stock of ${things.length} ${things.length === 1 ? 'thing' : 'things'}`, back) };
  });
}

/** How many there are: a number (0 is none), plenty, or nobody is sure. */
export function setStock(db: Db, id: string, said: StockBody): { id: string; change: string } {
  return db.transaction((tx) => {
    const { before, after, back } = tellStock(tx, id, said);
    const words = `${before.title}: ${stockWords(before)} to ${stockWords({ ...before, ...after })}`;
    return { id, change: recordChange(tx, words, [back]) };
  });
}

/** Where a thing lives, how it is, with whom some of it is, what will do in its place. */
export function updateThing(db: Db, id: string, said: ThingBody): { id: string; change: string } {
  return db.transaction((tx) => {
    const before = kindById(tx, id);
    for (const [i, l] of (said.loans ?? []).entries()) {
      if (cleanName(l.who) === '') throw refuse('malformed', 'With whom are they? Give a name.', `loans.${i}.who`);
      if (l.quantity < 1) throw refuse('bad-quantity', `${l.quantity} cannot be lent.`, `loans.${i}.quantity`);
    }
    if (said.title !== undefined && before.shipped) throw refuse('malformed', 'What comes with the app keeps its name.', 'title');
    if (said.title !== undefined) freeTitle(tx, said.title, id);
    if (said.standIn && !shippedSubstitutes.some((s) => s.for === id && s.use === said.standIn))
      throw refuse('unknown-value', 'That is not known to do in its place.', 'standIn');
    const after = {
      ...(said.title === undefined ? {} : { title: cleanName(said.title) }),
      ...(said.bin === undefined ? {} : { binId: said.bin === '' ? null : binFor(tx, said.bin) }),
      ...(said.condition === undefined ? {} : { condition: said.condition }),
      ...(said.incomplete === undefined ? {} : { incomplete: said.incomplete }),
      ...(said.loans === undefined ? {} : { loans: said.loans.map((l) => ({ ...l, who: cleanName(l.who) })) }),
      ...(said.standIn === undefined ? {} : { standIn: said.standIn || null }),
      ...(said.price === undefined ? {} : { price: said.price }),
    };
    if (Object.keys(after).length === 0)
      throw refuse(
        'malformed',
        'Nothing to change was named. Give at least one of title, bin, condition, incomplete, loans, standIn, price.',
      );
    tx.update(kinds).set(after).where(eq(kinds.id, id)).run();
    return { id, change: recordChange(tx, `Changed ${before.title.toLowerCase()}`, [stepBack('kinds', { id }, before, after)]) };
  });
}

/** A thing of the owner's own; what is only another word for one that is known is told. */
export function addThing(db: Db, said: Body<(typeof thingsWire)['POST /kinds']>): { id: string; change: string } {
  return db.transaction((tx) => {
    const title = cleanName(said.title);
    if (title === '') throw refuse('malformed', 'What is it called? Give it a name.', 'title');
    freeTitle(tx, title, null);
    const id = freeId(title, (x) => tx.select().from(kinds).where(eq(kinds.id, x)).get() !== undefined);
    tx.insert(kinds)
      .values({
        id,
        title,
        alsoCalled: [],
        unit: cleanName(said.unit ?? '') || 'piece',
        smallParts: said.smallParts ?? false,
        plentiful: false,
        shipped: false,
        ...(said.quantity === undefined ? {} : { quantity: said.quantity, told: 'number' as const }),
        ...(said.bin ? { binId: binFor(tx, said.bin) } : {}),
      })
      .run();
    return { id, change: recordChange(tx, `Added ${title.toLowerCase()}`, [{ table: 'kinds', delete: { id } }]) };
  });
}

function freeTitle(tx: Tx, title: string, own: string | null): void {
  const asked = cleanName(title);
  const twin = tx
    .select()
    .from(kinds)
    .all()
    .find((k) => k.id !== own && (sameName(k.title, asked) || k.alsoCalled.some((c) => nameKey(c) === nameKey(asked))));
  if (twin) throw refuse('duplicate', `That is “${twin.title}”, which stands here already.`, 'title', { id: twin.id });
}
