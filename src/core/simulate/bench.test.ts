import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkTable } from '../../contract/parameters';
import { mechanismById, mechanisms } from '../mechanisms/registry';
import { otherValues, schemaProblem } from '../play/schemaValues';
import { run } from '../mechanisms/playing.testing';
import { fairnessOf } from './fairness';
import { searchChanges } from './searchChanges';
import { seatsFor } from './seats';
import { Simulation } from './simulation';
import { simulationResult } from './simulationResult';
import { tableOf } from './tableOf';
import { aroundMinutes, choosingSeconds, DEFAULT_TIME, timeProblem } from './timeModel';

const search = (id: string, parameters: object, wish: Parameters<typeof searchChanges>[3]) => {
  const steps = searchChanges(mechanismById(id)!, parameters, 2, wish, 7);
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value;
};

describe('what would give …', () => {
  it('more taking away: turning the running total round', () => {
    const changes = search('running-total', {}, 'more-subtraction');
    expect(changes.length).toBeGreaterThan(0);
    expect(changes.length).toBeLessThanOrEqual(3);
    expect(changes[0]).toMatchObject({ parameter: 'direction' });
    expect(changes[0]!.after.mean).toBeGreaterThan(changes[0]!.before.mean * 3);
    // The promise is kept when the change is played on its own, with other random numbers.
    const again = run('running-total', { [changes[0]!.parameter]: changes[0]!.value }, 2, 1500, 99);
    const perChild = ((again.shares.subtract.mean * again.measures['itemsPerTurn']! * again.turns.mean) / again.minutes.mean / 2) * 10;
    expect(Math.abs(perChild - changes[0]!.after.mean)).toBeLessThan(0.15 * perChild);
  });
  it('fewer turns with nothing to do in a neighbour race, and no game that never ends', () => {
    for (const c of search('neighbour-race', {}, 'fewer-idle-turns')) {
      expect(c.after.mean).toBeLessThan(c.before.mean);
      expect(c.minutes.mean).toBeLessThan(60);
    }
  });
  it('nothing, when no change helps', () => {
    expect(search('press-your-luck', {}, 'more-multiplication')).toEqual([]);
  });
});

describe('fairness', () => {
  const table = (id: string, parameters: object, seats: Parameters<typeof seatsFor>[2]) =>
    fairnessOf(mechanismById(id)!, seatsFor(mechanismById(id)!, parameters, seats), 7, 800);
  it('finds who goes first in a race, and that luck decides it', () => {
    const f = table('track-race', { end: 20 }, 2)!;
    expect(f.seatAdvantage.mean).toBeGreaterThan(0.05);
    expect(f.choiceWord).toBe('little');
    expect(f.wins.reduce((sum, w) => sum + w.mean, 0)).toBeCloseTo(1, 6);
  });
  it('finds that choices matter much in taking from piles', () => {
    expect(table('take-away-piles', {}, 2)!.choiceWord).toBe('much');
  });
  it('evens a mixed table by a head start that works', () => {
    const f = table('track-race', { end: 40 }, [{ parameters: { highestFace: 8 } }, { parameters: { highestFace: 4 } }])!;
    expect(f.handicap).toMatchObject({ seat: 1, unit: 'spaces' });
    expect(Math.abs(f.handicap!.after.mean - 0.5)).toBeLessThan(0.08);
  });
  it('has nothing to say where nobody can win', () => {
    expect(table('chain-cards', {}, 3)).toBeNull();
  });
});

describe('checking without a schema library', () => {
  it('agrees with the schema library on every family', () => {
    for (const m of mechanisms)
      for (const [name, schema] of Object.entries(m.parametersSchema.properties))
        for (const value of [
          ...otherValues(schema, (m.defaults as Record<string, unknown>)[name]).slice(0, 3),
          1e9,
          Number.NaN,
          'nonsense',
          null,
        ]) {
          const seats = Math.max(1, m.seats.min);
          expect([m.id, name, value, tableOf(m.id, { [name]: value }, seats).ok]).toEqual([
            m.id,
            name,
            value,
            checkTable(m.id, { [name]: value }, seats).ok,
          ]);
        }
  });
  it('names the field that does not fit', () => {
    expect(schemaProblem(mechanismById('track-race')!.parametersSchema.properties, { end: 1e9 })).toMatchObject({ field: 'end' });
    expect(tableOf('no-such', {}, 2)).toMatchObject({ ok: false, problem: { code: 'unknown-mechanism' } });
  });
});

describe('stopping', () => {
  it.each(['minutes', 'waitingShare', 'score', 'choices'] as const)('by the error asked of %s', (measure) => {
    const sim = new Simulation(mechanismById('edge-tiles')!, seatsFor(mechanismById('edge-tiles')!, {}, 2), null, {
      seed: 7,
      precision: { length: 1, share: 1, of: { measure, relative: 0.01 } },
    });
    while (!sim.advance());
    const r = simulationResult(sim);
    const got =
      measure === 'minutes'
        ? r.minutes
        : measure === 'score'
          ? r.outcomes.score
          : { mean: r.measures[measure]!, standardError: r.measureErrors[measure]! };
    expect(got.standardError).toBeLessThanOrEqual(0.01 * got.mean);
  });
});

describe('the time model', () => {
  it('lets choosing take longer with every doubling of moves', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), (n) => {
        expect(choosingSeconds(DEFAULT_TIME, 2 * n) - choosingSeconds(DEFAULT_TIME, n)).toBeCloseTo(DEFAULT_TIME.choiceSeconds, 9);
      }),
    );
  });
  it('refuses a pace nobody plays at, and numbers that are none', () => {
    expect(timeProblem(DEFAULT_TIME)).toBeNull();
    expect(timeProblem({ ...DEFAULT_TIME, handlingSeconds: 0.5, lookSeconds: 0.5 })).toMatchObject({ code: 'implausible-pace' });
    expect(timeProblem({ ...DEFAULT_TIME, easySeconds: Number.NaN })).toMatchObject({ code: 'out-of-range', field: 'time.easySeconds' });
  });
  it('counts laying out, explaining and putting away to the round', () => {
    expect(aroundMinutes(DEFAULT_TIME, true) - aroundMinutes(DEFAULT_TIME, false)).toBe(DEFAULT_TIME.teachingMinutes);
  });
});
