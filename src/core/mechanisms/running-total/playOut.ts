import { settle } from '../../play/outcome';
import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { RunningTotalParameters } from './parameters';
import { chooseCard, chooseDiscard } from './policies';
import {
  drawCard,
  leaveHand,
  newState,
  reachesEnd,
  REVERSE,
  ROUND,
  roundedTotal,
  SKIP,
  startRound,
  TAKE_TEN,
  type TotalState,
} from './rules';

const UP = 0;
const DOWN = 1;
const ROUNDING = 2;

export function createTable(seats: readonly Seat<RunningTotalParameters>[]): PlayGame {
  const state = newState(seats);
  const count = seats.length;
  const common = seats[0]!.parameters;
  const roundsWon = new Int32Array(count);
  return (rng: Rng, log: GameLog): void => {
    roundsWon.fill(0);
    let seat = 0;
    startRound(state, seats, rng);
    while (log.turns < TURN_CAP) {
      const ended = takeTurn(state, seats, seat, rng, log);
      if (ended || state.deckIsOut) {
        if (ended) roundsWon[seat]!++;
        if (common.bonusStep === 0 && !common.matchTop) log.stand(seat, roundsWon[seat]!);
        if (!ended || roundsWon[seat]! >= common.roundsToWin) return finish(seats, roundsWon, ended ? seat : -1, log);
        startRound(state, seats, rng);
      }
      let forward = state.order;
      if (state.top === SKIP) {
        forward *= 2;
        state.top = 0;
      }
      seat = (((seat + forward) % count) + count) % count;
    }
    log.capped = true;
    log.rounds = Math.ceil(log.turns / count);
  };
}

function takeTurn(state: TotalState, seats: readonly Seat<RunningTotalParameters>[], s: number, rng: Rng, log: GameLog): boolean {
  const seat = seats[s]!;
  const p = seat.parameters;
  const place = chooseCard(state, seat, s, rng);
  log.turn(s, state.choices);
  if (state.held[s] === 0) return false;
  if (place < 0) {
    log.note(s, 4, leaveHand(state, s, chooseDiscard(state, s)), 0);
    drawCard(state, s, p, rng);
    return false;
  }
  const matches = state.hands[s * state.handWidth + place] === state.top;
  const card = leaveHand(state, s, place);
  state.top = card;
  if (card === REVERSE) state.order = -state.order;
  else if (card === ROUND) roundTotal(state, s, log);
  else if (card !== SKIP) move(state, p, s, card, log);
  if (log.telling) tellPlay(s, card, state.total, log);
  if (p.matchTop && matches && card < TAKE_TEN) takeToken(log, s);
  const over = card !== REVERSE && card !== SKIP && reachesEnd(state, p);
  if (!over) drawCard(state, s, p, rng);
  return over;
}

/** A rounding card has told what it did already. */
function tellPlay(s: number, card: number, total: number, log: GameLog): void {
  if (card === REVERSE) log.note(s, 2, 0, 0);
  else if (card === SKIP) log.note(s, 3, 0, 0);
  else if (card !== ROUND) log.note(s, card === TAKE_TEN ? 1 : 0, card, total);
}

function roundTotal(state: TotalState, s: number, log: GameLog): void {
  const before = state.total;
  log.item(s, ROUNDING, before, 10);
  state.total = roundedTotal(before);
  log.note(s, 5, before, state.total);
}

function move(state: TotalState, p: RunningTotalParameters, s: number, card: number, log: GameLog): void {
  const amount = card === TAKE_TEN ? 10 : card;
  if (state.step > 0 && card !== TAKE_TEN) {
    log.item(s, UP, state.total, amount);
    state.total += amount;
  } else {
    // Past the lower end the last step is to the end itself, so that no total is negative.
    const fitting = Math.min(amount, state.total);
    log.item(s, DOWN, state.total, fitting);
    state.total -= fitting;
  }
  if (state.total % 10 === 0) log.extra[0]!++;
  if (p.bonusStep > 0 && state.total % p.bonusStep === 0) log.scores[s]!++;
}

/** The holder of most tokens gives one; with nobody ahead, one comes from the bowl. */
function takeToken(log: GameLog, s: number): void {
  let richest = -1;
  for (let i = 0; i < log.scores.length; i++)
    if (i !== s && log.scores[i]! > 0 && (richest < 0 || log.scores[i]! > log.scores[richest]!)) richest = i;
  if (richest >= 0) log.scores[richest]!--;
  log.scores[s]!++;
  log.extra[1]!++;
}

function finish(seats: readonly Seat<RunningTotalParameters>[], roundsWon: Int32Array, last: number, log: GameLog): void {
  const p = seats[0]!.parameters;
  log.rounds = Math.ceil(log.turns / roundsWon.length);
  if (p.bonusStep === 0 && !p.matchTop) {
    for (let i = 0; i < roundsWon.length; i++) log.scores[i] = roundsWon[i]!;
    log.winner = last;
    return;
  }
  if (last >= 0) log.scores[last]! += 2;
  settle(log, seats);
}
