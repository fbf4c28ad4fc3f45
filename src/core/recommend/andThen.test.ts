import { describe, expect, it } from 'vitest';
import { libraryOffers } from '../../contract/libraryOffers';
import { shippedGraph } from '../../contract/shippedData';
import { andThen, endsEarly } from './andThen';
import { knownFrom } from './knownFrom.testing';
import { learnerNeeds, type LearnerNeeds } from './learnerNeeds';
import type { Offer } from './offer';
import { gateOf } from './valueOf';

const graph = shippedGraph();
const child = (id: string, age: number): LearnerNeeds =>
  learnerNeeds(
    graph,
    { id, nickname: id, age, framework: 'us', supported: false },
    knownFrom(graph.skills.map((s) => 1 / (1 + Math.exp(-1.6 * (age - s.wantedAt.us))))),
  );
const pair = [child('a', 7), child('b', 7.5)];
const offers = libraryOffers(graph).map((o): Offer => ({ ...o, preparationMinutes: 0 }));
const cards = offers.find((o) => o.materials.length === 1 && o.materials[0]!.kind === 'number-deck-1-10' && o.players[0] <= 2)!;
const short: Offer = { ...cards, minutes: 3 };
const next = (
  more: Partial<Parameters<typeof andThen>[1][number]> = {},
  elsewhere: string[] = [],
  learners = pair,
  players?: number,
): Offer | null =>
  andThen(
    graph,
    offers.map((o) => ({ ...o, ...more })),
    [short],
    learners,
    15,
    new Set(elsewhere),
    players,
  );

describe('a game that ends long before its round', () => {
  it('is one that fills less than a third', () => {
    expect(endsEarly([{ ...short, minutes: 4.9 }], 15)).toBe(true);
    expect(endsEarly([{ ...short, minutes: 5 }], 15)).toBe(false);
    expect(
      endsEarly(
        [
          { ...short, minutes: 2 },
          { ...short, minutes: 9 },
        ],
        15,
      ),
    ).toBe(false);
    expect(endsEarly([], 15)).toBe(false);
  });
  it('is followed by another from the same things that all of them may play and that fits in what is left', () => {
    const then = next({ minutes: 6 })!;
    expect(then.game).not.toBe(short.game);
    expect(then.materials.every((m) => m.kind === 'number-deck-1-10' && m.quantity <= short.materials[0]!.quantity)).toBe(true);
    for (const l of pair) expect(gateOf(graph, then, l)).toBeNull();
    expect(next({ minutes: 12.5 })).toBeNull();
  });
  it('leaves out what they play elsewhere, what wants a helper or getting ready, and tables of another size', () => {
    const then = next({ minutes: 6 })!;
    expect(next({ minutes: 6 }, [then.game])?.game).not.toBe(then.game);
    expect(next({ minutes: 6, helper: 'needed' })).toBeNull();
    expect(next({ minutes: 6, preparationMinutes: 1 })).toBeNull();
    expect(next({ minutes: 6, players: [3, 4] })).toBeNull();
    // Two on one seat are one player, and a grown-up is one more.
    expect(next({ minutes: 6, players: [3, 4] }, [], pair, 3)).not.toBeNull();
    expect(next({ minutes: 6, players: [2, 4] }, [], pair, 1)).toBeNull();
  });
});
