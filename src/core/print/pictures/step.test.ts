import { describe, expect, it } from 'vitest';
import { asWritten } from '../../../contract/countries';
import { shippedLibrary } from '../../../contract/shippedLibrary';
import { mechanismById } from '../../mechanisms/registry';
import { missingLetters, textWidth } from '../letters';
import { drawStep } from './step';

describe('the three pictures of a game on paper', () => {
  it('are drawn for every version, inside their frame, with letters that can be read and printed', () => {
    const [x, y, w, h] = [10, 20, 55, 24];
    const sorts = new Set<string>();
    for (const g of shippedLibrary)
      for (const v of g.variants) {
        const m = mechanismById(g.mechanism)!;
        const { pictures } = m.howTo({ ...m.defaults, ...(v.parameters as object) }, asWritten);
        for (const { picture } of pictures) {
          sorts.add(picture.draw);
          const boxes = drawStep(picture, x, y, w, h);
          const name = `${g.id}/${v.id} ${picture.draw}`;
          expect([name, boxes.length > 0]).toEqual([name, true]);
          for (const b of boxes) {
            const inside = b.x >= x - 1.5 && b.x + b.w <= x + w + 1.5 && b.y >= y - 2.5 && b.y + b.h <= y + h + 2.5;
            expect([name, inside ? null : b]).toEqual([name, null]);
            if (b.kind !== 'text') continue;
            expect([name, missingLetters(b.text!)]).toEqual([name, []]);
            expect([name, b.text, textWidth(b.text!, b.size!, b.bold) <= b.w + 0.25, b.size! >= 4]).toEqual([name, b.text, true, true]);
          }
        }
      }
    expect(sorts.size).toBe(15);
  });
});
