import { fractionCode } from '../../items/fraction';
import { leftOf, numberCards } from '../../play/deck';
import type { AskParameters } from './parameters';

/** Forms of six fractions that children meet, each row of equal value. */
export const equalFractions: readonly (readonly (readonly [number, number])[])[] = [
  [
    [1, 2],
    [2, 4],
    [3, 6],
    [4, 8],
  ],
  [
    [1, 3],
    [2, 6],
    [3, 9],
    [4, 12],
  ],
  [
    [2, 3],
    [4, 6],
    [6, 9],
    [8, 12],
  ],
  [
    [1, 4],
    [2, 8],
    [3, 12],
    [4, 16],
  ],
  [
    [3, 4],
    [6, 8],
    [9, 12],
    [12, 16],
  ],
  [
    [1, 5],
    [2, 10],
    [3, 15],
    [4, 20],
  ],
];

/** The whole deck: numbers, or for fractions family × 8 + form. */
export function deckOf(p: AskParameters): number[] {
  if (p.relation !== 'are-equal-fractions')
    return leftOf(
      numberCards(p.lowest, p.highest, p.copies).filter((c) => (c - p.lowest) % p.by === 0),
      p.missing,
    );
  return equalFractions.flatMap((forms, f) => forms.slice(0, p.copies).map((_, i) => f * 8 + i));
}

/** Parts of a whole that so many forms of each fraction have. */
export const bottomsOf = (forms: number): number[] =>
  [...new Set(equalFractions.flatMap((all) => all.slice(0, forms).map(([, d]) => d)))].sort((a, b) => a - b);

export const fractionOf = (card: number): number => {
  const [n, d] = equalFractions[card >> 3]![card & 7]!;
  return fractionCode(n, d);
};

/** Whether two cards belong together. */
export function belong(p: AskParameters, x: number, y: number): boolean {
  if (p.relation === 'are-equal') return x === y;
  if (p.relation === 'make-a-sum') return x + y === p.number;
  if (p.relation === 'differ-by') return Math.abs(x - y) === p.number;
  return x >> 3 === y >> 3;
}

/** Number of different groups the deck can be laid down in, at most. */
export function possibleGroups(p: AskParameters): number {
  const left = deckOf(p);
  const size = p.together === 'pairs' ? 2 : 3;
  let groups = 0;
  for (let i = 0; i < left.length; i++) {
    const first = left[i]!;
    if (first < 0) continue;
    const places = [i];
    for (let j = i + 1; j < left.length && places.length < size; j++)
      if (
        left[j]! >= 0 &&
        completes(
          p,
          places.map((k) => left[k]!),
          left[j]!,
          size,
        )
      )
        places.push(j);
    if (places.length < size) continue;
    for (const k of places) left[k] = -1;
    groups++;
  }
  return groups;
}

/** Whether a card may join the cards already together. Three cards make a sum all together. */
export function completes(p: AskParameters, cards: readonly number[], card: number, size: number): boolean {
  if (size === 3 && p.relation === 'make-a-sum') {
    const sum = cards.reduce((a, b) => a + b, card);
    return cards.length === 1 ? sum <= p.number : sum === p.number;
  }
  if (size === 3 && p.relation === 'differ-by') {
    // Three in a row, each the same distance from the next.
    const all = [...cards, card].sort((x, y) => x - y);
    return all.every((c, i) => i === 0 || c - all[i - 1]! === p.number || (all.length === 2 && c - all[0]! === 2 * p.number));
  }
  return cards.every((c) => belong(p, c, card));
}
