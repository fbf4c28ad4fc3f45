import type { Body } from '../../contract/wire/route';
import type { recogniseWire } from '../../contract/wire/recognise';
import { checkParameters } from '../../contract/parameters';
import { materialsOf as materialsFromRules } from '../../core/mechanisms/versionFacts';
import { mechanismById } from '../../core/mechanisms/registry';
import type { Db } from '../db/db';
import { refuse } from '../http/problemError';
import { materialsOf, variantById } from '../shelf/shelfRows';
import { updateVariant, type VariantInput } from '../shelf/variantStore';

/** Chances in ten minutes that a plain word of the owner stands for. */
const plainWord = 10;
/** Children at one table for whom things are counted out where nobody said otherwise. */
const usualTable = 3;

/**
 * Takes the owner's answer to "how is it played?": a family with numbers, which stays a guess until it is played, or the
 * steps it practises in her own word. Players beyond what the family seats are brought within, what lies beside a table
 * is filled in where nothing was said.
 * @throws malformed where neither is told; unknown-mechanism, version-conflict and what a version is refused for
 */
export function acceptKnown(
  db: Db,
  id: string,
  body: Body<(typeof recogniseWire)['POST /variants/{id}/known']>,
): { id: string; version: number; change: string } {
  const v = variantById(db, id);
  if (body.mechanism === undefined) {
    if (!body.declared?.length) throw refuse('malformed', 'Say how it is played, or at least one step that it practises.', 'mechanism');
    const declared = body.declared.map((d) => ({ skill: d.skill, perTenMinutes: d.perTenMinutes ?? plainWord }));
    return updateVariant(db, id, { mechanism: null, parameters: {}, declared, said: 'owner' }, body.version);
  }
  const family = mechanismById(body.mechanism);
  if (!family) throw refuse('unknown-mechanism', `"${body.mechanism}" is not a way of playing that is known here.`, 'mechanism');
  const parameters = checkParameters(family.id, body.parameters ?? {});
  const input: VariantInput = {
    mechanism: family.id,
    parameters: body.parameters ?? {},
    players: within({ min: v.playersMin, max: v.playersMax }, family.seats),
    said: 'guessed',
    // What was read from words gives way to what is measured.
    ...(v.said === 'words' ? { declared: [] } : {}),
    ...(materialsOf(db, id).length === 0 && parameters.ok ? { materials: materialsFromRules(family, parameters.value, usualTable) } : {}),
  };
  return updateVariant(db, id, input, body.version);
}

interface Span {
  readonly min: number;
  readonly max: number;
}

/** Players as far as the family seats them; those it seats where none of them overlap. */
function within(told: Span, seats: Span): { min: number; max: number } {
  if (told.min > seats.max) return { min: Math.max(seats.min, Math.min(2, seats.max)), max: seats.max };
  if (told.max < seats.min) return { min: seats.min, max: seats.min };
  return { min: told.min, max: told.max };
}
