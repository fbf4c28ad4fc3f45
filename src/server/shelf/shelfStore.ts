import { eq } from 'drizzle-orm';
import { checkParameters } from '../../contract/parameters';
import { graphInUse } from '../../contract/graphInUse';
import { slugOf } from '../../core/content/cells';
import { mechanismById } from '../../core/mechanisms/registry';
import type { Db, Tx } from '../db/db';
import { bins, games, kinds, type UndoStep, variantMaterials, variants } from '../db/schema';
import { notFound, ProblemError, refuse } from '../http/problemError';
import { recordChange } from '../undo/undo';

export type GameRow = typeof games.$inferSelect;
export type VariantRow = typeof variants.$inferSelect;
/** Ages, players and the like of a variant as the API speaks of it. */
export interface VariantInput {
  title?: string;
  mechanism?: string | null;
  parameters?: Record<string, unknown>;
  ages?: [number, number];
  players?: { min: number; max: number };
  minutes?: number;
  helper?: 'alone' | 'nearby' | 'needed';
  preparationMinutes?: number;
  materials?: { kind: string; quantity: number }[];
  declared?: { skill: string; perTenMinutes: number; counted?: number }[];
}

export interface GameInput {
  title?: string;
  bin?: string;
  source?: 'made' | 'bought' | 'free';
  condition?: string;
  notes?: string;
  rules?: string[];
}

/** An id not used yet: the slug, then slug-2, slug-3 … */
export function freeId(base: string, taken: (id: string) => boolean): string {
  const slug = slugOf(base);
  let id = slug;
  for (let n = 2; taken(id); n++) id = `${slug}-${n}`;
  return id;
}

export function binFor(tx: Tx | Db, title: string): string {
  const found = tx
    .select()
    .from(bins)
    .all()
    .find((b) => b.title.toLowerCase() === title.toLowerCase() || b.id === title);
  if (found) return found.id;
  const id = freeId(title, (x) => tx.select().from(bins).where(eq(bins.id, x)).get() !== undefined);
  tx.insert(bins)
    .values({ id, title, position: tx.select().from(bins).all().length + 1 })
    .run();
  return id;
}

export function gameById(db: Db | Tx, id: string): GameRow {
  const row = db.select().from(games).where(eq(games.id, id)).get();
  if (!row) throw notFound('game', id);
  return row;
}

export function variantById(db: Db | Tx, id: string): VariantRow {
  const row = db.select().from(variants).where(eq(variants.id, id)).get();
  if (!row) throw notFound('variant', id);
  return row;
}

export function materialsOf(db: Db | Tx, variantId: string): { kind: string; quantity: number }[] {
  return db
    .select({ kind: variantMaterials.kindId, quantity: variantMaterials.quantity })
    .from(variantMaterials)
    .where(eq(variantMaterials.variantId, variantId))
    .all();
}

export function createGame(db: Db, input: GameInput, now: string): { id: string; change: string } {
  return db.transaction((tx) => {
    const title = titleOf(tx, input.title, null);
    const id = freeId(title, (x) => tx.select().from(games).where(eq(games.id, x)).get() !== undefined);
    insertGame(tx, id, title, input, now);
    return { id, change: recordChange(tx, `Added ${title}`, [{ table: 'games', delete: { id } }]) };
  });
}

export function insertGame(tx: Tx, id: string, title: string, input: GameInput, now: string): void {
  tx.insert(games)
    .values({
      id,
      title,
      binId: binFor(tx, input.bin ?? 'Unsorted'),
      source: input.source ?? 'made',
      condition: input.condition ?? '',
      notes: input.notes ?? '',
      rules: input.rules ?? [],
      createdAt: now,
    })
    .run();
}

function titleOf(tx: Tx, asked: string | undefined, own: string | null): string {
  const title = asked?.trim().replace(/\s+/g, ' ') ?? '';
  if (title === '') throw refuse('malformed', 'The game needs a name.', 'title');
  const other = tx
    .select()
    .from(games)
    .all()
    .find((g) => g.title.toLowerCase() === title.toLowerCase() && g.id !== own);
  if (other) throw refuse('duplicate', `"${other.title}" is on the shelf already.`, 'title', { id: other.id });
  return title;
}

/** Changes a game; `version` must be the one the person saw. */
export function updateGame(db: Db, id: string, input: GameInput, version: number): { id: string; version: number; change: string } {
  return db.transaction((tx) => {
    const before = gameById(tx, id);
    sameVersion(before, version);
    const after = {
      ...(input.title === undefined ? {} : { title: titleOf(tx, input.title, id) }),
      ...(input.bin === undefined ? {} : { binId: binFor(tx, input.bin) }),
      ...(input.source === undefined ? {} : { source: input.source }),
      ...(input.condition === undefined ? {} : { condition: input.condition }),
      ...(input.notes === undefined ? {} : { notes: input.notes }),
      ...(input.rules === undefined ? {} : { rules: input.rules }),
      version: before.version + 1,
    };
    tx.update(games).set(after).where(eq(games.id, id)).run();
    return { id, version: after.version, change: recordChange(tx, `Changed ${before.title}`, [{ table: 'games', put: before }]) };
  });
}

export function sameVersion(current: { version: number }, seen: number): void {
  if (current.version !== seen)
    throw new ProblemError({
      code: 'conflict',
      message: 'Somebody changed this in the meantime. Look at both and save again.',
      detail: { yours: seen, current },
    });
}

/** Puts a game (or variant) away without losing anything, or brings it back. */
export function setRetired(db: Db, what: 'game' | 'variant', id: string, retired: boolean, now: string): { id: string; change: string } {
  return db.transaction((tx) => {
    const retiredAt = retired ? now : null;
    if (what === 'game') {
      const before = gameById(tx, id);
      tx.update(games)
        .set({ retiredAt, version: before.version + 1 })
        .where(eq(games.id, id))
        .run();
      return {
        id,
        change: recordChange(tx, `${retired ? 'Put away' : 'Brought back'} ${before.title}`, [{ table: 'games', put: before }]),
      };
    }
    const before = variantById(tx, id);
    tx.update(variants)
      .set({ retiredAt, version: before.version + 1 })
      .where(eq(variants.id, id))
      .run();
    return {
      id,
      change: recordChange(tx, `${retired ? 'Put away' : 'Brought back'} ${before.title}`, [{ table: 'variants', put: before }]),
    };
  });
}

export function createVariant(db: Db, gameId: string, input: VariantInput): { id: string; change: string } {
  return db.transaction((tx) => {
    const game = gameById(tx, gameId);
    const title = input.title?.trim() ?? '';
    if (title === '') throw refuse('malformed', 'The version needs a name.', 'title');
    const twin = tx
      .select()
      .from(variants)
      .where(eq(variants.gameId, gameId))
      .all()
      .find((v) => v.title.toLowerCase() === title.toLowerCase());
    if (twin) throw refuse('duplicate', `${game.title} has a version "${twin.title}" already.`, 'title');
    const id = freeId(`${game.title} ${title}`, (x) => tx.select().from(variants).where(eq(variants.id, x)).get() !== undefined);
    insertVariant(tx, id, gameId, { ...input, title });
    return { id, change: recordChange(tx, `Added ${game.title}, ${title}`, [{ table: 'variants', delete: { id } }]) };
  });
}

export function insertVariant(tx: Tx, id: string, gameId: string, input: VariantInput & { title: string }): void {
  const mechanism = input.mechanism ?? null;
  checkVariant(mechanism, input);
  const seats = mechanism ? mechanismById(mechanism)!.seats : { min: 2, max: 4 };
  tx.insert(variants)
    .values({
      id,
      gameId,
      title: input.title,
      mechanism,
      parameters: input.parameters ?? {},
      agesMin: input.ages?.[0] ?? 4,
      agesMax: input.ages?.[1] ?? 12,
      playersMin: input.players?.min ?? Math.max(2, seats.min),
      playersMax: input.players?.max ?? Math.min(4, seats.max),
      minutes: input.minutes ?? 15,
      helper: input.helper ?? 'nearby',
      preparationMinutes: input.preparationMinutes ?? 0,
      declared: input.declared ?? [],
    })
    .run();
  const parameters = mechanism ? checkParameters(mechanism, input.parameters ?? {}) : null;
  const materials = input.materials ?? (mechanism && parameters?.ok ? mechanismById(mechanism)!.materials(parameters.value, 3) : []);
  putMaterials(tx, id, materials);
}

function putMaterials(tx: Tx, variantId: string, materials: readonly { kind: string; quantity: number }[]): void {
  tx.delete(variantMaterials).where(eq(variantMaterials.variantId, variantId)).run();
  for (const [i, { kind, quantity }] of materials.entries()) {
    if (!tx.select().from(kinds).where(eq(kinds.id, kind)).get())
      throw refuse('unknown-kind', `There is no material "${kind}".`, `materials.${i}.kind`);
    if (!Number.isInteger(quantity) || quantity < 1)
      throw refuse('bad-quantity', `${quantity} cannot be counted out.`, `materials.${i}.quantity`);
    tx.insert(variantMaterials).values({ variantId, kindId: kind, quantity }).run();
  }
}

function checkVariant(mechanism: string | null, input: VariantInput): void {
  if (mechanism !== null) {
    const checked = checkParameters(mechanism, input.parameters ?? {});
    if (!checked.ok) throw new ProblemError(checked.problem);
  } else if (Object.keys(input.parameters ?? {}).length > 0)
    throw refuse('malformed', 'Parameters need a mechanism beside them.', 'parameters');
  const p = input.players;
  if (p && (p.min < 1 || p.max > 30)) throw refuse('out-of-range', 'Players lie between 1 and 30.', 'players');
  if (p && p.max < p.min) throw refuse('out-of-range', `At most ${p.max} players is fewer than at least ${p.min}.`, 'players.max');
  if (input.ages && input.ages[0] > input.ages[1]) throw refuse('out-of-range', 'The ages run backwards.', 'ages');
  if (input.minutes !== undefined && !(input.minutes > 0 && input.minutes <= 240))
    throw refuse('out-of-range', 'Minutes lie between 1 and 240.', 'minutes');
  const graph = graphInUse();
  for (const [i, d] of (input.declared ?? []).entries())
    if (!graph.indexOf.has(d.skill)) throw refuse('unknown-skill', `There is no skill "${d.skill}".`, `declared.${i}.skill`);
}

export function updateVariant(db: Db, id: string, input: VariantInput, version: number): { id: string; version: number; change: string } {
  return db.transaction((tx) => {
    const before = variantById(tx, id);
    sameVersion(before, version);
    const mechanism = input.mechanism === undefined ? before.mechanism : input.mechanism;
    const merged = {
      ...input,
      parameters: input.parameters ?? before.parameters,
      players: input.players ?? { min: before.playersMin, max: before.playersMax },
      ages: input.ages ?? ([before.agesMin, before.agesMax] as [number, number]),
    };
    checkVariant(mechanism, merged);
    const twin =
      input.title === undefined
        ? undefined
        : tx
            .select()
            .from(variants)
            .where(eq(variants.gameId, before.gameId))
            .all()
            .find((v) => v.id !== id && v.title.toLowerCase() === input.title!.trim().toLowerCase());
    if (twin) throw refuse('duplicate', `There is a version "${twin.title}" already.`, 'title');
    const materialsBefore = materialsOf(tx, id);
    tx.update(variants)
      .set({
        ...(input.title === undefined ? {} : { title: input.title.trim() || before.title }),
        mechanism,
        parameters: merged.parameters,
        agesMin: merged.ages[0],
        agesMax: merged.ages[1],
        playersMin: merged.players.min,
        playersMax: merged.players.max,
        ...(input.minutes === undefined ? {} : { minutes: input.minutes }),
        ...(input.helper === undefined ? {} : { helper: input.helper }),
        ...(input.preparationMinutes === undefined ? {} : { preparationMinutes: input.preparationMinutes }),
        ...(input.declared === undefined ? {} : { declared: input.declared }),
        version: before.version + 1,
      })
      .where(eq(variants.id, id))
      .run();
    if (input.materials) putMaterials(tx, id, input.materials);
    const undo: UndoStep[] = [{ table: 'variants', put: before }];
    if (input.materials)
      undo.push(
        { table: 'variantMaterials', delete: { variantId: id } },
        ...materialsBefore.map((m): UndoStep => ({
          table: 'variantMaterials',
          put: { variantId: id, kindId: m.kind, quantity: m.quantity },
        })),
      );
    return { id, version: before.version + 1, change: recordChange(tx, `Changed the version ${before.title}`, undo) };
  });
}

export function setStock(db: Db, kind: string, quantity: number): { id: string; change: string } {
  return db.transaction((tx) => {
    const before = tx.select().from(kinds).where(eq(kinds.id, kind)).get();
    if (!before) throw notFound('material', kind);
    tx.update(kinds).set({ quantity }).where(eq(kinds.id, kind)).run();
    return { id: kind, change: recordChange(tx, `${before.title}: ${before.quantity} to ${quantity}`, [{ table: 'kinds', put: before }]) };
  });
}
