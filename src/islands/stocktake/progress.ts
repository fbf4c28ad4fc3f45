/** How far a stock-take has come, kept in this browser so that it goes on where it stopped. */

export type Finding = 'mend' | 'print' | 'buy' | 'moved' | 'away';

export interface Found {
  readonly what: Finding;
  readonly title: string;
  readonly words: string;
}

export interface BinProgress {
  /** Ids that are done. */
  readonly done: readonly string[];
  readonly found: readonly Found[];
  /** Day of the last answer. */
  readonly day: string;
}

const key = 'zeitgeber.stock-take';
/** An older one is another stock-take. */
const keptDays = 60;
const dayMs = 86_400_000;

export const none: BinProgress = { done: [], found: [], day: '' };

/** All bins that were begun lately. */
export function readProgress(today: string): Readonly<Record<string, BinProgress>> {
  try {
    const all = JSON.parse(localStorage.getItem(key) ?? '{}') as Record<string, BinProgress>;
    return Object.fromEntries(Object.entries(all).filter(([, p]) => Date.parse(today) - Date.parse(p.day) <= keptDays * dayMs));
  } catch {
    return {};
  }
}

export function writeProgress(all: Readonly<Record<string, BinProgress>>): void {
  try {
    localStorage.setItem(key, JSON.stringify(all));
  } catch {
    // A browser without room forgets where it stopped; what was recorded is on the shelf.
  }
}

/** One more answer in a bin; what was found of that thing before gives way. */
export const answered = (p: BinProgress, id: string, title: string, found: readonly Found[], day: string): BinProgress => ({
  done: p.done.includes(id) ? p.done : [...p.done, id],
  found: [...p.found.filter((f) => f.title !== title), ...found],
  day,
});
