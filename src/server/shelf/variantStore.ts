import { asWritten } from '../../contract/countries';
import type { Body } from '../../contract/wire/route';
import type { shelfWire } from '../../contract/wire/shelf';
import { and, eq } from 'drizzle-orm';
import { checkParameters } from '../../contract/parameters';
import { graphOf } from '../db/graphOf';
import { cleanName } from '../../core/content/names';
import { minutesOfSteps } from '../../core/materials/gettingReady';
import type { Mechanism } from '../../core/mechanisms/mechanism';
import { mechanismById } from '../../core/mechanisms/registry';
import { versionFacts } from '../../core/mechanisms/versionFacts';
import { kindsFor, numbersText, unmet } from '../../core/play/needs';
import { usualSeats } from '../../core/simulate/usualSeats';
import type { Db, Tx } from '../db/db';
import { kinds, prepTicks, type UndoStep, variantMaterials, variants } from '../db/schema';
import { ProblemError, refuse } from '../http/problemError';
import { freeId } from '../shared/freeId';
import { sameVersion, wrote } from '../shared/versions';
import { recordChange, stepBack } from '../undo/undo';
import { gameById, materialsOf, sameTitle, variantById, type VariantRow } from './shelfRows';

/** Ages, players and the like of a variant as the API speaks of it. */
export type VariantInput = Partial<Omit<Body<(typeof shelfWire)['POST /variants']>, 'game'>> & { readonly said?: VariantRow['said'] };

export function createVariant(db: Db, gameId: string, input: VariantInput): { id: string; change: string } {
  return db.transaction((tx) => {
    const game = gameById(tx, gameId);
    const title = cleanName(input.title ?? '');
    if (title === '') throw refuse('malformed', 'The version needs a name.', 'title');
    const twin = tx
      .select()
      .from(variants)
      .where(eq(variants.gameId, gameId))
      .all()
      .find((v) => sameTitle(v.title, title));
    if (twin) throw refuse('duplicate', `${game.title} has a version "${twin.title}" already.`, 'title');
    const id = freeId(`${game.title} ${title}`, (x) => tx.select().from(variants).where(eq(variants.id, x)).get() !== undefined);
    const family = input.mechanism ? mechanismById(input.mechanism) : undefined;
    if (family) checkThings(tx, family, input.parameters ?? {}, input.materials);
    insertVariant(tx, id, gameId, { ...input, title });
    return { id, change: recordChange(tx, `Added ${game.title}, ${title}`, [{ table: 'variants', delete: { id } }]) };
  });
}

export function insertVariant(tx: Tx, id: string, gameId: string, input: VariantInput & { title: string }): void {
  const { row, materials } = variantRow(tx, id, gameId, input);
  tx.insert(variants).values(row).run();
  putMaterials(tx, id, materials);
}

/** A version as it is stored, checked, with the things it needs. */
export function variantRow(
  tx: Tx,
  id: string,
  gameId: string,
  input: VariantInput & { title: string },
): { row: typeof variants.$inferInsert; materials: readonly { kind: string; quantity: number }[] } {
  const mechanism = input.mechanism ?? null;
  const known = mechanism === null ? undefined : mechanismById(mechanism);
  const seats = known?.seats ?? { min: 2, max: 4 };
  const players = input.players ?? { min: Math.max(2, seats.min), max: Math.min(4, seats.max) };
  checkVariant(tx, mechanism, { ...input, players });
  const ages = input.ages ?? [4, 12];
  const facts = known && versionFacts(known, input.parameters ?? {}, usualSeats(players), [ages[0], ages[1]], asWritten);
  const steps = input.steps ?? (input.preparationMinutes === undefined ? facts?.steps : undefined) ?? [];
  return {
    row: {
      id,
      gameId,
      title: input.title,
      mechanism,
      parameters: input.parameters ?? {},
      agesMin: ages[0],
      agesMax: ages[1],
      playersMin: players.min,
      playersMax: players.max,
      minutes: input.minutes ?? 15,
      helper: input.helper ?? facts?.presence.is ?? 'nearby',
      room: input.room ?? 'calm',
      preparationMinutes: steps.length > 0 ? minutesOfSteps(steps) : (input.preparationMinutes ?? 0),
      steps: [...steps],
      uses: input.uses ?? [],
      declared: input.declared ?? [],
      said: input.said ?? 'owner',
    },
    materials: input.materials ?? facts?.materials ?? [],
  };
}

/** A list that names dice or cards must name some that have this version's numbers. */
function checkThings(tx: Tx, m: Mechanism, parameters: object, materials: VariantInput['materials']): void {
  const problem = thingsProblem(
    tx,
    m,
    parameters,
    (materials ?? []).map((x) => x.kind),
  );
  if (problem) throw refuse('impossible-parameters', problem, 'materials');
}

/**
 * Why a version cannot be played with the things on its list, and what would do; null when it can, or when none are listed.
 * What the owner named may have any numbers.
 */
export function thingsProblem(tx: Tx | Db, m: Mechanism, parameters: object, listed: readonly string[]): string | null {
  if (listed.length === 0) return null;
  const known = new Map(
    tx
      .select()
      .from(kinds)
      .all()
      .map((k) => [k.id, k] as const),
  );
  const need = unmet(m.needs({ ...m.defaults, ...parameters }, usualTable), listed, (kind) => known.get(kind)?.shipped ?? false);
  if (!need || 'kind' in need) return null;
  const title = (kind: string): string => known.get(kind)?.title ?? kind;
  return `This version needs ${numbersText(need)}, and nothing on its list has them. ${title(kindsFor(need)[0]!.kind)} would do.`;
}

/** Players at a table when nobody says how many. */
const usualTable = 3;

function putMaterials(tx: Tx, variantId: string, materials: readonly { kind: string; quantity: number }[]): void {
  tx.delete(variantMaterials).where(eq(variantMaterials.variantId, variantId)).run();
  const twice = materials.findIndex((m, i) => materials.findIndex((o) => o.kind === m.kind) < i);
  if (twice >= 0)
    throw refuse('duplicate', `"${materials[twice]!.kind}" is listed twice. Put both into one line.`, `materials.${twice}.kind`);
  for (const [i, { kind, quantity }] of materials.entries()) {
    if (!tx.select().from(kinds).where(eq(kinds.id, kind)).get())
      throw refuse('unknown-kind', `There is no material "${kind}".`, `materials.${i}.kind`);
    if (!Number.isInteger(quantity) || quantity < 1 || quantity > mostPieces)
      throw refuse('bad-quantity', `${quantity} cannot be counted out.`, `materials.${i}.quantity`);
    tx.insert(variantMaterials).values({ variantId, kindId: kind, quantity }).run();
  }
}

/** Ages that a version may name, and pieces of one sort for one table. */
const [youngest, oldest] = [2, 18];
const mostPieces = 10_000;

function checkVariant(tx: Tx, mechanism: string | null, input: VariantInput, declaredBefore: VariantRow['declared'] = []): void {
  if (mechanism !== null) {
    const checked = checkParameters(mechanism, input.parameters ?? {});
    if (!checked.ok) throw new ProblemError(checked.problem);
  } else if (Object.keys(input.parameters ?? {}).length > 0)
    throw refuse('malformed', 'Parameters need a mechanism beside them.', 'parameters');
  const p = input.players;
  if (p && (p.min < 1 || p.max > 30)) throw refuse('out-of-range', 'Players lie between 1 and 30.', 'players');
  if (p && p.max < p.min) throw refuse('out-of-range', `At most ${p.max} players is fewer than at least ${p.min}.`, 'players.max');
  const seats = mechanism === null ? null : mechanismById(mechanism)!;
  if (p && seats && (p.min > seats.seats.max || p.max < seats.seats.min))
    throw refuse(
      'out-of-range',
      `“${seats.title}” is played by ${seats.seats.min} to ${seats.seats.max}, so a version for ${p.min === p.max ? p.min : `${p.min} to ${p.max}`} could not be.`,
      'players',
    );
  if (input.ages && (input.ages[0] < youngest || input.ages[1] > oldest))
    throw refuse('out-of-range', `Ages lie between ${youngest} and ${oldest}.`, 'ages');
  if (input.ages && input.ages[0] > input.ages[1]) throw refuse('out-of-range', 'The ages run backwards.', 'ages');
  if (input.minutes !== undefined && !(input.minutes > 0 && input.minutes <= 240))
    throw refuse('out-of-range', 'Minutes lie between 1 and 240.', 'minutes');
  const graph = graphOf(tx);
  for (const [i, d] of (input.declared ?? []).entries())
    // A skill that was taken away since does not lock the form.
    if (!graph.indexOf.has(d.skill) && !declaredBefore.some((x) => x.skill === d.skill))
      throw refuse('unknown-skill', `There is no skill "${d.skill}".`, `declared.${i}.skill`);
}

export function updateVariant(db: Db, id: string, input: VariantInput, version: number): { id: string; version: number; change: string } {
  return db.transaction((tx) => {
    const graph = graphOf(tx);
    const before = variantById(tx, id);
    sameVersion(before, version);
    const mechanism = input.mechanism === undefined ? before.mechanism : input.mechanism;
    const merged = {
      ...input,
      parameters: input.parameters ?? before.parameters,
      players: input.players ?? { min: before.playersMin, max: before.playersMax },
      ages: input.ages ?? ([before.agesMin, before.agesMax] as [number, number]),
    };
    checkVariant(tx, mechanism, merged, before.declared);
    const twin =
      input.title === undefined
        ? undefined
        : tx
            .select()
            .from(variants)
            .where(eq(variants.gameId, before.gameId))
            .all()
            .find((v) => v.id !== id && sameTitle(v.title, input.title!));
    if (twin) throw refuse('duplicate', `There is a version "${twin.title}" already.`, 'title');
    const materialsBefore = materialsOf(tx, id);
    const family = mechanism === null ? undefined : mechanismById(mechanism);
    if (family && input.materials) checkThings(tx, family, merged.parameters, input.materials);
    const after = {
      ...(input.title === undefined ? {} : { title: cleanName(input.title) || before.title }),
      mechanism,
      parameters: merged.parameters,
      agesMin: merged.ages[0],
      agesMax: merged.ages[1],
      playersMin: merged.players.min,
      playersMax: merged.players.max,
      ...(input.minutes === undefined ? {} : { minutes: input.minutes }),
      ...(input.helper === undefined ? {} : { helper: input.helper }),
      ...(input.room === undefined ? {} : { room: input.room }),
      ...(input.preparationMinutes === undefined ? {} : { preparationMinutes: input.preparationMinutes }),
      ...(input.steps === undefined
        ? {}
        : { steps: input.steps, ...(input.steps.length > 0 ? { preparationMinutes: minutesOfSteps(input.steps) } : {}) }),
      ...(input.uses === undefined ? {} : { uses: input.uses }),
      ...(input.declared === undefined ? {} : { declared: input.declared.filter((d) => graph.indexOf.has(d.skill)) }),
      said: input.said ?? saidAfter(before, input),
      version: before.version + 1,
    };
    const done = tx
      .update(variants)
      .set(after)
      .where(and(eq(variants.id, id), eq(variants.version, version)))
      .run();
    wrote(done, version, () => variantById(tx, id));
    // Ticks stand for steps by their number; other steps are not done yet.
    if (input.steps && JSON.stringify(input.steps) !== JSON.stringify(before.steps))
      tx.delete(prepTicks).where(eq(prepTicks.variantId, id)).run();
    if (input.materials) putMaterials(tx, id, input.materials);
    const undo: UndoStep[] = [stepBack('variants', { id }, before, after)];
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

/** Whoever says how it plays or what it practises has said so; anything else leaves that as it was. */
function saidAfter(before: VariantRow, input: VariantInput): VariantRow['said'] {
  const changed = (now: unknown, then: unknown): boolean => now !== undefined && JSON.stringify(now) !== JSON.stringify(then);
  const tells =
    changed(input.mechanism, before.mechanism) || changed(input.parameters, before.parameters) || changed(input.declared, before.declared);
  return tells ? 'owner' : before.said;
}
