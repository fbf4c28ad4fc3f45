import type { Estimate, SimulationResult } from './simulationResult';

/** Chances for one learner in ten minutes by skill: the mean over the seats of the table, with its error. */
export function meanDoses(r: Pick<SimulationResult, 'doses' | 'seats'>): Map<string, Estimate> {
  const sums = new Map<string, { dose: number; variance: number }>();
  for (const list of r.doses)
    for (const d of list) {
      const s = sums.get(d.skill) ?? { dose: 0, variance: 0 };
      sums.set(d.skill, { dose: s.dose + d.perTenMinutes, variance: s.variance + d.standardError ** 2 });
    }
  return new Map([...sums].map(([skill, s]) => [skill, { mean: s.dose / r.seats, standardError: Math.sqrt(s.variance) / r.seats }]));
}
