import { below, type Rng } from '../shared/rng';
import { capOf } from './exactModel';
import { familyOf, type PlanInstance, restPrice, rests, type Schedule } from './instance';
import { LearnerWorth } from './learnerWorth';

const CLOSED = -1;
const UNSEATED = -1;

/**
 * A schedule under change. Changes are made one by one (`place`, `setGame`), all books are kept in step, and `broken`
 * counts the rules that are not kept as it stands; a move is the changes up to `accept` or `undo`.
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
  readonly worth: LearnerWorth;
  readonly lockedSeat: Uint8Array;
  readonly lockedTable: Uint8Array;
  readonly cap: Int32Array;
  readonly min: Int32Array;
  readonly max: Int32Array;
  readonly family: Int32Array;
  /** Rules that are not kept: seats, sizes, stock, helpers, preparation, repeats, who must not sit together, loud tables. */
  broken = 0;
  /** Worth of the whole, with every price. */
  total = 0;
  /** Whether a child may go without a seat, at a price. */
  readonly mayRest: boolean;
  private readonly away: Uint8Array;
  private readonly eligible: Uint8Array;
  private readonly stockUsed: Int32Array;
  private readonly helpersUsed: Int32Array;
  private readonly loudUsed: Int32Array;
  private readonly freshUsed: Int32Array;
  private readonly uses: Int32Array;
  private readonly familyUses: Int32Array;
  private readonly playing: Uint8Array;
  private readonly without: Int32Array;
  private readonly times: number;
  private readonly families: number;
  private readonly kinds: number;
  private readonly meets: Int32Array | null;
  private readonly pairWorth: Float64Array | null;
  private readonly apart: Uint8Array | null;
  private preparationUsed = 0;
  /** Changes since the last accepted move: learner, round, table it came from; or −1, place, game that stood there. */
  private readonly log: number[] = [];

  constructor(readonly instance: PlanInstance) {
    const { aims = {}, games } = instance;
    const L = (this.L = instance.learners);
    const R = (this.R = instance.rounds);
    this.S = instance.tables;
    const G = (this.G = games.length);
    this.times = instance.timesEach ?? 1;
    this.kinds = instance.stock.length;
    this.game = new Int32Array(R * this.S).fill(CLOSED);
    this.size = new Int32Array(R * this.S);
    this.seat = new Int32Array(L * R).fill(UNSEATED);
    this.lockedSeat = new Uint8Array(L * R);
    this.lockedTable = new Uint8Array(R * this.S);
    this.stockUsed = new Int32Array(R * this.kinds);
    this.helpersUsed = new Int32Array(R);
    this.loudUsed = new Int32Array(R);
    this.freshUsed = new Int32Array(R);
    this.uses = new Int32Array(G);
    const numbers = new Map<number, number>();
    this.family = Int32Array.from({ length: G }, (_, g) => {
      const f = familyOf(instance, g);
      if (!numbers.has(f)) numbers.set(f, numbers.size);
      return numbers.get(f)!;
    });
    this.families = Math.max(1, numbers.size);
    this.familyUses = new Int32Array(this.families);
    this.playing = new Uint8Array(L * this.families);
    this.without = new Int32Array(L);
    this.away = Uint8Array.from({ length: L * R }, (_, i) => (rests(instance, Math.floor(i / R), i % R) ? 1 : 0));
    this.eligible = new Uint8Array(L * G);
    for (let l = 0; l < L; l++) for (let g = 0; g < G; g++) if (instance.value[l]![g]! >= 0) this.eligible[l * G + g] = 1;
    this.cap = Int32Array.from(games, (g) => capOf(instance, g));
    this.min = Int32Array.from(games, (g) => g.min);
    this.max = Int32Array.from(games, (g) => g.max);
    this.worth = new LearnerWorth(instance);
    this.mayRest = aims.rest !== undefined;
    this.meets = aims.together || aims.apart ? new Int32Array(L * L) : null;
    this.pairWorth = aims.together ? pairWorths(aims.together, L, R) : null;
    this.apart = aims.apart ? new Uint8Array(L * L) : null;
    for (const [x, y] of aims.apart ?? []) this.apart![x * L + y] = this.apart![y * L + x] = 1;
    this.reset();
  }

  /** Nobody seated, nothing open. */
  private reset(): void {
    for (const a of [this.size, this.stockUsed, this.helpersUsed, this.loudUsed, this.freshUsed, this.uses, this.familyUses]) a.fill(0);
    this.playing.fill(0);
    this.meets?.fill(0);
    this.game.fill(CLOSED);
    this.seat.fill(UNSEATED);
    this.preparationUsed = 0;
    this.worth.reset();
    this.broken = 0;
    this.total = 0;
    for (let l = 0; l < this.L; l++) {
      let seats = 0;
      for (let r = 0; r < this.R; r++) seats += 1 - this.away[l * this.R + r]!;
      this.without[l] = seats;
      if (this.mayRest) this.total -= restPrice(this.instance.aims!.rest![l]!, seats);
      else this.broken += seats;
      this.total += this.worth.penalised(l);
    }
    this.log.length = 0;
  }

  gameOf(learner: number, round: number): number {
    const t = this.seat[learner * this.R + round]!;
    return t < 0 ? CLOSED : this.game[round * this.S + t]!;
  }

  mayTake(learner: number, g: number): boolean {
    return this.eligible[learner * this.G + g] === 1;
  }

  /** Whether two may share a table. */
  mayMeet(x: number, y: number): boolean {
    return this.apart?.[x * this.L + y] !== 1;
  }

  /** Whether a learner may play a game in a round, looking at all other rounds. */
  mayPlay(learner: number, round: number, g: number): boolean {
    if (this.eligible[learner * this.G + g] === 0) return false;
    const f = this.family[g]!;
    const times = this.playing[learner * this.families + f]!;
    if (times < this.times) return true;
    const now = this.gameOf(learner, round);
    return now >= 0 && this.family[now] === f && times === this.times;
  }

  /** Whether a table of a game can be opened in a round, in place of what stands at `instead`. */
  canOpen(round: number, g: number, instead: number): boolean {
    if (this.cap[g] === 0) return false;
    const { games, aims } = this.instance;
    const game = games[g]!;
    const old = instead >= 0 ? this.game[round * this.S + instead]! : CLOSED;
    const oldGame = old >= 0 ? games[old]! : null;
    if (this.helpersUsed[round]! - (oldGame?.helper ?? 0) + game.helper > this.instance.helpers) return false;
    if (aims?.loud !== undefined && game.loud && this.loudUsed[round]! - (oldGame?.loud ? 1 : 0) >= aims.loud) return false;
    for (const [kind, quantity] of game.materials) {
      let used = this.stockUsed[round * this.kinds + kind]! + quantity;
      if (oldGame) for (const [k, q] of oldGame.materials) if (k === kind) used -= q;
      if (used > this.instance.stock[kind]!) return false;
    }
    let preparation = this.preparationUsed + (this.uses[g] === 0 ? game.preparation : 0);
    if (old >= 0 && old !== g && this.uses[old] === 1) preparation -= games[old]!.preparation;
    return preparation <= this.instance.preparationMinutes + slack;
  }

  /** Another game (or none) at a table, for all who sit there. */
  setGame(round: number, table: number, g: number): void {
    const place = round * this.S + table;
    const old = this.game[place]!;
    if (old === g) return;
    this.log.push(-1, place, old);
    this.changeGame(place, g);
  }

  /** A learner sits down at a table of a round, or at none. */
  place(learner: number, round: number, table: number): void {
    const at = learner * this.R + round;
    const old = this.seat[at]!;
    if (old === table) return;
    this.log.push(learner, round, old);
    this.changeSeat(learner, round, table);
  }

  /** The changes since the last `accept` stand. */
  accept(): void {
    this.log.length = 0;
  }

  /** Takes back the changes since the last `accept`. */
  undo(): void {
    const { log } = this;
    while (log.length > 0) {
      const value = log.pop()!;
      const middle = log.pop()!;
      const learner = log.pop()!;
      if (learner < 0) this.changeGame(middle, value);
      else this.changeSeat(learner, middle, value);
    }
  }

  private changeGame(place: number, g: number): void {
    const round = Math.floor(place / this.S);
    const table = place - round * this.S;
    const old = this.game[place]!;
    this.broken -= this.wrongSize(place);
    if (old >= 0) this.count(round, old, -1);
    this.game[place] = g;
    if (g >= 0) this.count(round, g, 1);
    this.broken += this.wrongSize(place);
    if (this.size[place]! > 0)
      for (let l = 0; l < this.L; l++) if (this.seat[l * this.R + round] === table) this.exchange(l, round, old, g);
  }

  private changeSeat(learner: number, round: number, table: number): void {
    const at = learner * this.R + round;
    const old = this.seat[at]!;
    const from = old >= 0 ? this.game[round * this.S + old]! : CLOSED;
    const to = table >= 0 ? this.game[round * this.S + table]! : CLOSED;
    if (old >= 0) {
      const place = round * this.S + old;
      this.broken -= this.wrongSize(place);
      this.size[place]!--;
      this.broken += this.wrongSize(place);
    }
    if (this.meets && old >= 0) this.meet(learner, round, old, -1);
    this.seat[at] = table;
    if (this.meets && table >= 0) this.meet(learner, round, table, 1);
    if (table >= 0) {
      const place = round * this.S + table;
      this.broken -= this.wrongSize(place);
      this.size[place]!++;
      this.broken += this.wrongSize(place);
    }
    if (old < 0 !== table < 0) this.seated(learner, table >= 0 ? 1 : -1);
    this.exchange(learner, round, from, to);
  }

  private seated(learner: number, step: number): void {
    const before = this.without[learner]!;
    this.without[learner] = before - step;
    if (!this.mayRest) this.broken -= step;
    else {
      const price = this.instance.aims!.rest![learner]!;
      this.total += restPrice(price, before) - restPrice(price, before - step);
    }
  }

  /** One learner plays `to` in place of `from`. */
  private exchange(learner: number, round: number, from: number, to: number): void {
    if (from === to) return;
    this.total += this.worth.change(learner, round, from, to);
    if (from >= 0) {
      if (--this.playing[learner * this.families + this.family[from]!]! >= this.times) this.broken--;
      this.broken -= 1 - this.eligible[learner * this.G + from]!;
    }
    if (to >= 0) {
      if (++this.playing[learner * this.families + this.family[to]!]! > this.times) this.broken++;
      this.broken += 1 - this.eligible[learner * this.G + to]!;
    }
  }

  /** 1 where a table has too few or too many, or somebody sits where nothing is played. */
  private wrongSize(place: number): number {
    const g = this.game[place]!;
    const n = this.size[place]!;
    return g < 0 ? (n > 0 ? 1 : 0) : n < this.min[g]! || n > this.max[g]! ? 1 : 0;
  }

  private count(round: number, g: number, step: number): void {
    const { games, stock, helpers, preparationMinutes, aims } = this.instance;
    const game = games[g]!;
    if (game.helper > 0) {
      const was = this.helpersUsed[round]! > helpers;
      this.helpersUsed[round]! += step * game.helper;
      this.broken += Number(this.helpersUsed[round]! > helpers) - Number(was);
    }
    for (const [kind, quantity] of game.materials) {
      const at = round * this.kinds + kind;
      const was = this.stockUsed[at]! > stock[kind]!;
      this.stockUsed[at]! += step * quantity;
      this.broken += Number(this.stockUsed[at]! > stock[kind]!) - Number(was);
    }
    if (game.loud && aims?.loud !== undefined) {
      const was = this.loudUsed[round]! > aims.loud;
      this.loudUsed[round]! += step;
      this.broken += Number(this.loudUsed[round]! > aims.loud) - Number(was);
    }
    if (game.fresh && aims?.fresh) {
      const { free, price } = aims.fresh;
      const was = Math.max(0, this.freshUsed[round]! - free);
      this.freshUsed[round]! += step;
      this.total -= price * (Math.max(0, this.freshUsed[round]! - free) - was);
    }
    const before = this.uses[g]!;
    this.uses[g] = before + step;
    if (before === 0 ? step > 0 : before === 1 && step < 0) {
      if (game.preparation > 0) {
        const was = this.preparationUsed > preparationMinutes + slack;
        this.preparationUsed += step * game.preparation;
        this.broken += Number(this.preparationUsed > preparationMinutes + slack) - Number(was);
      }
    }
    const f = this.family[g]!;
    const familyBefore = this.familyUses[f]!;
    this.familyUses[f] = familyBefore + step;
    if (game.fetch && (familyBefore === 0 ? step > 0 : familyBefore === 1 && step < 0)) this.total -= step * game.fetch;
  }

  /** A learner comes to a table or leaves it: whom they meet there. */
  private meet(learner: number, round: number, table: number, step: number): void {
    const { L, R, meets, pairWorth, apart } = this;
    for (let m = 0; m < L; m++) {
      if (m === learner || this.seat[m * R + round] !== table) continue;
      const pair = learner * L + m;
      const times = meets![pair]!;
      if (pairWorth) this.total += pairWorth[pair * (R + 1) + times + step]! - pairWorth[pair * (R + 1) + times]!;
      meets![pair] = meets![m * L + learner] = times + step;
      if (apart?.[pair]) this.broken += step;
    }
  }

  /** Whether it matters who sits with whom. */
  get pairsMatter(): boolean {
    return this.meets !== null;
  }

  preparationLeft(): number {
    return this.instance.preparationMinutes - this.preparationUsed;
  }

  isUsed(g: number): boolean {
    return this.uses[g]! > 0;
  }

  /** Rounds that learners have no seat in though they are there. */
  restCount(): number {
    return this.without.reduce((sum, n) => sum + n, 0);
  }

  closedTable(round: number): number {
    for (let t = 0; t < this.S; t++) if (this.game[round * this.S + t] === CLOSED) return t;
    return -1;
  }

  schedule(): Schedule {
    return scheduleFrom(this.game, this.seat, this.L, this.R, this.S);
  }

  load(schedule: Schedule): void {
    this.reset();
    schedule.forEach((tables, r) =>
      tables.forEach(({ game, learners }, t) => {
        this.setGame(r, t, game);
        for (const l of learners) this.place(l, r, t);
      }),
    );
    this.accept();
    this.markLocks();
  }

  /** Opens the tables that locks ask for and seats the locked learners. False when that cannot be. */
  seatLocks(): boolean {
    for (const { learner, round, game } of this.instance.locks ?? []) {
      let table = -1;
      for (let t = 0; t < this.S; t++)
        if (this.game[round * this.S + t] === game && this.size[round * this.S + t]! < this.max[game]!) table = t;
      if (table < 0) {
        table = this.closedTable(round);
        if (table < 0 || !this.canOpen(round, game, -1)) return false;
        this.setGame(round, table, game);
      }
      if (!this.mayPlay(learner, round, game) || this.seat[learner * this.R + round] !== UNSEATED) return false;
      this.place(learner, round, table);
    }
    this.accept();
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
    return this.away[learner * this.R + round] === 1;
  }

  randomLearner(rng: Rng): number {
    return below(rng, this.L);
  }
}

const slack = 1e-9;

/** Worth of so many meetings of two, from none on, by pair both ways. */
function pairWorths(together: NonNullable<NonNullable<PlanInstance['aims']>['together']>, L: number, R: number): Float64Array {
  const worths = new Float64Array(L * L * (R + 1));
  for (const { pair, worth } of together)
    for (const [x, y] of [pair, [pair[1], pair[0]] as const])
      for (let n = 1; n <= R; n++) worths[(x * L + y) * (R + 1) + n] = worths[(x * L + y) * (R + 1) + n - 1]! + (worth[n - 1] ?? 0);
  return worths;
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
