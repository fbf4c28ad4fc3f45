import { type Mechanism, type PlayGame, type Seat, TURN_CAP } from '../mechanisms/mechanism';
import { createRng, reseed, type Rng } from '../shared/rng';
import type { SkillGraph } from '../skills/skillGraph';
import { ItemClasses } from './classes';
import { GameLog, mostExtra } from './gameLog';
import { tallyShape, type TallyShape } from './itemChannel';
import { DEFAULT_TIME, type TimeModel } from './timeModel';
import { ratioOf } from './ratio';

/** Raised whenever a change of rules or counting makes old results differ. */
export const ENGINE = '10';

export interface Precision {
  /** Relative standard error asked of the mean number of turns. */
  readonly length: number;
  /** Absolute standard error asked of every share of practice. */
  readonly share: number;
  /** One measure asked for by name, and the relative standard error asked of it; the others then do not count. */
  readonly of?: { readonly measure: AskedMeasure; readonly relative: number };
}

/** Measures that a run can be stopped by. */
export const askedMeasures = ['turns', 'minutes', 'score', 'choices', 'movelessShare', 'waitingShare'] as const;
export type AskedMeasure = (typeof askedMeasures)[number];

export const DEFAULT_PRECISION = { length: 0.01, share: 0.005 } satisfies Precision;

export interface SimulationOptions {
  readonly seed: number;
  /** Exactly this many games; otherwise as many as the precision needs. */
  readonly games?: number;
  readonly precision?: Precision;
  readonly mostGames?: number;
  readonly time?: TimeModel;
}

export const MOST_GAMES = 400_000;
const minutesBins = 3000;
const minutesPerBin = 0.1;
const leastBatches = 32;
const firstBatchGames = 16;

/** Places in a batch record before the classes of each seat. */
const GAMES = 0;
const TURNS = 1;
const ROUNDS = 2;
const SECONDS = 3;
const CHOICES = 4;
const MOVELESS = 5;
const WAITING = 6;
const TIES = 7;
const CAPPED = 8;
const SCORE = 9;
const ITEMS = 10;
/** Sums of the two operands and of the result over all items. */
const FIRST = 11;
const SECOND = 12;
const RESULT = 13;
const EXTRA = 14;
const HEAD = EXTRA + mostExtra;

/**
 * One simulation, advanced batch by batch so that a worker can report progress and stop.
 * The same seed gives the same result whatever the machine.
 */
export class Simulation {
  readonly log: GameLog;
  readonly shape: TallyShape;
  readonly classes: ItemClasses;
  readonly turnCounts = new Float64Array(TURN_CAP + 2);
  readonly roundCounts = new Float64Array(TURN_CAP + 2);
  readonly minuteCounts = new Float64Array(minutesBins);
  readonly tally: Float64Array;
  batches: Float64Array[] = [];
  games = 0;
  private readonly play: PlayGame;
  private readonly rng: Rng = createRng(0);
  private readonly time: TimeModel;
  private readonly simultaneous: boolean;
  private batchGames: number;
  /** How many measures of its own the mechanism has. */
  private readonly measures: number;

  constructor(
    readonly mechanism: Mechanism,
    readonly seats: readonly Seat<object>[],
    readonly graph: SkillGraph | null,
    readonly options: SimulationOptions,
  ) {
    this.time = options.time ?? DEFAULT_TIME;
    this.shape = tallyShape(seats.length, mechanism.channels(seats[0]!.parameters, seats), mechanism.range(seats));
    this.classes = new ItemClasses(this.shape, graph);
    this.log = new GameLog(this.shape, this.time);
    this.tally = new Float64Array(this.shape.size);
    this.play = mechanism.createTable(seats);
    this.measures = mechanism.extraMeasures.length;
    this.simultaneous = mechanism.simultaneous(seats[0]!.parameters);
    this.batchGames = options.games ? Math.max(1, Math.ceil(options.games / leastBatches)) : firstBatchGames;
  }

  /** Plays one batch. Returns true when the simulation is finished. */
  advance(): boolean {
    const wanted = this.options.games ?? Math.min(this.options.mostGames ?? MOST_GAMES, MOST_GAMES);
    const size = Math.min(this.batchGames, wanted - this.games);
    this.batches.push(this.playBatch(size));
    if (this.games >= wanted) return true;
    if (this.options.games) return false;
    // Looking is dear beside a small batch, so it is done every eighth time.
    if (this.batches.length < leastBatches || this.batches.length % 8 !== 0) return false;
    if (this.reached() >= 1) return true;
    if (this.batches.length >= leastBatches * 2) this.mergeBatches();
    return false;
  }

  /** Share of the work done, 0 … 1, as far as it can be known. */
  progress(): number {
    if (this.options.games) return this.games / this.options.games;
    return Math.min(0.99, this.batches.length < leastBatches ? (0.3 * this.batches.length) / leastBatches : 0.3 + 0.7 * this.reached());
  }

  private playBatch(size: number): Float64Array {
    const { log, shape, classes } = this;
    const classCount = classes.size;
    const record = new Float64Array(HEAD + shape.seats * (2 + classCount));
    for (let g = 0; g < size; g++) this.playOne(record);
    for (let t = 0; t < log.metCount; t++) {
      const at = log.met[t]!;
      const count = log.tally[at]!;
      log.tally[at] = 0;
      this.tally[at]! += count;
      const seat = Math.floor(at / shape.strideSeat);
      const out = HEAD + seat * (2 + classCount) + 2;
      const { item, members, shares } = classes.at(at - seat * shape.strideSeat);
      record[ITEMS]! += count;
      record[out - 1]! += count;
      record[FIRST]! += count * item.a;
      record[SECOND]! += count * item.b;
      record[RESULT]! += count * item.result;
      for (let m = 0; m < members.length; m++) record[out + members[m]!]! += count * shares[m]!;
    }
    log.metCount = 0;
    this.countLoose(record);
    return record;
  }

  private playOne(record: Float64Array): void {
    const { log } = this;
    reseed(this.rng, this.options.seed, this.games);
    log.begin();
    this.play(this.rng, log);
    this.games++;
    const seats = this.shape.seats;
    const busy = log.allSeconds();
    let seconds = this.simultaneous ? log.longestSeconds() : busy;
    seconds = Math.max(seconds, (log.turns * this.time.leastTurnSeconds) / (this.simultaneous ? seats : 1));
    const waiting = seats - busy / (seconds || 1);
    record[GAMES]! += 1;
    record[TURNS]! += log.turns;
    record[ROUNDS]! += log.rounds;
    record[SECONDS]! += seconds;
    record[CHOICES]! += log.choices;
    record[MOVELESS]! += log.movelessTurns;
    record[WAITING]! += Math.max(0, waiting / seats);
    if (log.capped) record[CAPPED]! += 1;
    if (log.winner < 0) record[TIES]! += 1;
    else record[HEAD + log.winner * (2 + this.classes.size)]! += 1;
    let score = 0;
    for (let s = 0; s < seats; s++) score += log.scores[s]!;
    record[SCORE]! += score / seats;
    for (let e = 0; e < this.measures; e++) record[EXTRA + e]! += log.extra[e]!;
    this.turnCounts[Math.min(log.turns, TURN_CAP + 1)]!++;
    this.roundCounts[Math.min(log.rounds, TURN_CAP + 1)]!++;
    this.minuteCounts[Math.min(minutesBins - 1, Math.floor(seconds / 60 / minutesPerBin))]!++;
  }

  private countLoose(record: Float64Array): void {
    for (const loose of this.log.loose.values()) {
      const fresh = loose.count - loose.counted;
      if (fresh === 0) continue;
      loose.counted = loose.count;
      loose.classes ??= this.classes.of(loose.item);
      const out = HEAD + loose.item.seat * (2 + this.classes.size) + 2;
      record[ITEMS]! += fresh;
      record[out - 1]! += fresh;
      record[FIRST]! += fresh * loose.item.a;
      record[SECOND]! += fresh * loose.item.b;
      record[RESULT]! += fresh * loose.item.result;
      const { members, shares } = loose.classes;
      for (let m = 0; m < members.length; m++) record[out + members[m]!]! += fresh * shares[m]!;
    }
  }

  /** Precision reached ÷ asked, as share of the games needed (1 = reached). */
  private reached(): number {
    const asked: Precision = this.options.precision ?? DEFAULT_PRECISION;
    const games = this.column(GAMES);
    const turns = ratioOf(this.column(TURNS), games);
    if (asked.of) {
      const one = this.measureOf(asked.of.measure);
      const error = one.standardError / (Math.abs(one.value) || 1) / asked.of.relative;
      return error === 0 ? 1 : Math.min(1, 1 / error ** 2);
    }
    let worst = (turns.standardError / (turns.value || 1) / asked.length) ** 2;
    const items = this.column(ITEMS);
    for (let c = 0; c < this.classes.size; c++) {
      const share = ratioOf(this.classOverSeats(c), items);
      worst = Math.max(worst, (share.standardError / asked.share) ** 2);
    }
    return worst === 0 ? 1 : Math.min(1, 1 / worst);
  }

  private measureOf(measure: AskedMeasure): { value: number; standardError: number } {
    const places = {
      turns: TURNS,
      minutes: SECONDS,
      score: SCORE,
      choices: CHOICES,
      movelessShare: MOVELESS,
      waitingShare: WAITING,
    } as const;
    return ratioOf(this.column(places[measure]), this.column(measure === 'choices' || measure === 'movelessShare' ? TURNS : GAMES));
  }

  column(place: number): Float64Array {
    return Float64Array.from(this.batches, (b) => b[place]!);
  }

  classOf(seat: number, c: number): Float64Array {
    return this.column(HEAD + seat * (2 + this.classes.size) + 2 + c);
  }

  winsOf(seat: number): Float64Array {
    return this.column(HEAD + seat * (2 + this.classes.size));
  }

  classOverSeats(c: number): Float64Array {
    const out = new Float64Array(this.batches.length);
    for (let b = 0; b < out.length; b++)
      for (let s = 0; s < this.shape.seats; s++) out[b]! += this.batches[b]![HEAD + s * (2 + this.classes.size) + 2 + c]!;
    return out;
  }

  /** Joins neighbouring batches so that their number stays bounded. */
  private mergeBatches(): void {
    const merged: Float64Array[] = [];
    for (let b = 0; b + 1 < this.batches.length; b += 2) merged.push(this.batches[b]!.map((v, i) => v + this.batches[b + 1]![i]!));
    this.batches = merged;
    this.batchGames *= 2;
  }
}

export const record = {
  GAMES,
  TURNS,
  ROUNDS,
  SECONDS,
  CHOICES,
  MOVELESS,
  WAITING,
  TIES,
  CAPPED,
  SCORE,
  ITEMS,
  FIRST,
  SECOND,
  RESULT,
  EXTRA,
};
