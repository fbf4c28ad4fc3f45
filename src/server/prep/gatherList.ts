import { and, eq } from 'drizzle-orm';
import type { GatherWire } from '../../contract/wire/prep';
import type { Kept } from '../../contract/wire/route';
import type { Db } from '../db/db';
import { hereOf, stateOf } from '../../core/materials/onHand';
import { bins, games, gatherTicks, kinds, type StoredTable, variants } from '../db/schema';
import { refuse } from '../http/problemError';
import type { PlanRow } from '../planning/planById';
import { laidOut, thingsOnHand } from '../shelf/offers';
import { materialsOf } from '../shelf/shelfRows';
import { byTable, type LaidTable } from './gatherTables';

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
  /** Counted back into its bin after the session. */
  back: boolean;
}

/** How a tick is kept that says a thing came back. */
const backOf = (item: string): string => `back:${item}`;

/** What to bring, bin by bin; a kind is counted for the round that needs most of it. */
export function gatherList(
  db: Db,
  plan: PlanRow,
): {
  plan: string;
  date: string;
  bins: { bin: string; title: string; items: GatherItem[] }[];
  tables: Kept<GatherWire>['tables'];
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
  const here = thingsOnHand(db);
  const standInsOf = new Map<string, Set<string>>();
  const mechanismOf = new Map(
    db
      .select({ id: variants.id, mechanism: variants.mechanism })
      .from(variants)
      .all()
      .map((v) => [v.id, v.mechanism]),
  );
  const versionTitles = new Map(
    db
      .select({ id: variants.id, title: variants.title })
      .from(variants)
      .all()
      .map((v) => [v.id, v.title]),
  );
  const perRound: Map<string, number>[] = [];
  const laid: LaidTable[] = [];
  const usedBy = new Map<string, Set<string>>();
  const roundsOf = new Map<string, Set<number>>();
  for (const [i, round] of plan.rounds.entries()) {
    const inRound = new Map<string, number>();
    for (const [place, t] of round.tables.entries()) {
      const out = laidOut(here, neededAt(db, t), mechanismOf.get(t.seats[0]?.variant ?? '') ?? null);
      const wanted = new Map(out.materials.map((m) => [m.kind, m.quantity]));
      for (const s of out.standIns ?? []) {
        const key = s.use ?? s.instead;
        standInsOf.set(
          key,
          (standInsOf.get(key) ?? new Set()).add(`for ${(kindRows.get(s.instead)?.title ?? s.instead).toLowerCase()}: ${s.say}`),
        );
        if (s.use === null) wanted.set(s.instead, 0);
      }
      // A tool to be laid out for a child is one more of its kind.
      for (const s of t.seats) if (s.tool && kindRows.has(s.tool)) wanted.set(s.tool, (wanted.get(s.tool) ?? 0) + 1);
      for (const [kind, q] of wanted) {
        inRound.set(kind, (inRound.get(kind) ?? 0) + q);
        usedBy.set(kind, (usedBy.get(kind) ?? new Set()).add(t.game));
        roundsOf.set(kind, (roundsOf.get(kind) ?? new Set()).add(i));
      }
      laid.push({ round: i, table: place, of: t, things: wanted });
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
      back: ticks.has(backOf(key)),
    });
  }
  for (const kind of [...new Set(perRound.flatMap((m) => [...m.keys()]))]) {
    const row = kindRows.get(kind);
    const quantity = Math.max(...perRound.map((m) => m.get(kind) ?? 0));
    const state = row ? stateOf(row) : 'none';
    // What every house has stands in: nothing to count.
    const have = quantity === 0 || state === 'plenty' || state === 'unsure' ? null : row ? hereOf(row) : 0;
    put(row?.binId ?? 'cupboard', {
      item: `kind:${kind}`,
      title: row?.title ?? kind,
      quantity,
      have,
      state: have === null || have >= quantity ? 'there' : have === 0 ? 'missing' : 'short',
      forGames: [...usedBy.get(kind)!].map((g) => gameRows.get(g)?.title ?? g),
      rounds: [...roundsOf.get(kind)!],
      caution: row?.caution ?? null,
      notes: [
        ...(standInsOf.get(kind) ?? []),
        ...(state === 'unsure' && quantity > 0 ? ['nobody has counted them'] : []),
        ...(row?.incomplete ? [row.incomplete] : []),
        ...(row?.condition ? [row.condition] : []),
        ...(row?.loans ?? []).map((l) => `${l.quantity} with ${l.who}${l.until ? ` until ${l.until}` : ''}`),
      ].join('; '),
      ticked: ticks.has(`kind:${kind}`),
      back: ticks.has(backOf(`kind:${kind}`)),
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
    tables: byTable(laid, {
      game: (id) => gameRows.get(id)?.title ?? id,
      kind: (id) => kindRows.get(id)?.title ?? id,
      version: (id) => versionTitles.get(id) ?? id,
    }),
    ticked: all.filter((i) => i.ticked).length,
    total: all.length,
    smallParts: all.some((i) => i.caution !== null),
  };
}

/** What a table needs of each kind, of the version that needs most. */
function neededAt(db: Db, t: StoredTable): { kind: string; quantity: number }[] {
  const needed = new Map<string, number>();
  for (const s of t.seats) for (const m of materialsOf(db, s.variant)) needed.set(m.kind, Math.max(needed.get(m.kind) ?? 0, m.quantity));
  return [...needed].map(([kind, quantity]) => ({ kind, quantity }));
}

export function tick(db: Db, plan: PlanRow, item: string, ticked: boolean, now: string): { item: string; ticked: boolean } {
  const known = gatherList(db, plan).bins.some((b) => b.items.some((i) => i.item === item || backOf(i.item) === item));
  if (!known) throw refuse('unknown-value', `"${item}" is not on this list.`, 'item');
  if (ticked) db.insert(gatherTicks).values({ planId: plan.id, item, tickedAt: now }).onConflictDoNothing().run();
  else
    db.delete(gatherTicks)
      .where(and(eq(gatherTicks.planId, plan.id), eq(gatherTicks.item, item)))
      .run();
  return { item, ticked };
}
