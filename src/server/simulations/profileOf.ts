import type { Kept } from '../../contract/wire/route';
import type { ProfileWire } from '../../contract/wire/practice';
import { meanDoses } from '../../core/simulate/meanDoses';
import { type CountedItem, endsWithin } from '../../core/simulate/simulationResult';
import type { Db } from '../db/db';
import { mechanismById } from '../../core/mechanisms/registry';
import { refuse } from '../http/problemError';
import { materialsOf, type VariantRow } from '../shelf/shelfRows';
import { profileTask, resultOf } from './profileStore';

/** What a variant practises at a table of so many, with its error and how it was made. */
export async function profileOf(db: Db, variant: VariantRow, seats: number, minutes: number): Promise<Kept<ProfileWire>> {
  if (!variant.mechanism) {
    const source = variant.declared.length === 0 ? 'none' : variant.said === 'words' ? 'words' : 'declared';
    return {
      variant: variant.id,
      seats,
      games: 0,
      source,
      // Counts at a table are Poisson: the error of n answers is √n of them.
      doses: variant.declared.map((d) => ({
        ...d,
        standardError: d.counted ? Number((d.perTenMinutes / Math.sqrt(d.counted)).toPrecision(2)) : null,
      })),
      counted: variant.declared.some((d) => d.counted !== undefined),
      minutes: { '0.5': variant.minutes },
      waitingShare: null,
      measures: {},
      items: [],
    };
  }
  const mechanism = mechanismById(variant.mechanism)!;
  if (seats < mechanism.seats.min || seats > mechanism.seats.max)
    throw refuse(
      'out-of-range',
      `${mechanism.title} is played by ${mechanism.seats.min} to ${mechanism.seats.max}, not ${seats}.`,
      'seats',
    );
  const r = await resultOf(db, profileTask(db, variant, seats));
  return {
    variant: variant.id,
    seats,
    games: r.games,
    seed: r.seed,
    engine: r.engine,
    source: 'calculated',
    doses: [...meanDoses(r)]
      .map(([skill, d]) => ({ skill, perTenMinutes: Number(d.mean.toPrecision(5)), standardError: Number(d.standardError.toPrecision(3)) }))
      .sort((x, y) => y.perTenMinutes - x.perTenMinutes),
    minutes: r.minutes,
    minuteHistogram: r.minuteHistogram,
    endsInSlot: Number(endsWithin(r.minuteHistogram, minutes).toPrecision(4)),
    slotMinutes: minutes,
    turns: r.turns,
    waitingShare: r.measures['waitingShare']!,
    measures: r.measures,
    measureErrors: r.measureErrors,
    shares: r.shares,
    distinctFacts: r.distinctFacts,
    outcomes: r.outcomes,
    items: mergeSeats(r.items),
    materials: materialsOf(db, variant.id),
  };
}

/** The same item met at several seats, as one. */
function mergeSeats(items: readonly CountedItem[]): ProfileWire['items'] {
  const merged = new Map<string, ProfileWire['items'][number]>();
  for (const { op, a, b, result, unknown, rep, count } of items) {
    const key = `${op}|${a}|${b}|${unknown}|${rep}`;
    const known = merged.get(key);
    if (known) known.count += count;
    else merged.set(key, { op, a, b, result, unknown, rep, count });
  }
  return [...merged.values()];
}
