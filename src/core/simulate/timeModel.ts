import type { Item } from '../items/item';
import { tenTraitOf } from '../items/traits';

/**
 * Seconds per item and per turn: common practice, no source. All values are shown to
 * the owner; times noted at real tables stand beside the calculation.
 */
export interface TimeModel {
  /** A fact known or nearly known. */
  readonly easySeconds: number;
  /** One that crosses a ten, or has two digits on both sides. */
  readonly hardSeconds: number;
  readonly lookSeconds: number;
  readonly timesSeconds: number;
  readonly fractionSeconds: number;
  /** Handling of dice and cards at each turn. */
  readonly handlingSeconds: number;
  /** Weighing moves takes this long for every doubling of their number (Hick 1952). */
  readonly choiceSeconds: number;
  /** Shortest believable time between two turns. */
  readonly leastTurnSeconds: number;
}

export const DEFAULT_TIME = {
  easySeconds: 8,
  hardSeconds: 14,
  lookSeconds: 3,
  timesSeconds: 12,
  fractionSeconds: 25,
  handlingSeconds: 12,
  choiceSeconds: 2,
  leastTurnSeconds: 3,
} satisfies TimeModel;

const fractionOps: ReadonlySet<string> = new Set(['equivalent-fraction', 'compare-fraction', 'add-fraction', 'subtract-fraction']);

/**
 * Time to choose among n moves: choiceSeconds · log₂ n (W. E. Hick 1952, "On the rate of
 * gain of information"; the seconds are common practice, no source). Nothing for one move.
 */
export const choosingSeconds = (time: TimeModel, options: number): number => (options > 1 ? time.choiceSeconds * Math.log2(options) : 0);

/** Typical thinking time for one item, in seconds, for a child who is still learning it. */
export function secondsOfItem(time: TimeModel, item: Item): number {
  if (fractionOps.has(item.op)) return time.fractionSeconds;
  if (!Number.isInteger(item.a) || !Number.isInteger(item.b) || !Number.isInteger(item.result)) return time.fractionSeconds;
  switch (item.op) {
    case 'subitise':
    case 'compare':
    case 'place-digit':
    case 'read-numeral':
    case 'next-in-pattern':
    case 'odd-even':
    case 'mirror':
      return time.lookSeconds;
    case 'write-numeral':
    case 'read-graph':
    case 'turn':
    case 'next-in-sequence':
      return time.easySeconds;
    case 'measure':
    case 'area':
    case 'tell-time':
    case 'factor':
    case 'balance':
    case 'round':
    case 'times-family':
      return time.timesSeconds;
    case 'elapsed-time':
      return time.hardSeconds;
    case 'count-money':
      return Math.max(time.easySeconds, item.b * 2);
    case 'count':
      return Math.max(time.lookSeconds, item.a * 0.8);
    case 'multiply':
    case 'divide':
      return time.timesSeconds;
    default:
  }
  const bothLarge = Math.abs(item.a) >= 10 && Math.abs(item.b) >= 10;
  if (bothLarge && (item.a % 10 !== 0 || item.b % 10 !== 0) && item.b % 10 !== 0) return time.hardSeconds * 1.5;
  return tenTraitOf(item) === 'crossing' ? time.hardSeconds : time.easySeconds;
}
