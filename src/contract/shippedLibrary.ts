import type { ProfileSummary } from '../core/simulate/profileSummary';
import addAndSubtract from '../../data/library/1-add-and-subtract.json';
import bonds from '../../data/library/2-bonds-and-parts.json';
import counting from '../../data/library/3-counting-and-seeing.json';
import fractions from '../../data/library/4-fractions-and-decimals.json';
import groups from '../../data/library/5-groups-and-times.json';
import thinking from '../../data/library/6-thinking-it-out.json';
import placeValue from '../../data/library/7-place-value.json';
import shapes from '../../data/library/8-shapes-and-patterns.json';
import measuring from '../../data/library/9-measuring-time-and-money.json';
import thirty from '../../data/library/firstThirty.json';
import profiles from '../../data/library/profiles.json';

export interface LibraryVariant {
  readonly id: string;
  readonly title: string;
  /** Where the numbers of a country make it another thing, what it is called there. */
  readonly titleIn?: Readonly<Record<string, string>>;
  readonly parameters: Readonly<Record<string, unknown>>;
  readonly ages: readonly [number, number];
  readonly players: { readonly min: number; readonly max: number };
  readonly minutes: number;
}

/** A game that ships with the app, folk or of our own making, in our own words. */
export interface LibraryGame {
  readonly id: string;
  readonly title: string;
  readonly bin: string;
  readonly mechanism: string;
  /** One line that makes a child curious; how it is played follows from each version. */
  readonly story: string;
  /** How it goes on in the room; quietly at a table where nothing is said. */
  readonly room?: 'lively' | 'floor';
  readonly variants: readonly LibraryVariant[];
}

export const shippedLibrary = [
  addAndSubtract,
  bonds,
  counting,
  fractions,
  groups,
  thinking,
  placeValue,
  shapes,
  measuring,
].flat() as unknown as readonly LibraryGame[];

/** Thirty versions to begin with: few rule sets, dice, cards and paper, each taught in three minutes. */
export const firstThirty: readonly string[] = thirty;

/** Seed and precision of the committed profiles; `npm run profiles` makes them anew. */
export const librarySeed = 7;
export const libraryPrecision = { length: 0.02, share: 0.005 } as const;

const byName = profiles as unknown as Readonly<Record<string, ProfileSummary>>;

/** The committed profile of a shipped version, as it is played in a country where one is named; undefined until it is made. */
export const shippedProfile = (game: string, variant: string, country?: string): ProfileSummary | undefined =>
  (country === undefined ? undefined : byName[`${game}/${variant}@${country}`]) ?? byName[`${game}/${variant}`];
