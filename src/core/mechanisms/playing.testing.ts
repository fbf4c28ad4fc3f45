import { expect } from 'vitest';
import { checkTable } from '../../contract/parameters';
import { shippedGraph } from '../../contract/shippedData';
import type { Item } from '../items/item';
import type { SeatRequest } from '../simulate/seats';
import { Simulation } from '../simulate/simulation';
import { simulationResult, type SimulationResult } from '../simulate/simulationResult';
import { tellGame } from '../simulate/storyLog';

/** So many games at a table that must be possible. */
export function run(id: string, parameters: object, seats: number | SeatRequest[], games: number, seed = 7): SimulationResult {
  const table = checkTable(id, parameters, seats);
  if (!table.ok) throw new Error(table.problem.message);
  const sim = new Simulation(table.value.mechanism, table.value.seats, shippedGraph(), { seed, games });
  while (!sim.advance());
  return simulationResult(sim);
}

export const careful = (n: number): SeatRequest[] => Array.from({ length: n }, () => ({ policy: 'careful' as const }));

/** Within four standard errors: a right engine fails once in sixteen thousand. */
export function near(got: { readonly mean: number; readonly standardError: number }, want: string | number): void {
  expect(Math.abs(got.mean - Number(want)), `${got.mean} ± ${got.standardError} against ${want}`).toBeLessThan(4 * got.standardError);
}

/** A share of `games` within four standard errors of a probability. */
export function nearShare(got: number, want: string | number, games: number): void {
  const p = Number(want);
  near({ mean: got, standardError: Math.sqrt((p * (1 - p)) / games) }, p);
}

/** Mean and standard error of plain numbers. */
export function meanOf(values: readonly number[]): { mean: number; standardError: number } {
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const variance = values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / (values.length - 1);
  return { mean, standardError: Math.sqrt(variance / values.length) };
}

/** The items of single games, in order, for questions that a tally cannot answer. */
export function itemsOfGames(id: string, parameters: object, seats: SeatRequest[], games: number, seed = 7): Item[][] {
  const table = checkTable(id, parameters, seats);
  if (!table.ok) throw new Error(table.problem.message);
  return Array.from({ length: games }, (_, g) =>
    tellGame(table.value.mechanism, table.value.seats, seed, g).events.flatMap((e) => (e.kind === 'item' ? [e.item] : [])),
  );
}
