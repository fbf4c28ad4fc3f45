import type { Operation, Representation, Unknown } from '../items/item';
import type { TenTrait } from '../items/traits';

/**
 * Which items are a chance to practise a skill. Every named condition must hold;
 * `anyOf` adds alternatives. Ranges are inclusive.
 */
export interface ItemPredicate {
  readonly op?: Operation | readonly Operation[];
  readonly a?: readonly [number, number];
  readonly b?: readonly [number, number];
  /** The smaller / larger operand, whichever side it stands on. */
  readonly smaller?: readonly [number, number];
  readonly larger?: readonly [number, number];
  readonly result?: readonly [number, number];
  readonly unknown?: Unknown | readonly Unknown[];
  readonly rep?: Representation | readonly Representation[];
  readonly ten?: TenTrait | readonly TenTrait[];
  readonly regroups?: boolean;
  readonly crossesHundred?: boolean;
  readonly double?: boolean;
  readonly nearDouble?: boolean;
  /** The two parts (or the whole minus a part) belong to this number. */
  readonly bondOf?: number;
  /** One operand is one of these (a multiplication table, say). */
  readonly either?: readonly number[];
  /** Both operands are multiples of this. */
  readonly bothMultiplesOf?: number;
  /** The larger operand is a multiple of this. */
  readonly largerMultipleOf?: number;
  /** The result is a multiple of this. */
  readonly resultMultipleOf?: number;
  /** The first number is a multiple of this (times on the clock, say). */
  readonly aMultipleOf?: number;
  /** The second number is a multiple of this. */
  readonly bMultipleOf?: number;
  /** Both fractions have one of these denominators. */
  readonly denominators?: readonly number[];
  readonly likeDenominators?: boolean;
  /** A number below zero takes part. */
  readonly negative?: boolean;
  readonly whole?: boolean;
  readonly anyOf?: readonly ItemPredicate[];
  /** Items that are another step's, though all else holds: a half hour among times to the minute. */
  readonly not?: ItemPredicate;
}

/**
 * `by-heart` skills and `method`s (written procedures, instruments, scales: to work it out is
 * to hold it) are credited from items; `strategy` and `concept` skills only from items noted
 * with a *how*, or from a direct note: 8 + 5 answered right does not show that a ten was made.
 */
export type SkillNature = 'by-heart' | 'method' | 'strategy' | 'concept';

/** A prerequisite *needs the idea*, or *needs it by heart*; a support in use opens the second. */
export type PrerequisiteSort = 'idea' | 'heart';

export interface Prerequisite {
  readonly id: string;
  readonly sort: PrerequisiteSort;
}

export interface Skill {
  readonly id: string;
  readonly title: string;
  /** Two or three words, for the line diagram. */
  readonly short: string;
  readonly looksLike: string;
  readonly strand: string;
  readonly nature: SkillNature;
  /** Age in years by which each framework usually wants it: the two shipped, and those brought in that speak of it. */
  readonly wantedAt: { readonly us: number; readonly england: number; readonly [framework: string]: number };
  readonly prerequisites: readonly Prerequisite[];
  readonly codes: readonly string[];
  readonly predicate: ItemPredicate | null;
  /** What is asked of it on paper lies within these bounds too: questions of a usual size, in usual steps. */
  readonly asks?: ItemPredicate;
  /** A way to begin, as turning a sum round: it neither takes items from other strategies nor loses any to them. */
  readonly placeToStart?: boolean;
  /** Ids of the steps that it is made of, where those explain all of its items: it is held when they are. */
  readonly parts?: readonly string[];
  /** Required when `predicate` is null. */
  readonly whyNoItems?: string;
  /** Usual tools, from the most help to the least, where they differ from the line's ladder. */
  readonly supports?: readonly string[];
  /** What commonly goes wrong. */
  readonly slips: readonly string[];
}

export interface Strand {
  readonly id: string;
  readonly title: string;
  readonly hue: string;
  readonly line: string;
  /** Tools from the most help to the least. */
  readonly ladder: readonly string[];
  readonly skills: readonly string[];
}

/** Whether a game can aim at a step: it has items, and is more than its parts. */
export const gameCanAimAt = (s: Pick<Skill, 'predicate' | 'parts'>): boolean => s.predicate !== null && s.parts === undefined;

/** Age by which a framework wants a skill; where it does not speak of it, the US-style norm stands in. */
export const wantedBy = (skill: Pick<Skill, 'wantedAt'>, framework: string): number => skill.wantedAt[framework] ?? skill.wantedAt.us;
