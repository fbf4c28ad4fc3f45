import type { Mechanism } from '../mechanisms/mechanism';
import { schemaProblem } from '../play/schemaValues';
import { type Cues, findPhrase, type Found, readyPhrase } from './cue';
import type { RecogniserWords, RowWords } from './recognise';
import { readyJoined, tokensOf } from './tokens';

type Parameters = Readonly<Record<string, unknown>>;

/**
 * The family's parameters as far as a row tells them: words that set one, then numerals; what the family cannot play is
 * left out, so that the rest together with the usual values can always be played.
 */
export function numbersReader(
  mechanism: Pick<Mechanism, 'defaults' | 'check' | 'parametersSchema'>,
  cues: Cues,
  words: RecogniserWords,
): (row: RowWords) => Parameters {
  const joined = readyJoined(words.joined);
  const values = (cues.values ?? []).map(([phrase, set]) => ({ phrase: readyPhrase(phrase, words.ideas), set }));
  const numbers = (cues.numbers ?? []).map(([phrase, ...names]) => ({ phrase: readyPhrase(phrase, words.ideas), names }));
  return (row) => {
    const fields = [row.title, ...row.notes, row.things].map((text) => tokensOf(text, joined));
    const told: Parameters[] = values.filter((v) => findPhrase(v.phrase, fields)).map((v) => v.set);
    const named = new Set<string>();
    for (const { phrase, names } of numbers) {
      const found = findPhrase(phrase, fields);
      if (!found || names.some((n) => named.has(n))) continue;
      names.forEach((n) => named.add(n));
      told.push(byName(names, found));
    }
    return playable(mechanism, told);
  };
}

const byName = (names: readonly string[], { numerals }: Found): Parameters =>
  Object.fromEntries(names.flatMap((name, i) => (numerals[i] === undefined ? [] : [[name, numerals[i]]])));

/** Adds what was told bit by bit; what does not go with the rest is tried once more at the end, then dropped. */
function playable(m: Pick<Mechanism, 'defaults' | 'check' | 'parametersSchema'>, told: readonly Parameters[]): Parameters {
  let kept: Parameters = {};
  const fits = (p: Parameters): boolean => {
    const whole = { ...m.defaults, ...p };
    return schemaProblem(m.parametersSchema.properties, whole) === null && m.check(whole) === null;
  };
  const later: Parameters[] = [];
  for (const bit of told)
    if (fits({ ...kept, ...bit })) kept = { ...kept, ...bit };
    else later.push(bit);
  for (const bit of later) if (fits({ ...kept, ...bit })) kept = { ...kept, ...bit };
  // What is as usual needs no saying.
  const usual = m.defaults as Record<string, unknown>;
  return Object.fromEntries(Object.entries(kept).filter(([name, value]) => JSON.stringify(usual[name]) !== JSON.stringify(value)));
}
