import { type PrepSort, prepSorts, type PrepStep, type UsedUp } from '../materials/gettingReady';

/** Parts stand between semicolons, so none may hold one. */
const part = (text: string): string =>
  text
    .replace(/\s*;\s*/g, ', ')
    .replace(/\s+/g, ' ')
    .trim();

/** Steps of getting ready as a cell of a list. // => `cut 4 min: the cards; bag 1 min` */
export const stepsText = (steps: readonly PrepStep[]): string =>
  steps.map((s) => `${s.sort} ${s.minutes} min${part(s.what) === '' ? '' : `: ${part(s.what)}`}`).join('; ');

/** What is used up as a cell of a list, with its cost in brackets where one is written. // => `2 Sheets of card (0.4)` */
export const usesText = (uses: readonly UsedUp[]): string =>
  uses.map((u) => `${u.quantity} ${part(u.what)}${u.cost === null ? '' : ` (${u.cost})`}`).join('; ');

export interface PrepRead<T> {
  readonly read: readonly T[];
  /** Parts that are none. */
  readonly unread: readonly string[];
}

const partsOf = (text: string): string[] =>
  text
    .split(/[;\n]/)
    .map((p) => p.trim())
    .filter(Boolean);

function readParts<T>(text: string, read: (part: string) => T | null): PrepRead<T> {
  const all = partsOf(text).map((p) => ({ p, value: read(p) }));
  return {
    read: all.flatMap(({ value }) => (value === null ? [] : [value])),
    unread: all.filter(({ value }) => value === null).map(({ p }) => p),
  };
}

/** Longest text of a step and of what is used up, and most minutes and pieces, as the forms allow them. */
const longest = { step: 200, use: 120 };
const most = { minutes: 1000, quantity: 10_000, cost: 100_000 };

/** The same read back: `cut 4 min: the cards`. */
export const readSteps = (text: string): PrepRead<PrepStep> =>
  readParts(text, (p) => {
    const found = /^(\p{L}+)\s+(\d+(?:[.,]\d+)?)\s*min\w*\.?(?:\s*:\s*(.*))?$/u.exec(p);
    const sort = found?.[1]!.toLowerCase() as PrepSort;
    const minutes = Number(found?.[2]!.replace(',', '.'));
    const what = (found?.[3] ?? '').trim();
    return found && prepSorts.includes(sort) && minutes <= most.minutes && what.length <= longest.step ? { sort, what, minutes } : null;
  });

/** The same read back: `2 Sheets of card (0.4)`. */
export const readUses = (text: string): PrepRead<UsedUp> =>
  readParts(text, (p) => {
    const found = /^(\d+(?:[.,]\d+)?)\s+(.+?)(?:\s*\((\d+(?:[.,]\d+)?)\))?$/.exec(p);
    const [quantity, cost] = [Number(found?.[1]!.replace(',', '.')), found?.[3] === undefined ? null : Number(found[3].replace(',', '.'))];
    const what = found?.[2]!.trim() ?? '';
    const fits = quantity <= most.quantity && (cost ?? 0) <= most.cost && what.length <= longest.use;
    return found && fits ? { what, quantity, cost } : null;
  });
