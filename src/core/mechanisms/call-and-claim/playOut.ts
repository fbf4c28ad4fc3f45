import { channelOfOperation } from '../../play/arithmetic';
import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng, uniform } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { ClaimParameters } from './parameters';

/** Reading out a call, and the pause before the next (common practice, no source). */
const callSeconds = 4;
const ANSWER_CALLED = 4;

type Player = Seat<ClaimParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const table = seats[0]!.parameters;
  const times = new Float64Array(count);
  const factsA = new Int32Array(count);
  const factsB = new Int32Array(count);
  const mostCalls = table.ends === 'cards' ? table.laid : Math.min(TURN_CAP, 12 * table.claims * count);
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) log.scores[s] = seats[s]!.headStart;
    let over = false;
    for (let call = 0; call < mostCalls && !over; call++) {
      let first = -1;
      for (let s = 0; s < count; s++) {
        think(seats[s]!, s, times, factsA, factsB, rng);
        if (times[s]! < Infinity && (first < 0 || times[s]! < times[first]!)) first = s;
      }
      over = table.form === 'race' ? race(seats, first, times, factsA, factsB, log) : ownClock(seats, times, factsA, factsB, log);
    }
    log.capped = !over && table.ends === 'claims' && mostCalls === TURN_CAP;
    log.extra[0] = share(log.scores, seats);
    for (let s = 0; s < count; s++) log.scores[s]! -= seats[s]!.headStart;
    const calls = log.turns / count;
    if (table.form === 'together') {
      log.winner = count === 1 ? 0 : -1;
    } else settle(log, seats);
    log.rounds = Math.ceil(calls);
  };
}

/** How long this player needs for a call of their own range, in seconds; Infinity when the answer would be wrong. */
function think(seat: Player, s: number, times: Float64Array, a: Int32Array, b: Int32Array, rng: Rng): void {
  const p = seat.parameters;
  if (p.only.length > 0) [a[s], b[s]] = p.only[below(rng, p.only.length)]!;
  else draw(p, s, a, b, rng);
  // Gamma-like spread around the player's own mean: half fixed, half exponential (common practice, no source).
  const own = p.seconds * (0.5 - 0.5 * Math.log(1 - uniform(rng)));
  const looking = p.call === 'answer' ? 1.5 : 1;
  times[s] = slips(seat, rng) ? Infinity : p.wait + own * looking * (0.7 + (0.3 * p.laid) / 8);
}

/** A fact of the player's range. */
function draw(p: ClaimParameters, s: number, a: Int32Array, b: Int32Array, rng: Rng): void {
  const x = between(rng, p.lowest, p.highest);
  const y = between(rng, p.lowest, p.highest);
  const whole = p.operation === 'multiply' || p.operation === 'add';
  a[s] = whole ? x : p.operation === 'subtract' ? x + y : x * Math.max(1, y);
  b[s] = p.operation === 'divide' ? Math.max(1, y) : y;
}

/** The first right claim takes the card; a slower player has met the fact only if nearly done. */
function race(seats: readonly Player[], first: number, times: Float64Array, a: Int32Array, b: Int32Array, log: GameLog): boolean {
  const table = seats[0]!.parameters;
  const until = first < 0 ? table.seconds + 4 : times[first]!;
  for (let s = 0; s < seats.length; s++) {
    log.turn(s, table.laid);
    const finished = s === first || times[s]! <= until + 1;
    log.spend(s, callSeconds + (finished ? beyondItem(until, log) : until));
    if (finished) log.item(s, channelOf(seats[s]!.parameters), a[s]!, b[s]!);
    else log.extra[1]! += 1 / seats.length;
  }
  if (first < 0) return false;
  log.scores[first]!++;
  log.note(first, 0, a[first]!, b[first]!);
  return table.ends === 'claims' && log.scores[first]! >= table.claims;
}

/** Nobody is hurried: each finds the own card, and scores when it is right. */
function ownClock(seats: readonly Player[], times: Float64Array, a: Int32Array, b: Int32Array, log: GameLog): boolean {
  const table = seats[0]!.parameters;
  let over = false;
  let sum = 0;
  for (let s = 0; s < seats.length; s++) {
    log.turn(s, table.laid);
    log.spend(s, callSeconds + beyondItem(times[s]! === Infinity ? seats[s]!.parameters.seconds : times[s]!, log));
    log.item(s, channelOf(seats[s]!.parameters), a[s]!, b[s]!);
    if (times[s]! === Infinity) {
      log.note(s, 2, a[s]!, b[s]!);
      continue;
    }
    log.scores[s]!++;
    sum += log.scores[s]!;
    log.note(s, 1, a[s]!, b[s]!);
    if (table.ends === 'claims' && log.scores[s]! >= table.claims) over = true;
  }
  // Together the table counts one common score.
  return table.form === 'together' && table.ends === 'claims' ? sum >= table.claims : over;
}

/** What a player's own time adds to the usual time of an item, which the log counts anyway. */
const beyondItem = (seconds: number, log: GameLog): number => Math.max(0, seconds - log.time.easySeconds);

const channelOf = (p: ClaimParameters): number => channelOfOperation[p.operation] + (p.call === 'answer' ? ANSWER_CALLED : 0);

/** Share of all claims that went to the slowest player. */
function share(scores: Float64Array, seats: readonly Player[]): number {
  let slowest = 0;
  let sum = 0;
  for (let s = 0; s < seats.length; s++) {
    if (seats[s]!.parameters.seconds > seats[slowest]!.parameters.seconds) slowest = s;
    sum += scores[s]! - seats[s]!.headStart;
  }
  return sum === 0 ? 0 : (scores[slowest]! - seats[slowest]!.headStart) / sum;
}
