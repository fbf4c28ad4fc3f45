import type { Operation } from '../../core/items/item';
import type { LibraryGameWire } from '../../contract/wire/library';
import { wordsOf } from '../shared/search';

export type LibraryVersion = LibraryGameWire['variants'][number];

/** What somebody looks for. */
export interface Asking {
  readonly text: string;
  /** Grades by number, K is 0; none means any. */
  readonly grades: readonly number[];
  readonly mood: 'any' | 'calm' | 'lively';
  readonly sort: 'any' | 'game' | 'practice';
  readonly strand: string;
  /** 0 means any. */
  readonly players: number;
  readonly minutes: number;
  readonly here: boolean;
  readonly first: boolean;
}
export const everything: Asking = {
  text: '',
  grades: [],
  mood: 'any',
  sort: 'game',
  strand: '',
  players: 0,
  minutes: 0,
  here: false,
  first: false,
};

export const grades = ['K', '1', '2', '3', '4', '5', '6'] as const;
export const playerChoices = [1, 2, 3, 4, 5, 6] as const;
export const minuteChoices = [8, 10, 12, 15] as const;

/** What a choice asks of the steps a version is practice of. */
export interface StepPlaces {
  readonly strand: (skill: string) => string;
  readonly grades: (skill: string) => readonly number[];
}

/** Chances in ten minutes at steps of these grades, counting steps by which a version would be found. */
const inGrades = (v: LibraryVersion, wanted: readonly number[], places: StepPlaces): number =>
  topDoses(v, Infinity).reduce((sum, [id, dose]) => sum + (places.grades(id).some((g) => wanted.includes(g)) ? dose : 0), 0);

/** Chances in ten minutes from which a version is found by a step. */
const leastDose = 1;

/** Words a game can be found by. */
export const searched = (g: LibraryGameWire, skill: (id: string) => string, op: (op: Operation) => string): string[] =>
  wordsOf(
    [
      g.title,
      g.bin,
      g.plays,
      g.story,
      ...g.variants.flatMap((v) => [
        v.title,
        ...(v.profile?.doses.filter(([, dose]) => dose >= leastDose).map(([id]) => skill(id)) ?? []),
        ...(v.profile?.mix.map(([o]) => op(o)) ?? []),
      ]),
    ].join(' '),
  );

/** The versions of a game that suit what is looked for, the best of them first. */
export function fittingVersions(g: LibraryGameWire, a: Asking, words: readonly string[], places: StepPlaces): LibraryVersion[] {
  if (a.sort !== 'any' && g.sort !== a.sort) return [];
  if (a.mood !== 'any' && g.mood !== 'between' && g.mood !== a.mood) return [];
  const wanted = wordsOf(a.text);
  if (!wanted.every((w) => words.some((x) => x.startsWith(w)))) return [];
  const fits = g.variants.filter(
    (v) =>
      (a.grades.length === 0 || inGrades(v, a.grades, places) > 0) &&
      (a.players === 0 || (v.players.min <= a.players && v.players.max >= a.players)) &&
      (a.minutes === 0 || (v.profile ? v.profile.minutes[2] : v.minutes) <= a.minutes) &&
      (!a.here || v.missing.length === 0) &&
      (!a.first || v.first) &&
      (a.strand === '' || topDoses(v, 3).some(([id]) => places.strand(id) === a.strand)),
  );
  // Whose own name has the words looked for stands before the others, then what practises most of the grades.
  const own = (v: LibraryVersion): number =>
    wanted.length > 0 && wanted.every((w) => wordsOf(v.title).some((x) => x.startsWith(w))) ? 1 : 0;
  return fits.sort((x, y) => own(y) - own(x) || inGrades(y, a.grades, places) - inGrades(x, a.grades, places));
}

/** The steps met most. */
export const topDoses = (v: LibraryVersion, n: number): [string, number][] =>
  [...(v.profile?.doses ?? [])]
    .filter(([, dose]) => dose >= leastDose)
    .sort((x, y) => y[1] - x[1])
    .slice(0, n)
    .map(([id, dose]) => [id, dose]);
