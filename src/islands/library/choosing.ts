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

/** Grade n is for children of n + 5 to n + 6 years (common practice in the United States, from memory). */
const inGrade = (v: LibraryVersion, grade: number): boolean => v.ages[0] <= grade + 6 && v.ages[1] >= grade + 5;

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

/** The version of a game that suits best what is looked for; null where none does. */
export function chosenVersion(
  g: LibraryGameWire,
  a: Asking,
  words: readonly string[],
  strandOf: (skill: string) => string,
): LibraryVersion | null {
  if (a.sort !== 'any' && g.sort !== a.sort) return null;
  if (a.mood !== 'any' && g.mood !== 'between' && g.mood !== a.mood) return null;
  const wanted = wordsOf(a.text);
  if (!wanted.every((w) => words.some((x) => x.startsWith(w)))) return null;
  const fits = g.variants.filter(
    (v) =>
      (a.grades.length === 0 || a.grades.some((grade) => inGrade(v, grade))) &&
      (a.players === 0 || (v.players.min <= a.players && v.players.max >= a.players)) &&
      (a.minutes === 0 || (v.profile ? v.profile.minutes[2] : v.minutes) <= a.minutes) &&
      (!a.here || v.missing.length === 0) &&
      (!a.first || v.first) &&
      (a.strand === '' || topDoses(v, 3).some(([id]) => strandOf(id) === a.strand)),
  );
  if (fits.length === 0) return null;
  // Whose own name or steps have the words looked for stands before the others.
  const own = (v: LibraryVersion): number =>
    wanted.length > 0 && wanted.every((w) => wordsOf(v.title).some((x) => x.startsWith(w))) ? 1 : 0;
  return [...fits].sort((x, y) => own(y) - own(x))[0]!;
}

/** The steps met most. */
export const topDoses = (v: LibraryVersion, n: number): [string, number][] =>
  [...(v.profile?.doses ?? [])]
    .filter(([, dose]) => dose >= leastDose)
    .sort((x, y) => y[1] - x[1])
    .slice(0, n)
    .map(([id, dose]) => [id, dose]);
