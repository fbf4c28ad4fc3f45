import type { Mechanism, Seat } from '../mechanisms/mechanism';
import { bestOf } from '../play/bestOf';
import { createRng } from '../shared/rng';
import { GameLog } from './gameLog';
import { tallyShape } from './itemChannel';
import { errorOfShare } from './ratio';
import type { Estimate } from './simulationResult';
import { DEFAULT_TIME } from './timeModel';

/** How a game between like players goes until it is won. */
export interface Course {
  readonly games: number;
  /** How often in a game another seat than before comes to lead alone. */
  readonly leadChanges: Estimate;
  /**
   * Share of a game's turns after which the winner is as good as known, in the middle game; 1 where only the last turn tells.
   * As good as known: of a hundred other games whose leader stood as far ahead at that time, ninety-five were won by the leader.
   */
  readonly known: number;
  /** Share of games that end level, with nobody ahead. */
  readonly level: Estimate;
  /** The weakest seat's part of the games somebody won, times the number of seats: 1 is even. */
  readonly weakest: Estimate;
}

/** A log that keeps where everybody stands whenever a turn begins, and at the end. */
export class CourseLog extends GameLog {
  override readonly following: boolean = true;
  /** Standings one after another, a block of seats each. */
  private kept = new Float64Array(0);
  private told = false;
  private readonly now: Float64Array;
  /** Positions kept: before the first turn, after each. */
  positions = 0;

  constructor(...from: ConstructorParameters<typeof GameLog>) {
    super(...from);
    this.now = new Float64Array(this.shape.seats);
  }

  override begin(): void {
    super.begin();
    this.now.fill(0);
    this.told = false;
    this.positions = 0;
  }

  override turn(seat: number, options: number): void {
    this.keep();
    super.turn(seat, options);
  }

  override stand(seat: number, value: number): void {
    this.told = true;
    this.now[seat] = value;
  }

  /** Keeps how all stand now; called once more when the game has ended. */
  keep(): void {
    const { seats } = this.shape;
    const at = this.positions * seats;
    if (at + seats > this.kept.length) {
      const wider = new Float64Array(Math.max(64 * seats, 2 * this.kept.length));
      wider.set(this.kept);
      this.kept = wider;
    }
    this.kept.set(this.told ? this.now : this.scores, at);
    this.positions++;
  }

  /** Standings of all seats after `turns` turns. */
  at(turns: number): Float64Array {
    const { seats } = this.shape;
    return this.kept.subarray(turns * seats, (turns + 1) * seats);
  }
}

/** A position that has one leader: how long the game has gone, where the leader stands, by how much. */
interface Position {
  readonly round: number;
  readonly stands: number;
  readonly lead: number;
}

/** The leader and what can be seen of the position; null where nobody leads alone. */
function positionOf(standings: Float64Array, round: number): (Position & { leader: number }) | null {
  const leader = bestOf(standings, standings.length);
  if (leader < 0) return null;
  let second = -Infinity;
  for (let s = 0; s < standings.length; s++) if (s !== leader && standings[s]! > second) second = standings[s]!;
  return { leader, round, stands: standings[leader]!, lead: standings[leader]! - second };
}

/** As good as certain: so many of a hundred. */
const certain = 0.95;
/** Fewer like positions than this say too little; coarser ones are asked. */
const leastPositions = 30;
const slices = { round: 10, stands: 6, lead: 8 } as const;

/** How often a leader went on to win from positions like this one, learnt from games. */
class Chances {
  private readonly limits: Readonly<Record<keyof Position, readonly number[]>>;
  private readonly fine = new Map<number, [number, number]>();
  private readonly coarse = new Map<number, [number, number]>();

  constructor(seen: readonly (Position & { won: boolean })[]) {
    this.limits = {
      round: limitsOf(
        seen.map((p) => p.round),
        slices.round,
      ),
      stands: limitsOf(
        seen.map((p) => p.stands),
        slices.stands,
      ),
      lead: limitsOf(
        seen.map((p) => p.lead),
        slices.lead,
      ),
    };
    for (const p of seen)
      for (const [cells, key] of [
        [this.fine, this.keyOf(p, true)],
        [this.coarse, this.keyOf(p, false)],
      ] as const) {
        const cell = cells.get(key) ?? [0, 0];
        cell[0]++;
        if (p.won) cell[1]++;
        cells.set(key, cell);
      }
  }

  /** The leader's chance, 0 where too few like positions were seen. */
  of(p: Position): number {
    const fine = this.fine.get(this.keyOf(p, true));
    const cell = fine && fine[0] >= leastPositions ? fine : this.coarse.get(this.keyOf(p, false));
    return cell && cell[0] >= leastPositions ? cell[1] / cell[0] : 0;
  }

  private keyOf(p: Position, fine: boolean): number {
    const { round, stands, lead } = this.limits;
    return (sliceOf(round, p.round) * 100 + (fine ? sliceOf(stands, p.stands) : 0)) * 100 + sliceOf(lead, p.lead);
  }
}

/** Limits that part the values into so many slices of like size; a value met often is a slice of its own. */
function limitsOf(values: readonly number[], parts: number): readonly number[] {
  const sorted = Float64Array.from(values).sort();
  const limits = Array.from({ length: parts - 1 }, (_, i) => sorted[Math.floor(((i + 1) * sorted.length) / parts)] ?? 0);
  return [...new Set(limits)];
}

function sliceOf(limits: readonly number[], value: number): number {
  let i = 0;
  while (i < limits.length && value >= limits[i]!) i++;
  return i;
}

/**
 * Lead changes, how early the winner is known, and the weakest seat's chance, between players alike.
 * Half of `games` teach what a lead is worth at which time, the others are judged by it; positions are looked at when a round is complete.
 * Null where nobody can win against another.
 */
export function courseOf(mechanism: Mechanism, seats: readonly Seat<object>[], seed: number, games: number): Course | null {
  const count = seats.length;
  if (count < 2) return null;
  const { parameters } = seats[0]!;
  const alike = seats.map((s) => ({ ...s, parameters, policy: 'typical' as const, headStart: 0 }));
  const log = new CourseLog(tallyShape(count, mechanism.channels(parameters, alike), mechanism.range(alike)), DEFAULT_TIME);
  const play = mechanism.createTable(alike);
  const wins = new Float64Array(count);
  const changes: number[] = [];
  const playOne = (game: number): (Position & { leader: number; won: boolean; share: number })[] => {
    log.begin();
    play(createRng(seed, game), log);
    log.keep();
    if (log.winner >= 0) wins[log.winner]!++;
    changes.push(leadChangesOf(log));
    const found: (Position & { leader: number; won: boolean; share: number })[] = [];
    for (let turns = count; turns < log.positions - 1; turns += count) {
      const p = positionOf(log.at(turns), turns / count);
      if (p) found.push({ ...p, won: p.leader === log.winner, share: turns / log.turns });
    }
    return found;
  };
  const half = Math.floor(games / 2);
  const seen = [];
  for (let g = 0; g < half; g++) seen.push(...playOne(g));
  const chances = new Chances(seen);
  const known: number[] = [];
  for (let g = half; g < 2 * half; g++) known.push(playOne(g).find((p) => chances.of(p) >= certain)?.share ?? 1);
  const won = wins.reduce((a, b) => a + b, 0);
  if (won === 0) return null;
  const part = Math.min(...wins) / won;
  const level = 1 - won / (2 * half);
  return {
    games: 2 * half,
    leadChanges: meanOf(changes),
    known: known.sort((x, y) => x - y)[Math.floor(known.length / 2)]!,
    level: { mean: level, standardError: errorOfShare(level, 2 * half) },
    weakest: { mean: part * count, standardError: count * errorOfShare(part, won) },
  };
}

/** How often the lead goes from one seat to another; being level in between is no change. */
function leadChangesOf(log: CourseLog): number {
  let leader = -1;
  let changes = 0;
  for (let turns = 1; turns < log.positions; turns++) {
    const standings = log.at(turns);
    const now = bestOf(standings, standings.length);
    if (now < 0 || now === leader) continue;
    if (leader >= 0) changes++;
    leader = now;
  }
  return changes;
}

function meanOf(values: readonly number[]): Estimate {
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  const variance = values.reduce((sum, v) => sum + (v - mean) ** 2, 0) / Math.max(1, values.length - 1);
  return { mean, standardError: Math.sqrt(variance / values.length) };
}
