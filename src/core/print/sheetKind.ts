import type { ParameterSchema } from '../mechanisms/mechanism';
import type { Country } from '../play/country';
import type { Hazard } from '../safety/hazards';
import type { Problem } from '../shared/codes';
import type { Rng } from '../shared/rng';
import type { Box } from './box';
import type { Paper } from './paper';

/** How a sheet comes: usual, large and uncluttered, or without what would be read. */
export const forms = ['usual', 'large', 'blank'] as const;
export type Form = (typeof forms)[number];

export const sheetGroups = ['cards', 'pieces', 'boards', 'mats', 'to write on', 'to solve'] as const;
export type SheetGroup = (typeof sheetGroups)[number];

export interface Making {
  readonly rng: Rng;
  readonly country: Country;
}

/** Where something is drawn: the paper, and whether large and uncluttered is asked for. */
export interface Drawing {
  readonly paper: Paper;
  readonly large: boolean;
  /** Whether backs are printed. */
  readonly twoSided: boolean;
  readonly country: Country;
  /** The width and height that may be used, in millimetres: of a card, or of a page. */
  readonly w: number;
  readonly h: number;
}

/** Pieces that are cut out, all of one size; a back for each, one for all, or none. */
export interface Pieces {
  readonly w: number;
  readonly h: number;
  /** Draws piece n from its own upper left corner. */
  readonly count: number;
  readonly face: (n: number, at: Drawing) => Box[];
  readonly back?: ((n: number, at: Drawing) => Box[]) | undefined;
  /** Pieces without a frame of their own show where to cut. */
  readonly outlined?: boolean;
  /** Cards for children carry the mark of their range in two corners. */
  readonly marked?: boolean;
}

/** Whole pages, drawn inside the area that `Drawing` names. */
export interface Whole {
  readonly count: number;
  readonly page: (n: number, at: Drawing) => Box[];
  /** What stands on the back of each, however cards are backed. */
  readonly back?: (n: number, at: Drawing) => Box[];
}

export interface Drawn {
  readonly pieces?: readonly Pieces[];
  readonly whole?: Whole;
}

/** One of the first turns: how many cards it takes, and what is seen in it. */
export interface TaughtTurn {
  readonly cards: number;
  readonly say: string;
}
/** An order of all cards, by index, whose first turns show each rule once; the rest lies as it falls. */
export interface Teaching {
  /** Dealt into hands, drawn from a pile, or laid out in rows. */
  readonly laid: 'hands' | 'pile' | 'rows';
  readonly order: readonly number[];
  readonly turns: readonly TaughtTurn[];
}

/**
 * A sheet that can be printed: one folder, one line of the registry. Its content is made from a seed, judged by `verify` before
 * anything is drawn, and drawn as boxes.
 */
export interface SheetKind<P extends object = object, M = unknown> {
  readonly id: string;
  readonly title: string;
  /** What it is for, in a line. */
  readonly about: string;
  readonly group: SheetGroup;
  readonly forFamilies: readonly string[];
  readonly parametersSchema: ParameterSchema;
  readonly example: P;
  /** What the parameters cannot do together; null when all is well. */
  check?(parameters: P): Problem | null;
  make(parameters: P, making: Making): M;
  /** What is wrong with the content, in words; empty when it may be printed. */
  verify(made: M, parameters: P): string[];
  /** What was looked at, for the person who prints. */
  checked(made: M, parameters: P): string;
  draw(made: M, parameters: P): Drawn;
  /** An order of its cards in which the first turns show each rule once; null where all play alike. Asked for by the parameter `teach`. */
  teaches?(made: M, parameters: P, rng: Rng): Teaching | null;
  /** Answers by label, where somebody would look them up. */
  key?(made: M, parameters: P): readonly string[];
  /** What can hurt where it is made or used, beside blades where pieces are cut. */
  readonly hazards?: readonly Hazard[];
}

/** Usual sizes of cards in millimetres; nine usual and sixteen small ones fit either paper. */
export const cardSizes = {
  usual: { w: 60, h: 84 },
  small: { w: 44, h: 60 },
  square: { w: 58, h: 58 },
  wide: { w: 90, h: 50 },
} as const;

/** Lets a folder say what its parameters and its content are once. */
export const sheetKind = <P extends object, M>(kind: SheetKind<P, M>): SheetKind<P, M> => kind;

/** No numeral that is read across a table is lower than this, no text for under-eights smaller (common practice, no source). */
export const leastNumeralMm = 12;
export const leastYoungText = 14;
