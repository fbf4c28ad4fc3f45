import { fractionCode, greatestCommonDivisor } from '../../items/fraction';
import type { SetsParameters } from './parameters';

/** A card: which set it belongs to, and which of the three faces it is. Runs belong by their place in the row. */
export interface Card {
  readonly group: number;
  readonly face: 0 | 1 | 2;
}
export const setSize = 3;

const easyFractions = [
  fractionCode(1, 2),
  fractionCode(1, 4),
  fractionCode(3, 4),
  fractionCode(1, 5),
  fractionCode(2, 5),
  fractionCode(3, 5),
  fractionCode(1, 10),
  fractionCode(3, 10),
  fractionCode(7, 10),
  fractionCode(1, 20),
];
const equalOnes = [
  fractionCode(1, 2),
  fractionCode(1, 3),
  fractionCode(2, 3),
  fractionCode(1, 4),
  fractionCode(3, 4),
  fractionCode(1, 5),
  fractionCode(2, 5),
  fractionCode(5, 6),
];

/** What each group of cards is about, by its number. */
export function groupsOf(p: SetsParameters): readonly number[] {
  const span = Array.from({ length: p.highest - p.lowest + 1 }, (_, i) => p.lowest + i);
  switch (p.cards) {
    case 'one-amount-as-fraction-percent-decimal':
      return easyFractions;
    case 'one-fraction':
      return equalOnes;
    case 'one-power':
      return span.filter((n) => n <= 12);
    case 'multiples-in-a-row':
      return span.map((n) => n * p.step);
    case 'one-number-of-facts':
      return span.map((n) => n * 2 + 2);
  }
}

/** An item of knowing what a card is worth: operation, and its two numbers. */
export function readingOf(
  p: SetsParameters,
  group: number,
  face: number,
): { readonly channel: number; readonly a: number; readonly b: number } | null {
  switch (p.cards) {
    case 'one-amount-as-fraction-percent-decimal':
      return face === 2 ? { channel: 1, a: (Math.floor(group / 100) * 1000) / (group % 100), b: 0 } : { channel: 0, a: group, b: 0 };
    case 'one-fraction':
      return face === 0 ? null : { channel: 2, a: fractionCode(Math.floor(group / 100) * (face + 1), (group % 100) * (face + 1)), b: 0 };
    case 'one-power':
      return face === 0 ? null : face === 1 ? { channel: 3, a: group, b: 2 } : { channel: 4, a: group, b: group };
    case 'multiples-in-a-row':
      return { channel: 4, a: group / p.step, b: p.step };
    case 'one-number-of-facts': {
      const part = Math.max(1, Math.floor((group * (face + 1)) / 4));
      return { channel: 5, a: Math.max(part, group - part), b: Math.min(part, group - part) };
    }
  }
}

/** Whether three cards can be laid down: three faces of one thing, or three neighbours in the row. */
export function belongTogether(p: SetsParameters, x: Card, y: Card, z: Card): boolean {
  if (p.cards === 'multiples-in-a-row') {
    const g = [x.group, y.group, z.group].sort((a, b) => a - b);
    return g[1]! - g[0]! === p.step && g[2]! - g[1]! === p.step;
  }
  return x.group === y.group && y.group === z.group && new Set([x.face, y.face, z.face]).size === setSize;
}

export const inLowest = (code: number): boolean => greatestCommonDivisor(Math.floor(code / 100), code % 100) === 1;
