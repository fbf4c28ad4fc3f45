import { type Rng, uniform } from '../shared/rng';
import type { PlanInstance } from './instance';
import { SearchState } from './searchState';

/**
 * A first plan, round by round: opens the table whose best seats gain most per learner,
 * minus a price for preparation, with some noise so that repeated tries differ.
 * Returns null when a learner is left without a seat who may not be, or the locks cannot be kept.
 */
export function greedy(instance: PlanInstance, rng: Rng, noise: number): SearchState | null {
  const state = new SearchState(instance);
  if (!state.seatLocks()) return null;
  for (let r = 0; r < instance.rounds; r++) if (!fillRound(state, r, rng, noise)) return null;
  state.accept();
  return state.broken === 0 ? state : null;
}

/**
 * A first plan that keeps what stands (`instance.aims.keep`) wherever it still may, and fills the gaps greedily. Null where
 * nothing is to be kept, or a gap cannot be filled so.
 */
export function greedyKeeping(instance: PlanInstance, rng: Rng): SearchState | null {
  const games = instance.aims?.keep?.games;
  if (!games) return null;
  const state = new SearchState(instance);
  if (!state.seatLocks()) return null;
  // All that stays first: a gap is not filled with a game that would push somebody out in a later round.
  for (let r = 0; r < instance.rounds; r++) seatKept(state, r, games);
  for (let r = 0; r < instance.rounds; r++) if (!fillRound(state, r, rng, 0)) return null;
  state.accept();
  return state.broken === 0 ? state : null;
}

/** Opens the tables that stood in a round, the largest first, for those who may still sit there. */
function seatKept(state: SearchState, r: number, games: readonly (readonly number[])[]): void {
  const { S, R } = state;
  const tables = new Map<number, number[]>();
  for (const [l, kept] of games.entries()) {
    const g = kept[r]!;
    if (g < 0 || state.isResting(l, r) || state.seat[l * R + r]! >= 0 || !state.mayPlay(l, r, g)) continue;
    tables.set(g, [...(tables.get(g) ?? []), l]);
  }
  for (const [g, learners] of [...tables].sort((x, y) => y[1].length - x[1].length || x[0] - y[0])) {
    let table = Array.from({ length: S }, (_, t) => t).find((t) => state.game[r * S + t] === g) ?? -1;
    if (table < 0) {
      table = state.closedTable(r);
      if (table < 0 || learners.length < state.min[g]! || !state.canOpen(r, g, -1)) continue;
      state.setGame(r, table, g);
    }
    for (const l of learners) if (state.size[r * S + table]! < state.max[g]! && fitsIn(state, l, r, table)) state.place(l, r, table);
  }
}

function fillRound(state: SearchState, r: number, rng: Rng, noise: number): boolean {
  const { S } = state;
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
    let bestGain = -Infinity;
    for (let t = 0; t < S; t++) {
      const g = state.game[r * S + t]!;
      if (g < 0 || state.size[r * S + t]! >= state.max[g]! || !state.mayPlay(l, r, g) || !fitsIn(state, l, r, t)) continue;
      const gain = state.worth.gain(l, r, -1, g);
      if (gain > bestGain) {
        best = t;
        bestGain = gain;
      }
    }
    if (best < 0) {
      if (!state.mayRest) return false;
      continue;
    }
    state.place(l, r, best);
  }
  for (let t = 0; t < S; t++) {
    const g = state.game[r * S + t]!;
    if (g < 0 || state.size[r * S + t]! >= state.min[g]! || topUp(state, r, t)) continue;
    if (!state.mayRest || state.lockedTable[r * S + t] === 1) return false;
    for (let l = 0; l < state.L; l++) if (state.seat[l * state.R + r] === t) state.place(l, r, -1);
    state.setGame(r, t, -1);
  }
  return true;
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
    const open = waiting.filter((l) => state.mayPlay(l, r, g)).map((l) => ({ l, gain: state.worth.gain(l, r, -1, g) }));
    const gains = togetherOnly(
      state,
      open.sort((x, y) => y.gain - x.gain),
    );
    const remaining = waiting.length;
    let take = Math.min(game.max, gains.length);
    if (take < game.min) continue;
    // Leave nobody alone: a rest of one is taken in when there is room.
    if (remaining - take === 1 && take > game.min && take > leastSeats) take -= 1;
    if (take < leastSeats && tablesLeft <= 1 && !state.mayRest) continue;
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
  for (const l of best.learners) state.place(l, r, table);
  return true;
}

/** Who can sit together, the first first: whoever is kept apart from one who sits already stays out. */
function togetherOnly<T extends { readonly l: number }>(state: SearchState, open: readonly T[]): T[] {
  const chosen: T[] = [];
  for (const x of open) if (chosen.every((y) => state.mayMeet(x.l, y.l))) chosen.push(x);
  return chosen;
}

const fitsIn = (state: SearchState, l: number, r: number, t: number): boolean => {
  for (let o = 0; o < state.L; o++) if (state.seat[o * state.R + r] === t && !state.mayMeet(l, o)) return false;
  return true;
};

/** Brings a table (opened by a lock, say) to its least size by moving learners over. */
function topUp(state: SearchState, r: number, table: number): boolean {
  const { S } = state;
  const g = state.game[r * S + table]!;
  for (let l = 0; l < state.L && state.size[r * S + table]! < state.min[g]!; l++) {
    const from = state.seat[l * state.R + r]!;
    if (
      from === table ||
      state.isResting(l, r) ||
      state.lockedSeat[l * state.R + r] === 1 ||
      !state.mayPlay(l, r, g) ||
      !fitsIn(state, l, r, table)
    )
      continue;
    if (from >= 0 && state.size[r * S + from]! <= state.min[state.game[r * S + from]!]!) continue;
    state.place(l, r, table);
  }
  return state.size[r * S + table]! >= state.min[g]!;
}
