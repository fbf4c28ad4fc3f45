import type { Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { RunningTotalParameters } from './parameters';
import { chooseCard, chooseDiscard, countChoices } from './policies';
import { drawCard, leaveHand, newState, reachesEnd, REVERSE, SKIP, startRound, TAKE_TEN, type TotalState } from './rules';

const UP = 0;
const DOWN = 1;

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
        if (!ended || roundsWon[seat]! >= common.roundsToWin) return finish(common, roundsWon, ended ? seat : -1, log);
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
  log.turn(s, countChoices(state, p, s));
  if (state.held[s] === 0) return false;
  const place = chooseCard(state, seat, s, rng);
  if (place < 0) {
    leaveHand(state, s, chooseDiscard(state, s));
    drawCard(state, s, p, rng);
    return false;
  }
  const matches = state.hands[s * state.handWidth + place] === state.top;
  const card = leaveHand(state, s, place);
  state.top = card;
  if (card === REVERSE) state.order = -state.order;
  else if (card !== SKIP) move(state, p, s, card, log);
  if (p.matchTop && matches && card < TAKE_TEN) takeToken(log, s);
  const over = card < REVERSE && reachesEnd(state, p);
  if (!over) drawCard(state, s, p, rng);
  return over;
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
  for (let i = 0; i < log.scores.length; i++) if (i !== s && log.scores[i]! > 0 && (richest < 0 || log.scores[i]! > log.scores[richest]!)) richest = i;
  if (richest >= 0) log.scores[richest]!--;
  log.scores[s]!++;
  log.extra[1]!++;
}

function finish(p: RunningTotalParameters, roundsWon: Int32Array, last: number, log: GameLog): void {
  log.rounds = Math.ceil(log.turns / roundsWon.length);
  if (p.bonusStep === 0 && !p.matchTop) {
    for (let i = 0; i < roundsWon.length; i++) log.scores[i] = roundsWon[i]!;
    log.winner = last;
    return;
  }
  if (last >= 0) log.scores[last]! += 2;
  let best = 0;
  let ties = 0;
  for (let i = 1; i < log.scores.length; i++) {
    if (log.scores[i]! > log.scores[best]!) {
      best = i;
      ties = 0;
    } else if (log.scores[i] === log.scores[best]) ties++;
  }
  log.winner = ties > 0 ? -1 : best;
}
