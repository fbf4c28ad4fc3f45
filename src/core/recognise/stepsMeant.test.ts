import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { stepsMeant } from './stepsMeant';

const graph = shippedGraph();
describe('steps that a search means', () => {
  it('takes a title or code before what words name, and that before titles that hold all words', () => {
    expect(stepsMeant(graph, 'Pairs of ten', [])[0]).toBe('pairs-of-10');
    expect(stepsMeant(graph, 'K.OA.A.4', [])).toEqual(['pairs-of-10']);
    expect(stepsMeant(graph, 'make ten', ['pairs-of-10'])).toEqual(['pairs-of-10', 'make-ten']);
  });
  it('finds a title by its words in any order, small ones aside', () => {
    expect(stepsMeant(graph, 'games for ones and tens', [])).toContain('tens-and-ones');
  });
  it('means nothing by nothing', () => {
    expect(stepsMeant(graph, '', [])).toEqual([]);
    expect(stepsMeant(graph, 'the of', [])).toEqual([]);
    expect(stepsMeant(graph, 'zebra', [])).toEqual([]);
  });
});
