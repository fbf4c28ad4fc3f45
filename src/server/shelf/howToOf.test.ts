import { describe, expect, it } from 'vitest';
import formerLines from '../../../data/library/formerLines.json';
import { shippedLibrary } from '../../contract/shippedLibrary';
import { mechanismById } from '../../core/mechanisms/registry';
import { asWritten } from '../../contract/countries';
import { howToWire } from '../../contract/howToOf';
import { ownLines } from './howToOf';

describe('how a version of the shelf is played', () => {
  it('leaves out lines that once spoke for all versions of a game, and keeps the owner’s', () => {
    const words = mechanismById('close-the-tiles')!.words;
    const old = [...formerLines['shutters-down'], ...words, 'We whisper when the baby sleeps.'];
    expect(ownLines(old, ['close-the-tiles'])).toEqual(['We whisper when the baby sleeps.']);
    expect(ownLines(['The lamps are out.'], [null])).toEqual(['The lamps are out.']);
  });
  it('is told for every version of the library, of one game in different words', () => {
    const title = (k: string): string => k;
    for (const g of shippedLibrary) {
      const each = g.variants.map((v) => {
        const h = howToWire(mechanismById(g.mechanism)!, v.parameters, 3, v.ages, title, asWritten);
        return JSON.stringify([h.setUp, h.turn, h.scoring, h.end]);
      });
      expect([g.id, new Set(each).size]).toEqual([g.id, each.length]);
      expect(g.story.length).toBeLessThanOrEqual(120);
    }
  });
});
