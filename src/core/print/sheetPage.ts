import type { Country } from '../play/country';
import type { Box } from './box';
import type { Ink } from './inks';
import type { Paper } from './paper';
import type { RangeMark } from './rangeMarks';
import type { Form } from './sheetKind';

export const duplexes = ['none', 'long', 'short'] as const;
export type Duplex = (typeof duplexes)[number];

export interface SheetRequest {
  readonly parameters: object;
  readonly paper: Paper;
  readonly seed: number;
  readonly ink: Ink;
  readonly duplex: Duplex;
  readonly copies: number;
  readonly form: Form;
  readonly mark: RangeMark;
  /** Millimetres between cards; 0 lets one cut part two of them. */
  readonly gutter: number;
  /** Whose set it is, in small letters at the foot. */
  readonly label: string;
  /** Numbers of the pieces to print, from 1; all of them where it is left out. */
  readonly only?: readonly number[];
  readonly country: Country;
}

export interface SheetPage {
  readonly width: number;
  readonly height: number;
  readonly side: 'front' | 'back';
  readonly boxes: readonly Box[];
}
