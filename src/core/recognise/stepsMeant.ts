import { skillFinder } from '../content/skillFinder';
import type { SkillGraph } from '../skills/skillGraph';
import { stemOf, tokensOf } from './tokens';

const mostSteps = 6;
/** Words that carry nothing of what is looked for. */
const small: ReadonlySet<string> = new Set(
  ['a', 'an', 'the', 'of', 'to', 'for', 'which', 'game', 'with', 'in', 'and', 'on', 'my', 'that', 'practic', 'practis'].map(stemOf),
);

/**
 * The steps that words of a search mean: by title, id or code; by what people call them; by all words in a title. The
 * likeliest first. // "make ten", "pairs of ten", "bonds to 10" and "K.OA.A.4" all begin with pairs-of-10
 * @param named the steps that the words name as a row of a shelf would
 */
export function stepsMeant(graph: SkillGraph, text: string, named: readonly string[]): string[] {
  // An id of ours is no word of hers: “make-ten” is typed for make ten.
  const exact = graph.indexOf.has(text.trim()) ? [] : skillFinder(graph)(text);
  const words = tokensOf(text)
    .map((t) => t.stem)
    .filter((w) => !small.has(w));
  const titled =
    words.length === 0
      ? []
      : graph.skills
          .map((s) => ({ id: s.id, stems: tokensOf(s.title).map((t) => t.stem) }))
          .filter(({ stems }) => words.every((w) => stems.includes(w)))
          .sort((x, y) => x.stems.length - y.stems.length)
          .map((s) => s.id);
  return [...new Set([...exact, ...named, ...titled])].slice(0, mostSteps);
}
