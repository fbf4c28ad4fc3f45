/** Letters that show nothing or turn the writing around: they make two names look the same, or one look like another. */
const invisible = /[\u0000-\u0008\u000b-\u001f\u007f-\u009f\u00ad\u200b\u200e\u200f\u202a-\u202e\u2060-\u2069\ufeff]/g;

/** A name as it is kept: one form of every letter, nothing invisible, single spaces. // => cleanName(' Lark\u200b ') is 'Lark' */
export function cleanName(text: string): string {
  return text.normalize('NFC').replace(invisible, '').replace(/\s+/g, ' ').trim();
}

/** A text of several lines as it is kept: the same, with its line ends. */
export function cleanText(text: string): string {
  return text.normalize('NFC').replace(/\r\n?/g, '\n').replace(invisible, '');
}

/**
 * What two names are compared by: letters and digits of any script, and the signs + − × ÷, whatever their case, width or
 * punctuation. `Dice Race (+)` and `Dice Race (−)` differ, `Bee` and `Bees` differ, `Üben` and `Öben` differ.
 * // => nameKey('Two  Lamps!') is 'two lamps'
 */
export function nameKey(text: string): string {
  const before = known.get(text);
  if (before !== undefined) return before;
  if (known.size >= mostKnown) known.clear();
  let key = keyOf(text);
  // What falls away may leave a sign alone that stood inside a word: until nothing changes, a key is the key of itself.
  for (let next = keyOf(key); next !== key; next = keyOf(key)) key = next;
  known.set(text, key);
  return key;
}

/** A file names the same things again and again. */
const known = new Map<string, string>();
const mostKnown = 60_000;

function keyOf(text: string): string {
  return cleanName(text)
    .normalize('NFKC')
    .toLowerCase()
    .replace(/(?<=[\d\s(]|^)[-‐-―](?=[\d\s)]|$)|[−]/g, ' − ')
    .replace(/(?<=^|[\s\d(])[x*](?=[\s\d)]|$)/g, ' × ')
    .replace(/[^\p{L}\p{M}\p{N}+−×÷=<>]+/gu, ' ')
    .trim()
    .replace(/\s+/g, ' ');
}

export const sameName = (x: string, y: string): boolean => nameKey(x) === nameKey(y);

/** Tags as they are kept: no empty ones, each once however it is spelt, in the order they were given. */
export function tidyTags(tags: readonly string[]): string[] {
  const kept: string[] = [];
  for (const tag of tags.map(cleanName)) if (tag !== '' && !kept.some((k) => k.toLowerCase() === tag.toLowerCase())) kept.push(tag);
  return kept;
}

const longestMessage = 300;
/** A sentence that quotes what somebody typed, its middle left out where a whole page was typed into a cell. */
export const shortened = (message: string): string =>
  message.length <= longestMessage ? message : `${message.slice(0, 160)} … ${message.slice(-100)}`;
