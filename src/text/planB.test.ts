import { describe, expect, it } from 'vitest';
import { moveSentence } from './planB';

const called = {
  learner: (id: string) => ({ a: 'Ash', m: 'Moth', w: 'Wren' })[id] ?? id,
  game: () => 'Lamp Columns',
  version: (id: string) => `to ${id}`,
  variant: (id: string) => `Bell Wheel, to ${id}`,
};

describe('a move in words', () => {
  it('says who plays what with whom', () => {
    expect(moveSentence({ round: 1, game: 'g', seats: [{ learner: 'a', variant: '20' }], with: ['m', 'w'] }, called)).toBe(
      'Round 2: Ash plays Lamp Columns (to 20), with Moth and Wren.',
    );
  });

  it('says each version where they differ', () => {
    const seats = [
      { learner: 'a', variant: '20' },
      { learner: 'm', variant: '10' },
      { learner: 'w', variant: '20' },
    ];
    expect(moveSentence({ round: 0, game: 'g', seats, with: [] }, called)).toBe(
      'Round 1: Ash, Moth and Wren play Lamp Columns (Ash and Wren to 20; Moth to 10).',
    );
  });

  it('gives somebody without a seat a thing to do', () => {
    expect(moveSentence({ round: 0, game: null, seats: [{ learner: 'a', variant: '20' }], with: [] }, called)).toBe(
      'Round 1: no seat for Ash; meanwhile Bell Wheel, to 20, alone.',
    );
    expect(moveSentence({ round: 0, game: null, seats: [{ learner: 'a', variant: null }], with: [] }, called)).toBe(
      'Round 1: no seat for Ash; deals or keeps the count at a table.',
    );
  });
});
