import { stemmer } from 'stemmer';

/** One word of a row as its owner typed it, and what it is compared by. */
export interface Token {
  /** The word without its ending (Porter's stemmer), a numeral, or the word of a sign. */
  readonly stem: string;
  /** Place in the text: first letter, and the one after the last. */
  readonly from: number;
  readonly to: number;
}

const numerals = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve'];
const numberWords: ReadonlyMap<string, string> = new Map([
  ...numerals.map((word, n) => [word, String(n)] as const),
  ['twenty', '20'],
  ['hundred', '100'],
]);
const signs: ReadonlyMap<string, string> = new Map(
  Object.entries({
    '×': 'times',
    '*': 'times',
    '÷': 'divide',
    '+': 'plus',
    '−': 'minus',
    '=': 'equals',
    '&': 'and',
    '¢': 'cents',
    '?': '?',
  }),
);

/** Where the stemmer takes off too much: "ones" is no "on", "added" is an "add". */
const stems: ReadonlyMap<string, string> = new Map(
  Object.entries({ ones: 'ones', added: 'add', adding: 'add', odds: 'odds', dice: 'dice', die: 'die', tied: 'tie', ties: 'tie' }),
);

/** The stem of one plain word. // => stemOf('Tiles') is 'tile', stemOf('two') is '2' */
export function stemOf(word: string): string {
  const plain = word
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/['’]s$/, '');
  return numberWords.get(plain) ?? signs.get(plain) ?? stems.get(plain) ?? stemmer(plain.replace(/['’]/g, ''));
}

/** Words that stand for one idea together, each row of stems with the stem of what it stands for. */
export type Joined = readonly { readonly as: string; readonly stems: readonly string[] }[];

/** Makes ready what is to be read as one word: `facedown` for `face down`, `upside down`. */
export const readyJoined = (words: Readonly<Record<string, readonly string[]>>): Joined =>
  Object.entries(words).flatMap(([as, told]) => told.map((t) => ({ as: stemOf(as), stems: t.split(' ').map(stemOf) })));

/** Words, numerals and signs of a text in order. An x between numerals is a times sign, a line with spaces about it a minus. */
export function tokensOf(text: string, joined: Joined = []): Token[] {
  const tokens = wordsOf(text);
  for (const { as, stems } of joined)
    for (let at = 0; at + stems.length <= tokens.length; at++)
      if (stems.every((stem, i) => tokens[at + i]!.stem === stem))
        tokens.splice(at, stems.length, { stem: as, from: tokens[at]!.from, to: tokens[at + stems.length - 1]!.to });
  return tokens;
}

function wordsOf(text: string): Token[] {
  const tokens: Token[] = [];
  for (const match of text.matchAll(/\p{L}[\p{L}\p{M}]*(?:['’]\p{L}+)?|\d+|[×*÷+−=&¢?]|(?<= )[-–](?= )/gu)) {
    const [word] = match;
    const [from, to] = [match.index, match.index + word.length];
    const times = /^x$/i.test(word) && /\d\s*$/.test(text.slice(0, from)) && /^\s*\d/.test(text.slice(to));
    tokens.push({ stem: times ? 'times' : /^[-–]$/.test(word) ? 'minus' : stemOf(word), from, to });
  }
  return tokens;
}
