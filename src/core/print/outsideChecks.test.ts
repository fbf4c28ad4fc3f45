import { DirectedGraph } from 'graphology';
import { stronglyConnectedComponents } from 'graphology-components';
import { describe, expect, it } from 'vitest';
import { asWritten } from '../../contract/countries';
import { DEFAULTS as CHAIN } from '../mechanisms/chain-cards/parameters';
import type { Loop } from '../mechanisms/chain-cards/rules';
import { DEFAULTS as EDGES } from '../mechanisms/edge-tiles/parameters';
import { deckOf } from '../mechanisms/edge-tiles/rules';
import { createRng, shuffle } from '../shared/rng';
import { sheetKindById } from './registry';

const made = (id: string, parameters: object, seed: number): unknown => {
  const kind = sheetKindById(id)!;
  return kind.make({ ...kind.example, ...parameters }, { rng: createRng(seed, 17), country: asWritten });
};

describe('sheets against something outside', () => {
  it('chain cards are one cycle for a graph library that knows nothing of them', () => {
    for (const [operation, highest] of [
      ['sum', 30],
      ['difference', 40],
      ['product', 100],
      ['ten-more-or-less', 90],
      ['double-or-half', 60],
    ] as const)
      for (let seed = 1; seed <= 6; seed++) {
        const { loop } = made('chain-cards', { ...CHAIN, operation, highest, cards: 16 }, seed) as { loop: Loop };
        const graph = new DirectedGraph();
        loop.answer.forEach((answer) => graph.addNode(String(answer)));
        loop.answer.forEach((answer, i) => {
          const [a, b] = [loop.a[i]!, loop.b[i]!];
          graph.addEdge(String(answer), String([a + b, a - b, a * b, a / b][loop.op[i]!]!));
        });
        expect([operation, seed, stronglyConnectedComponents(graph).length]).toEqual([operation, seed, 1]);
        graph.forEachNode((n) => expect([graph.outDegree(n), graph.inDegree(n)]).toEqual([1, 1]));
      }
  });

  it('grid cards fill after as many calls as the exact mean says', () => {
    // The last of m marked numbers among N in random order stands at m(N + 1)/(m + 1) on average (order statistics of a draw without return).
    const [pool, size, cards] = [25, 3, 6];
    const m = size ** 2;
    const exact = (m * (pool + 1)) / (m + 1);
    const { cards: printed, calls } = made('grid-cards', { relation: 'number', lowest: 1, pool, size, cards }, 3) as {
      cards: number[][];
      calls: unknown[];
    };
    expect(calls.length).toBe(pool);
    const rng = createRng(11);
    const order = Int32Array.from({ length: pool }, (_, i) => i);
    let [sum, squares, n] = [0, 0, 0];
    for (let game = 0; game < 4000; game++) {
      shuffle(rng, order, pool);
      const at = new Map([...order].map((call, i) => [call, i + 1]));
      const full = Math.max(...printed[game % cards]!.map((c) => at.get(c)!));
      sum += full;
      squares += full * full;
      n++;
    }
    const mean = sum / n;
    const error = Math.sqrt((squares / n - mean * mean) / n);
    expect(Math.abs(mean - exact)).toBeLessThan(4 * error);
  });

  it('edge tiles are as many different ones as are asked for, of as many as Burnside’s count allows', () => {
    // Four edges of k sorts, turned by quarters: (k⁴ + k² + 2k)/4 (Burnside's lemma); enumerated beside it for small k.
    const burnside = (k: number): number => (k ** 4 + k ** 2 + 2 * k) / 4;
    const key = (edges: readonly string[]): string => [0, 1, 2, 3].map((t) => [...edges.slice(t), ...edges.slice(0, t)].join()).sort()[0]!;
    for (const k of [2, 3, 4]) {
      const all = new Set<string>();
      for (let i = 0; i < k ** 4; i++) all.add(key([0, 1, 2, 3].map((e) => String(Math.floor(i / k ** e) % k))));
      expect(all.size).toBe(burnside(k));
    }
    const tiles = deckOf(EDGES);
    const different = new Set(
      Array.from({ length: tiles.count }, (_, t) => key([0, 1, 2, 3].map((e) => `${tiles.number[4 * t + e]}/${tiles.colour[4 * t + e]}`))),
    );
    expect(different.size).toBe(EDGES.tiles);
    expect(different.size).toBeLessThan(burnside((EDGES.highest - EDGES.lowest + 1) * EDGES.colours));
  });
});
