import { describe, expect, it } from 'vitest';
import { checkTable } from '../../contract/parameters';
import { otherValues } from '../play/schemaValues';
import { shippedGraph } from '../../contract/shippedData';
import { Simulation } from '../simulate/simulation';
import { simulationResult, type Estimate, type SimulationResult } from '../simulate/simulationResult';
import { mechanisms } from './registry';

/** Parameters that act only beside others: the setting in which each is turned. */
const beside: Readonly<Record<string, Readonly<Record<string, object>>>> = {
  'sum-columns': { copies: { draw: 'no-return', highestFace: 10, lastColumn: 20, height: 5 } },
  'track-race': {
    minusFaces: { move: 'signed' },
    loops: {
      jumps: [
        [12, 3],
        [20, 5],
        [26, 8],
      ],
    },
    specialEvery: { special: 'odd-even' },
    tokenEvery: { tokens: 'give' },
  },
  'running-total': { copies: { handSize: 1, deckOut: 'ends' }, deckOut: { high: 300 }, low: { direction: 'down' } },
  'pair-memory': { gap: { relation: 'difference' } },
  'ask-for-cards': { copies: { drawPile: false } },
  'close-the-tiles': { aim: { tiles: 6, operations: ['add', 'subtract'] }, stuck: { operations: ['add', 'subtract'] } },
  'equation-draw': { bonusFour: { terms: 'three-or-four', hand: 8 } },
  'target-combine': { mostStars: { highest: 13 }, leastStars: { highest: 13 }, timeBox: { leastStars: 3, tries: 20 } },
  'digit-placement': { target: { goal: 'nearest' } },
  'neighbour-race': { wasted: { rule: 'die-is-factor' }, occupied: { width: 2 } },
  'bound-guess': { points: { rounds: 6, wrong: 1 }, outside: { rounds: 6 }, wrong: { points: 20, rounds: 3 } },
  'cover-grid': {},
  'split-and-spill': {
    first: { from: 'bag' },
    second: { from: 'bag' },
    order: { ends: 'all-seen', zeros: false },
    zeros: { ends: 'all-seen', counters: 5 },
  },
  'continue-the-pattern': { step: { kind: 'grows' } },
  'match-sets': {
    clockStep: { halves: 'clock-and-time' },
    coins: { halves: 'coins-and-amount', highest: 99 },
    roundTo: { halves: 'number-and-rounded' },
  },
  'sequence-grid': { direction: { start: 100 }, start: { step: 5 } },
  'call-and-claim': { wait: { form: 'race' } },
  'place-digit-hop': { hops: { finish: 'hops-used' } },
  'count-the-lot': { group: { pieces: 'counters' } },
  'measure-and-record': { scale: { chart: 'bars' } },
  'part-whole-dice': { rounds: { ends: 'rounds' }, takeOther: { ends: 'one-grid-full', cells: 1 } },
  'take-away-piles': { last: { size: 9 } },
  'press-your-luck': { holdAt: { goal: 100 }, bust: { dice: 2 } },
  'compare-cards': {
    tie: { cards: 1, highest: 3 },
    draw: { cards: 3, highest: 4, copies: 3 },
    bottom: { join: 'fraction' },
    sayHalf: { join: 'fraction' },
    by: { join: 'times', cards: 1 },
  },
  'angle-aim': { whole: { play: 'finds-the-missing-one' } },
  'calendar-hunt': { step: { cards: 'twenty-four-hours' }, longest: { cards: 'timetable' } },
  'sets-and-runs': { step: { cards: 'multiples-in-a-row' } },
  'boxes-and-nets': { pieces: { task: 'build-from-pieces' } },
  'deal-order-puzzle': { under: { help: 'none' }, starts: { help: 'none' }, pattern: { help: 'none' } },
};

/** Jumps and missing cards have no list to choose from. */
const others = (schema: Readonly<Record<string, unknown>>, value: unknown): unknown[] => {
  const values = otherValues(schema, value);
  if (values.length > 0) return values;
  return (schema['items'] as { type: string }).type === 'integer'
    ? [
        [1, 1, 1, 1, 2, 2, 2, 2, 3, 3, 3],
        [10, 10, 10, 9, 9, 9, 8, 8, 8, 8],
      ]
    : [
        [
          [5, 15],
          [9, 2],
          [20, 11],
        ],
      ];
};

function play(id: string, parameters: object, seats: number, games: number): SimulationResult | null {
  const players = Array.from({ length: seats }, (_, s) => ({ policy: s === 0 ? ('careful' as const) : ('typical' as const) }));
  const table = checkTable(id, parameters, players);
  if (!table.ok) return null;
  const sim = new Simulation(table.value.mechanism, table.value.seats, shippedGraph(), { seed: 3, games });
  while (!sim.advance());
  return simulationResult(sim);
}

/** Everything a profile measures, by name. */
function measuresOf(r: SimulationResult): Map<string, Estimate> {
  const all = new Map<string, Estimate>([
    ['turns', r.turns],
    ['minutes', { mean: r.minutes.mean, standardError: r.minutes.standardError }],
    ['score', r.outcomes.score],
  ]);
  r.outcomes.wins.forEach((w, s) =>
    all.set(`wins of seat ${s + 1}`, { mean: w, standardError: Math.sqrt((w * (1 - w) + 1e-4) / r.games) }),
  );
  for (const [name, mean] of Object.entries(r.measures)) all.set(name, { mean, standardError: r.measureErrors[name]! });
  for (const [name, e] of Object.entries(r.shares)) all.set(`share of ${name}`, e);
  for (const [s, doses] of r.doses.entries())
    for (const d of doses) all.set(`${d.skill} of seat ${s + 1}`, { mean: d.perTenMinutes, standardError: d.standardError });
  return all;
}

/** The measure that moves most, in standard errors. */
function mover(before: SimulationResult, after: SimulationResult): { name: string; errors: number } {
  const [x, y] = [measuresOf(before), measuresOf(after)];
  let best = { name: 'none', errors: 0 };
  for (const name of new Set([...x.keys(), ...y.keys()])) {
    const [p, q] = [x.get(name) ?? { mean: 0, standardError: 0 }, y.get(name) ?? { mean: 0, standardError: 0 }];
    const gap = Math.abs(p.mean - q.mean);
    if (gap < 1e-9) continue;
    const errors = gap / Math.max(1e-9, Math.hypot(p.standardError, q.standardError));
    if (errors > best.errors) best = { name, errors };
  }
  return best;
}

const rows = mechanisms.flatMap((m) =>
  Object.entries(m.parametersSchema.properties).map(([name, schema]) => [m.id, name, schema] as const),
);

describe('every parameter changes the play', () => {
  it.each(rows)('%s: %s', (id, name, schema) => {
    const m = mechanisms.find((x) => x.id === id)!;
    const setting = { ...beside[id]?.[name] };
    const seats = Math.min(m.seats.max, 3);
    let best = { name: 'nothing could be tried', errors: 0 };
    for (const games of [160, 1600]) {
      const base = play(id, setting, seats, games);
      expect(base, `the setting for ${name} is refused`).not.toBeNull();
      const now = (setting as Record<string, unknown>)[name] ?? (m.defaults as Record<string, unknown>)[name];
      for (const value of others(schema, now)) {
        const turned = play(id, { ...setting, [name]: value }, seats, games);
        if (!turned) continue;
        const moved = mover(base!, turned);
        if (moved.errors > best.errors) best = moved;
        if (best.errors > 4) return;
      }
    }
    expect(best.errors, `${id}.${name} moves nothing (most: ${best.name})`).toBeGreaterThan(4);
  });
});
