import type { AheadWire } from '../../contract/wire/plans';
import type { Kept } from '../../contract/wire/route';
import { groupBy } from '../../core/recommend/recommend';
import type { Db } from '../db/db';
import { games, kinds, plans, variants } from '../db/schema';
import { gatherList } from './gatherList';

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
  }));
  const make = [...toMake(db, chosen, played), ...toMend(db, merged)].sort((x, y) =>
    x.first < y.first ? -1 : x.first > y.first ? 1 : y.minutes - x.minutes,
  );
  return {
    until: end,
    sessions: chosen.map((p) => ({ plan: p.id, date: p.date })),
    bins: [...groupBy(merged, (i) => i.bin)].map(([title, of]) => ({ title, items: of.map(({ bin: _, ...i }) => i) })),
    make,
    minutes: make.reduce((sum, m) => sum + m.minutes, 0),
  };
}

type Make = Kept<AheadWire>['make'][number];

/** Games that want getting ready and were never played here. */
function toMake(db: Db, chosen: readonly (typeof plans.$inferSelect)[], played: ReadonlySet<string>): Make[] {
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
  const first = new Map<string, string>();
  for (const p of chosen)
    for (const r of p.rounds)
      for (const t of r.tables) for (const s of t.seats) if (!played.has(s.variant) && !first.has(s.variant)) first.set(s.variant, p.date);
  return [...first].flatMap(([id, date]): Make[] => {
    const v = rows.get(id);
    if (!v || v.preparationMinutes <= 0) return [];
    return [
      {
        title: `${titles.get(v.gameId) ?? v.gameId}, ${v.title}`,
        what: 'get it ready',
        minutes: v.preparationMinutes,
        first: date,
        batch: 'game',
      },
    ];
  });
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
    if (n.state !== 'there') return [{ title: n.title, what: `${n.quantity} are needed`, minutes: 0, first: first!, batch: 'thing' }];
    return kind.incomplete === '' ? [] : [{ title: n.title, what: kind.incomplete, minutes: 0, first: first!, batch: 'repair' }];
  });
}
