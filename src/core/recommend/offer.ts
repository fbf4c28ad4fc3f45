/** A variant as recommending and planning see it. */
export interface Offer {
  readonly variant: string;
  readonly game: string;
  readonly title: string;
  readonly gameTitle: string;
  /** Variants of one game with the same class can share a table. */
  readonly mixClass: string;
  /** Rule family; null when nobody has named it. */
  readonly mechanism: string | null;
  readonly parameters: Readonly<Record<string, unknown>>;
  readonly players: readonly [number, number];
  readonly ages: readonly [number, number];
  readonly minutes: number;
  readonly helper: 'alone' | 'nearby' | 'needed';
  readonly preparationMinutes: number;
  readonly materials: readonly { readonly kind: string; readonly quantity: number }[];
  /** Chances per learner in ten minutes, by index of the skill graph. */
  readonly doses: Float64Array;
  /** How the doses were made. */
  readonly source: 'calculated' | 'declared' | 'none';
}
