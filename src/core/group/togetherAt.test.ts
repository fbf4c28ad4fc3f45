import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { learnerNeeds } from '../recommend/learnerNeeds';
import { knownFrom } from '../recommend/knownFrom.testing';
import type { Offer } from '../recommend/offer';
import { offerOf } from '../recommend/offer.testing';
import { togetherAt } from './togetherAt';

const graph = shippedGraph();
const at = (id: string): number => graph.indexOf.get(id)!;
const child = (id: string, age: number, open: string, held = 0.4) => {
  const all = new Float64Array(graph.skills.length).fill(0.95);
  all[at(open)] = held;
  return learnerNeeds(graph, { id, nickname: id, age, framework: 'us', supported: false }, knownFrom(all));
};
const offer = (variant: string, doses: Record<string, number>, more: Partial<Offer> = {}): Offer =>
  offerOf(variant, doses, { players: [2, 3], ages: [5, 11], ...more });
const lantern = [offer('lantern/tens', { 'make-ten': 15 }), offer('lantern/tables', { 'times-2': 15 })];

describe('who can sit together, and for which game', () => {
  it('is each child with a version and an open step of its own', () => {
    expect(togetherAt(graph, lantern, [child('wren', 7, 'make-ten'), child('robin', 9, 'times-2')], 8)).toEqual([
      {
        game: 'lantern',
        seats: [
          { learner: 'robin', variant: 'lantern/tables', skill: 'times-2' },
          { learner: 'wren', variant: 'lantern/tens', skill: 'make-ten' },
        ].sort((x, y) => (x.learner < y.learner ? -1 : 1)),
      },
    ]);
  });
  it('is nobody who holds all of it, who is alone with it, or who would sit at versions that share no table', () => {
    const two = [child('wren', 7, 'make-ten'), child('robin', 9, 'times-2')];
    expect(togetherAt(graph, [lantern[0]!], two, 8)).toEqual([]);
    expect(togetherAt(graph, [lantern[0]!, { ...lantern[1]!, mixClass: 'two' }], two, 8)).toEqual([]);
    expect(togetherAt(graph, lantern, [child('a', 7, 'make-ten', 0.95), child('b', 7, 'make-ten', 0.95)], 8)).toEqual([]);
    expect(togetherAt(graph, [{ ...lantern[0]!, source: 'none' }], [child('a', 7, 'make-ten'), child('b', 7, 'make-ten')], 8)).toEqual([]);
  });
  it('holds no more than can play, and keeps who is far too old away', () => {
    const four = ['a', 'b', 'c', 'd'].map((id) => child(id, 7, 'make-ten'));
    expect(togetherAt(graph, lantern, four, 8)[0]!.seats).toHaveLength(3);
    const young = [offer('lantern/tens', { 'make-ten': 15 }, { ages: [9, 11] })];
    expect(togetherAt(graph, young, four.slice(0, 2), 8)).toEqual([]);
  });
  it('names games that serve more children first, each once', () => {
    const three = ['a', 'b', 'c'].map((id) => child(id, 7, 'make-ten'));
    const pairs = [offer('pairs/tens', { 'make-ten': 15 }, { players: [2, 2] })];
    expect(togetherAt(graph, [...pairs, ...lantern], three, 8).map((t) => [t.game, t.seats.length])).toEqual([
      ['lantern', 3],
      ['pairs', 2],
    ]);
    expect(togetherAt(graph, [...pairs, ...lantern], three, 1)).toHaveLength(1);
  });
});
