import { describe, expect, it } from 'vitest';
import { lookAlike } from './lookAlike';

const pairs = (...titles: string[]): string[] => lookAlike(titles.map((title) => ({ id: title, title }))).map((p) => p.join(' = '));

describe('games that may be one', () => {
  it('have the same words, or names a slip apart', () => {
    expect(pairs('War with two cards', 'Bear graph', 'War w/ 2 cards')).toEqual(['War with two cards = War w/ 2 cards']);
    expect(pairs('Make ten pairs', 'Make-ten pares')).toEqual(['Make ten pairs = Make-ten pares']);
    expect(pairs('Échelle', 'The Echelle')).toEqual(['Échelle = The Echelle']);
  });
  it('are two where a numeral differs, or a short name', () => {
    expect(pairs('Sums to 10', 'Sums to 20')).toEqual([]);
    expect(pairs('Nim', 'Rim', 'Pig', 'Peg')).toEqual([]);
    expect(pairs('Addition bingo', 'Subtraction bingo')).toEqual([]);
  });
  it('stand in one pair each, and a name of signs alone in none', () => {
    expect(pairs('Dot flash', 'dot flashes', 'Flash dot')).toHaveLength(1);
    expect(pairs('!!!', '???')).toEqual([]);
  });
});
