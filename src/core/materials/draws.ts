/** Values that come up with like chances: whole numbers of a span, so many of each in a pack. */
export interface Pack {
  readonly from: number;
  readonly to: number;
  readonly copies: number;
  /** Each draw goes back before the next. */
  readonly putBack: boolean;
}

/** What two draws in a row show. */
export interface TwoDraws {
  /** Chance of each sum. */
  readonly sums: ReadonlyMap<number, number>;
  /** Chance that both are the same. */
  readonly doubles: number;
}

/**
 * Exact chances of two draws in a row. With putting back both are free, as two dice; without, the second is drawn from
 * what the first left (hypergeometric).
 */
export function twoDraws({ from, to, copies, putBack }: Pack): TwoDraws {
  const values = to - from + 1;
  const total = values * copies;
  const sums = new Map<number, number>();
  let doubles = 0;
  for (let a = from; a <= to; a++)
    for (let b = from; b <= to; b++) {
      const left = putBack ? copies : copies - (a === b ? 1 : 0);
      const chance = (copies / total) * (left / (putBack ? total : total - 1));
      sums.set(a + b, (sums.get(a + b) ?? 0) + chance);
      if (a === b) doubles += chance;
    }
  return { sums, doubles };
}

/** How two throws of a die differ from two draws in its place: the sum that moves most, and doubles; chances before and after. */
export interface DrawEffect {
  readonly sum: { readonly value: number; readonly before: number; readonly after: number };
  readonly doubles: { readonly before: number; readonly after: number };
}

/** Differences under this are none. */
const noDifference = 0.0005;

/** @returns null where nothing differs */
export function drawEffect(pack: Pack): DrawEffect | null {
  const before = twoDraws({ ...pack, putBack: true });
  const after = twoDraws(pack);
  let sum: DrawEffect['sum'] | null = null;
  for (const [value, chance] of before.sums) {
    const now = after.sums.get(value)!;
    if (now > chance && (!sum || now - chance > sum.after - sum.before + 1e-12)) sum = { value, before: chance, after: now };
  }
  if (!sum || sum.after - sum.before < noDifference) return null;
  return { sum, doubles: { before: before.doubles, after: after.doubles } };
}
