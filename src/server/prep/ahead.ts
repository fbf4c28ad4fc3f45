import type { AheadWire } from '../../contract/wire/prep';
import type { Kept } from '../../contract/wire/route';
import { minutesLeft, stepsOf } from '../../core/materials/gettingReady';
import { groupBy } from '../../core/recommend/recommend';
import type { Db } from '../db/db';
import { games, kinds, plans, variants } from '../db/schema';
import { gatherList } from './gatherList';
import { stepsDone } from './prepTicks';

const usualDays = 7;
const dayMs = 86_400_000;
/** States from best to worst; the worst of all sessions is told. */
const states = ['there', 'short', 'missing'] as const;

/** A day so many days later. */
const later = (day: string, days: number): string => new Date(Date.parse(`${day}T00:00:00Z`) + days * dayMs).toISOString().slice(0, 10);

/**
 * What all planned sessions until a day take out of the bins, each thing as many as the session takes that needs most, and
 * what has to be made or mended before: games that want getting ready and were never played, things that are incomplete or
 * not there.
 */
export function prepAhead(db: Db, until: string | undefined, today: string): Kept<AheadWire> {
  const end = until ?? later(today, usualDays);
  const all = db.select().from(plans).all();
  const chosen = all.filter((p) => p.playedAt === null && p.date >= today && p.date <= end).sort((x, y) => (x.date < y.date ? -1 : 1));
  const played = new Set(
    all.filter((p) => p.playedAt !== null).flatMap((p) => p.rounds.flatMap((r) => r.tables.flatMap((t) => t.seats.map((s) => s.variant)))),
  );
  const lists = chosen.map((p) => ({ date: p.date, list: gatherList(db, p) }));
  const items = lists.flatMap(({ date, list }) => list.bins.flatMap((b) => b.items.map((i) => ({ ...i, date, bin: b.title }))));
  const merged = [...groupBy(items, (i) => i.item)].map(([item, of]) => ({
    item,
    title: of[0]!.title,
    bin: of[0]!.bin,
    quantity: Math.max(...of.map((i) => i.quantity)),
    dates: [...new Set(of.map((i) => i.date))],
    state: states[Math.max(...of.map((i) => states.indexOf(i.state)))]!,
    have: of[0]!.have,
  }));
  const { steps, uses } = toMake(db, chosen, played);
  const make = [...steps, ...toMend(db, merged)].sort((x, y) => (x.first < y.first ? -1 : x.first > y.first ? 1 : y.minutes - x.minutes));
  const left = make.filter((m) => !m.done);
  const costs = [...left.map((m) => m.cost), ...uses.map((u) => u.cost)];
  return {
    until: end,
    sessions: chosen.map((p) => ({ plan: p.id, date: p.date })),
    bins: [...groupBy(merged, (i) => i.bin)].map(([title, of]) => ({ title, items: of.map(({ bin: _, have: __, ...i }) => i) })),
    make,
    uses,
    minutes: left.reduce((sum, m) => sum + m.minutes, 0),
    doneMinutes: make.reduce((sum, m) => sum + (m.done ? m.minutes : 0), 0),
    cost: costs.reduce<number>((sum, c) => sum + (c ?? 0), 0),
    unpriced: left.filter((m) => m.batch === 'thing' && m.cost === null).length + uses.filter((u) => u.cost === null).length,
  };
}

type Make = Kept<AheadWire>['make'][number];

/** Steps that get the games of these sessions ready, with those that are done, and what the others use up. */
function toMake(
  db: Db,
  chosen: readonly (typeof plans.$inferSelect)[],
  played: ReadonlySet<string>,
): { readonly steps: Make[]; readonly uses: Kept<AheadWire>['uses'] } {
  const rows = new Map(
    db
      .select()
      .from(variants)
      .all()
      .map((v) => [v.id, v]),
  );
  const titles = new Map(
    db
      .select({ id: games.id, title: games.title })
      .from(games)
      .all()
      .map((g) => [g.id, g.title]),
  );
  const ticked = stepsDone(db);
  const first = new Map<string, string>();
  for (const p of chosen)
    for (const r of p.rounds)
      for (const t of r.tables) for (const s of t.seats) if (!played.has(s.variant) && !first.has(s.variant)) first.set(s.variant, p.date);
  const uses = new Map<string, { what: string; quantity: number; cost: number | null; for: string[] }>();
  const steps = [...first].flatMap(([id, date]): Make[] => {
    const v = rows.get(id);
    if (!v) return [];
    const title = `${titles.get(v.gameId) ?? v.gameId}, ${v.title}`;
    const done = ticked.get(id);
    if (minutesLeft(v, done) > 0 || (stepsOf(v).length === 0 && v.uses.length > 0))
      for (const u of v.uses) {
        const key = u.what.trim().toLowerCase();
        const known = uses.get(key) ?? { what: u.what, quantity: 0, cost: 0, for: [] };
        uses.set(key, {
          ...known,
          quantity: known.quantity + u.quantity,
          cost: known.cost === null || u.cost === null ? null : known.cost + u.cost,
          for: [...known.for, title],
        });
      }
    return stepsOf(v).map((s) => ({
      batch: s.sort,
      variant: id,
      step: s.id,
      title,
      what: s.what,
      minutes: s.minutes,
      cost: null,
      first: date,
      done: done?.has(s.id) ?? false,
    }));
  });
  return { steps, uses: [...uses.values()] };
}

/** Things that are needed and incomplete, too few or not there. */
function toMend(
  db: Db,
  needed: readonly {
    readonly item: string;
    readonly title: string;
    readonly quantity: number;
    readonly dates: readonly string[];
    readonly state: string;
    readonly have: number | null;
  }[],
): Make[] {
  const rows = new Map(
    db
      .select()
      .from(kinds)
      .all()
      .map((k) => [`kind:${k.id}`, k]),
  );
  return needed.flatMap((n): Make[] => {
    const kind = rows.get(n.item);
    if (!kind) return [];
    const [first] = n.dates;
    const row = { variant: null, step: null, title: n.title, minutes: 0, cost: null, first: first!, done: false };
    if (n.state !== 'there') {
      const short = n.quantity - (n.have ?? 0);
      return [{ ...row, batch: 'thing', what: `${n.quantity} are needed`, cost: kind.price === null ? null : kind.price * short }];
    }
    return kind.incomplete === '' ? [] : [{ ...row, batch: 'repair', what: kind.incomplete }];
  });
}
