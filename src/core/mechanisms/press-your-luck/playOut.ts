import { between } from '../../play/deck';
import { below, uniform, type Rng } from '../../shared/rng';
import type { GameLog } from '../../simulate/gameLog';
import { type PlayGame, type Seat, TURN_CAP } from '../mechanism';
import type { PressYourLuckParameters } from './parameters';
import { bestHold, loses } from './rules';
import { type WinningPlay, winningPlay } from './winningPlay';

const THROW = 0;
const GATHER = 1;
const SCORE = 2;

/** Solving takes the cube of the goal; above this it would be felt at the bench. */
const mostSolvedGoal = 100;

type Player = Seat<PressYourLuckParameters>;

export function createTable(seats: readonly Player[]): PlayGame {
  const count = seats.length;
  const holds = seats.map((s) => (s.policy === 'careful' ? bestHold(s.parameters) : s.parameters.holdAt));
  const best = bestAgainstOne(seats);
  return (rng: Rng, log: GameLog): void => {
    for (let s = 0; s < count; s++) log.scores[s] = seats[s]!.headStart;
    for (let turn = 0; turn < TURN_CAP; turn++) {
      const s = turn % count;
      const p = seats[s]!.parameters;
      playTurn(seats[s]!, s, holds[s]!, best, rng, log);
      if (log.scores[s]! < p.goal) continue;
      log.winner = s;
      log.rounds = Math.ceil((turn + 1) / count);
      return;
    }
    log.capped = true;
    log.rounds = Math.ceil(TURN_CAP / count);
  };
}

/** Two players of one simple game can be told the play that wins most; others stop at the best total. */
function bestAgainstOne(seats: readonly Player[]): WinningPlay | null {
  if (seats.length !== 2 || seats.every((s) => s.policy !== 'careful')) return null;
  const { goal, faces } = seats[0]!.parameters;
  const simple = seats.every(
    ({ parameters: p }) => p.dice === 1 && p.bust === 'one' && p.lose === 'turn' && p.goal === goal && p.faces === faces,
  );
  return simple && goal <= mostSolvedGoal ? winningPlay(goal, faces) : null;
}

function playTurn(seat: Player, s: number, hold: number, best: WinningPlay | null, rng: Rng, log: GameLog): void {
  const p = seat.parameters;
  let gathered = 0;
  log.turn(s, 2);
  for (;;) {
    const x = between(rng, 1, p.faces);
    const y = p.dice === 2 ? between(rng, 1, p.faces) : 0;
    log.extra[0]!++;
    if (p.dice === 2) log.item(s, THROW, x, y);
    if (loses(p, x, y)) {
      log.extra[1]!++;
      log.note(s, 1, x + y, gathered);
      if (p.lose === 'everything') log.scores[s] = 0;
      return;
    }
    if (gathered > 0) log.item(s, GATHER, gathered, x + y);
    gathered += x + y;
    log.note(s, 0, x + y, gathered);
    if (log.scores[s]! + gathered >= p.goal) break;
    if (best && seat.policy === 'careful' ? !best.throwsOn(log.scores[s]!, log.scores[1 - s]!, gathered) : stops(seat, gathered, hold, rng))
      break;
  }
  if (p.saysBoth && log.scores[s]! > 0) log.item(s, SCORE, log.scores[s]!, gathered);
  log.scores[s]! += gathered;
  log.note(s, 2, gathered, log.scores[s]!);
}

/** A typical player now and then stops early or goes on too long. */
function stops(seat: Player, gathered: number, hold: number, rng: Rng): boolean {
  if (seat.policy === 'random') return below(rng, 2) === 0;
  if (seat.policy === 'typical' && uniform(rng) < seat.errorRate) return below(rng, 2) === 0;
  return gathered >= hold;
}
