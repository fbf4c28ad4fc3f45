import { describe, expect, it } from 'vitest';
import { effectSentence } from './things';

const cards = { sort: 'draws', from: 1, to: 6, copies: 4, putBack: false } as const;

describe('what changes by what stands in', () => {
  it('is told exactly, to a tenth of a per cent', () => {
    expect(effectSentence({ effect: cards })).toBe('Two in a row without putting back: a sum of 7 16.7 → 17.4 %, doubles 16.7 → 13.0 %.');
    expect(effectSentence({ effect: { ...cards, putBack: true } })).toBe('The chances stay as they are.');
    expect(effectSentence({ effect: { sort: 'none' } })).toBe('Nothing changes.');
    expect(effectSentence({ effect: { sort: 'practice', say: 'The hundred is named, not seen.' } })).toBe(
      'The hundred is named, not seen.',
    );
    expect(effectSentence({ effect: { ...cards, putBack: true }, numerals: true })).toBe(
      'The chances stay as they are. Written numbers in place of spots: seeing how many is not practised.',
    );
  });
});
