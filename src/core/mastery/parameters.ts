import type { EvidenceKind, How } from './evidence';
import type { SkillNature } from '../skills/skill';

/**
 * The field of abilities. Starting values come from a study with invented learners; those that were fitted were fitted
 * on training seeds (7, 8, 9) of `core/cohort`. Common practice, no source, but for the forms themselves.
 */
export const FIELD = {
  /** θ of a child at the age a step is wanted, and its growth a year. */
  atNorm: 0.7,
  perYear: 1.4,
  meanRange: [-3, 4] as readonly [number, number],
  /** Variances: of the person over all skills, of the line (fading with years between steps), of the skill alone. */
  person: 0.9,
  line: 0.35,
  lineYears: 3,
  own: 0.5,
  guess: 0.08,
  slip: 0.05,
  /** θ from which a step is held: four answers of five right, slips and guesses aside. */
  heldFrom: Math.log(4),
};
export type FieldParameters = typeof FIELD;

/** Questions that one observation of a kind is worth; a sheet has its own number. */
export const itemsOf: Readonly<Record<EvidenceKind, number>> = { placement: 2, 'check-in': 1, note: 1, statement: 1 };
/** By how much help lent for the day makes a question easier; a tool this child keeps makes nothing easier. */
export const helpEases = 0.9;
/** Ability falls by so much while all of a memory fades. */
export const fadingFall = 2;
/** Practice at the table: θ rises by this at most, at even chances, and what is known of it widens a little. */
export const practice = { rise: 0.18, widens: 0.12 };

/**
 * What right answers are to be expected, looking forward; an observation's slip is larger, since it also holds what
 * was seen wrongly. Common practice, no source.
 */
export const FORECAST = { slip: 0.01, guess: 0.08 } as const;

/** A parent's note on the own child pulls a little less. */
export const ownChildWeight = 0.7;
/** What a right answer reached this way says of the skill, 0 … 1. */
export const howCredit: Readonly<Record<SkillNature, Readonly<Record<How, number>>>> = {
  'by-heart': { 'counted-all': 0.2, 'counted-on': 0.4, 'worked-out': 0.75, knew: 1 },
  method: { 'counted-all': 0.7, 'counted-on': 0.9, 'worked-out': 1, knew: 1 },
  strategy: { 'counted-all': 0.1, 'counted-on': 0.3, 'worked-out': 1, knew: 0.8 },
  concept: { 'counted-all': 1, 'counted-on': 1, 'worked-out': 1, knew: 1 },
};

/**
 * Forgetting follows the open spaced-repetition scheduler's curve (package ts-fsrs, its
 * default weights). Skills are met more often than they are noted, so its clock runs slower
 * here; what is forgotten takes away only part. Common practice, no source.
 */
export const forgetting: Readonly<Record<SkillNature, { readonly memoryDaysPerDay: number }>> = {
  'by-heart': { memoryDaysPerDay: 1 / 3 },
  method: { memoryDaysPerDay: 1 / 5 },
  strategy: { memoryDaysPerDay: 1 / 8 },
  concept: { memoryDaysPerDay: 1 / 16 },
};

/** More likely held than not, by enough to say *on their own*; and beyond doubt, so that more of it is for joy. */
export const heldAt = 0.6;
export const firmAt = 0.85;
export const growingFrom = 0.25;
/** What a step needs counts as there from this readiness on. */
export const there = 0.5;
/** A held skill is worth checking once this share of it is likely gone, and due for review a little before. */
export const worthCheckingBelow = 0.82;
export const dueForReviewBelow = 0.9;
/** Below so many notes an estimate reads "not sure yet". */
export const sureFromNotes = 3;
/** z for the 80 % interval. */
export const intervalZ = 1.2816;
