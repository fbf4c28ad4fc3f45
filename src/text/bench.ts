import type { Wish } from '../core/simulate/searchChanges';

/** What a person may wish of a version, and how the number of that wish is read. */
export const wishWords: Readonly<Record<Wish, { readonly ask: string; readonly unit: string; readonly share: boolean }>> = {
  'more-subtraction': { ask: 'more taking away', unit: 'times taken away by each child in ten minutes', share: false },
  'more-addition': { ask: 'more adding', unit: 'sums for each child in ten minutes', share: false },
  'more-multiplication': { ask: 'more multiplying', unit: 'products for each child in ten minutes', share: false },
  'more-crossing': { ask: 'more crossing of tens', unit: 'crossings for each child in ten minutes', share: false },
  'more-practice': { ask: 'more practice altogether', unit: 'chances for each child in ten minutes', share: false },
  'fewer-idle-turns': { ask: 'fewer turns with nothing to do', unit: 'of turns with nothing to do', share: true },
  'less-waiting': { ask: 'less waiting', unit: 'of the time spent waiting', share: true },
  'fewer-choices': { ask: 'fewer choices at a time', unit: 'to choose from', share: false },
  'end-in-ten': { ask: 'an end in about ten minutes', unit: 'minutes', share: false },
};

/** A parameter's value as people read it. */
export function valueWords(value: unknown): string {
  if (value === true) return 'yes';
  if (value === false) return 'no';
  if (Array.isArray(value))
    return value.length === 0 ? 'none' : value.map((v) => (Array.isArray(v) ? v.join(' → ') : valueWords(v))).join(', ');
  return String(value).replaceAll('-', ' ');
}
