import { type Rng, uniform } from '../shared/rng';
import { Guide } from './guide';
import type { Schedule } from './instance';
import type { Move } from './moves/move';
import { moveKinds } from './moves/moveKinds';
import { scheduleFrom, type SearchState } from './searchState';

/** Moves whose effect is looked at to find out what a change is worth here. */
const sampled = 1500;
/** Beginning and end of the cooling, in mean sizes of a move's effect. */
const hottest = 0.5;
const coldest = 0.08;
/** Hears of the part done, the best worth so far and, when asked, the schedule that has it; false stops. */
export type OnProgress = (share: number, best: number, incumbent: () => Schedule) => boolean;

/** Every so many moves the temperature falls and others may have a word. */
const between = 1024;

/**
 * Simulated annealing over complete, legal schedules. The budget is a number of moves, not a clock, so that a plan
 * can be made again; the temperature follows from what moves do in this very session. Returns the best schedule met.
 * Source of the scheme: S. Kirkpatrick, C. Gelatt and M. Vecchi 1983.
 */
export function anneal(state: SearchState, rng: Rng, moves: number, onProgress?: OnProgress): { schedule: Schedule; value: number } {
  const guide = new Guide(state);
  const scale = meanEffect(state, rng, guide);
  let best = state.total;
  const bestGame = state.game.slice();
  const bestSeat = state.seat.slice();
  const cooling = Math.log(coldest / hottest);
  let temperature = hottest * scale;
  const now = (): Schedule => scheduleFrom(bestGame, bestSeat, state.L, state.R, state.S);
  for (let i = 0; i < moves; i++) {
    if (i % between === 0) {
      temperature = hottest * scale * Math.exp((cooling * i) / moves);
      if (onProgress && !onProgress(i / moves, best, now)) break;
    }
    chooseMove(uniform(rng))(state, rng, temperature, guide);
    if (state.total > best + 1e-9) {
      best = state.total;
      bestGame.set(state.game);
      bestSeat.set(state.seat);
    }
  }
  return { schedule: now(), value: best };
}

/** A table of a hundred places, so that a move is drawn by one look. */
const drawn: readonly Move[] = moveKinds.flatMap(({ move, share }) => Array<Move>(Math.round(share * 100)).fill(move));
const chooseMove = (u: number): Move => drawn[Math.floor(u * drawn.length)]!;

/** Mean size of what moves do to the worth of the schedule as it stands; nothing is changed. */
function meanEffect(state: SearchState, rng: Rng, guide: Guide): number {
  const game = state.game.slice();
  const seat = state.seat.slice();
  let sum = 0;
  let count = 0;
  // Nearly every move is taken, and the next one begins from there: what is met on the way is typical of the session. A
  // seat lost or won is far from typical.
  const temperature = state.instance.aims?.rest ? Math.min(...state.instance.aims.rest) / 20 : Infinity;
  for (let i = 0; i < sampled; i++) {
    const before = state.total;
    const unseated = state.restCount();
    chooseMove(uniform(rng))(state, rng, temperature, guide);
    const effect = Math.abs(state.total - before);
    if (effect > 1e-9 && state.restCount() === unseated) {
      sum += effect;
      count++;
    }
  }
  state.load(scheduleFrom(game, seat, state.L, state.R, state.S));
  return count === 0 ? 1 : sum / count;
}
