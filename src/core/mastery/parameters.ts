import type { EvidenceKind, How } from './evidence';
import type { SkillNature } from '../skills/skill';

/**
 * Knowledge-tracing parameters. The model is Corbett and Anderson (1995); the numbers are
 * common practice, no source, and stand together here so that they can be changed.
 */
export interface KnowledgeParameters {
  readonly slip: number;
  readonly guess: number;
  /** Chance of learning by the practice that the observation was part of. */
  readonly transit: number;
}

export const PARAMETERS: Readonly<Record<EvidenceKind, KnowledgeParameters>> = {
  placement: { slip: 0.06, guess: 0.12, transit: 0 },
  'check-in': { slip: 0.1, guess: 0.15, transit: 0 },
  note: { slip: 0.14, guess: 0.16, transit: 0.03 },
  statement: { slip: 0.1, guess: 0.25, transit: 0 },
};

/**
 * What right answers are to be expected, looking forward: who holds a step is right nearly always, so that a game can
 * be too easy; who does not hold it yet, but all that it needs, is right about every other time; and the less of that is
 * there, the more is guessed. A note's slip is larger, since it also holds what was seen wrongly. Common practice, no source.
 */
export const FORECAST = { slip: 0.03, near: 0.45, guess: 0.16 } as const;

/** How much of "right" an answer with a support in hand is worth. */
export const supportCredit = 0.35;
/** With a tool in hand a sheet is guessed this well without holding the skill (common practice, no source). */
export const guessWithTool = 0.5;
/** A parent's note on the own child pulls a little less. */
export const ownChildWeight = 0.7;
/** A missed fact pulls on the narrowest steps it belongs to. */
export const missWeight = 0.5;

/** What a right answer reached this way says of the skill, 0 … 1. */
export const howCredit: Readonly<Record<SkillNature, Readonly<Record<How, number>>>> = {
  'by-heart': { 'counted-all': 0.2, 'counted-on': 0.45, 'worked-out': 0.75, knew: 1 },
  method: { 'counted-all': 0.7, 'counted-on': 0.9, 'worked-out': 1, knew: 1 },
  strategy: { 'counted-all': 0.1, 'counted-on': 0.3, 'worked-out': 1, knew: 0.8 },
  concept: { 'counted-all': 1, 'counted-on': 1, 'worked-out': 1, knew: 1 },
};

/** What one right answer among those noted pulls on a by-heart skill it belongs to. */
export const hitWeight = 0.15;

/**
 * A learner's lines may run ahead of or behind the norm. The offset in years is estimated on
 * a grid from everything noted on a line and, with `otherLines` of its weight, on the others.
 */
export const level = { yearsEachWay: 3, steps: 25, spreadYears: 1.3, otherLines: 0.6 };

/**
 * Forgetting follows the open spaced-repetition scheduler's curve (package ts-fsrs, its
 * default weights). Skills are met more often than they are noted, so its clock runs slower
 * here; what is forgotten takes away only part. Common practice, no source.
 */
export const forgetting = { memoryDaysPerDay: 0.16666666666666666, takes: 1 };

/** Nobody is ever surer than this, so that a few notes can always turn an estimate. */
export const surest = 0.98;

/** Prior from the framework's norm: weak, so that a few notes overrule it. */
export const prior = { least: 0.05, most: 0.95, widthYears: 0.6, leadYears: 0.2 };
/** Notes that the prior is worth when an interval is drawn. */
export const priorNotes = 2;

export const heldAt = 0.85;
export const growingFrom = 0.4;
/** An idea counts as there for what builds on it from here on. */
export const ideaThere = 0.6;
export const heartThere = 0.65;
/** A held skill is worth checking once this share of it is likely gone, and due for review a little before. */
export const worthCheckingBelow = 0.82;
export const dueForReviewBelow = 0.9;
/** Below so many notes an estimate reads "not sure yet". */
export const sureFromNotes = 3;
/** z for the 80 % interval. */
export const intervalZ = 1.2816;
