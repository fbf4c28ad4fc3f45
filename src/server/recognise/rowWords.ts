import { cautiousDoses, type CautiousDose, familySpeaksFrom } from '../../core/recognise/cautiousDoses';
import { numbersIn, recognise, skillsIn, twinOf } from '../../contract/recognise';
import { shippedProfile } from '../../contract/shippedLibrary';
import type { RowWords } from '../../core/recognise/recognise';
import type { SkillGraph } from '../../core/skills/skillGraph';

/** The name of a version that has none of its own. */
export const asItComes = 'as it comes';
/** Ages that stand where nobody told any. */
const untold: readonly [number, number] = [4, 12];

export interface WrittenRow {
  readonly game: string;
  readonly variant: string;
  readonly notes: string;
  readonly rules: readonly string[];
  /** Things by their titles. */
  readonly things: readonly string[];
}

/** A row as it is read: its title, its notes line by line, its things. */
export function rowWords(row: WrittenRow): RowWords {
  const title = row.variant === asItComes ? row.game : `${row.game}, ${row.variant}`;
  const notes = [...row.rules, ...row.notes.split('\n')].map((n) => n.trim()).filter(Boolean);
  return { title, notes, things: row.things.join(', ') };
}

export const toldAges = (ages: readonly [number, number]): readonly [number, number] | null =>
  ages[0] === untold[0] && ages[1] === untold[1] ? null : ages;

/** Ages further apart than this say nothing about a step. */
const widestAges = 4;
const gradeStrands: ReadonlySet<string> = new Set(['counting', 'add', 'multiply']);
const gradeSteps = 2;

const stepsByAges = new WeakMap<SkillGraph, Map<string, string[]>>();

/** Steps in the middle of the ages, for a row that tells nothing else; looked up once for each pair of ages. */
function stepsOfAges(graph: SkillGraph, ages: readonly [number, number] | null): string[] {
  let known = stepsByAges.get(graph);
  if (!known) stepsByAges.set(graph, (known = new Map()));
  const key = ages?.join('-') ?? '';
  let steps = known.get(key);
  if (!steps) known.set(key, (steps = findSteps(graph, ages)));
  return steps;
}

function findSteps(graph: SkillGraph, ages: readonly [number, number] | null): string[] {
  if (!ages || ages[1] - ages[0] > widestAges) return [];
  const middle = (ages[0] + ages[1]) / 2;
  return graph.skills
    .filter((s) => gradeStrands.has(s.strand))
    .map((s) => ({ id: s.id, apart: Math.abs(s.wantedAt.us - middle) }))
    .sort((x, y) => x.apart - y.apart)
    .slice(0, gradeSteps)
    .map((s) => s.id);
}

/** What a row may be planned with before anybody says how it is played. */
export function dosesInWords(graph: SkillGraph, row: RowWords, ages: readonly [number, number] | null): CautiousDose[] {
  const named = skillsIn(graph, row, ages).map((s) => s.skill);
  const likely = named.length > 0 ? undefined : recognise(row).guesses[0];
  const twin = likely && likely.chance >= familySpeaksFrom ? twinOf(likely.mechanism, numbersIn(likely.mechanism, row), ages) : null;
  const profile = twin ? shippedProfile(twin.game, twin.version) : undefined;
  const strongest = profile ? profile.doses.filter(([skill]) => graph.indexOf.has(skill)).map(([skill, n]) => [skill, n] as const) : null;
  return cautiousDoses(named, strongest, stepsOfAges(graph, ages));
}
