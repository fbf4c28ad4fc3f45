import type { PrintHow } from '../shared/printHow';
import { createRng, shuffle } from '../../core/shared/rng';
import type { Body } from '../../contract/wire/route';
import type { printWire } from '../../contract/wire/print';
import type { Answer } from '../../contract/wire/route';

export type SheetAsked = Body<(typeof printWire)['POST /sheets/{id}/layout']>;
export type SheetLaid = Answer<(typeof printWire)['POST /sheets/{id}/layout']>;
export type SheetKindWire = Answer<(typeof printWire)['GET /sheets']>['items'][number];
export type NeededWire = Answer<(typeof printWire)['GET /variants/{id}/sheets']>['items'][number];
export type MadeWire = Answer<(typeof printWire)['GET /made']>['items'][number];

/** A set that waits to be printed. */
export interface QueuedSet {
  readonly id: number;
  readonly sheet: string;
  readonly title: string;
  readonly asked: SheetAsked;
  readonly variant: string | null;
  readonly sheets: number;
  readonly cuts: number;
  readonly minutes: number;
}

/** Whether two are the same sheets, whichever was put on the list first. */
export const sameSet = (x: QueuedSet, y: QueuedSet): boolean =>
  x.sheet === y.sheet && JSON.stringify([x.asked, x.variant]) === JSON.stringify([y.asked, y.variant]);

/** The body of a request, without what is as usual. */
export const askedOf = (how: PrintHow, more: SheetAsked): SheetAsked => ({
  ink: how.ink,
  duplex: how.duplex,
  form: how.form,
  gutter: how.gutter,
  ...(how.paper ? { paper: how.paper } : {}),
  ...more,
});

export const markWords = {
  none: 'no mark',
  leaf: 'leaf',
  tile: 'tile',
  kite: 'kite',
  lamp: 'lamp',
  arrow: 'arrow',
  crossing: 'crossing',
} as const;
export type MarkId = keyof typeof markWords;

/** The set that is open on the desk. */
export interface OpenSet {
  readonly sheet: string;
  readonly parameters: Readonly<Record<string, unknown>>;
  readonly seed: number;
  readonly copies: number;
  readonly mark: MarkId;
  readonly label: string;
  readonly variant: string | null;
  /** The pieces that are missing, where only these are printed; null for the whole set. */
  readonly only: readonly number[] | null;
}
export const freshSet = (sheet: string): OpenSet => ({
  sheet,
  parameters: {},
  seed: 1,
  copies: 1,
  mark: 'none',
  label: '',
  variant: null,
  only: null,
});

/**
 * Marks for so many sets of one game: each its own as long as there are enough, in an order that is other for every game, so
 * that no shape comes to mean higher.
 */
export function marksFor(game: string, count: number): MarkId[] {
  const rng = createRng([...game].reduce((n, c) => (n * 31 + c.codePointAt(0)!) >>> 0, 7));
  const marks = (Object.keys(markWords) as MarkId[]).filter((m) => m !== 'none');
  shuffle(rng, marks, marks.length);
  return Array.from({ length: count }, (_, i) => marks[i % marks.length]!);
}
