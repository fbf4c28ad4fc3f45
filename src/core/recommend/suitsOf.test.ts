import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { learnerNeeds } from './learnerNeeds';
import { knownFrom } from './knownFrom.testing';
import { offerOf } from './offer.testing';
import { suitsOf } from './suitsOf';

const graph = shippedGraph();
const k = graph.indexOf.get('add-in-10')!;
const offer = offerOf('g/v', { 'add-in-10': 10 }, { players: [1, 4], ages: [5, 9], minutes: 10 });
const suited = (known: number) => {
  const map = new Float64Array(graph.skills.length).fill(0.9);
  map[k] = known;
  const needs = learnerNeeds(graph, { id: 'l', nickname: 'Wren', age: 7, framework: 'us', supported: false }, knownFrom(map));
  return suitsOf(graph, offer, needs, new Array<number>(map.length).fill(0.7));
};

describe('whom a version suits', () => {
  it('rises with mastery, and its range holds the middle', () => {
    const low = suited(0.3);
    const high = suited(0.8);
    expect(high.success).toBeGreaterThan(low.success);
    for (const s of [low, high]) {
      expect(s.low).toBeLessThan(s.success);
      expect(s.high).toBeGreaterThan(s.success);
    }
    expect(high.gate).toBeNull();
  });
});
