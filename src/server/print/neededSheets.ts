import type { AskedSheet } from '../../contract/sheetRequest';
import type { Mechanism, SheetNeed } from '../../core/mechanisms/mechanism';
import { mechanismById } from '../../core/mechanisms/registry';
import type { Country } from '../../core/play/country';
import { sheetKindById } from '../../core/print/registry';
import { workOf } from '../../core/print/sheetWork';
import { smallerNumbers } from '../../core/print/smallerNumbers';
import { usualSeats } from '../../core/simulate/usualSeats';
import type { Db } from '../db/db';
import { refuse } from '../http/problemError';
import { countryOf } from '../shared/country';
import { variantById, type VariantRow } from '../shelf/shelfRows';
import { minutesHere, ownPace } from './madeSets';

export interface Needed {
  readonly sheet: string;
  readonly title: string;
  readonly parameters: Record<string, unknown>;
  readonly copies: number;
  readonly sheets: number;
  readonly pieces: number;
  readonly cuts: number;
  readonly minutes: number;
  readonly teaches: boolean;
}

function counted(needs: readonly SheetNeed[], country: Country, pace: number): Needed[] {
  return needs.flatMap((n): Needed[] => {
    const work = workOf(n, country);
    if (!work) return [];
    return [
      {
        sheet: n.sheet,
        title: sheetKindById(n.sheet)!.title,
        parameters: { ...n.data },
        copies: n.copies,
        ...work,
        minutes: minutesHere(pace, work),
      },
    ];
  });
}

/** Why a need cannot be printed with these numbers; null when it can. */
function whyNot(n: SheetNeed): { sheet: string; title: string; why: string; parameters: Record<string, unknown>; copies: number } | null {
  const kind = sheetKindById(n.sheet)!;
  const problem = n.copies === 0 ? null : (kind.check?.({ ...kind.example, ...n.data }) ?? null);
  return problem && { sheet: n.sheet, title: kind.title, why: problem.message, parameters: { ...n.data }, copies: n.copies };
}

/** Cards that the owner said are gone, as a set of their own. */
const missingOf = (parameters: Readonly<Record<string, unknown>>): SheetNeed[] => {
  const gone = parameters['missing'];
  return Array.isArray(gone) && gone.length > 0 ? [{ sheet: 'number-cards', copies: 1, data: { only: gone } }] : [];
};

function played(v: VariantRow): Mechanism {
  const m = v.mechanism === null ? undefined : mechanismById(v.mechanism);
  if (!m)
    throw refuse(
      'not-playable',
      `Nobody said yet how “${v.title}” plays, so what it needs on paper is not known. Say how it plays first.`,
      'id',
    );
  return m;
}

/** What a version needs on paper for so many players, the same with smaller numbers, and what of its cards is gone. */
export function neededSheets(db: Db, id: string, asked: { readonly players?: number }) {
  const v = variantById(db, id);
  const m = played(v);
  const country = countryOf(db);
  const pace = ownPace(db);
  const seats = Math.min(m.seats.max, Math.max(m.seats.min, asked.players ?? usualSeats({ min: v.playersMin, max: v.playersMax })));
  const needs = (parameters: object): Needed[] => counted(m.sheets({ ...m.defaults, ...parameters }, seats), country, pace);
  const items = needs(v.parameters);
  const less = smallerNumbers(m, v.parameters);
  const sum = (of: 'sheets' | 'cuts' | 'minutes'): number => items.reduce((n, i) => n + i[of], 0);
  return {
    items,
    smaller: less ? needs(less) : [],
    missing: counted(missingOf(v.parameters), country, pace),
    refused: m.sheets({ ...m.defaults, ...v.parameters }, seats).flatMap((n) => whyNot(n) ?? []),
    sheets: sum('sheets'),
    cuts: sum('cuts'),
    minutes: sum('minutes'),
  };
}

/** What so many who play a version need, where others at their table play another; fewer than could play it alone may be. */
export function neededHere(db: Db, id: string, seats: number): Needed[] {
  const v = variantById(db, id);
  const m = played(v);
  return counted(m.sheets({ ...m.defaults, ...v.parameters }, seats), countryOf(db), ownPace(db));
}

/** The sets of a version as they are asked for. @throws not-found where it needs none */
export function setsFor(
  db: Db,
  id: string,
  asked: Omit<AskedSheet, 'sheet'> & { readonly players?: number },
): { title: string; sets: AskedSheet[] } {
  const v = variantById(db, id);
  const { players, ...how } = asked;
  const { items, refused } = neededSheets(db, id, players === undefined ? {} : { players });
  if (items.length === 0 && refused.length > 0) throw refuse('impossible-parameters', `${refused[0]!.title}: ${refused[0]!.why}`, 'id');
  if (items.length === 0) throw refuse('not-found', `“${v.title}” needs nothing that is printed.`, 'id');
  const sets = items.map(({ sheet, parameters, copies }) => ({
    ...how,
    sheet,
    parameters,
    copies: copies * (how.copies ?? 1),
    label: how.label ?? v.title.slice(0, 80),
  }));
  return { title: v.title, sets };
}
