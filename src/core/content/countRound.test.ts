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
    // Seven and six is made by a ten or by a double close by: half of it each.
    expect(doses.find((d) => d.skill === 'make-ten')).toEqual({ skill: 'make-ten', perTenMinutes: 1.5, counted: 2 });
    expect(doses.find((d) => d.skill === 'add-in-20')).toMatchObject({ counted: 2, perTenMinutes: 2 });
    expect(doses.find((d) => d.skill === 'take-across-ten')).toMatchObject({ counted: 1 });
  });
  it('names what was met most first', () => {
    const counted = countRound(
      shippedGraph(),
      [
        { op: 'multiply', a: 6, b: 7 },
        { op: 'add', a: 8, b: 5 },
        { op: 'add', a: 9, b: 4 },
        { op: 'add', a: 7, b: 6 },
      ],
      2,
      5,
    ).map((d) => d.counted);
    expect(counted[0]).toBe(3);
    expect(counted.at(-1)).toBe(1);
    expect(counted).toEqual([...counted].sort((x, y) => y - x));
  });
  it('says nothing of nothing', () => {
    expect(countRound(shippedGraph(), [], 2, 5)).toEqual([]);
  });
});
