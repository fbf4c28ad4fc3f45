import { type Item, resultOf } from '../items/item';
import type { Mechanism, Seat } from '../mechanisms/mechanism';
import { createRng } from '../shared/rng';
import { GameLog } from './gameLog';
import { itemAt, tallyShape } from './itemChannel';
import { DEFAULT_TIME } from './timeModel';

/** What happened, in order: a turn begins, something is told, an item is met. */
export type StoryEvent =
  | { readonly kind: 'turn'; readonly seat: number; readonly options: number }
  | { readonly kind: 'told'; readonly seat: number; readonly sentence: number; readonly x: number; readonly y: number }
  | { readonly kind: 'item'; readonly seat: number; readonly item: Item };

/** A log that keeps every event of a game, for watching one game; far too slow for many. */
export class StoryLog extends GameLog {
  override readonly telling: boolean = true;
  readonly events: StoryEvent[] = [];

  override begin(): void {
    super.begin();
    this.events.length = 0;
  }

  override turn(seat: number, options: number): void {
    super.turn(seat, options);
    this.events.push({ kind: 'turn', seat, options });
  }

  override note(seat: number, sentence: number, x: number, y: number): void {
    this.events.push({ kind: 'told', seat, sentence, x, y });
  }

  override itemAt(seat: number, place: number): void {
    super.itemAt(seat, place);
    this.events.push({ kind: 'item', seat, item: itemAt(this.shape, place) });
  }

  protected override looseItem(seat: number, channel: number, a: number, b: number): void {
    super.looseItem(seat, channel, a, b);
    const c = this.shape.channels[channel]!;
    this.events.push({ kind: 'item', seat, item: { op: c.op, a, b, result: resultOf(c.op, a, b), unknown: c.unknown, rep: c.rep } });
  }
}

/** One game of a table, told event by event; game number `game` of `seed` is always the same game. */
export interface Story {
  readonly events: readonly StoryEvent[];
  readonly winner: number;
  readonly scores: readonly number[];
  readonly turns: number;
  readonly minutes: number;
}

export function tellGame(mechanism: Mechanism, seats: readonly Seat<object>[], seed: number, game: number): Story {
  const parameters = seats[0]!.parameters;
  const log = new StoryLog(tallyShape(seats.length, mechanism.channels(parameters, seats), mechanism.range(seats)), DEFAULT_TIME);
  log.begin();
  mechanism.createTable(seats)(createRng(seed, game), log);
  const seconds = mechanism.simultaneous(parameters) ? log.longestSeconds() : log.allSeconds();
  return { events: [...log.events], winner: log.winner, scores: [...log.scores], turns: log.turns, minutes: seconds / 60 };
}
