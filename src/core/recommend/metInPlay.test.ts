import { describe, expect, it } from 'vitest';
import { shippedGraph } from '../../contract/shippedData';
import type { Standing } from '../mastery/standing';
import { standingOn } from '../mastery/standing';
import { metFrom, metInPlay, type Play, renewed } from './metInPlay';
import type { Offer } from './offer';

const graph = shippedGraph();
const at = (id: string): number => graph.indexOf.get(id)!;
const offer = (variant: string, doses: Record<string, number>, more: Partial<Offer> = {}): Offer =>
  ({
    variant,
    game: variant,
    players: [2, 4],
    minutes: 20,
    doses: Float64Array.from(graph.skills, (s) => doses[s.id] ?? 0),
    ...more,
  }) as Offer;
const play = (variant: string, date: string, more: Partial<Play> = {}): Play => ({
  learner: 'wren',
  variant,
  players: 2,
  minutes: 10,
  date,
  ...more,
});

describe('what was met in play', () => {
  const offers = [
    offer('lamps', { 'make-ten': metFrom, 'add-in-10': metFrom - 0.1 }),
    offer('bees', { 'count-on': 8 }, { counted: { seats: 2, waiting: 0.5 } }),
  ];
  it('is what a round gave enough chances of, on the last day it did', () => {
    const met = metInPlay([play('lamps', '2026-11-03'), play('lamps', '2026-11-10'), play('lamps', '2026-11-05')], offers);
    expect([...met.get('wren')!]).toEqual([[at('make-ten'), '2026-11-10']]);
    // Half as long a round gives half as many.
    expect([...metInPlay([play('lamps', '2026-11-03', { minutes: 5 })], offers).get('wren')!]).toEqual([]);
    expect(metInPlay([play('gone', '2026-11-03')], offers).get('wren')).toBeUndefined();
    // Two on one seat meet half of its chances each: enough only in a round twice as long.
    expect([...metInPlay([play('lamps', '2026-11-03', { shared: true })], offers).get('wren')!]).toEqual([]);
    expect(
      metInPlay([play('lamps', '2026-11-03', { shared: true, minutes: 20 })], offers)
        .get('wren')!
        .get(at('make-ten')),
    ).toBe('2026-11-03');
  });
  it('is counted at the table of that day, for each child alone', () => {
    const met = metInPlay([play('bees', '2026-11-03'), play('bees', '2026-11-04', { learner: 'fern', players: 4 })], offers);
    expect([...met.get('wren')!.keys()]).toEqual([at('count-on')]);
    // In turn among four it is four chances in ten minutes.
    expect([...met.get('fern')!.keys()]).toEqual([at('count-on')]);
    expect([
      ...metInPlay([play('bees', '2026-11-04', { players: 4, minutes: 9 })], offers)
        .get('wren')!
        .keys(),
    ]).toEqual([]);
  });
  it('begins the fading of what was seen once anew, and says nothing of what never was', () => {
    const seen: Standing = { theta: 2, variance: 0.3, memory: { difficulty: 5, stability: 3 }, lastMet: '2026-06-01' };
    const never: Standing = { theta: 0.5, variance: 1, memory: null, lastMet: null };
    const skills = graph.skills.map((_, k) => (k === at('make-ten') ? seen : never));
    const met = new Map([
      [at('make-ten'), '2026-11-10'],
      [at('count-on'), '2026-11-10'],
    ]);
    const after = renewed(skills, met);
    expect(after[at('make-ten')]).toEqual({ ...seen, lastMet: '2026-11-10' });
    expect(after[at('count-on')]).toEqual(never);
    expect(renewed(skills, undefined)).toEqual(skills);
    expect(renewed(skills, new Map([[at('make-ten'), '2026-05-01']]))[at('make-ten')]).toEqual(seen);
    const day = '2026-11-12';
    const [rested, fresh] = [skills, after].map((s) => standingOn(graph, s, day));
    expect(fresh!.theta[at('make-ten')]!).toBeGreaterThan(rested!.theta[at('make-ten')]!);
    expect([rested!.due[at('make-ten')], fresh!.due[at('make-ten')]]).toEqual([1, 0]);
  });
});
