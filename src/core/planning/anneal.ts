import { below, type Rng, uniform } from '../shared/rng';
import type { Schedule } from './instance';
import { scheduleFrom, type SearchState } from './searchState';

const hottest = 0.4;
const coldest = 0.02;

/**
 * Simulated annealing over complete, legal schedules: swap two learners, move one, change a
 * table's game, open or close a table. The budget is a number of moves, not a clock, so that
 * a plan can be made again. Returns the best schedule met. Source of the scheme:
 * S. Kirkpatrick, C. Gelatt and M. Vecchi 1983.
 */
export function anneal(
  state: SearchState,
  rng: Rng,
  moves: number,
  onProgress?: (share: number) => boolean,
): { schedule: Schedule; value: number } {
  let total = state.total();
  let best = total;
  const bestGame = state.game.slice();
  const bestSeat = state.seat.slice();
  const cooling = Math.log(coldest / hottest);
  let temperature = hottest;
  for (let i = 0; i < moves; i++) {
    if ((i & 1023) === 0) {
      temperature = hottest * Math.exp((cooling * i) / moves);
      if ((i & 16383) === 0 && onProgress && !onProgress(i / moves)) break;
    }
    const kind = uniform(rng);
    total +=
      kind < 0.62
        ? swap(state, rng, temperature)
        : kind < 0.77
          ? shift(state, rng, temperature)
          : kind < 0.94
            ? changeGame(state, rng, temperature)
            : kind < 0.97
              ? openTable(state, rng, temperature)
              : closeTable(state, rng, temperature);
    if (total > best + 1e-9) {
      best = total;
      bestGame.set(state.game);
      bestSeat.set(state.seat);
    }
  }
  return { schedule: scheduleFrom(bestGame, bestSeat, state.L, state.R, state.S), value: best };
}

function accepts(delta: number, temperature: number, rng: Rng): boolean {
  return delta >= 0 || uniform(rng) < Math.exp(delta / temperature);
}

/** Two learners of one round change tables. */
function swap(s: SearchState, rng: Rng, temperature: number): number {
  const r = below(rng, s.R);
  const x = s.randomLearner(rng);
  const y = s.randomLearner(rng);
  const tx = s.seat[x * s.R + r]!;
  const ty = s.seat[y * s.R + r]!;
  if (tx < 0 || ty < 0 || tx === ty) return 0;
  if (s.lockedSeat[x * s.R + r] === 1 || s.lockedSeat[y * s.R + r] === 1) return 0;
  const gx = s.game[r * s.S + tx]!;
  const gy = s.game[r * s.S + ty]!;
  if (gx === gy || !s.mayPlay(x, r, gy) || !s.mayPlay(y, r, gx)) return 0;
  s.seat[x * s.R + r] = ty;
  s.seat[y * s.R + r] = tx;
  const vx = s.valueOfLearner(x);
  const vy = s.valueOfLearner(y);
  const delta = vx + vy - s.worth[x]! - s.worth[y]!;
  if (accepts(delta, temperature, rng)) {
    s.worth[x] = vx;
    s.worth[y] = vy;
    return delta;
  }
  s.seat[x * s.R + r] = tx;
  s.seat[y * s.R + r] = ty;
  return 0;
}

/** One learner moves to another table with room. */
function shift(s: SearchState, rng: Rng, temperature: number): number {
  const r = below(rng, s.R);
  const l = s.randomLearner(rng);
  const from = s.seat[l * s.R + r]!;
  const to = below(rng, s.S);
  if (from < 0 || to === from || s.lockedSeat[l * s.R + r] === 1) return 0;
  const g = s.game[r * s.S + to]!;
  if (g < 0 || s.size[r * s.S + to]! >= s.instance.games[g]!.max) return 0;
  if (s.size[r * s.S + from]! <= s.instance.games[s.game[r * s.S + from]!]!.min || !s.mayPlay(l, r, g)) return 0;
  s.place(l, r, to);
  const value = s.valueOfLearner(l);
  const delta = value - s.worth[l]!;
  if (accepts(delta, temperature, rng)) {
    s.worth[l] = value;
    return delta;
  }
  s.place(l, r, from);
  return 0;
}

/** Reusable list of the learners at one table. */
const seated: number[] = [];
function learnersAt(s: SearchState, r: number, t: number): number[] {
  seated.length = 0;
  for (let l = 0; l < s.L; l++) if (s.seat[l * s.R + r] === t) seated.push(l);
  return seated;
}

/** A table plays another game with the same learners. */
function changeGame(s: SearchState, rng: Rng, temperature: number): number {
  const r = below(rng, s.R);
  const t = below(rng, s.S);
  const old = s.game[r * s.S + t]!;
  const g = below(rng, s.G);
  if (old < 0 || g === old || s.lockedTable[r * s.S + t] === 1) return 0;
  const size = s.size[r * s.S + t]!;
  const game = s.instance.games[g]!;
  if (size < game.min || size > game.max) return 0;
  const list = learnersAt(s, r, t);
  for (const l of list) if (!s.mayPlay(l, r, g)) return 0;
  if (!s.canOpen(r, g, t)) return 0;
  s.setGame(r, t, g);
  let delta = 0;
  for (const l of list) delta += s.valueOfLearner(l) - s.worth[l]!;
  if (accepts(delta, temperature, rng)) {
    for (const l of list) s.worth[l] = s.valueOfLearner(l);
    return delta;
  }
  s.setGame(r, t, old);
  return 0;
}

/** A closed table opens with a new game and learners who can be spared. */
function openTable(s: SearchState, rng: Rng, temperature: number): number {
  const r = below(rng, s.R);
  const t = s.closedTable(r);
  const g = below(rng, s.G);
  if (t < 0 || !s.canOpen(r, g, -1)) return 0;
  const game = s.instance.games[g]!;
  const wanted = game.min + below(rng, game.max - game.min + 1);
  const from: [number, number][] = [];
  s.setGame(r, t, g);
  const start = below(rng, s.L);
  for (let i = 0; i < s.L && from.length < wanted; i++) {
    const l = (start + i) % s.L;
    const old = s.seat[l * s.R + r]!;
    if (old < 0 || old === t || s.lockedSeat[l * s.R + r] === 1) continue;
    if (s.size[r * s.S + old]! <= s.instance.games[s.game[r * s.S + old]!]!.min || !s.mayPlay(l, r, g)) continue;
    s.place(l, r, t);
    from.push([l, old]);
  }
  return settle(s, r, t, from, from.length >= game.min, -1, temperature, rng);
}

/** A table closes and its learners join others with room. */
function closeTable(s: SearchState, rng: Rng, temperature: number): number {
  const r = below(rng, s.R);
  const t = below(rng, s.S);
  const g = s.game[r * s.S + t]!;
  if (g < 0 || s.lockedTable[r * s.S + t] === 1) return 0;
  const from: [number, number][] = [];
  for (const l of [...learnersAt(s, r, t)]) {
    let to = -1;
    const start = below(rng, s.S);
    for (let i = 0; i < s.S && to < 0; i++) {
      const other = (start + i) % s.S;
      const og = s.game[r * s.S + other]!;
      if (other !== t && og >= 0 && s.size[r * s.S + other]! < s.instance.games[og]!.max && s.mayPlay(l, r, og)) to = other;
    }
    if (to < 0) break;
    s.place(l, r, to);
    from.push([l, t]);
  }
  const emptied = s.size[r * s.S + t] === 0;
  if (emptied) s.setGame(r, t, -1);
  return settle(s, r, t, from, emptied, g, temperature, rng);
}

/** Keeps or undoes a change of one table: `undoGame` stands there again when undone. */
function settle(
  s: SearchState,
  r: number,
  t: number,
  from: readonly [number, number][],
  legal: boolean,
  undoGame: number,
  temperature: number,
  rng: Rng,
): number {
  let delta = 0;
  if (legal) for (const [l] of from) delta += s.valueOfLearner(l) - s.worth[l]!;
  if (legal && accepts(delta, temperature, rng)) {
    for (const [l] of from) s.worth[l] = s.valueOfLearner(l);
    return delta;
  }
  if (s.game[r * s.S + t] !== undoGame && undoGame >= 0) s.setGame(r, t, undoGame);
  for (const [l, old] of from) s.place(l, r, old);
  if (undoGame < 0) s.setGame(r, t, -1);
  return 0;
}
