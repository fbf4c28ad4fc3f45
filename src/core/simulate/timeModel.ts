import type { Item, Operation } from '../items/item';
import type { Problem } from '../shared/codes';
import { acts, isAct } from '../items/acts';
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
  /** Once a round: explaining a new game, laying it out, and putting it away counted. */
  readonly teachingMinutes: number;
  readonly setUpMinutes: number;
  readonly tidyUpMinutes: number;
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
  teachingMinutes: 3,
  setUpMinutes: 1,
  tidyUpMinutes: 1,
  leastTurnSeconds: 3,
} satisfies TimeModel;

/**
 * Time to choose among n moves: choiceSeconds · log₂ n (W. E. Hick 1952, "On the rate of
 * gain of information"; the seconds are common practice, no source). Nothing for one move.
 */
export const choosingSeconds = (time: TimeModel, options: number): number => (options > 1 ? time.choiceSeconds * Math.log2(options) : 0);

/** Longest anything on the list may take; more is a slip of the pen. */
const mostSeconds = 600;

/**
 * What is wrong with a time model, or null. A pace nobody plays at is refused: a turn and
 * its easiest answer together must not be shorter than the shortest believable turn.
 */
export function timeProblem(time: TimeModel): Problem | null {
  for (const [name, value] of Object.entries(time))
    if (!Number.isFinite(value) || value < 0 || value > mostSeconds)
      return { code: 'out-of-range', field: `time.${name}`, message: `"${name}" must lie between 0 and ${mostSeconds}.` };
  const turn = time.handlingSeconds + Math.min(time.lookSeconds, time.easySeconds);
  if (turn >= DEFAULT_TIME.leastTurnSeconds) return null;
  return {
    code: 'implausible-pace',
    field: 'time.handlingSeconds',
    message: `That is a turn every ${turn.toFixed(1)} seconds; nobody plays so fast. Allow at least ${DEFAULT_TIME.leastTurnSeconds}.`,
  };
}

/** Minutes a round needs around the play itself: laid out, explained if new, put away. */
export const aroundMinutes = (time: TimeModel, isNew: boolean): number =>
  time.setUpMinutes + time.tidyUpMinutes + (isNew ? time.teachingMinutes : 0);

/** Seconds of an act that takes as long whatever its numbers; null where the numbers matter. */
export function secondsOfOperation(time: TimeModel, op: Operation): number | null {
  switch (op) {
    case 'equivalent-fraction':
    case 'compare-fraction':
    case 'add-fraction':
    case 'subtract-fraction':
      return time.fractionSeconds;
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
    default:
      return isAct(op) ? time[`${acts[op].pace}Seconds`] : null;
  }
}

/** Typical thinking time for one item, in seconds, for a child who is still learning it. */
export function secondsOfItem(time: TimeModel, item: Item): number {
  const always = secondsOfOperation(time, item.op);
  if (always !== null) return always;
  if (!Number.isInteger(item.a) || !Number.isInteger(item.b) || !Number.isInteger(item.result)) return time.fractionSeconds;
  switch (item.op) {
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
