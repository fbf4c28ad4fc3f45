import type { Skill } from '../skills/skill';
import type { SkillGraph } from '../skills/skillGraph';
import { skillFinder } from '../content/skillFinder';
import { findPhrase, type Found, readyPhrase, type ReadyPhrase } from './cue';
import { PhraseIndex } from './phraseIndex';
import type { RecogniserWords, RowWords, WordsThatDecided } from './recognise';
import { readyJoined, type Token, tokensOf } from './tokens';

export interface SkillInWords {
  readonly skill: string;
  /** The words that named it; none for one found by a code. */
  readonly decided: readonly WordsThatDecided[];
}

/** Years that a skill may be wanted before the youngest and after the oldest, and still be meant. */
const before = 0.7;
const after = 1;
const mostSkills = 3;
/** A code as it is written in a cell, with its set or without. */
const codes = /\b(?:CCSS\.)?(?:MATH\.)?(?:CONTENT\.)?(?:K|\d{1,2})\.?[A-Z]{1,3}\.(?:[A-Z]\.)?\d{1,2}[a-z]?\b/gi;

/**
 * The skills that a row names, by code or in words people use, longest words first, at most three. Where ages are told, a
 * skill that children of that age have long or will not meet for years is not meant ("add" at ten years is not adding
 * within five).
 */
export function skillReader(
  graph: SkillGraph,
  said: Readonly<Record<string, readonly string[]>>,
  words: Pick<RecogniserWords, 'ideas' | 'joined'>,
): (row: RowWords, ages: readonly [number, number] | null) => SkillInWords[] {
  const joined = readyJoined(words.joined);
  const byCode = skillFinder(graph);
  const phrases = new PhraseIndex(
    graph.skills.flatMap((skill) => (said[skill.id] ?? []).map((phrase) => ({ skill, phrase: readyPhrase(phrase, words.ideas) }))),
  );
  const byId = new Map(graph.skills.map((s) => [s.id, s]));
  return (row, ages) => {
    const fields = [row.title, ...row.notes].map((text) => tokensOf(text, joined));
    const coded = [row.title, ...row.notes]
      .flatMap((text) => [...text.matchAll(codes)].flatMap(([code]) => byCode(code)))
      .flatMap((id) => byId.get(id) ?? [])
      .filter((skill) => fitsAges(skill, ages))
      .map((skill) => ({ skill: skill.id, decided: [] }));
    const named = longestFirst(phrases.candidates(fields), fields, ages);
    const seen = new Set<string>();
    return [...named, ...coded].filter(({ skill }) => !seen.has(skill) && seen.add(skill)).slice(0, mostSkills);
  };
}

const fitsAges = (skill: Skill, ages: readonly [number, number] | null): boolean =>
  !ages || (skill.wantedAt.us >= ages[0] - before && skill.wantedAt.us <= ages[1] + after);

/** What each phrase names; words that a longer phrase took are not read again. */
function longestFirst(
  phrases: readonly { readonly skill: Skill; readonly phrase: ReadyPhrase }[],
  fields: readonly (readonly Token[])[],
  ages: readonly [number, number] | null,
): SkillInWords[] {
  const found = phrases
    .flatMap(({ skill, phrase }) => {
      const at = findPhrase(phrase, fields);
      return at ? [{ skill, at }] : [];
    })
    .sort((x, y) => y.at.at.length - x.at.at.length || middling(x.skill, ages) - middling(y.skill, ages));
  const taken = new Set<string>();
  return found.flatMap(({ skill, at }) => {
    const places = at.at.map((p) => `${p.field}.${p.token}`);
    if (places.some((p) => taken.has(p)) || !fitsAges(skill, ages)) return [];
    places.forEach((p) => taken.add(p));
    return [{ skill: skill.id, decided: spans(at, fields) }];
  });
}

/** How far a skill lies from the middle of the ages; the same words name several, the likeliest is meant. */
const middling = (skill: Skill, ages: readonly [number, number] | null): number =>
  ages ? Math.abs(skill.wantedAt.us - (ages[0] + ages[1]) / 2) : 0;

const spans = (found: Found, fields: readonly (readonly Token[])[]): WordsThatDecided[] =>
  found.at.map(({ field, token }) => ({ field, from: fields[field]![token]!.from, to: fields[field]![token]!.to }));
