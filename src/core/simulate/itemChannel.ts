import type { Item, Operation, Representation, Unknown } from '../items/item';
import { resultOf } from '../items/item';

/** One way in which a mechanism asks: its items differ only in their two numbers. */
export interface ItemChannel {
  readonly op: Operation;
  readonly unknown: Unknown;
  readonly rep: Representation;
}

/** The largest operands a variant can emit; smallest is always `low`. */
export interface OperandRange {
  readonly low: number;
  readonly highA: number;
  readonly highB: number;
}

/** Where an item stands in a dense tally: (seat, channel, a, b). */
export interface TallyShape {
  readonly seats: number;
  readonly channels: readonly ItemChannel[];
  readonly range: OperandRange;
  readonly strideA: number;
  readonly strideChannel: number;
  readonly strideSeat: number;
  readonly size: number;
}

export function tallyShape(seats: number, channels: readonly ItemChannel[], range: OperandRange): TallyShape {
  const strideA = range.highB - range.low + 1;
  const strideChannel = strideA * (range.highA - range.low + 1);
  const strideSeat = strideChannel * channels.length;
  return { seats, channels, range, strideA, strideChannel, strideSeat, size: strideSeat * seats };
}

/** The item at a place inside one seat's block. */
export function itemAt(shape: TallyShape, place: number): Item {
  const channel = shape.channels[Math.floor(place / shape.strideChannel)]!;
  const rest = place % shape.strideChannel;
  const a = Math.floor(rest / shape.strideA) + shape.range.low;
  const b = (rest % shape.strideA) + shape.range.low;
  return { op: channel.op, a, b, result: resultOf(channel.op, a, b), unknown: channel.unknown, rep: channel.rep };
}
