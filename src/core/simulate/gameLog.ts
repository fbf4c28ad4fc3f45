import { itemAt, type TallyShape } from './itemChannel';
import type { TimeModel } from './timeModel';
import { choosingSeconds, secondsOfItem } from './timeModel';
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
  classes: readonly number[] | null;
}

/** More moves than this take no longer to weigh. */
const knownChoices = 512;

/**
 * What one game reports while it is played. Dense typed arrays and plain numbers only:
 * the turn loop allocates nothing.
 */
export class GameLog {
  readonly tally: Float64Array;
  readonly seconds: Float32Array;
  readonly turnsOfSeat: Float64Array;
  readonly secondsOfSeat: Float64Array;
  readonly scores: Float64Array;
  /** Items off the dense grid, counted by text key. */
  readonly loose = new Map<string, LooseCount>();
  turns = 0;
  rounds = 0;
  itemSeconds = 0;
  /** Handling and weighing, over all turns. */
  turnSeconds = 0;
  choices = 0;
  movelessTurns = 0;
  /** Seat that won, −1 for nobody or a tie. */
  winner = -1;
  capped = false;
  /** A mechanism's own measures (flips, tens landed on), by index. */
  readonly extra = new Float64Array(8);
  private readonly strideSeat: number;
  /** Seconds of choosing, by number of moves. */
  private readonly choosing: Float64Array;
  /** Six numbers a channel: offset, stride, lowest and highest a, lowest and highest b. */
  private readonly places: Int32Array;

  constructor(
    readonly shape: TallyShape,
    readonly time: TimeModel,
  ) {
    this.tally = new Float64Array(shape.size);
    this.seconds = new Float32Array(shape.strideSeat);
    for (let i = 0; i < shape.strideSeat; i++) this.seconds[i] = secondsOfItem(time, itemAt(shape, i));
    this.places = Int32Array.from(shape.places.flatMap((p) => [p.offset, p.stride, p.lowA, p.highA, p.lowB, p.highB]));
    this.turnsOfSeat = new Float64Array(shape.seats);
    this.secondsOfSeat = new Float64Array(shape.seats);
    this.scores = new Float64Array(shape.seats);
    this.strideSeat = shape.strideSeat;
    this.choosing = Float64Array.from({ length: knownChoices }, (_, n) => choosingSeconds(time, n));
  }

  /** Clears what belongs to one game; the tally runs on over the batch. */
  begin(): void {
    this.turns = 0;
    this.rounds = 0;
    this.itemSeconds = 0;
    this.turnSeconds = 0;
    this.choices = 0;
    this.movelessTurns = 0;
    this.winner = -1;
    this.capped = false;
    this.turnsOfSeat.fill(0);
    this.secondsOfSeat.fill(0);
    this.scores.fill(0);
    this.extra.fill(0);
  }

  /** One turn of `seat` with `options` moves to choose from (0: a turn with nothing to do). */
  turn(seat: number, options: number): void {
    this.turns++;
    this.turnsOfSeat[seat]!++;
    this.choices += options;
    const seconds = this.time.handlingSeconds + this.choosing[options < knownChoices ? options : knownChoices - 1]!;
    this.turnSeconds += seconds;
    this.secondsOfSeat[seat]! += seconds;
    if (options === 0) this.movelessTurns++;
  }

  /** Time at the table that is neither handling nor an item: building, walking, waiting for a claim. */
  spend(seat: number, seconds: number): void {
    this.turnSeconds += seconds;
    this.secondsOfSeat[seat]! += seconds;
  }

  /** Says in words what happened (sentence `sentence` of the mechanism); counted by nobody, told by `StoryLog`. */
  note(_seat: number, _sentence: number, _x: number, _y: number): void {}

  item(seat: number, channel: number, a: number, b: number): void {
    const places = this.places;
    const at = channel * 6;
    const lowA = places[at + 2]!;
    const lowB = places[at + 4]!;
    if (a < lowA || b < lowB || a > places[at + 3]! || b > places[at + 5]! || (a | 0) !== a || (b | 0) !== b) {
      this.looseItem(seat, channel, a, b);
      return;
    }
    const place = places[at]! + (a - lowA) * places[at + 1]! + (b - lowB);
    this.tally[seat * this.strideSeat + place]!++;
    const seconds = this.seconds[place]!;
    this.itemSeconds += seconds;
    this.secondsOfSeat[seat]! += seconds;
  }

  private looseItem(seat: number, channel: number, a: number, b: number): void {
    const key = `${seat}|${channel}|${a.toFixed(6)}|${b.toFixed(6)}`;
    const known = this.loose.get(key);
    const c = this.shape.channels[channel]!;
    const item = known?.item ?? { op: c.op, a, b, result: resultOf(c.op, a, b), unknown: c.unknown, rep: c.rep, seat };
    if (known) known.count++;
    else this.loose.set(key, { item, count: 1, counted: 0, classes: null });
    const seconds = secondsOfItem(this.time, item);
    this.itemSeconds += seconds;
    this.secondsOfSeat[seat]! += seconds;
  }
}
