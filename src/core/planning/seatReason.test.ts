import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import { learnerNeeds } from '../recommend/learnerNeeds';
import { knownFrom } from '../recommend/knownFrom.testing';
import type { Offer } from '../recommend/offer';
import { seatReason } from './seatReason';

const graph = shippedGraph();
const k = graph.indexOf.get('make-ten')!;

/** Why a seat at a game of making tens is good for a child who holds so much of it and of what it needs. */
function because(known: number, before: number, due = 0): string {
  const all = new Float64Array(graph.skills.length).fill(before);
  all[k] = known;
  const fade = new Uint8Array(all.length);
  fade[k] = due;
  const needs = learnerNeeds(graph, { id: 'x', nickname: 'X', age: 7, framework: 'us', supported: false }, knownFrom(all, fade));
  const doses = new Float64Array(all.length);
  doses[k] = 20;
  const reason = seatReason(graph, { doses } as Offer, needs, 15);
  expect([reason.skill, reason.chances]).toEqual(['make-ten', 30]);
  return reason.because;
}

describe('why a seat is good', () => {
  it('is readiness only for what is open, with all that it needs there', () => {
    expect(because(0.84, 0.95)).toBe('ready');
    expect(because(0.2, 0.65)).toBe('ready');
    expect(because(0.2, 0.05)).toBe('near');
  });
  it('is meeting again for what is held and due, and joy for what is held', () => {
    expect(because(0.85, 0.95, 1)).toBe('again');
    expect(because(0.95, 0.95)).toBe('joy');
  });
});
