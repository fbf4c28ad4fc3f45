import { tidy } from './cells';

/** Readers of what people write loosely. Each gives null where it cannot make sense of it at all. */

/** What was read, and what had to be guessed. */
export interface Loose<T> {
  readonly value: T;
  /** Null where the text says just that. */
  readonly guess: string | null;
}

const preschool = -1;
const kindergarten = 0;
/** The highest grade that stands in a K–12 list. */
const highestGrade = 12;
/** A child of US grade n is n+5 to n+6, of English Year n is n+4 to n+5. */
const yearsBefore = { grade: 5, year: 4 } as const;

function gradeOf(text: string): number | null {
  if (/^(?:pre-?k|pk|prek|pre-kindergarten|preschool|nursery)$/.test(text)) return preschool;
  if (/^(?:k|kg|kinder|kindergarten|tk)$/.test(text)) return kindergarten;
  const n = /^(\d{1,2})(?:st|nd|rd|th)?$/.exec(text)?.[1];
  return n !== undefined && Number(n) <= highestGrade ? Number(n) : null;
}

/**
 * Ages of a column that is headed Grade: `K-2`, `PreK-K`, `3`, `1 to 2`, `2nd`, `3+`, `Year 2-3`; a bare number is a grade
 * there, never an age. Reception is the year before Year 1.
 * @returns ages in years, or null
 */
export function readGrades(text: string, oldest: number): [number, number] | null {
  let cell = tidy(text).replace(/\.$/, '');
  const year = /^(?:years?|yrs?|y) ?(?=\d|r)|^reception/.test(cell);
  cell = cell
    .replace(/^(?:grades?|gr\.?|g|years?|yrs?|y) ?(?=\d|k|pre|r)/, '')
    .replace(/ ?(?:grades?|graders?)$/, '')
    .replaceAll('reception', '0');
  const open = /\+$/.test(cell) || / (?:and )?up$/.test(cell);
  cell = cell.replace(/ ?\+$| (?:and )?up$/, '');
  // `pre-k` is one word.
  const parts = cell.replace('pre-k', 'prek').split(/ ?(?:-|to|&|and|\/|,) ?/);
  if (parts.length > 2) return null;
  const low = gradeOf(parts[0]!.replace(/^(?:year|y) ?/, ''));
  const high = gradeOf(parts.at(-1)!.replace(/^(?:year|y) ?/, ''));
  if (low === null || high === null) return null;
  const before = year ? yearsBefore.year : yearsBefore.grade;
  return [low + before, open ? Math.max(oldest, low + before + 1) : high + before + 1];
}

/** Said without a number, or with one that is about so. */
const nothingSaid = /^(?:\?+|any|all|everyone|everybody|whole (?:group|class)|the whole (?:group|class)|class|group|n\/?a|-|tbd|varies)$/;
const inWords: ReadonlyMap<string, readonly [number, number]> = new Map([
  ['pairs', [2, 2]],
  ['partners', [2, 2]],
  ['in pairs', [2, 2]],
  ['solo', [1, 1]],
  ['alone', [1, 1]],
  ['small group', [3, 5]],
  ['small grp', [3, 5]],
  ['small groups', [3, 5]],
]);

/**
 * Players as people write them: `15ish`, `about 6`, `up to 12`, `2 teams`, `whole group`, `any`, `pairs`; what says nothing
 * gives `usual`.
 */
export function readPlayersLoosely(text: string, usual: readonly [number, number]): Loose<[number, number]> | null {
  const cell = tidy(text);
  if (nothingSaid.test(cell)) return { value: [...usual], guess: `taken as ${usual[0]} to ${usual[1]}` };
  const words = inWords.get(cell);
  if (words) return { value: [...words], guess: words[0] === words[1] ? null : `taken as ${words[0]} to ${words[1]}` };
  const upTo = /^(?:up to|max\.?|at most) ?(\d{1,2})$/.exec(cell);
  if (upTo) return { value: [Math.min(2, Number(upTo[1])), Number(upTo[1])], guess: null };
  const from = /^(?:at least|min\.?) ?(\d{1,2})$/.exec(cell);
  if (from) return { value: [Number(from[1]), Math.max(Number(from[1]), usual[1])], guess: `taken as ${from[1]} or more` };
  const teams = /^(\d) teams?$/.exec(cell);
  if (teams) return { value: [Number(teams[1]), Math.max(Number(teams[1]), usual[1])], guess: `taken as ${teams[1]} or more` };
  // `2-15ish`: the lower end is sure.
  const about = /^(?:~|about |around |ca\.? ?)?(?:(\d{1,2}) ?(?:-|to) ?)?(\d{1,2}) ?(?:ish|or so)?$/.exec(cell);
  if (about) {
    const high = Number(about[2]);
    const low = about[1] === undefined ? Math.min(2, high) : Number(about[1]);
    return low <= high ? { value: [low, high], guess: `taken as up to ${high}` } : null;
  }
  return null;
}

/** Minutes as people write them: `15ish`, `~15 min`, `any`. */
export function readMinutesLoosely(text: string, usual: number): Loose<number> | null {
  const cell = tidy(text);
  if (nothingSaid.test(cell)) return { value: usual, guess: `taken as ${usual}` };
  const about = /^(?:~|about |around |ca\.? ?)?(\d{1,3}) ?(?:ish|or so)? ?(?:minutes?|mins?|m)?(?:ish)?$/.exec(cell);
  return about ? { value: Number(about[1]), guess: `taken as ${about[1]}` } : null;
}

/** Whether a cell says only that nobody knows. */
export const saysNothing = (text: string): boolean => nothingSaid.test(tidy(text));

/** How a list of things falls apart: at semicolons, line breaks and commas, but not inside brackets or in `1,5`. */
export function thingsIn(text: string): string[] {
  const parts: string[] = [];
  let depth = 0;
  let from = 0;
  for (let i = 0; i <= text.length; i++) {
    const c = text[i];
    if (c === '(') depth++;
    if (c === ')') depth = Math.max(0, depth - 1);
    const comma = c === ',' && depth === 0 && !(/\d/.test(text[i - 1] ?? '') && /\d/.test(text[i + 1] ?? ''));
    if (i < text.length && c !== ';' && c !== '\n' && !comma) continue;
    const part = text.slice(from, i).trim();
    const before = parts.at(-1);
    // `linking cubes, 30`: a number alone counts the thing before it.
    if (/^\d{1,4}$/.test(part) && before !== undefined && !/\d/.test(before)) parts[parts.length - 1] = `${part} ${before}`;
    else if (part !== '') parts.push(part);
    from = i + 1;
  }
  return parts;
}

/** Words after a comma that only tell more of the thing before: `A to 9 only`, `no faces`, `A-10`, `four of each`. */
export const tellsMore = (part: string): boolean =>
  /\bonly\b|^no |^without |^with |^or |^[a-z] ?(?:-|to) ?\d+$|^\d+ ?(?:-|to) ?\d+$|\bof each\b|^etc/.test(tidy(part));

/** Remarks taken off: `2 decks (no face cards)` and `2 decks - no faces` are `2 decks`, `1 die per group` a die; a bracket that counts stays. */
export const withoutRemark = (part: string): string =>
  part
    .replace(/\((?!\s*\d+\s*\))[^)]*\)?/g, ' ')
    .replace(/\s[-–—]\s(?!\d).*$/, ' ')
    .replace(/\s+(?:per|for each|each) (?:group|table|pair|child|player|kid|student)s?\b/i, ' ')
    .replace(/\s+/g, ' ')
    .trim();

/** A line that adds up what stands above it is no game. */
export const isTotal = (title: string): boolean => /^(?:grand )?(?:sub)?totals?:?$|^sum:?$/.test(tidy(title));

/** Cards that come with the game are no pack out of the cupboard: `24 cards`, `16 task cards on a ring`. */
export const mostPacks = 4;
export const isOwnPieces = (name: string, quantity: number): boolean => quantity > mostPacks && /\bcards?\b/.test(tidy(name));

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/**
 * A range that a spreadsheet turned into a day: `2026-02-04`, `4-Feb`, `Feb-04` were typed as 2-4 (the month first, as where
 * such days are written so). // => dateAsRange('4-Feb') is '2-4'
 * @returns the range as it was typed, or null
 */
export function dateAsRange(text: string): string | null {
  const cell = tidy(text);
  const day = /^\d{4}-(\d{2})-(\d{2})(?:t.*)?$/.exec(cell);
  if (day) return `${Number(day[1])}-${Number(day[2])}`;
  const named = /^(?:(\d{1,2})[- .]([a-z]{3})[a-z]*|([a-z]{3})[a-z]*[- .](\d{1,2}))$/.exec(cell);
  const month = named ? months.indexOf((named[2] ?? named[3])!) + 1 : 0;
  return named && month > 0 ? `${month}-${Number(named[1] ?? named[4])}` : null;
}

/** A row that holds a number where its name should be, and nothing beside it, counts those above. */
export const isBareCount = (cells: Readonly<Record<string, string>>): boolean => {
  const told = Object.entries(cells).filter(([, c]) => c.trim() !== '');
  return told.length === 1 && told[0]![0] === 'game' && /^\d+(?:[.,]\d+)?$/.test(told[0]![1].trim());
};
