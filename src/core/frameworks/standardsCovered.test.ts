import { describe, expect, it } from 'vitest';
import { gamesFor, type Practising, standardsCovered, sparedGames } from './standardsCovered';

const version = (game: string, variant: string, ...doses: number[]): Practising => ({ game, variant, doses: Float64Array.from(doses) });
const shelf = [version('lamps', 'tens', 9, 0, 0), version('lamps', 'fives', 3, 4, 0), version('relay', 'one', 0, 2, 1.9)];
const nothing = { planned: new Set<string>(), played: new Set<string>(), noted: new Set<number>() };
const states = (more: Partial<typeof nothing>) =>
  standardsCovered(
    [
      { identifier: 'A', skills: [0] },
      { identifier: 'B', skills: [1, 2] },
      { identifier: 'C', skills: [2] },
      { identifier: 'D', skills: [] },
    ],
    shelf,
    { ...nothing, ...more },
  );

describe('which expectations have a game', () => {
  it('counts a game once, by its best version, the largest dose first; less than two chances are none', () => {
    expect(gamesFor([0, 1], shelf).map((g) => [g.game, g.variant, g.skill, g.dose])).toEqual([
      ['lamps', 'tens', 0, 9],
      ['relay', 'one', 1, 2],
    ]);
    expect(gamesFor([2], shelf)).toEqual([]);
  });
  it('says how many of its steps have one', () => {
    expect(states({}).map((c) => [c.identifier, c.state, c.stepsWithGame, c.games.length])).toEqual([
      ['A', 'there', 1, 1],
      ['B', 'there', 1, 2],
      ['C', 'none', 0, 0],
      ['D', 'none', 0, 0],
    ]);
  });
  it('goes from there to planned, played and seen', () => {
    const of = (more: Partial<typeof nothing>) => states(more).map((c) => c.state);
    expect(of({ planned: new Set(['tens']) })).toEqual(['planned', 'there', 'none', 'none']);
    expect(of({ planned: new Set(['tens']), played: new Set(['fives']) })).toEqual(['played', 'played', 'none', 'none']);
    // A note about a step is of this only where a game of it was played.
    expect(of({ noted: new Set([0, 2]) })).toEqual(['there', 'there', 'none', 'none']);
    expect(of({ played: new Set(['one']), noted: new Set([0, 1]) })).toEqual(['there', 'seen', 'none', 'none']);
  });
});

describe('games that could be spared', () => {
  const with_ = (...games: string[]) => ({ games: games.map((game) => ({ game, variant: game, skill: 0, dose: 5 })) });
  it('are those whose every expectation has two others', () => {
    expect(sparedGames([with_('a', 'b', 'c'), with_('a', 'b')])).toEqual([{ game: 'c', covers: 1 }]);
    expect(sparedGames([with_('a', 'b', 'c'), with_('b', 'c', 'd')])).toEqual([
      { game: 'b', covers: 2 },
      { game: 'c', covers: 2 },
      { game: 'a', covers: 1 },
      { game: 'd', covers: 1 },
    ]);
    expect(sparedGames([with_('a'), with_()])).toEqual([]);
  });
});
