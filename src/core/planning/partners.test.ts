import { describe, expect, it } from 'vitest';
import type { Offer } from '../recommend/offer';
import { familyOf, type PlanInstance, type Schedule } from './instance';
import { tight, withAims } from './instances.testing';
import { below, createRng } from '../shared/rng';
import { meanwhileFor } from './meanwhile';
import { partnersIn } from './partners';
import { isShared, playersAt } from './seatsAt';
import type { BuiltSession } from './buildSession';

const version = (variant: string, more: Partial<Offer> = {}): Offer =>
  ({ variant, game: variant.split('-')[0], players: [1, 4], helper: 'alone', preparationMinutes: 0, ...more }) as Offer;

/** Four children, games of two versions each; everything is open unless it is barred. */
function session(
  more: Partial<PlanInstance> = {},
  chosen: (l: number, g: number) => Offer | null = (_, g) => version(`g${g}-a`),
): BuiltSession {
  const games = 3;
  const learners = 4;
  const instance: PlanInstance = {
    learners,
    rounds: 2,
    tables: 1,
    helpers: 0,
    preparationMinutes: 0,
    stock: [1],
    slopes: [1],
    games: Array.from({ length: games }, () => ({ min: 2, max: 2, materials: [], helper: 0, preparation: 0 })),
    gaps: Array.from({ length: learners }, () => [1]),
    value: Array.from({ length: learners }, () => Array.from({ length: games }, () => 0.1)),
    dose: Array.from({ length: learners }, () => Array.from({ length: games }, () => [[0, 0.5] as const])),
    aims: { rest: [1, 1, 1, 1] },
    ...more,
  };
  return {
    instance,
    options: instance.games.map((_, g) => ({ game: `g${g}`, offers: [], beside: false })),
    chosen: instance.gaps.map((_, l) => instance.games.map((__, g) => chosen(l, g))),
    stretched: instance.gaps.map(() => instance.games.map(() => false)),
    gapSkills: [],
    kinds: ['die'],
    passedOver: 0,
  };
}
const schedule: Schedule = [[{ game: 0, learners: [0, 1] }], [{ game: 1, learners: [0, 2] }]];

/** Two tables a round, each with as many as it may have of those to whom it is open. */
function fewSeats(instance: PlanInstance, seed: number): Schedule {
  const rng = createRng(seed, 3);
  const played = new Set<string>();
  return Array.from({ length: instance.rounds }, (_, round) => {
    const seated = new Set((instance.resting ?? []).filter(([, r]) => r === round).map(([l]) => l));
    return [below(rng, 5), 5 + below(rng, 5)].flatMap((game) => {
      const key = (l: number): string => `${l}|${familyOf(instance, game)}`;
      const open = instance.gaps.map((_, l) => l).filter((l) => !seated.has(l) && instance.value[l]![game]! >= 0 && !played.has(key(l)));
      const learners = open.slice(0, instance.games[game]!.max);
      for (const l of learners) {
        seated.add(l);
        played.add(key(l));
      }
      return learners.length >= instance.games[game]!.min ? [{ game, learners }] : [];
    });
  });
}

const open = (): boolean => true;

describe('two on one seat', () => {
  it('before anybody rests: each seat once, and who shares goes round', () => {
    const partners = partnersIn(session(), schedule, open);
    expect(partners.map((p) => [p.round, p.learner]).toSorted()).toEqual([
      [0, 2],
      [0, 3],
      [1, 1],
      [1, 3],
    ]);
    for (const round of [0, 1]) expect(new Set(partners.filter((p) => p.round === round).map((p) => p.holder)).size).toBe(2);
  });
  it('not where the game is not open to a child, was played, or somebody sits there who is to be kept apart', () => {
    const barred = session({ value: [0, 1, 2, 3].map((l) => [l === 3 ? -1 : 0.1, 0.1, 0.1]) });
    expect(partnersIn(barred, schedule, open).filter((p) => p.learner === 3 && p.round === 0)).toEqual([]);
    const apart = session({ aims: { rest: [1, 1, 1, 1], apart: [[3, 1]] } });
    expect(
      partnersIn(apart, schedule, open)
        .filter((p) => p.learner === 3)
        .map((p) => p.round),
    ).toEqual([]);
    // In the second round it is a partner there who is in the way.
    expect(partnersIn(apart, schedule, open).find((p) => p.round === 1 && p.learner === 1)).toBeDefined();
    // One game in both rounds: who played it does not play it again, unless twice is allowed.
    const again: Schedule = [[{ game: 0, learners: [0, 1] }], [{ game: 0, learners: [2, 3] }]];
    expect(partnersIn(session(), again, open)).toEqual([]);
    expect(partnersIn(session({ timesEach: 2 }), again, open)).toHaveLength(4);
  });
  it('leaves those to rest who are to', () => {
    const partners = partnersIn(session({ resting: [[3, 0]] }), schedule, open);
    expect(partners.some((p) => p.learner === 3 && p.round === 0)).toBe(false);
    expect(partners.some((p) => p.learner === 3 && p.round === 1)).toBe(true);
  });
  it('rather with a child who plays the same version', () => {
    const built = session({}, (l, g) => version(`g${g}-${l === 0 || l === 3 ? 'small' : 'tall'}`));
    expect(partnersIn(built, schedule, open).find((p) => p.learner === 3 && p.round === 0)!.holder).toBe(0);
  });
  it('not at a version that is not open to the child, though the game is', () => {
    const built = session({}, (l, g) => version(`g${g}-${l === 0 ? 'tall' : 'small'}`));
    const suits = (_: number, o: Offer): boolean => !o.variant.endsWith('tall');
    const partners = partnersIn(built, schedule, suits);
    expect(partners.length).toBeGreaterThan(0);
    expect(partners.every((p) => p.holder !== 0)).toBe(true);
  });
  it('breaks no rule in sessions of every sort', () => {
    let shared = 0;
    for (let seed = 0; seed < 40; seed++) {
      const instance = withAims(tight(seed), seed);
      const found = fewSeats(instance, seed);
      const built = {
        ...session(),
        instance,
        chosen: instance.value.map((row) => row.map((v, g) => (v >= 0 ? version(`g${g}-a`) : null))),
      };
      const times = new Map<string, number>();
      const count = (l: number, g: number): number => {
        const key = `${l}|${familyOf(instance, g)}`;
        times.set(key, (times.get(key) ?? 0) + 1);
        return times.get(key)!;
      };
      for (const t of found.flat()) for (const l of t.learners) count(l, t.game);
      const holders = new Set<string>();
      for (const p of partnersIn(built, found, open)) {
        shared++;
        const table = found[p.round]![p.table]!;
        expect(table.learners).toContain(p.holder);
        expect(found[p.round]!.some((t) => t.learners.includes(p.learner))).toBe(false);
        expect(instance.resting).not.toContainEqual([p.learner, p.round]);
        expect(instance.value[p.learner]![table.game]).toBeGreaterThanOrEqual(0);
        expect(count(p.learner, table.game)).toBe(1);
        expect(holders.has(`${p.round}|${p.holder}`)).toBe(false);
        holders.add(`${p.round}|${p.holder}`);
      }
    }
    expect(shared).toBeGreaterThan(20);
  });
  it('is one player, and a grown-up who plays along is one more', () => {
    const table = { seats: [{ learner: 'a' }, { learner: 'b', with: 'a' }, { learner: 'c' }], grownUp: true };
    expect(playersAt(table)).toBe(3);
    expect(['a', 'b', 'c'].map((l) => isShared(table, l))).toEqual([true, true, false]);
  });
});

describe('what is done meanwhile', () => {
  const alone = (more: Partial<Offer> = {}) =>
    session({ value: [0, 1, 2, 3].map(() => [0.1, 0.1, 0.5]) }, (_, g) => version(`g${g}-a`, more));
  it('is the game of most worth that is played alone, and not one of the tables of the session', () => {
    expect(meanwhileFor(alone(), schedule, 0, 3, new Set())?.variant).toBe('g2-a');
    expect(meanwhileFor(alone(), schedule, 0, 3, new Set(['g2-a']))?.variant).toBe('g0-a');
    expect(meanwhileFor(alone(), schedule, 0, 1, new Set(['g2-a']))?.variant).toBe('g1-a');
  });
  it('is nothing where company, a helper or preparation is wanted, or the things are on the tables', () => {
    expect(meanwhileFor(alone({ players: [2, 4] }), schedule, 0, 3, new Set())).toBeNull();
    expect(meanwhileFor(alone({ helper: 'needed' }), schedule, 0, 3, new Set())).toBeNull();
    expect(meanwhileFor(alone({ preparationMinutes: 5 }), schedule, 0, 3, new Set())).toBeNull();
    const built = alone();
    const games = built.instance.games.map((g) => ({ ...g, materials: [[0, 1] as const] }));
    expect(meanwhileFor({ ...built, instance: { ...built.instance, games } }, schedule, 0, 3, new Set())).toBeNull();
    expect(meanwhileFor({ ...built, instance: { ...built.instance, games, stock: [2] } }, schedule, 0, 3, new Set())?.variant).toBe('g2-a');
  });
});
