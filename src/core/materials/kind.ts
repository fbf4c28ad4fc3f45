import type { Hazard } from '../safety/hazards';

/** A sort of material with a stable id; what people read is `title`. */
export interface MaterialKind {
  readonly id: string;
  readonly title: string;
  /** Other words people type for it. */
  readonly alsoCalled: readonly string[];
  readonly unit: string;
  /** Fits a small-parts cylinder (16 CFR 1501), so it stays away from toddlers. */
  readonly smallParts: boolean;
  /** Used up or freely at hand (paper, pencils): never short. */
  readonly plentiful: boolean;
  readonly caution?: string | undefined;
}

/** One that ships with the app. */
export interface ShippedKind extends MaterialKind {
  /** What can hurt at it; its caution is made from them. */
  readonly hazards?: readonly Hazard[];
  /** Where it lies as long as nobody says where. */
  readonly drawer: string;
}
