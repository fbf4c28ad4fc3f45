import { describe, expect, it } from 'vitest';
import { boxedParagraph, textWidth, unbroken, wrapped } from './letters';

describe('words on lines', () => {
  it.each([
    ['1 + 1 × 2', ['1 + 1 × 2']],
    ['2 × (1 + 1)', ['2 × (1 + 1)']],
    ['(3 + 4) × 2 = 14', ['(3 + 4) × 2 = 14']],
    ['6 boxes, 2 × (1 + 1) in each', ['6', 'boxes,', '2 × (1 + 1)', 'in', 'each']],
    ['Which is more: 3 × 4 or 2 × 7?', ['Which', 'is', 'more:', '3 × 4', 'or', '2 × 7?']],
    ['a dash – between words', ['a', 'dash', '–', 'between', 'words']],
    ['7 − 5 = ?', ['7 − 5 = ?']],
  ])('%s is kept in these pieces', (words, pieces) => expect(unbroken(words)).toEqual(pieces));
  it('never breaks a sum over two lines, and makes it smaller where it is too long', () => {
    for (const sum of ['1 + 1 × 2', '2 × (1 + 1)', '12 + 30 − 7']) {
      const boxes = boxedParagraph(0, 0, 28, 40, sum, 40, 8, { bold: true });
      expect(boxes.map((b) => b.text)).toEqual([sum]);
      expect(textWidth(sum, boxes[0]!.size!, true)).toBeLessThanOrEqual(28.25);
    }
    expect(wrapped('She has 4 × 5 beans', textWidth('She has 4', 10), 10)).toEqual(['She has', '4 × 5', 'beans']);
  });
});
