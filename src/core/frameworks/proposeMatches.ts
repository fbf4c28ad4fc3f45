import type { SkillGraph } from '../skills/skillGraph';

/** A skill that an expectation may stand for, and why it is thought so. */
export interface Proposal {
  readonly skill: string;
  /** 0 … 1; one when the code itself names it. */
  readonly score: number;
  readonly because: 'code' | 'words';
}

/** What proposals are made from: the words of each skill, with the paraphrases of its codes. */
export interface MatchIndex {
  readonly words: readonly ReadonlyMap<string, number>[];
  /** Natural logarithm of how rare a word is among the skills. */
  readonly rarity: ReadonlyMap<string, number>;
  readonly byCode: ReadonlyMap<string, readonly string[]>;
}

const stopWords = new Set([
  'a',
  'an',
  'and',
  'the',
  'of',
  'to',
  'in',
  'on',
  'by',
  'for',
  'with',
  'or',
  'is',
  'are',
  'be',
  'as',
  'from',
  'that',
  'this',
  'which',
  'what',
  'how',
  'use',
  'using',
  'know',
  'number',
  'numbers',
  'solve',
  'problem',
  'problems',
  'understand',
  'including',
  'one',
  'two',
  'together',
  'same',
]);
const synonyms: Readonly<Record<string, string>> = {
  addition: 'add',
  adding: 'add',
  subtraction: 'subtract',
  subtracting: 'subtract',
  multiplication: 'multiply',
  multiplying: 'multiply',
  division: 'divide',
  dividing: 'divide',
  fractional: 'fraction',
  fractions: 'fraction',
  decimals: 'decimal',
  tens: 'ten',
  ones: 'one',
  hundreds: 'hundred',
  halves: 'half',
  quarters: 'quarter',
  multiples: 'multiple',
  factors: 'factor',
  shapes: 'shape',
  angles: 'angle',
  coins: 'money',
  symmetrical: 'symmetry',
  mirror: 'symmetry',
  patterns: 'pattern',
  partner: 'pair',
  pairs: 'pair',
  counting: 'count',
  counts: 'count',
  doubles: 'double',
  stories: 'story',
  word: 'story',
};

export function wordsOf(text: string): string[] {
  return text
    .toLowerCase()
    .split(/[^a-z0-9]+/)
    .filter((w) => w.length > 1 && !stopWords.has(w))
    .map((w) => synonyms[w] ?? w.replace(/(ing|s)$/, ''));
}

/** `3.OA.7`, `3.OA.C.7` and `CCSS.MATH.CONTENT.3.OA.C.7` are one code. */
export function sameCode(code: string): string {
  const short = code
    .toUpperCase()
    .replace(/^.*(?:CONTENT|PRACTICE)\./, '')
    .replace(/^CCSS\.(?:MATH\.)?/, '');
  const parts = short.split(/[.\s]+/).filter(Boolean);
  return parts.length >= 4 && /^[A-Z]$/.test(parts[2]!) ? [...parts.slice(0, 2), ...parts.slice(3)].join('.') : parts.join('.');
}

export function matchIndex(graph: SkillGraph, paraphrases: ReadonlyMap<string, string>): MatchIndex {
  const words = graph.skills.map((s) =>
    count([s.title, s.title, s.looksLike, ...s.codes.map((c) => paraphrases.get(c) ?? '')].flatMap(wordsOf)),
  );
  const holders = new Map<string, number>();
  for (const bag of words) for (const w of bag.keys()) holders.set(w, (holders.get(w) ?? 0) + 1);
  const rarity = new Map([...holders].map(([w, n]) => [w, Math.log(graph.skills.length / n)]));
  const byCode = new Map<string, string[]>();
  for (const s of graph.skills) for (const c of s.codes) byCode.set(sameCode(c), [...(byCode.get(sameCode(c)) ?? []), s.id]);
  return { words, rarity, byCode };
}

function count(list: readonly string[]): Map<string, number> {
  const bag = new Map<string, number>();
  for (const w of list) bag.set(w, (bag.get(w) ?? 0) + 1);
  return bag;
}

const leastScore = 0.18;

/** Skills an expectation may stand for, best first: by its code, by a named match elsewhere, else by rare words shared (cosine of tf–idf vectors, G. Salton 1975). */
export function proposeMatches(
  graph: SkillGraph,
  index: MatchIndex,
  code: string,
  statement: string,
  external: readonly string[],
  most = 3,
): Proposal[] {
  const coded = [code, ...external].flatMap((c) => index.byCode.get(sameCode(c)) ?? []);
  if (coded.length > 0) return [...new Set(coded)].map((skill): Proposal => ({ skill, score: 1, because: 'code' }));
  const bag = count(wordsOf(statement));
  const weight = (w: string, n: number): number => n * (index.rarity.get(w) ?? 0);
  const length = (b: ReadonlyMap<string, number>): number => Math.sqrt([...b].reduce((sum, [w, n]) => sum + weight(w, n) ** 2, 0));
  const own = length(bag);
  if (own === 0) return [];
  return graph.skills
    .map((s, k): Proposal => {
      const theirs = index.words[k]!;
      let dot = 0;
      for (const [w, n] of bag) if (theirs.has(w)) dot += weight(w, n) * weight(w, theirs.get(w)!);
      return { skill: s.id, score: dot / (own * (length(theirs) || 1)), because: 'words' };
    })
    .filter((p) => p.score >= leastScore)
    .sort((x, y) => y.score - x.score)
    .slice(0, most);
}
