import { describe, expect, it } from 'vitest';
import { findPhrase, readyPhrase } from './cue';
import { readyJoined, stemOf, tokensOf } from './tokens';

const ideas = { roll: ['roll', 'throw'] };
const found = (phrase: string, ...fields: string[]): number[] | null =>
  findPhrase(
    readyPhrase(phrase, ideas),
    fields.map((f) => tokensOf(f)),
  )?.at.map(({ field, token }) => field * 100 + token) ?? null;

describe('words of a row', () => {
  it.each([
    ['Flaps', 'flap'],
    ['two', '2'],
    ['ones', 'ones'],
    ['on', 'on'],
    ['Añadir', stemOf('anadir')],
    ['child’s', 'child'],
  ])('%s is compared as %s', (word, stem) => {
    expect(stemOf(word)).toBe(stem);
  });

  it('reads an x between numerals as times, a line with spaces as minus, and keeps places', () => {
    expect(tokensOf('X above 3 x 4 − 2, 5 - 1').map((t) => t.stem)).toEqual([
      'x',
      'abov',
      '3',
      'times',
      '4',
      'minus',
      '2',
      '5',
      'minus',
      '1',
    ]);
    const [, second] = tokensOf('Go fish!');
    expect('Go fish!'.slice(second!.from, second!.to)).toBe('fish');
  });

  it('takes words that stand for one idea as one', () => {
    const joined = readyJoined({ facedown: ['face down', 'upside down'] });
    expect(tokensOf('cards upside-down, flip', joined).map((t) => t.stem)).toEqual(['card', 'facedown', 'flip']);
  });
});

describe('phrases', () => {
  it('follow each other, or leave up to six words between', () => {
    expect(found('shut flap', 'shut flaps')).toEqual([0, 1]);
    expect(found('shut flap', 'shut the flaps')).toBeNull();
    expect(found('shut ~ flap', 'shut as many of the brown flaps')).toEqual([0, 6]);
    expect(found('shut ~ flap', 'shut one two three four five six seven flaps')).toBeNull();
  });

  it('take either of several words, an idea, any numeral', () => {
    expect(found('@roll a|the die|dice', 'then throw the dice')).toEqual([1, 2, 3]);
    expect(found('make #', 'pairs that make ten')).toEqual([2, 3]);
    expect(findPhrase(readyPhrase('# to #', ideas), [tokensOf('cards 0 to 12')])!.numerals).toEqual([0, 12]);
  });

  it('may lie in several fields where they are joined by and', () => {
    expect(found('hub & say', 'Wheel', 'a hub', 'say it')).toEqual([101, 200]);
    expect(found('hub & say', 'a hub', 'nothing')).toBeNull();
  });

  it('do not run from one field into the next', () => {
    expect(found('shut flap', 'shut', 'flap')).toBeNull();
  });

  it('name an idea that is not there', () => {
    expect(() => readyPhrase('@jump high', ideas)).toThrow('@jump');
  });
});
