import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { forEverybody } from './forEverybody';
import { knownFrom } from './knownFrom.testing';
import { learnerNeeds } from './learnerNeeds';
import type { Offer } from './offer';
import { offerOf } from './offer.testing';

const graph = shippedGraph();
const child = (id: string, age: number) =>
  learnerNeeds(
    graph,
    { id, nickname: id, age, framework: 'us', supported: false },
    knownFrom(graph.skills.map((s) => (s.wantedAt.us < 6.2 ? 0.6 : 1e-7))),
  );
const children = [child('a', 6), child('b', 6), child('c', 7), child('d', 6), child('e', 7)];
const offer = (variant: string, more: Partial<Offer> = {}): Offer =>
  offerOf(variant, { 'add-in-5': 14 }, { game: variant.split('-')[0]!, players: [2, 30], helper: 'alone', source: 'declared', ...more });
const games = (offers: Offer[]): string[] => forEverybody(graph, offers, children, 15).map((f) => f.game);

describe('games for everybody', () => {
  it('seat all at once, are known, and fit into the round', () => {
    expect(games([offer('loop')])).toEqual(['loop']);
    expect(games([offer('loop', { players: [2, 5] })])).toEqual(['loop']);
    expect(games([offer('loop', { players: [2, 4] })])).toEqual([]);
    expect(games([offer('loop', { players: [6, 30] })])).toEqual([]);
    expect(games([offer('loop', { minutes: 40 })])).toEqual([]);
    expect(games([offer('loop', { source: 'unknown' as Offer['source'] })])).toEqual([]);
  });
  it('put those first that serve most, then those that do most', () => {
    const twice = offer('double', { doses: Float64Array.from(offer('x').doses, (d) => 2 * d) });
    expect(games([offer('single'), twice])).toEqual(['double', 'single']);
    const forTwo = offer('few', { doses: twice.doses, ages: [9, 12] });
    const found = forEverybody(graph, [forTwo, offer('single')], [...children.slice(1), child('f', 9)], 15);
    expect(found.map((f) => f.game)[0]).toBe('single');
    expect(found[0]!.serves).toBe(5);
  });
  it('take for each child the version that suits, of one way of sharing the table', () => {
    const small = offer('loop-small', { ages: [5, 6.9] });
    const tall = offer('loop-tall', { ages: [7, 9] });
    const apart = forEverybody(graph, [small, { ...tall, mixClass: 'tall' }], children, 15)[0]!.serves;
    expect(forEverybody(graph, [small, tall], children, 15)[0]!.serves).toBeGreaterThanOrEqual(apart);
  });
});
