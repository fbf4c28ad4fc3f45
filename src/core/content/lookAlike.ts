import { distance } from 'fastest-levenshtein';
import { tokensOf } from '../recognise/tokens';

/** Names this far apart in letters may be one name typed twice, from so many letters on. */
const slips = 2;
const longEnough = 7;

const key = (title: string): string =>
  title
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '');
const words = (title: string): string =>
  [...new Set(tokensOf(title).map((t) => t.stem))]
    .filter((w) => !['the', 'a', 'game', 'with', 'w', 'and', 'of'].includes(w))
    .sort()
    .join(' ');

/**
 * Pairs of games that may be one: the same words in any order and ending, or names two letters apart. Each game stands in
 * one pair at most, the nearest first. // "War with two cards" and "War w/ 2 cards"; "Make ten pairs" and "Make-ten pares"
 */
export function lookAlike(games: readonly { readonly id: string; readonly title: string }[]): (readonly [string, string])[] {
  const ready = games.map((g) => ({ id: g.id, key: key(g.title), words: words(g.title) }));
  const found: { pair: readonly [string, string]; apart: number }[] = [];
  ready.forEach((x, i) => {
    for (const y of ready.slice(i + 1)) {
      const sameWords = x.words !== '' && x.words === y.words;
      // Lengths alone tell most pairs apart.
      const near =
        Math.abs(x.key.length - y.key.length) <= slips &&
        Math.min(x.key.length, y.key.length) >= longEnough &&
        numerals(x.key) === numerals(y.key);
      const apart = sameWords ? 0 : near ? distance(x.key, y.key) : Infinity;
      if (apart <= slips) found.push({ pair: [x.id, y.id], apart });
    }
  });
  const taken = new Set<string>();
  return found
    .sort((x, y) => x.apart - y.apart)
    .map((f) => f.pair)
    .filter(([x, y]) => {
      if (taken.has(x) || taken.has(y)) return false;
      taken.add(x).add(y);
      return true;
    });
}

/** "Sums to 10" and "Sums to 20" are two games. */
const numerals = (text: string): string => text.replace(/\D+/g, ' ').trim();
