/**
 * A simple drawing, told as data, so that a version shows a moment of itself: the same families of
 * shapes serve the library, the three picture steps and paper. Numbers in it are the version's own.
 */
export type Picture =
  /** Dice with what shows on top; `joined` stands between them, `makes` after an equals sign. */
  | { readonly draw: 'dice'; readonly faces: readonly (number | string)[]; readonly joined?: string; readonly makes?: string }
  /** Cards in a row; null lies face down. `rows` breaks them into rows, `lit` are those just turned or chosen. */
  | {
      readonly draw: 'cards';
      readonly values: readonly (number | string | null)[];
      readonly rows?: number;
      readonly lit?: readonly number[];
      readonly joined?: string;
      readonly makes?: string;
    }
  /** A grid of cells with words in them; `lit` are just filled, `done` were filled before. */
  | {
      readonly draw: 'grid';
      readonly rows: number;
      readonly columns: number;
      readonly cells?: readonly (number | string)[];
      readonly lit?: readonly number[];
      readonly done?: readonly number[];
      /** Written beside each row, or under each column. */
      readonly rowNames?: readonly (number | string)[];
      readonly columnNames?: readonly (number | string)[];
    }
  /** A track of spaces with pegs on it. */
  | {
      readonly draw: 'track';
      readonly from: number;
      readonly to: number;
      readonly pegs: readonly number[];
      readonly jump?: readonly [number, number];
    }
  /** A number line with marks on it; what is shaded is still possible, or is the part that is meant. */
  | {
      readonly draw: 'line';
      readonly low: number | string;
      readonly high: number | string;
      /** 0 … 1 along the line, with what is written there. */
      readonly marks: readonly (readonly [number, number | string])[];
      readonly shaded?: readonly [number, number];
    }
  /** Tiles from one upward, some of them shut. */
  | { readonly draw: 'tiles'; readonly count: number; readonly shut: readonly number[]; readonly lit?: readonly number[] }
  /** Columns of boxes, filled from below. */
  | { readonly draw: 'columns'; readonly first: number; readonly heights: readonly number[]; readonly full: number; readonly lit?: number }
  /** A beam with numbers hung on both sides. */
  | {
      readonly draw: 'beam';
      readonly left: readonly (number | string)[];
      readonly right: readonly (number | string)[];
      readonly tip: -1 | 0 | 1;
    }
  /** Heaps of small things; two sorts may lie in one. */
  | {
      readonly draw: 'things';
      readonly heaps: readonly (readonly [number, number?])[];
      readonly names?: readonly (number | string)[];
      readonly shape?: 'disc' | 'cube' | 'rod' | 'stick';
    }
  | { readonly draw: 'coins'; readonly values: readonly number[]; readonly makes?: string }
  | { readonly draw: 'clock'; readonly minutes: readonly number[] }
  /** A wheel: one number in the middle, others round its rim. */
  | { readonly draw: 'wheel'; readonly middle: number | string; readonly rim: readonly number[]; readonly lit?: number }
  /** A polygon or several on squared paper; corners in squares. */
  | {
      readonly draw: 'shape';
      readonly columns: number;
      readonly rows: number;
      readonly outlines: readonly (readonly (readonly [number, number])[])[];
      readonly mirror?: readonly [readonly [number, number], readonly [number, number]];
      readonly dots?: readonly (readonly [number, number, string?])[];
      readonly axes?: boolean;
    }
  /** Parts of a whole, one bar each: so many of so many. */
  | { readonly draw: 'bars'; readonly bars: readonly (readonly [part: number, of: number, name?: string])[] }
  /** What somebody says. */
  | { readonly draw: 'say'; readonly words: string };

/** One step for a child who cannot read yet: a drawing, and the words a helper says to it. */
export interface PictureStep {
  readonly picture: Picture;
  readonly say: string;
}
