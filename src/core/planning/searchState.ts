import { below, type Rng } from '../shared/rng';
import { capOf } from './exactModel';
import { familyOf, type PlanInstance, rests, type Schedule } from './instance';

const CLOSED = -1;
const UNSEATED = -1;

/**
 * A complete schedule under change. Every rule stays hard: a move that breaks one is not
 * made. Only what a move touches is recounted.
 */
export class SearchState {
  readonly L: number;
  readonly R: number;
  readonly S: number;
  readonly G: number;
  /** Game at (round, table), −1 when closed. */
  readonly game: Int32Array;
  readonly size: Int32Array;
  /** Table of (learner, round), −1 when resting. */
  readonly seat: Int32Array;
  readonly worth: Float64Array;
  readonly lockedSeat: Uint8Array;
  readonly lockedTable: Uint8Array;
  private readonly stockUsed: Int32Array;
  private readonly helpersUsed: Int32Array;
  private readonly uses: Int32Array;
  private preparationUsed = 0;
  private readonly family: Int32Array;
  private readonly kinds: number;
  private readonly eligible: Uint8Array;
  private readonly units: Float64Array;
  readonly cap: Int32Array;

  constructor(readonly instance: PlanInstance) {
    this.L = instance.learners;
    this.R = instance.rounds;
    this.S = instance.tables;
    this.G = instance.games.length;
    this.kinds = instance.stock.length;
    this.game = new Int32Array(this.R * this.S).fill(CLOSED);
    this.size = new Int32Array(this.R * this.S);
    this.seat = new Int32Array(this.L * this.R).fill(UNSEATED);
    this.worth = new Float64Array(this.L);
    this.lockedSeat = new Uint8Array(this.L * this.R);
    this.lockedTable = new Uint8Array(this.R * this.S);
    this.stockUsed = new Int32Array(this.R * this.kinds);
    this.helpersUsed = new Int32Array(this.R);
    this.uses = new Int32Array(this.G);
    this.family = Int32Array.from({ length: this.G }, (_, g) => familyOf(instance, g));
    this.eligible = new Uint8Array(this.L * this.G);
    for (let l = 0; l < this.L; l++) for (let g = 0; g < this.G; g++) if (instance.value[l]![g]! >= 0) this.eligible[l * this.G + g] = 1;
    this.units = new Float64Array(Math.max(1, ...instance.gaps.map((list) => list.length)));
    this.cap = Int32Array.from(instance.games, (g) => capOf(instance, g));
  }

  gameOf(learner: number, round: number): number {
    const t = this.seat[learner * this.R + round]!;
    return t < 0 ? CLOSED : this.game[round * this.S + t]!;
  }

  /** Whether a learner may play a game in a round, looking at all other rounds. */
  mayPlay(learner: number, round: number, g: number): boolean {
    if (this.eligible[learner * this.G + g] === 0) return false;
    const f = this.family[g];
    for (let r = 0; r < this.R; r++) {
      if (r === round) continue;
      const other = this.gameOf(learner, r);
      if (other >= 0 && this.family[other] === f) return false;
    }
    return true;
  }

  /** Value of one learner's games as they stand. */
  valueOfLearner(learner: number): number {
    const { instance, units } = this;
    const weights = instance.gaps[learner]!;
    units.fill(0, 0, weights.length);
    let total = 0;
    for (let r = 0; r < this.R; r++) {
      const g = this.gameOf(learner, r);
      if (g < 0) continue;
      total += instance.value[learner]![g]!;
      const doses = instance.dose[learner]![g];
      if (doses) for (let d = 0; d < doses.length; d++) units[doses[d]![0]]! += doses[d]![1];
    }
    const slopes = instance.slopes;
    for (let i = 0; i < weights.length; i++) {
      let left = units[i]!;
      for (let s = 0; left > 0 && s < slopes.length; s++) {
        total += weights[i]! * slopes[s]! * (left < 1 ? left : 1);
        left -= 1;
      }
    }
    return total;
  }

  total(): number {
    let sum = 0;
    for (let l = 0; l < this.L; l++) sum += this.worth[l]!;
    return sum;
  }

  refreshWorth(): void {
    for (let l = 0; l < this.L; l++) this.worth[l] = this.valueOfLearner(l);
  }

  /** Whether a table of a game can be opened in a round, in place of what stands at `instead`. */
  canOpen(round: number, g: number, instead: number): boolean {
    if (this.cap[g] === 0) return false;
    const game = this.instance.games[g]!;
    const old = instead >= 0 ? this.game[round * this.S + instead]! : CLOSED;
    const oldGame = old >= 0 ? this.instance.games[old]! : null;
    if (this.helpersUsed[round]! - (oldGame?.helper ?? 0) + game.helper > this.instance.helpers) return false;
    for (const [kind, quantity] of game.materials) {
      let used = this.stockUsed[round * this.kinds + kind]! + quantity;
      if (oldGame) for (const [k, q] of oldGame.materials) if (k === kind) used -= q;
      if (used > this.instance.stock[kind]!) return false;
    }
    let preparation = this.preparationUsed + (this.uses[g] === 0 ? game.preparation : 0);
    if (old >= 0 && old !== g && this.uses[old] === 1) preparation -= this.instance.games[old]!.preparation;
    return preparation <= this.instance.preparationMinutes + 1e-9;
  }

  setGame(round: number, table: number, g: number): void {
    const place = round * this.S + table;
    const old = this.game[place]!;
    if (old >= 0) this.count(round, old, -1);
    this.game[place] = g;
    if (g >= 0) this.count(round, g, 1);
  }

  private count(round: number, g: number, step: number): void {
    const game = this.instance.games[g]!;
    this.helpersUsed[round]! += step * game.helper;
    for (const [kind, quantity] of game.materials) this.stockUsed[round * this.kinds + kind]! += step * quantity;
    const before = this.uses[g]!;
    this.uses[g]! += step;
    if (before === 0 && step > 0) this.preparationUsed += game.preparation;
    if (before === 1 && step < 0) this.preparationUsed -= game.preparation;
  }

  place(learner: number, round: number, table: number): void {
    const at = learner * this.R + round;
    const old = this.seat[at]!;
    if (old >= 0) this.size[round * this.S + old]!--;
    this.seat[at] = table;
    if (table >= 0) this.size[round * this.S + table]!++;
  }

  preparationLeft(): number {
    return this.instance.preparationMinutes - this.preparationUsed;
  }

  isUsed(g: number): boolean {
    return this.uses[g]! > 0;
  }

  closedTable(round: number): number {
    for (let t = 0; t < this.S; t++) if (this.game[round * this.S + t] === CLOSED) return t;
    return -1;
  }

  schedule(): Schedule {
    return scheduleFrom(this.game, this.seat, this.L, this.R, this.S);
  }

  load(schedule: Schedule): void {
    for (let r = 0; r < this.R; r++) for (let t = 0; t < this.S; t++) this.setGame(r, t, CLOSED);
    this.size.fill(0);
    this.seat.fill(UNSEATED);
    schedule.forEach((tables, r) =>
      tables.forEach(({ game, learners }, t) => {
        this.setGame(r, t, game);
        for (const l of learners) this.place(l, r, t);
      }),
    );
    this.markLocks();
    this.refreshWorth();
  }

  /** Opens the tables that locks ask for and seats the locked learners. False when that cannot be. */
  seatLocks(): boolean {
    for (const { learner, round, game } of this.instance.locks ?? []) {
      let table = -1;
      for (let t = 0; t < this.S; t++)
        if (this.game[round * this.S + t] === game && this.size[round * this.S + t]! < this.instance.games[game]!.max) table = t;
      if (table < 0) {
        table = this.closedTable(round);
        if (table < 0 || !this.canOpen(round, game, -1)) return false;
        this.setGame(round, table, game);
      }
      if (!this.mayPlay(learner, round, game)) return false;
      this.place(learner, round, table);
    }
    this.markLocks();
    return true;
  }

  private markLocks(): void {
    this.lockedSeat.fill(0);
    this.lockedTable.fill(0);
    for (const { learner, round, game } of this.instance.locks ?? []) {
      const t = this.seat[learner * this.R + round]!;
      if (t < 0 || this.game[round * this.S + t] !== game) continue;
      this.lockedSeat[learner * this.R + round] = 1;
      this.lockedTable[round * this.S + t] = 1;
    }
  }

  isResting(learner: number, round: number): boolean {
    return rests(this.instance, learner, round);
  }

  randomLearner(rng: Rng): number {
    return below(rng, this.L);
  }
}

/** The open tables of every round with their learners, from the two arrays of a search state. */
export function scheduleFrom(game: Int32Array, seat: Int32Array, learners: number, rounds: number, tables: number): Schedule {
  return Array.from({ length: rounds }, (_, r) =>
    Array.from({ length: tables }, (_, t) => t)
      .filter((t) => game[r * tables + t]! >= 0)
      .map((t) => ({
        game: game[r * tables + t]!,
        learners: Array.from({ length: learners }, (_, l) => l).filter((l) => seat[l * rounds + r] === t),
      })),
  );
}
