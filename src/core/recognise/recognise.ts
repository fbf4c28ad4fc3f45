import { type Cues, type Found, findPhrase, type Ideas, type Phrase, type ReadyPhrase, readyPhrase } from './cue';
import { groupBy } from '../recommend/recommend';
import { PhraseIndex } from './phraseIndex';
import { readyJoined, type Token, tokensOf } from './tokens';

/** A row of the shelf as its owner wrote it; the title counts as one field, each other text as one. */
export interface RowWords {
  readonly title: string;
  /** How it is played, notes, whatever else was written. */
  readonly notes: readonly string[];
  /** What it is played with, in words; it may speak for a family, never alone. */
  readonly things: string;
}

/** A family with the words it is known by. */
export interface KnownFamily {
  readonly id: string;
  readonly cues: Cues;
}

/** Things no family plays. */
export interface OtherThings {
  readonly names: readonly Phrase[];
  readonly signs: readonly (readonly [Phrase, number])[];
}

/** The words a recogniser reads by (data/recognise). */
export interface RecogniserWords {
  readonly ideas: Ideas;
  readonly joined: Readonly<Record<string, readonly string[]>>;
  readonly others: OtherThings;
}

/** Which words of a row decided: field 0 is the title, then the notes in order, then the things. */
export interface WordsThatDecided {
  readonly field: number;
  readonly from: number;
  readonly to: number;
}

export interface FamilyGuess {
  readonly mechanism: string;
  /** How sure, 0 … 1, against all other families and against none. */
  readonly chance: number;
  readonly decided: readonly WordsThatDecided[];
}

export interface Recognition {
  /** The likeliest family first, at most four, each with some sign in the row. */
  readonly guesses: readonly FamilyGuess[];
  /** That no family fits. */
  readonly none: number;
}

/** From this chance on a guess is called sure. */
export const sureFrom = 0.8;
/** What speaks for no family, in log odds, before a word is read. */
const noneBefore = 2.5;
/** A name in the title, one word of a longer title that may be any word, and one elsewhere. */
const nameInTitle = 4;
const oneWordInTitle = 3.2;
const nameElsewhere = 1.8;
/** Words of a title that is no more than a name. */
const shortTitle = 3;
/** Signs overlap, so each further one counts for less. */
const eachFurther = 0.7;
/** Signs found only with the help of the list of things count less. */
const withThings = 0.6;
const guessesKept = 4;

interface Entry {
  /** Index of its family; -1 speaks for none of them. */
  readonly family: number;
  readonly phrase: ReadyPhrase;
  /** Null for a name. */
  readonly weight: number | null;
}

interface Score {
  readonly score: number;
  readonly found: readonly Found[];
}

/**
 * Makes a recogniser of the families' own words. It adds up signs as log odds and sets them against one another and
 * against "none of them"; a naive Bayes scorer whose weights were set by hand (Mosteller and Wallace, 1964, for the form).
 */
export function recogniser(mechanisms: readonly KnownFamily[], words: RecogniserWords): (row: RowWords) => Recognition {
  const { ideas, others } = words;
  const joined = readyJoined(words.joined);
  const entriesOf = (cues: Pick<Cues, 'names' | 'signs'>, family: number): Entry[] => [
    ...cues.names.map((n) => ({ family, phrase: readyPhrase(n, ideas), weight: null })),
    ...cues.signs.map(([phrase, weight]) => ({ family, phrase: readyPhrase(phrase, ideas), weight })),
  ];
  const none = mechanisms.length;
  const index = new PhraseIndex([...mechanisms.flatMap((m, family) => entriesOf(m.cues, family)), ...entriesOf(others, none)]);
  return (row) => {
    const told = [row.title, ...row.notes].map((text) => tokensOf(text, joined));
    const all = [...told, tokensOf(row.things, joined)];
    const byFamily = groupBy(index.candidates(all), (e) => e.family);
    const scores = [...byFamily].map(([family, entries]) => ({ family, ...scoreOf(entries, told, all) }));
    const against = noneBefore + Math.max(0, scores.find((s) => s.family === none)?.score ?? 0);
    const known = scores.filter((s) => s.family !== none && s.found.length > 0);
    const top = Math.max(against, ...known.map((s) => s.score));
    const sum = known.reduce((so, f) => so + Math.exp(f.score - top), Math.exp(against - top));
    const guesses = known
      .filter((f) => f.score > 0)
      .sort((x, y) => y.score - x.score || x.family - y.family)
      .slice(0, guessesKept)
      .map((f) => ({ mechanism: mechanisms[f.family]!.id, chance: Math.exp(f.score - top) / sum, decided: wordsOf(f.found, all) }));
    return { guesses, none: Math.exp(against - top) / sum };
  };
}

function scoreOf(entries: readonly Entry[], told: readonly (readonly Token[])[], all: readonly (readonly Token[])[]): Score {
  const found: Found[] = [];
  const weights: number[] = [];
  let against = 0;
  let name: { at: Found; weight: number } | null = null;
  for (const { phrase, weight } of entries) {
    if (weight === null) {
      const named = nameIn(phrase, told);
      if (named && (!name || named.weight > name.weight || (named.weight === name.weight && named.at.at.length > name.at.at.length)))
        name = named;
      continue;
    }
    const inWords = findPhrase(phrase, told);
    const at = inWords ?? findPhrase(phrase, all);
    if (!at) continue;
    const worth = inWords ? weight : weight * withThings;
    if (worth < 0) against += worth;
    else {
      found.push(at);
      weights.push(worth);
    }
  }
  if (name) {
    found.push(name.at);
    weights.push(name.weight);
  }
  const score = weights.sort((x, y) => y - x).reduce((sum, w, i) => sum + w * eachFurther ** i, against);
  return { score, found };
}

/** A family's name in the title or, for less, elsewhere. */
function nameIn(phrase: ReadyPhrase, told: readonly (readonly Token[])[]): { at: Found; weight: number } | null {
  const inTitle = findPhrase(phrase, told.slice(0, 1));
  if (inTitle) {
    const common = inTitle.at.length === 1 && told[0]!.length > shortTitle;
    return { at: inTitle, weight: common ? oneWordInTitle : nameInTitle };
  }
  const elsewhere = findPhrase(phrase, told);
  return elsewhere ? { at: elsewhere, weight: nameElsewhere } : null;
}

/** Each word once, in reading order. */
function wordsOf(found: readonly Found[], all: readonly (readonly Token[])[]): WordsThatDecided[] {
  const words = new Map<string, WordsThatDecided>();
  for (const { at } of found)
    for (const { field, token } of at) {
      const { from, to } = all[field]![token]!;
      words.set(`${field}.${from}`, { field, from, to });
    }
  return [...words.values()].sort((x, y) => x.field - y.field || x.from - y.from);
}
