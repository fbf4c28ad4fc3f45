import { nameKey } from './names';

/** Readers of what people type into one cell. Each gives null when it cannot make sense of it. */

const numberWords: ReadonlyMap<string, number> = new Map(
  Object.entries({
    one: 1,
    two: 2,
    three: 3,
    four: 4,
    five: 5,
    six: 6,
    seven: 7,
    eight: 8,
    nine: 9,
    ten: 10,
    a: 1,
    an: 1,
  }),
);

/** Open upper end used for `6+`. */
export const oldestAge = 12;

/** One form of dashes and spaces, small letters. */
export const tidy = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[‐-―−]/g, '-')
    .replace(/\s+/g, ' ');

/** `2-4`, `2 to 4`, `3`, `2+`. // => readSpan('2 to 4', 8) gives [2, 4] */
export function readSpan(text: string, open: number): [number, number] | null {
  const match = /^(-?\d+(?:\.\d+)?)(?: ?(?:-|to|bis|\.\.) ?(-?\d+(?:\.\d+)?)| ?(\+))?$/.exec(tidy(text));
  if (!match) return null;
  const low = Number(match[1]);
  return [low, match[2] !== undefined ? Number(match[2]) : match[3] ? Math.max(low, open) : low];
}

/** Ages in years: `6+`, `6-8`, `5 to 7 years`, or US grades `K-2`, `gr 1-2` (grade n is age n+5 to n+6). */
export function readAges(text: string): [number, number] | null {
  const cell = tidy(text)
    .replace(/^ages? ?/, '')
    .replace(/ ?(years?|yrs?|y)$/, '');
  const grade = /^(?:grades? |gr\.? ?)?(k|\d+)(?:st|nd|rd|th)?(?: ?(?:-|to) ?(k|\d+)(?:st|nd|rd|th)?)?$/.exec(cell);
  const asGrade = grade && (/^(grade|gr)/.test(cell) || grade[1] === 'k' || grade[2] === 'k' || /(st|nd|rd|th)/.test(cell));
  if (asGrade) {
    const of = (g: string): number => (g === 'k' ? 0 : Number(g));
    const low = of(grade[1]!);
    const high = of(grade[2] ?? grade[1]!);
    return [low + 5, high + 6];
  }
  return readSpan(cell, oldestAge);
}

/** Minutes: `15`, `15 min`, `10-15 min` (the longer), `1 h`. */
export function readMinutes(text: string): number | null {
  const cell = tidy(text);
  const hours = /^(\d+(?:\.\d+)?) ?(?:h|hours?|hrs?)$/.exec(cell);
  if (hours) return Number(hours[1]) * 60;
  const span = readSpan(cell.replace(/ ?(minutes?|mins?|m|')$/, ''), 0);
  return span ? span[1] : null;
}

export interface NamedQuantity {
  readonly name: string;
  readonly quantity: number;
}

/** `2 dice`, `2x dice`, `2 x dice`, `dice x2`, `dice x 2`, `dice (2)`, `two dice`, `dice`; null when the quantity makes no sense. */
export function readMaterial(text: string): NamedQuantity | null {
  const words = tidy(text).split(' ');
  const [amount, name] = amountAndName(words);
  if (name === '') return null;
  if (amount === '') return { name, quantity: 1 };
  const quantity = numberWords.get(amount) ?? (/^\d+$/.test(amount) ? Number(amount) : NaN);
  return Number.isInteger(quantity) && quantity >= 1 && quantity <= 1000 ? { name, quantity } : null;
}

/** The words apart: how many, and of what. Every step looks at a word once, however long the cell. */
function amountAndName(words: readonly string[]): readonly [string, string] {
  const first = words[0]!;
  const last = words.at(-1)!;
  const rest = (from: number, to = words.length): string => words.slice(from, to).join(' ');
  if (/^[-~?\d]/.test(first)) {
    const glued = first.endsWith('x') && first.length > 1 ? first.slice(0, -1) : null;
    if (glued !== null && words.length > 1) return [glued, rest(1)];
    if (words[1] === 'x' && words.length > 2) return [first, rest(2)];
  }
  if (words.length > 1) {
    const bracket = /^\((\S*\d\S*)\)$/.exec(last)?.[1];
    if (bracket) return [bracket, rest(0, -1)];
    if (/^x\S*\d/.test(last)) return [last.slice(1), rest(0, -1)];
    if (words.at(-2) === 'x' && /\d/.test(last)) return [last, rest(0, -2)];
  }
  if (/^\d+$/.test(first) || numberWords.has(first) || vague.test(first)) return [first, rest(1).replace(/^of /, '')];
  return ['', rest(0)];
}

const vague = /^(some|few|many|several|lots|\?+|-\d.*|\d+[./,]\d+|~.*)$/;

/** `key=value; key=value`; numbers and true/false become what they are, `a|b` a list. */
export function readParameters(text: string): Record<string, unknown> | null {
  const parameters: Record<string, unknown> = {};
  for (const part of text.split(/[;\n]/)) {
    if (part.trim() === '') continue;
    const at = part.indexOf('=');
    if (at < 1) return null;
    parameters[part.slice(0, at).trim()] = readValue(part.slice(at + 1).trim());
  }
  return parameters;
}

function readValue(text: string): unknown {
  if (text.includes('|'))
    return text
      .split('|')
      .map((t) => t.trim())
      .filter((t, i, all) => t !== '' || i < all.length - 1)
      .map(readValue);
  if (/^-?\d+(\.\d+)?$/.test(text)) return Number(text);
  if (text === 'true' || text === 'yes') return true;
  if (text === 'false' || text === 'no') return false;
  return text;
}

/** Words for matching what people call a thing, a column or a skill: letters and signs of any script, singular. */
export function plainWords(text: string): string {
  return nameKey(text.replace(/colou?r/gi, 'colour'))
    .split(' ')
    .map((w) => (w.length > 3 && w.endsWith('s') && !w.endsWith('ss') ? w.slice(0, -1) : w))
    .join(' ');
}

/** An id made of a title. // => slugOf('Two Lamps!') gives 'two-lamps' */
export function slugOf(title: string): string {
  return (
    title
      .normalize('NFKD')
      .replace(/[̀-ͯ]/g, '')
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '') || 'thing'
  );
}

/** `TWO LAMPS` and `two lamps` both become `Two Lamps`; mixed case stays as typed. */
export function tidyTitle(text: string): string {
  const plain = text.trim().replace(/\s+/g, ' ');
  const shouted = plain === plain.toUpperCase() || plain === plain.toLowerCase();
  return shouted
    ? plain.toLowerCase().replace(/(^|[\s-])(\p{L})/gu, (_, gap: string, letter: string) => gap + letter.toUpperCase())
    : plain;
}
