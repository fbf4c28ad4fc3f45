import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { countRound } from './countRound';

describe('counting one round', () => {
  it('gives chances per child and ten minutes with the answers they rest on', () => {
    const doses = countRound(
      shippedGraph(),
      [
        { op: 'add', a: 8, b: 5 },
        { op: 'add', a: 7, b: 6 },
        { op: 'add', a: 2, b: 2 },
        { op: 'subtract', a: 12, b: 5 },
      ],
      2,
      5,
    );
    expect(doses.find((d) => d.skill === 'make-ten')).toEqual({ skill: 'make-ten', perTenMinutes: 2, counted: 2 });
    expect(doses.find((d) => d.skill === 'add-in-20')).toMatchObject({ counted: 3, perTenMinutes: 3 });
    expect(doses.find((d) => d.skill === 'take-across-ten')).toMatchObject({ counted: 1 });
  });
  it('says nothing of nothing', () => {
    expect(countRound(shippedGraph(), [], 2, 5)).toEqual([]);
  });
});
