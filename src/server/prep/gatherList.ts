import { and, eq } from 'drizzle-orm';
import type { Db } from '../db/db';
import { bins, games, gatherTicks, kinds } from '../db/schema';
import { refuse } from '../http/problemError';
import type { PlanRow } from '../planning/planById';
import { materialsOf } from '../shelf/shelfRows';

interface GatherItem {
  item: string;
  title: string;
  quantity: number;
  have: number | null;
  state: 'there' | 'short' | 'missing';
  forGames: string[];
  rounds: number[];
  caution: string | null;
  notes: string;
  ticked: boolean;
}

/** What to bring, bin by bin; a kind is counted for the round that needs most of it. */
export function gatherList(
  db: Db,
  plan: PlanRow,
): {
  plan: string;
  date: string;
  bins: { bin: string; title: string; items: GatherItem[] }[];
  ticked: number;
  total: number;
  smallParts: boolean;
} {
  const ticks = new Set(
    db
      .select()
      .from(gatherTicks)
      .where(eq(gatherTicks.planId, plan.id))
      .all()
      .map((t) => t.item),
  );
  const gameRows = new Map(
    db
      .select()
      .from(games)
      .all()
      .map((g) => [g.id, g]),
  );
  const kindRows = new Map(
    db
      .select()
      .from(kinds)
      .all()
      .map((k) => [k.id, k]),
  );
  const binRows = db.select().from(bins).all();
  const byBin = new Map<string, GatherItem[]>();
  const perRound: Map<string, number>[] = [];
  const usedBy = new Map<string, Set<string>>();
  const roundsOf = new Map<string, Set<number>>();
  for (const [i, round] of plan.rounds.entries()) {
    const inRound = new Map<string, number>();
    for (const t of round.tables) {
      const wanted = new Map<string, number>();
      for (const s of t.seats)
        for (const m of materialsOf(db, s.variant)) wanted.set(m.kind, Math.max(wanted.get(m.kind) ?? 0, m.quantity));
      // A tool to be laid out for a child is one more of its kind.
      for (const s of t.seats) if (s.tool && kindRows.has(s.tool)) wanted.set(s.tool, (wanted.get(s.tool) ?? 0) + 1);
      for (const [kind, q] of wanted) {
        inRound.set(kind, (inRound.get(kind) ?? 0) + q);
        usedBy.set(kind, (usedBy.get(kind) ?? new Set()).add(t.game));
        roundsOf.set(kind, (roundsOf.get(kind) ?? new Set()).add(i));
      }
      usedBy.set(`game:${t.game}`, (usedBy.get(`game:${t.game}`) ?? new Set()).add(t.game));
      roundsOf.set(`game:${t.game}`, (roundsOf.get(`game:${t.game}`) ?? new Set()).add(i));
    }
    perRound.push(inRound);
  }
  const put = (bin: string, item: GatherItem): void => void byBin.set(bin, [...(byBin.get(bin) ?? []), item]);
  for (const [key, set] of usedBy) {
    if (!key.startsWith('game:')) continue;
    const game = gameRows.get([...set][0]!);
    if (!game) continue;
    put(game.binId ?? '', {
      item: key,
      title: game.title,
      quantity: 1,
      have: null,
      state: 'there',
      forGames: [],
      rounds: [...roundsOf.get(key)!],
      caution: null,
      notes: [game.condition, game.notes].filter(Boolean).join('; '),
      ticked: ticks.has(key),
    });
  }
  for (const kind of [...new Set(perRound.flatMap((m) => [...m.keys()]))]) {
    const row = kindRows.get(kind);
    const quantity = Math.max(...perRound.map((m) => m.get(kind) ?? 0));
    const have = row?.plentiful ? null : (row?.quantity ?? 0);
    put('cupboard', {
      item: `kind:${kind}`,
      title: row?.title ?? kind,
      quantity,
      have,
      state: have === null || have >= quantity ? 'there' : have === 0 ? 'missing' : 'short',
      forGames: [...usedBy.get(kind)!].map((g) => gameRows.get(g)?.title ?? g),
      rounds: [...roundsOf.get(kind)!],
      caution: row?.caution ?? null,
      notes: '',
      ticked: ticks.has(`kind:${kind}`),
    });
  }
  const ordered = [
    ...binRows.sort((x, y) => x.position - y.position).map((b) => ({ bin: b.id, title: b.title })),
    { bin: '', title: 'No bin' },
    { bin: 'cupboard', title: 'Cupboard and spare parts' },
  ];
  const list = ordered.flatMap((b) =>
    byBin.has(b.bin) ? [{ ...b, items: byBin.get(b.bin)!.sort((x, y) => (x.title < y.title ? -1 : 1)) }] : [],
  );
  const all = list.flatMap((b) => b.items);
  return {
    plan: plan.id,
    date: plan.date,
    bins: list,
    ticked: all.filter((i) => i.ticked).length,
    total: all.length,
    smallParts: all.some((i) => i.caution !== null),
  };
}

export function tick(db: Db, plan: PlanRow, item: string, ticked: boolean, now: string): { item: string; ticked: boolean } {
  const known = gatherList(db, plan).bins.some((b) => b.items.some((i) => i.item === item));
  if (!known) throw refuse('unknown-value', `"${item}" is not on this list.`, 'item');
  if (ticked) db.insert(gatherTicks).values({ planId: plan.id, item, tickedAt: now }).onConflictDoNothing().run();
  else
    db.delete(gatherTicks)
      .where(and(eq(gatherTicks.planId, plan.id), eq(gatherTicks.item, item)))
      .run();
  return { item, ticked };
}
