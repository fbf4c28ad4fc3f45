import { describe, expect, it } from 'vitest';
import { movesBetween, type Seating } from './movesBetween';

const table = (game: string, ...learners: string[]) => ({ game, seats: learners.map((learner) => ({ learner, variant: `${game}-1` })) });
const round = (tables: Seating[number]['tables'], resting: string[] = []): Seating[number] => ({ tables, resting });

describe('moves from one seating to another', () => {
  const before = [round([table('lamps', 'a', 'b'), table('bees', 'c', 'd')])];

  it('are none where all stay, whoever is away', () => {
    expect(movesBetween(before, before)).toEqual([]);
    expect(movesBetween(before, [round([table('lamps', 'a'), table('bees', 'c', 'd')])])).toEqual([]);
  });

  it('name who goes to whom', () => {
    expect(movesBetween(before, [round([table('bees', 'b', 'c', 'd')])])).toEqual([
      { round: 0, game: 'bees', seats: [{ learner: 'b', variant: 'bees-1' }], with: ['c', 'd'] },
    ]);
  });

  it('name a new game with nobody there yet, and who has no seat', () => {
    const after = [{ ...round([table('clock', 'a', 'b')], ['c', 'd']), meanwhile: [{ learner: 'c', variant: 'drum-1' }] }];
    expect(movesBetween(before, after)).toEqual([
      {
        round: 0,
        game: 'clock',
        seats: [
          { learner: 'a', variant: 'clock-1' },
          { learner: 'b', variant: 'clock-1' },
        ],
        with: [],
      },
      {
        round: 0,
        game: null,
        seats: [
          { learner: 'c', variant: 'drum-1' },
          { learner: 'd', variant: null },
        ],
        with: [],
      },
    ]);
  });

  it('say nothing of a child who rested before and rests still, nor of rounds that fall away', () => {
    expect(movesBetween([round([], ['a']), round([table('bees', 'c')])], [round([], ['a'])])).toEqual([]);
  });
});
