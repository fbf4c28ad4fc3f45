import type { Mechanism } from './mechanism';
import { pairMemory } from './pair-memory';
import { runningTotal } from './running-total';
import { sumColumns } from './sum-columns';
import { targetCombine } from './target-combine';

/** Every rule family; one folder and one line here adds another. */
export const mechanisms = [sumColumns, runningTotal, pairMemory, targetCombine] as unknown as readonly Mechanism[];

const byId = new Map(mechanisms.map((m) => [m.id, m]));

export function mechanismById(id: string): Mechanism | undefined {
  return byId.get(id);
}
