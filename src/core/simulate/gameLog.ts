import type { Members } from './classes';
import { type ChannelPlace, itemAt, type TallyShape } from './itemChannel';
import type { TimeModel } from './timeModel';
import { choosingSeconds, secondsOfItem, secondsOfOperation } from './timeModel';
import { type Item, resultOf } from '../items/item';

/** An item that does not fit the dense tally (a fraction, say). */
export interface LooseItem extends Item {
  readonly seat: number;
}

/** How often a loose item came, how much of that is in batch records, and what it counts for. */
export interface LooseCount {
  readonly item: LooseItem;
  count: number;
  counted: number;
  classes: Members | null;
}

/** Time is kept in hundredths of a second, as integers. */
const ticksASecond = 100;
const ticksOf = (seconds: number): number => Math.round(seconds * ticksASecond);

/** More moves than this take no longer to weigh; also written out in `turn`, which runs hottest. */
const mostWeighed = 511;

/** Measures of its own that a family may report. */
export const mostExtra = 8;

/**
 * What one game reports while it is played. Dense typed arrays and plain numbers only:
 * the turn loop allocates nothing.
 */
export class GameLog {
  /** Items of one batch by place; integers, which add fastest. */
  readonly tally: Int32Array;
  /** The places of the tally that are not zero, in the order met: a tally may be millions of places wide. */
  readonly met: Int32Array;
  metCount = 0;
  /** Ticks an item takes, by place. */
  private readonly itemTicks: Int32Array;
  /** Answers, handling and weighing of each seat, in ticks. */
  readonly ticksOfSeat: Int32Array;
  readonly scores: Float64Array;
  /** Items off the dense grid, counted by text key. */
  readonly loose = new Map<string, LooseCount>();
  turns = 0;
  rounds = 0;
  choices = 0;
  movelessTurns = 0;
  /** Seat that won, −1 for nobody or a tie. */
  winner = -1;
  capped = false;
  /** Whether sentences are listened to; when not, the hottest loops leave them out. */
  readonly telling: boolean = false;
  /** Whether standings are followed; when not, what is dear to work out is left out. */
  readonly following: boolean = false;
  /** A mechanism's own measures (flips, tens landed on), by index; at most `mostExtra`. */
  readonly extra = new Float64Array(mostExtra);
  private readonly strideSeat: number;
  private readonly handlingTicks: number;
  /** Ticks of handling and choosing, by number of moves. */
  private readonly turnTicks: Int32Array;
  private readonly places: readonly ChannelPlace[];

  constructor(
    readonly shape: TallyShape,
    readonly time: TimeModel,
  ) {
    this.tally = new Int32Array(shape.size);
    this.met = new Int32Array(shape.size);
    this.itemTicks = new Int32Array(shape.strideSeat);
    for (const p of shape.places) {
      const end = p.offset + p.stride * (p.highA - p.lowA + 1);
      const always = secondsOfOperation(time, p.channel.op);
      if (always !== null) this.itemTicks.fill(ticksOf(always), p.offset, end);
      else for (let i = p.offset; i < end; i++) this.itemTicks[i] = ticksOf(secondsOfItem(time, itemAt(shape, i)));
    }
    this.handlingTicks = ticksOf(time.handlingSeconds);
    this.places = shape.places;
    this.ticksOfSeat = new Int32Array(shape.seats);
    this.scores = new Float64Array(shape.seats);
    this.strideSeat = shape.strideSeat;
    this.turnTicks = Int32Array.from({ length: mostWeighed + 1 }, (_, n) => this.handlingTicks + ticksOf(choosingSeconds(time, n)));
  }

  /** Clears what belongs to one game; the tally runs on over the batch. */
  begin(): void {
    this.turns = 0;
    this.rounds = 0;
    this.choices = 0;
    this.movelessTurns = 0;
    this.winner = -1;
    this.capped = false;
    // Plain loops: on arrays this small, calling `fill` costs more than the work.
    for (let s = 0; s < this.ticksOfSeat.length; s++) this.ticksOfSeat[s] = 0;
    for (let s = 0; s < this.scores.length; s++) this.scores[s] = 0;
    for (let e = 0; e < this.extra.length; e++) this.extra[e] = 0;
  }

  /** One turn of `seat` with `options` moves to choose from (0: a turn with nothing to do). */
  turn(seat: number, options: number): void {
    this.turns++;
    this.choices += options;
    this.ticksOfSeat[seat]! += this.turnTicks[options > 511 ? 511 : options]!;
    if (options === 0) this.movelessTurns++;
  }

  /** Time at the table that is neither handling nor an item: building, walking, waiting for a claim. */
  spend(seat: number, seconds: number): void {
    this.ticksOfSeat[seat]! += ticksOf(seconds);
  }

  /** Says in words what happened (sentence `sentence` of the mechanism); counted by nobody, told by `StoryLog`. */
  note(_seat: number, _sentence: number, _x: number, _y: number): void {}

  /**
   * How far a seat has come where that is more than its score so far (a place on the track, coins spent); more is better.
   * Families that never call it are followed by `scores`, which then hold the standing after every turn. Kept by `CourseLog`.
   */
  stand(_seat: number, _value: number): void {}

  item(seat: number, channel: number, a: number, b: number): void {
    const c = this.places[channel]!;
    const row = (a - c.lowA) | 0;
    const column = (b - c.lowB) | 0;
    // As unsigned numbers, what lies below the range lies above it too.
    if (row >>> 0 >= c.rows || column >>> 0 >= c.stride || (a | 0) !== a || (b | 0) !== b) {
      this.looseItem(seat, channel, a, b);
      return;
    }
    this.itemAt(seat, (c.offset + Math.imul(row, c.stride) + column) | 0);
  }

  /** Where an item stands in a seat's block, −1 off the dense grid: for rules that meet the same few items again and again. */
  placeOf(channel: number, a: number, b: number): number {
    const c = this.places[channel]!;
    const row = a - c.lowA;
    const column = b - c.lowB;
    return Number.isInteger(a) && Number.isInteger(b) && row >= 0 && row < c.rows && column >= 0 && column < c.stride
      ? c.offset + row * c.stride + column
      : -1;
  }

  /** An item by its place. */
  itemAt(seat: number, place: number): void {
    // As 32-bit arithmetic, which needs no look at overflow or minus nought.
    const at = (Math.imul(seat, this.strideSeat) + place) | 0;
    if (this.tally[at]!++ === 0) this.met[this.metCount++] = at;
    this.ticksOfSeat[seat]! += this.itemTicks[place]!;
  }

  /** Answers, handling and weighing of one seat so far. */
  secondsOf(seat: number): number {
    return this.ticksOfSeat[seat]! / ticksASecond;
  }

  /** Seconds of the busiest seat: what a game lasts when all work at once. */
  longestSeconds(): number {
    let most = 0;
    for (let s = 0; s < this.ticksOfSeat.length; s++) if (this.ticksOfSeat[s]! > most) most = this.ticksOfSeat[s]!;
    return most / ticksASecond;
  }

  /** Seconds of all seats together: what a game lasts when one plays after another. */
  allSeconds(): number {
    let sum = 0;
    for (let s = 0; s < this.ticksOfSeat.length; s++) sum += this.ticksOfSeat[s]!;
    return sum / ticksASecond;
  }

  protected looseItem(seat: number, channel: number, a: number, b: number): void {
    const key = `${seat}|${channel}|${a.toFixed(6)}|${b.toFixed(6)}`;
    const known = this.loose.get(key);
    const c = this.shape.channels[channel]!;
    const item = known?.item ?? { op: c.op, a, b, result: resultOf(c.op, a, b), unknown: c.unknown, rep: c.rep, seat };
    if (known) known.count++;
    else this.loose.set(key, { item, count: 1, counted: 0, classes: null });
    this.ticksOfSeat[seat]! += ticksOf(secondsOfItem(this.time, item));
  }
}
