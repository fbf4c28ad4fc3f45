import { describe, expect, it } from 'vitest';
import { skillsIn, wordsForSkills } from '../../contract/recognise';
import { shippedGraph } from '../../contract/shippedData';

const graph = shippedGraph();
const skills = (title: string, note = '', ages: [number, number] | null = null): string[] =>
  skillsIn(graph, { title, notes: [note], things: '' }, ages).map((s) => s.skill);

describe('skills that a row names', () => {
  it.each([
    ['make ten', 'pairs-of-10'],
    ['Bonds to 10', 'pairs-of-10'],
    ['pairs of ten', 'pairs-of-10'],
    ['K.OA.A.4', 'pairs-of-10'],
    ['CCSS.MATH.CONTENT.3.NBT.A.1', 'round-to-10'],
    ['Rounding bingo', 'round-to-10'],
    ['order of operations', 'order-operations'],
    ['count mixed coins', 'coins-large'],
  ])('%s is %s', (words, skill) => {
    expect(skills(words)).toContain(skill);
  });

  it('lets the longest words speak: equal fractions are no plain fractions', () => {
    expect(skills('equivalent fractions')[0]).toBe('equal-fractions');
  });

  it('asks the ages which of several is meant', () => {
    expect(skills('addition to 10 and 20', '', [5, 6])).not.toContain('add-in-20');
    expect(skills('sums to twenty', '', [7, 8])).toContain('add-in-20');
    expect(skills('sums to twenty', '', [11, 12])).toEqual([]);
  });

  it('takes three at most and each once', () => {
    const found = skills('make ten, make ten, doubles, count on, skip counting, odd and even');
    expect(found.length).toBe(3);
    expect(new Set(found).size).toBe(3);
  });

  it('has words for every shipped skill and none beside', () => {
    expect(Object.keys(wordsForSkills).sort()).toEqual(graph.skills.map((s) => s.id).sort());
    expect(Object.values(wordsForSkills).every((w) => w.length > 0)).toBe(true);
  });
});
