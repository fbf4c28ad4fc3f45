import type { Pack } from './draws';

/** Something else that will do for a kind of thing. */
export interface Substitute {
  readonly for: string;
  /** What takes its place; null for what every house has. */
  readonly use: string | null;
  /** How many are needed: one for each, one for the whole table, or ten for each. */
  readonly per: 'each' | 'table' | 'ten';
  /** To get it ready. */
  readonly minutes: number;
  readonly say: string;
  /** What changes: nothing, chances that can be counted, or the practice itself, in words. */
  readonly effect: { readonly sort: 'none' } | ({ readonly sort: 'draws' } & Pack) | { readonly sort: 'practice'; readonly say: string };
  /** Numbers stand in for spots. */
  readonly numerals?: boolean;
  /** Rule families in which it will not do. */
  readonly notIn?: readonly string[];
}

export interface Need {
  readonly kind: string;
  readonly quantity: number;
}

/** One thing that stands in for another at a table. */
export interface StandIn {
  readonly instead: string;
  readonly use: string | null;
  readonly say: string;
}

/** Longer to get ready than this is offered, not taken for granted. */
const readyMinutes = 2;

/** Whether it is used without asking: ready in no time, and nothing of the practice changes. */
export const isAutomatic = (s: Substitute): boolean => s.minutes <= readyMinutes && s.effect.sort !== 'practice' && s.numerals !== true;

export const quantityOf = (s: Substitute, quantity: number): number => (s.per === 'table' ? 1 : s.per === 'ten' ? 10 * quantity : quantity);

/**
 * What a table takes of what is there: each thing itself where there are enough of it, else the first substitute that
 * needs no asking and is there. What can be had neither way stays as it is, missing. No chain: what stands in is there itself.
 * @param have pieces on hand by kind
 * @param accepted what the owner said will do, though it needs asking
 */
export function withStandIns(
  needs: readonly Need[],
  have: (kind: string) => number,
  substitutes: readonly Substitute[],
  mechanism: string | null = null,
  accepted: (s: Substitute) => boolean = () => false,
): { readonly needs: readonly Need[]; readonly standIns: readonly StandIn[] } {
  const standIns: StandIn[] = [];
  const taken = new Map<string, number>();
  const take = (kind: string, quantity: number): void => void taken.set(kind, (taken.get(kind) ?? 0) + quantity);
  const left = (kind: string): number => have(kind) - (taken.get(kind) ?? 0);
  for (const { kind, quantity } of needs) if (have(kind) >= quantity) take(kind, quantity);
  for (const { kind, quantity } of needs) {
    if (have(kind) >= quantity) continue;
    const s = substitutes.find(
      (x) =>
        x.for === kind &&
        (isAutomatic(x) || accepted(x)) &&
        !x.notIn?.includes(mechanism ?? '') &&
        (x.use === null || left(x.use) >= quantityOf(x, quantity)),
    );
    if (!s) {
      take(kind, quantity);
      continue;
    }
    standIns.push({ instead: kind, use: s.use, say: s.say });
    if (s.use !== null) take(s.use, quantityOf(s, quantity));
  }
  return { needs: [...taken].map(([kind, quantity]) => ({ kind, quantity })), standIns };
}

/** @throws Error where a substitute stands for itself, twice alike, or names what is not there: `data/kinds/substitutes.json` is checked by a test. */
export function checkSubstitutes(list: readonly Substitute[], kinds: ReadonlySet<string>): void {
  const seen = new Set<string>();
  for (const s of list) {
    const key = `${s.for} by ${s.use}`;
    if (seen.has(key)) throw new Error(`${key} stands twice.`);
    seen.add(key);
    if (s.for === s.use) throw new Error(`${s.for} stands in for itself.`);
    for (const k of [s.for, ...(s.use === null ? [] : [s.use])]) if (!kinds.has(k)) throw new Error(`There is no thing "${k}".`);
  }
}
