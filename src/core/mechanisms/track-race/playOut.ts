import { bestOf } from '../../play/bestOf';
import { between } from '../../play/deck';
import { settle, slips } from '../../play/outcome';
import { below, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { TrackRaceParameters } from './parameters';
import { jumpTable } from './rules';

const UP = 0;
const DOWN = 1;
const JOIN = 2;
const APART = 3;
const PARITY = 4;

type Racer = Seat<TrackRaceParameters>;

export function createTable(seats: readonly Racer[]): PlayGame {
  const count = seats.length;
  const board = seats[0]!.parameters;
  const places = new Int32Array(count);
  const jumps = jumpTable(board);
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) places[s] = Math.min(board.end - 1, seats[s]!.parameters.start + seats[s]!.headStart);
    let home = false;
    for (let turn = 0; turn < TURN_CAP; turn++) {
      const s = turn % count;
      if (takeTurn(seats[s]!, s, places, jumps, rng, log)) home = true;
      // Where the round is played out, nobody is ahead by having begun.
      if (home && (s === count - 1 || board.lastRound === 'stops-at-once')) return finish(seats, places, log);
    }
    log.capped = true;
    log.rounds = Math.ceil(TURN_CAP / count);
  };
}

/** Throws, moves and reports; true when the token has reached the end. */
function takeTurn(seat: Racer, s: number, places: Int32Array, jumps: Int32Array, rng: Rng, log: GameLog): boolean {
  const p = seat.parameters;
  const before = places[s]!;
  let now = before;
  if (p.move === 'forward-then-back') {
    now = step(p, s, now, between(rng, p.lowestFace, p.highestFace), log);
    if (now < p.end) now = step(p, s, now, -between(rng, p.lowestFace, p.highestFace), log);
  } else now = step(p, s, now, throwDice(p, s, rng, log), log);
  if (now < p.end && jumps[now] !== now) {
    log.note(s, 3, now, jumps[now]!);
    if (jumps[now]! < now) log.extra[0]!++;
    now = jumps[now]!;
  }
  if (p.special !== 'none' && now > p.start && now < p.end && now % p.specialEvery === 0) now = specialSpace(seat, s, now, rng, log);
  log.turn(s, now === before ? 0 : 1);
  places[s] = now;
  if (p.tokens === 'none') log.stand(s, now);
  if (p.tokens !== 'none' && now > p.start && now < p.end) tokenSpace(p, s, now, log);
  return now >= p.end;
}

function throwDice(p: TrackRaceParameters, s: number, rng: Rng, log: GameLog): number {
  let sum = between(rng, p.lowestFace, p.highestFace);
  if (p.move === 'difference') {
    const other = between(rng, p.lowestFace, p.highestFace);
    log.item(s, APART, Math.max(sum, other), Math.min(sum, other));
    return Math.abs(sum - other);
  }
  for (let d = 1; d < p.dice; d++) {
    const face = between(rng, p.lowestFace, p.highestFace);
    log.item(s, JOIN, sum, face);
    sum += face;
  }
  return p.move === 'signed' && below(rng, 6) < p.minusFaces ? -sum : sum;
}

/** One step on the track; where the token then stands. */
function step(p: TrackRaceParameters, s: number, from: number, by: number, log: GameLog): number {
  if (by >= 0) {
    log.item(s, UP, from, by);
    const to = from + by;
    const over = to > p.end;
    // Past the end the peg stands on the end; where it must be exact, it stays.
    log.note(s, over && p.landing === 'exact' ? 2 : 0, by, over && p.landing === 'beyond' ? p.end : to);
    if (to < p.end) return to;
    return to === p.end || p.landing === 'beyond' ? p.end : from;
  }
  const back = Math.min(-by, from - p.start);
  if (back > 0) log.item(s, DOWN, from, back);
  log.note(s, 1, back, from - back);
  return from - back;
}

function specialSpace(seat: Racer, s: number, at: number, rng: Rng, log: GameLog): number {
  const p = seat.parameters;
  log.extra[1]!++;
  const face = between(rng, Math.max(1, p.lowestFace), Math.max(1, p.highestFace));
  if (p.special === 'odd-even') {
    log.item(s, PARITY, face, 0);
    const to = step(p, s, at, face % 2 === 0 ? face : -face, log);
    return to;
  }
  // Add or take as you like: adding helps unless it would pass an exact end.
  const good = p.landing === 'beyond' || at + face <= p.end;
  return step(p, s, at, good === !slips(seat, rng) ? face : -face, log);
}

function tokenSpace(p: TrackRaceParameters, s: number, at: number, log: GameLog): void {
  if (at % p.tokenEvery !== 0) return;
  const takes = p.tokens === 'give-and-take' && (at / p.tokenEvery) % 2 === 0;
  if (takes && log.scores[s]! > 0) log.scores[s]!--;
  else if (!takes) log.scores[s]!++;
  log.note(s, takes ? 5 : 4, log.scores[s]!, 0);
}

/** Who is home at the end wins; with tokens, most tokens win and being home brings two more. */
function finish(seats: readonly Racer[], places: Int32Array, log: GameLog): void {
  const { tokens, end } = seats[0]!.parameters;
  if (tokens !== 'none') {
    for (let s = 0; s < seats.length; s++) if (places[s] === end) log.scores[s]! += 2;
    settle(log, seats);
    return;
  }
  for (let s = 0; s < seats.length; s++) log.scores[s] = places[s]!;
  log.winner = bestOf(places, seats.length);
  log.rounds = Math.ceil(log.turns / seats.length);
}
