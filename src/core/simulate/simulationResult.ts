import type { Item } from '../items/item';
import { groupNames, type GroupName } from './classes';
import { quantileOf, shareUpTo } from './histogram';
import { itemAt } from './itemChannel';
import { ratioOf } from './ratio';
import { ENGINE, record, type Simulation } from './simulation';

export interface Estimate {
  readonly mean: number;
  readonly standardError: number;
}

export interface CountedItem extends Item {
  readonly seat: number;
  readonly count: number;
}

export interface SkillDose {
  readonly skill: string;
  /** Chances for one learner in ten minutes of play. */
  readonly perTenMinutes: number;
  readonly standardError: number;
}

export interface SimulationResult {
  readonly games: number;
  readonly seed: number;
  readonly engine: string;
  readonly seats: number;
  readonly turns: Estimate & { readonly quantiles: Readonly<Record<string, number>> };
  readonly rounds: Estimate & { readonly quantiles: Readonly<Record<string, number>> };
  readonly minutes: Readonly<Record<string, number>> & { readonly mean: number; readonly standardError: number };
  /** Games by whole minute, for drawing. */
  readonly minuteHistogram: readonly number[];
  readonly outcomes: { readonly wins: readonly number[]; readonly ties: number; readonly capped: number; readonly score: Estimate };
  readonly measures: Readonly<Record<string, number>>;
  readonly measureErrors: Readonly<Record<string, number>>;
  readonly shares: Readonly<Record<GroupName, Estimate>>;
  /** Different facts met, over all games. */
  readonly distinctFacts: number;
  readonly doses: readonly (readonly SkillDose[])[];
  readonly items: readonly CountedItem[];
}

const round = (n: number, digits = 6): number => (Number.isFinite(n) ? Number(n.toPrecision(digits)) : 0);

/** Everything one finished simulation says, with its errors. */
export function simulationResult(sim: Simulation): SimulationResult {
  const games = sim.column(record.GAMES);
  const turns = sim.column(record.TURNS);
  const items = sim.column(record.ITEMS);
  const seconds = sim.column(record.SECONDS);
  const total = sim.games;
  const estimate = (y: ArrayLike<number>, x: ArrayLike<number>): Estimate => {
    const r = ratioOf(y, x);
    return { mean: round(r.value, 9), standardError: round(r.standardError) };
  };
  const minutes = estimate(
    seconds.map((s) => s / 60),
    games,
  );
  const minuteAt = (share: number): number => round((quantileOf(sim.minuteCounts, share) + 0.5) / 10);
  const measures: Record<string, number> = {};
  const measureErrors: Record<string, number> = {};
  const measure = (name: string, y: ArrayLike<number>, x: ArrayLike<number>): void => {
    const e = estimate(y, x);
    measures[name] = e.mean;
    measureErrors[name] = e.standardError;
  };
  measure('choices', sim.column(record.CHOICES), turns);
  measure('movelessShare', sim.column(record.MOVELESS), turns);
  measure('waitingShare', sim.column(record.WAITING), games);
  measure('itemsPerTurn', items, turns);
  measure('meanFirst', sim.column(record.FIRST), items);
  measure('meanSecond', sim.column(record.SECOND), items);
  measure('meanResult', sim.column(record.RESULT), items);
  sim.mechanism.extraMeasures.forEach((name, i) => measure(name, sim.column(record.EXTRA + i), games));
  const skills = sim.graph?.skills ?? [];
  const shares = Object.fromEntries(groupNames.map((name, g) => [name, estimate(sim.classOverSeats(skills.length + g), items)])) as Record<
    GroupName,
    Estimate
  >;
  const counted = countedItems(sim);
  return {
    games: total,
    seed: sim.options.seed,
    engine: ENGINE,
    seats: sim.shape.seats,
    turns: { ...estimate(turns, games), quantiles: quantiles(sim.turnCounts) },
    rounds: { ...estimate(sim.column(record.ROUNDS), games), quantiles: quantiles(sim.roundCounts) },
    minutes: { '0.1': minuteAt(0.1), '0.5': minuteAt(0.5), '0.9': minuteAt(0.9), mean: minutes.mean, standardError: minutes.standardError },
    minuteHistogram: wholeMinutes(sim.minuteCounts),
    outcomes: {
      wins: Array.from({ length: sim.shape.seats }, (_, s) => round(sim.winsOf(s).reduce((a, b) => a + b, 0) / total)),
      ties: round(sim.column(record.TIES).reduce((a, b) => a + b, 0) / total),
      capped: round(sim.column(record.CAPPED).reduce((a, b) => a + b, 0) / total),
      score: estimate(sim.column(record.SCORE), games),
    },
    measures,
    measureErrors,
    shares,
    distinctFacts: new Set(counted.map((i) => `${i.op}|${i.a}|${i.b}`)).size,
    doses: Array.from({ length: sim.shape.seats }, (_, s) =>
      dosesOf(
        sim,
        s,
        seconds.map((v) => v / 600),
      ),
    ),
    items: counted,
  };
}

function quantiles(counts: Float64Array): Record<string, number> {
  return Object.fromEntries([0.05, 0.1, 0.5, 0.9, 0.95].map((q) => [String(q), quantileOf(counts, q)]));
}

function dosesOf(sim: Simulation, seat: number, tenMinutes: Float64Array): SkillDose[] {
  return (sim.graph?.skills ?? []).flatMap((skill, k) => {
    const r = ratioOf(sim.classOf(seat, k), tenMinutes);
    return r.value > 0 ? [{ skill: skill.id, perTenMinutes: round(r.value), standardError: round(r.standardError) }] : [];
  });
}

function countedItems(sim: Simulation): CountedItem[] {
  const list: CountedItem[] = [];
  for (let i = 0; i < sim.tally.length; i++) {
    const count = sim.tally[i]!;
    if (count > 0) list.push({ ...itemAt(sim.shape, i % sim.shape.strideSeat), seat: Math.floor(i / sim.shape.strideSeat), count });
  }
  for (const { item, count } of sim.log.loose.values()) list.push({ ...item, count });
  return list;
}

/** The 0.1-minute histogram by whole minutes, without its empty tail. */
function wholeMinutes(counts: Float64Array): number[] {
  const bins: number[] = [];
  for (let i = 0; i < counts.length; i += 10) bins.push(counts.slice(i, i + 10).reduce((a, b) => a + b, 0));
  while (bins.length > 1 && bins[bins.length - 1] === 0) bins.pop();
  return bins;
}

/** Chance that a game ends within so many minutes. */
export function endsWithin(histogram: readonly number[], minutes: number): number {
  return shareUpTo(histogram, Math.ceil(minutes) - 1);
}
