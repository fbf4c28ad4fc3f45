import { type Rng, uniform } from '../shared/rng';
import type { PlanInstance } from './instance';
import { SearchState } from './searchState';

/**
 * A first plan, round by round: opens the table whose best seats gain most per learner,
 * minus a price for preparation, with some noise so that repeated tries differ.
 * Returns null when a learner is left without a seat.
 */
export function greedy(instance: PlanInstance, rng: Rng, noise: number): SearchState | null {
  const state = new SearchState(instance);
  if (!state.seatLocks()) return null;
  state.refreshWorth();
  for (let r = 0; r < instance.rounds; r++) if (!fillRound(state, r, rng, noise)) return null;
  state.refreshWorth();
  return state;
}

function fillRound(state: SearchState, r: number, rng: Rng, noise: number): boolean {
  const { instance, S } = state;
  const waiting = (): number[] =>
    Array.from({ length: state.L }, (_, l) => l).filter((l) => state.seat[l * state.R + r]! < 0 && !state.isResting(l, r));
  for (let open = waiting(); open.length > 0; open = waiting()) {
    const table = state.closedTable(r);
    const opened = table >= 0 && openBest(state, r, table, open, rng, noise);
    if (!opened) break;
  }
  // Who is still waiting joins a table with room.
  for (const l of waiting()) {
    let best = -1;
    let bestGain = -1;
    for (let t = 0; t < S; t++) {
      const g = state.game[r * S + t]!;
      if (g < 0 || state.size[r * S + t]! >= instance.games[g]!.max || !state.mayPlay(l, r, g)) continue;
      const gain = gainOf(state, l, r, t);
      if (gain > bestGain) {
        best = t;
        bestGain = gain;
      }
    }
    if (best < 0) return false;
    state.place(l, r, best);
    state.worth[l] = state.valueOfLearner(l);
  }
  for (let t = 0; t < S; t++) {
    const g = state.game[r * S + t]!;
    if (g >= 0 && state.size[r * S + t]! < instance.games[g]!.min && !topUp(state, r, t)) return false;
  }
  return true;
}

function gainOf(state: SearchState, l: number, r: number, table: number): number {
  state.place(l, r, table);
  const gain = state.valueOfLearner(l) - state.worth[l]!;
  state.place(l, r, -1);
  return gain;
}

function openBest(state: SearchState, r: number, table: number, waiting: readonly number[], rng: Rng, noise: number): boolean {
  const { instance, S } = state;
  const tablesLeft = Array.from({ length: S }, (_, t) => t).filter((t) => state.game[r * S + t]! < 0).length;
  const leastSeats = Math.ceil(waiting.length / tablesLeft);
  let best: { g: number; learners: number[] } | null = null;
  let bestScore = -Infinity;
  for (let g = 0; g < state.G; g++) {
    const game = instance.games[g]!;
    if (!state.canOpen(r, g, -1)) continue;
    state.game[r * S + table] = g;
    const gains = waiting.filter((l) => state.mayPlay(l, r, g)).map((l) => ({ l, gain: gainOf(state, l, r, table) }));
    state.game[r * S + table] = -1;
    gains.sort((x, y) => y.gain - x.gain);
    const remaining = waiting.length;
    let take = Math.min(game.max, gains.length);
    if (take < game.min) continue;
    // Leave nobody alone: a rest of one is taken in when there is room.
    if (remaining - take === 1 && take > game.min && take > leastSeats) take -= 1;
    if (take < leastSeats && tablesLeft <= 1) continue;
    const mean = gains.slice(0, take).reduce((sum, x) => sum + x.gain, 0) / take;
    const price = state.isUsed(g) ? 0 : (game.preparation / Math.max(1, state.preparationLeft())) * 0.5;
    const crowd = take < leastSeats ? 0.3 * (leastSeats - take) : 0;
    const score = mean - price - crowd + noise * (uniform(rng) - 0.5);
    if (score > bestScore) {
      bestScore = score;
      best = { g, learners: gains.slice(0, take).map((x) => x.l) };
    }
  }
  if (!best) return false;
  state.setGame(r, table, best.g);
  for (const l of best.learners) {
    state.place(l, r, table);
    state.worth[l] = state.valueOfLearner(l);
  }
  return true;
}

/** Brings a table (opened by a lock, say) to its least size by moving learners over. */
function topUp(state: SearchState, r: number, table: number): boolean {
  const { instance, S } = state;
  const g = state.game[r * S + table]!;
  for (let l = 0; l < state.L && state.size[r * S + table]! < instance.games[g]!.min; l++) {
    const from = state.seat[l * state.R + r]!;
    if (from < 0 || from === table || state.lockedSeat[l * state.R + r] === 1 || !state.mayPlay(l, r, g)) continue;
    if (state.size[r * S + from]! <= instance.games[state.game[r * S + from]!]!.min) continue;
    state.place(l, r, table);
    state.worth[l] = state.valueOfLearner(l);
  }
  return state.size[r * S + table]! >= instance.games[g]!.min;
}
