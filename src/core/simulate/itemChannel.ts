import type { Item, Operation, Representation, Unknown } from '../items/item';
import { resultOf } from '../items/item';

/** Smallest and largest value, both counted. */
export type Span = readonly [number, number];

/** One way in which a mechanism asks: its items differ only in their two numbers. */
export interface ItemChannel {
  readonly op: Operation;
  readonly unknown: Unknown;
  readonly rep: Representation;
  /** Operands this channel can emit, when they differ from the table's range. */
  readonly a?: Span;
  readonly b?: Span;
}

/** The operands a variant can emit, for channels that do not say. */
export interface OperandRange {
  readonly low: number;
  readonly highA: number;
  readonly highB: number;
}

/** Where the items of one channel lie in a seat's block. */
export interface ChannelPlace {
  readonly channel: ItemChannel;
  readonly offset: number;
  readonly lowA: number;
  readonly lowB: number;
  readonly highA: number;
  readonly highB: number;
  readonly stride: number;
  readonly rows: number;
}

/** Where an item stands in a dense tally: (seat, channel, a, b). */
export interface TallyShape {
  readonly seats: number;
  readonly channels: readonly ItemChannel[];
  readonly places: readonly ChannelPlace[];
  readonly strideSeat: number;
  readonly size: number;
}

export function tallyShape(seats: number, channels: readonly ItemChannel[], range: OperandRange): TallyShape {
  const places: ChannelPlace[] = [];
  let offset = 0;
  for (const channel of channels) {
    const [lowA, highA] = channel.a ?? [range.low, range.highA];
    const [lowB, highB] = channel.b ?? [range.low, range.highB];
    const stride = highB - lowB + 1;
    const rows = highA - lowA + 1;
    places.push({ channel, offset, lowA, lowB, highA, highB, stride, rows });
    offset += stride * rows;
  }
  return { seats, channels, places, strideSeat: offset, size: offset * seats };
}

/** The item at a place inside one seat's block. */
export function itemAt(shape: TallyShape, place: number): Item {
  let c = shape.places.length - 1;
  while (shape.places[c]!.offset > place) c--;
  const { channel, offset, lowA, lowB, stride } = shape.places[c]!;
  const a = Math.floor((place - offset) / stride) + lowA;
  const b = ((place - offset) % stride) + lowB;
  return { op: channel.op, a, b, result: resultOf(channel.op, a, b), unknown: channel.unknown, rep: channel.rep };
}
