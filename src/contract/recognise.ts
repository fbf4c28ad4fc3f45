import ideas from '../../data/recognise/ideas.json';
import joined from '../../data/recognise/joined.json';
import others from '../../data/recognise/others.json';
import skillsSaid from '../../data/recognise/skills.json';
import { mechanismById, mechanisms } from '../core/mechanisms/registry';
import { libraryTwin, type ShippedVersion, type Twin } from '../core/recognise/libraryTwin';
import { numbersReader } from '../core/recognise/numbersRead';
import { type KnownFamily, type Recognition, recogniser, type RecogniserWords, type RowWords } from '../core/recognise/recognise';
import { skillReader, type SkillInWords } from '../core/recognise/skillsInWords';
import type { SkillGraph } from '../core/skills/skillGraph';
import { shippedLibrary } from './shippedLibrary';

/** The shipped words made ready, each once, when they are first asked for. */

const cues = new Map(await Promise.all(mechanisms.map(async (m) => [m.id, await m.cues()] as const)));

export const recogniserWords: RecogniserWords = {
  ideas,
  joined,
  others: others as unknown as RecogniserWords['others'],
};
/** What people call each skill. */
export const wordsForSkills: Readonly<Record<string, readonly string[]>> = skillsSaid.said;

let ready: ((row: RowWords) => Recognition) | null = null;

/** Which family a row of words is most likely of. */
export const recognise = (row: RowWords): Recognition => (ready ??= recogniser(knownFamilies, recogniserWords))(row);

const readers = new Map<string, (row: RowWords) => Readonly<Record<string, unknown>>>();

/** Parameters of a family as far as a row tells them. */
export function numbersIn(mechanism: string, row: RowWords): Readonly<Record<string, unknown>> {
  let reader = readers.get(mechanism);
  if (!reader) readers.set(mechanism, (reader = numbersReader(mechanismById(mechanism)!, cues.get(mechanism)!, recogniserWords)));
  return reader(row);
}

const skillReaders = new WeakMap<SkillGraph, ReturnType<typeof skillReader>>();

/** The skills that a row names. */
export function skillsIn(graph: SkillGraph, row: RowWords, ages: readonly [number, number] | null): SkillInWords[] {
  let reader = skillReaders.get(graph);
  if (!reader) skillReaders.set(graph, (reader = skillReader(graph, wordsForSkills, recogniserWords)));
  return reader(row, ages);
}

const shipped: readonly ShippedVersion[] = shippedLibrary.flatMap((g) =>
  g.variants.map((v) => ({ game: g.id, version: v.id, mechanism: g.mechanism, parameters: v.parameters, ages: v.ages })),
);

/** The shipped version nearest to what a row tells. */
export const twinOf = (mechanism: string, told: Readonly<Record<string, unknown>>, ages: readonly [number, number] | null): Twin | null =>
  libraryTwin(mechanism, told, mechanismById(mechanism)!.defaults as Readonly<Record<string, unknown>>, ages, shipped);

/** Families with the words they are known by. */
export const knownFamilies: readonly KnownFamily[] = [...cues].map(([id, c]) => ({ id, cues: c }));
