import { describe, expect, it } from 'vitest';
import { moodOf, quickLook, sortOf } from './character';
import { mechanismById } from './registry';

const of = (id: string) => mechanismById(id)!;

describe('what a game is like', () => {
  it('is lively where one dares or runs about, calm where one thinks', () => {
    expect(moodOf(of('press-your-luck'), 'calm')).toBe('lively');
    expect(moodOf(of('bound-guess'), 'calm')).toBe('calm');
    expect(moodOf(of('bound-guess'), 'floor')).toBe('lively');
    expect(moodOf(of('track-race'), 'calm')).toBe('between');
  });
  it('files as practice what has no decision', () => {
    expect(sortOf('fact-wheel')).toBe('practice');
    expect(sortOf('track-race')).toBe('game');
    expect(sortOf(null)).toBe('game');
  });
  it('is fair to older and younger together by playing as one, by a head start, or by numbers of one’s own', () => {
    const mixed = (m: Parameters<typeof quickLook>[0], own: boolean) => quickLook(m, 'calm', [8, 10], 'alone', own).mixed;
    expect(mixed(of('bound-guess'), true)).toBe('together');
    expect(mixed(of('track-race'), false)).toBe('head-start');
    const rival = { played: of('track-race').played, headStart: null };
    expect(mixed(rival, true)).toBe('own-numbers');
    expect(mixed(rival, false)).toBe('like-only');
  });
  it('is shown by somebody to children under eight, and wherever a grown-up is about anyway', () => {
    const first = (age: number, presence: 'alone' | 'nearby' | 'needed') =>
      quickLook(of('track-race'), 'calm', [age, 12], presence, false).firstTime;
    expect([first(7, 'alone'), first(8, 'alone'), first(8, 'nearby'), first(9, 'needed')]).toEqual(['taught', 'read', 'taught', 'taught']);
  });
});
