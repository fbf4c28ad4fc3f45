import { daysBetween } from '../shared/days';
import type { Operation } from '../items/item';

export type EvidenceKind = 'placement' | 'check-in' | 'note' | 'statement';
export type EvidenceResult = 'stuck' | 'support' | 'alone';
export type How = 'counted-all' | 'counted-on' | 'worked-out' | 'knew';

export interface NotedItem {
  readonly op: Operation;
  readonly a: number;
  readonly b: number;
  readonly correct: boolean;
}

/** One observation of a learner on one named skill. Never changed, only retracted. */
export interface Evidence {
  readonly id: string;
  readonly at: string;
  readonly kind: EvidenceKind;
  readonly skill: string;
  readonly result: EvidenceResult | null;
  readonly correct: number | null;
  readonly total: number | null;
  readonly how: How | null;
  readonly support: string | null;
  readonly items: readonly NotedItem[];
  readonly by: { readonly role: 'organiser' | 'helper' | 'parent'; readonly ownChild: boolean };
}

export interface LearnerFacts {
  /** Birth month, `YYYY-MM`. */
  readonly born: string;
  /** `us`, `england`, or the id of a framework that was brought in. */
  readonly framework: string;
  /** Tools this child may always use with full credit. */
  readonly permanentSupports: readonly string[];
  /** Tools in use now: they open what *needs it by heart*. */
  readonly supportsInUse: readonly string[];
  /** Skills agreed on for this child. */
  readonly goals?: readonly string[];
  /** Goes by the goals alone: nothing is wanted by an age. */
  readonly withoutNorms?: boolean;
}

/** Years and months as they are written, read once. */
const parts = new Map<string, readonly [years: number, day: number]>();
const mostParts = 20_000;

function partsOf(day: string): readonly [years: number, day: number] {
  let known = parts.get(day);
  if (!known) {
    if (parts.size >= mostParts) parts.clear();
    const [y, m, d] = day.slice(0, 10).split('-').map(Number);
    known = [y! + m! / 12, d ?? 15];
    parts.set(day, known);
  }
  return known;
}

/** Age in years on a day. // => ageOn('2019-09', '2026-09-15') is about 7 */
export function ageOn(born: string, day: string): number {
  const [from] = partsOf(born);
  const [to, date] = partsOf(day.length > 10 ? day.slice(0, 10) : day);
  return to - from + (date - 15) / 365;
}

export { daysBetween };
