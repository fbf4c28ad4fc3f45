import { stemOf, type Token } from './tokens';

/**
 * Words that tell a family apart, as its owner might write them.
 *
 * A phrase is a row of words that follow each other: `roll & stop` asks for both anywhere, `turn 2` for two words side
 * by side, `turn ~ pair` leaves up to six words between, `pair|match` takes either, `#` any numeral, `@shut` one of the
 * words of an idea (data/recognise/ideas.json). Endings do not count.
 */
export type Phrase = string;

/** How a family is known from what people write about a game. */
export interface Cues {
  /** What folk call games of this family. */
  readonly names: readonly Phrase[];
  /** Phrases with what they weigh, in log odds: 1 a hint, 2 a good sign, 3 strong, 4 as good as a name; below 0 against it. */
  readonly signs: readonly (readonly [Phrase, number])[];
  /** Numbers in her words that are parameters: each # in turn gives the parameter named. */
  readonly numbers?: readonly (readonly [Phrase, ...string[]])[];
  /** Words that set a parameter. */
  readonly values?: readonly (readonly [Phrase, Readonly<Record<string, unknown>>])[];
}

export type Ideas = Readonly<Record<string, readonly string[]>>;

interface Slot {
  /** Any numeral. */
  readonly numeral: boolean;
  readonly stems: ReadonlySet<string>;
  /** Words that may stand between this one and the one before. */
  readonly gap: number;
}

/** A phrase made ready: each part must be found, each in one field. */
export interface ReadyPhrase {
  readonly parts: readonly (readonly Slot[])[];
}

/** Where a phrase was found: tokens by field, and the numerals it took. */
export interface Found {
  readonly at: readonly { readonly field: number; readonly token: number }[];
  readonly numerals: readonly number[];
}

const widest = 6;
const isNumeral = /^\d+$/;

/**
 * Makes a phrase ready.
 * @throws RangeError for an idea that is not there
 */
export function readyPhrase(phrase: Phrase, ideas: Ideas): ReadyPhrase {
  return {
    parts: phrase.split(' & ').map((part) => {
      let gap = 0;
      const slots: Slot[] = [];
      for (const word of part.trim().split(/\s+/)) {
        if (word === '~') {
          gap = widest;
          continue;
        }
        const choices = word.split('|').flatMap((choice) => {
          if (!choice.startsWith('@')) return [choice];
          const idea = ideas[choice.slice(1)];
          if (!idea) throw new RangeError(`No idea is called ${choice} (in “${phrase}”).`);
          return idea;
        });
        slots.push({ numeral: choices.includes('#'), stems: new Set(choices.map(stemOf)), gap });
        gap = 0;
      }
      return slots;
    }),
  };
}

/** Finds a phrase in the fields of a row; null where one of its parts is nowhere. */
export function findPhrase(phrase: ReadyPhrase, fields: readonly (readonly Token[])[]): Found | null {
  const at: { field: number; token: number }[] = [];
  const numerals: number[] = [];
  for (const part of phrase.parts) {
    let found: number[] | null = null;
    let field = 0;
    for (; field < fields.length && !found; field++) found = findPart(part, fields[field]!);
    if (!found) return null;
    field--;
    found.forEach((token, i) => {
      at.push({ field, token });
      if (part[i]!.numeral) numerals.push(Number(fields[field]![token]!.stem));
    });
  }
  return { at, numerals };
}

function findPart(slots: readonly Slot[], tokens: readonly Token[]): number[] | null {
  for (let start = 0; start < tokens.length; start++) {
    const found = fits(slots[0]!, tokens[start]!) ? rest(slots, 1, tokens, start) : null;
    if (found) return [start, ...found];
  }
  return null;
}

/** The nearest places of the slots from `slot` on, after the token `last`. */
function rest(slots: readonly Slot[], slot: number, tokens: readonly Token[], last: number): number[] | null {
  if (slot === slots.length) return [];
  const { gap } = slots[slot]!;
  for (let t = last + 1; t <= last + 1 + gap && t < tokens.length; t++) {
    if (!fits(slots[slot]!, tokens[t]!)) continue;
    const found = rest(slots, slot + 1, tokens, t);
    if (found) return [t, ...found];
  }
  return null;
}

const fits = (slot: Slot, token: Token): boolean => slot.stems.has(token.stem) || (slot.numeral && isNumeral.test(token.stem));
