import { eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { SimulationResult } from '../../core/simulate/simulationResult';
import type { SimulateTask } from '../../workers/node/messages';
import { simulations } from '../db/schema';
import { Workspace } from '../workspace.testing';
import { hashOf, pruneSimulations, storedResult, storedSummary, storeResult } from './simulationCache';

const task = (seed: number): SimulateTask => ({ kind: 'simulate', mechanism: 'pair-memory', parameters: {}, seats: 2, seed });
// Only what a summary reads; the rest of a result is kept as it came.
const result = (minutes: number) =>
  ({
    seats: 2,
    minutes: { '0.5': minutes },
    measures: { waitingShare: 0.5 },
    doses: [[{ skill: 'make-ten', perTenMinutes: 4, standardError: 1 }], [{ skill: 'make-ten', perTenMinutes: 6, standardError: 1 }]],
  }) as unknown as SimulationResult;

let w: Workspace;
beforeEach(() => void (w = new Workspace()));
afterEach(() => w.remove());

describe('results that were calculated before', () => {
  it('come back whole, and as a summary', () => {
    expect(storedResult(w.db, task(1))).toBeNull();
    storeResult(w.db, task(1), result(12));
    expect(storedResult(w.db, task(1))).toEqual(result(12));
    expect(storedSummary(w.db, task(1))).toEqual({ minutes: 12, waiting: 0.5, doses: [['make-ten', 5]] });
    expect(storedResult(w.db, task(2))).toBeNull();
  });
  it('keep those used last whole, and the summaries of the others', () => {
    for (const seed of [1, 2, 3, 4]) storeResult(w.db, task(seed), result(seed));
    w.db
      .update(simulations)
      .set({ usedAt: '2026-01-01' })
      .where(eq(simulations.hash, hashOf(task(3))))
      .run();
    pruneSimulations(w.db, 2);
    // Of one day, the ones stored last.
    expect([1, 2, 3, 4].map((s) => storedResult(w.db, task(s)) !== null)).toEqual([false, true, false, true]);
    expect(storedSummary(w.db, task(3))).toMatchObject({ minutes: 3 });
    // Measured again, it is whole again.
    storeResult(w.db, task(3), result(3));
    expect(storedResult(w.db, task(3))).toEqual(result(3));
  });
});
