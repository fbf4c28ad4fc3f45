import { below, type Rng, uniform } from '../shared/rng';
import type { Guide } from './guide';
import type { SearchState } from './searchState';

/** A change of a legal schedule that is kept or taken back; what it does to the worth is booked in the state. */
export type Move = (s: SearchState, rng: Rng, temperature: number, guide: Guide) => void;

/** The Metropolis rule. */
function accepts(delta: number, temperature: number, rng: Rng): boolean {
  return delta >= 0 || uniform(rng) < Math.exp(delta / temperature);
}

/** Keeps what was changed since `before`, where every rule is kept and chance allows it. */
function settle(s: SearchState, before: number, temperature: number, rng: Rng): void {
  if (s.broken === 0 && accepts(s.total - before, temperature, rng)) return s.accept();
  takeBack(s, before);
}

function takeBack(s: SearchState, before: number): void {
  s.undo();
  // Exactly as it was: small errors of sums do not add up.
  s.total = before;
}

const free = (s: SearchState, l: number, r: number): boolean => s.lockedSeat[l * s.R + r] === 0 && !s.isResting(l, r);

/** Two learners of one round change places; one of them may have none. */
export const swap: Move = (s, rng, temperature) => {
  const r = below(rng, s.R);
  exchange(s, r, s.randomLearner(rng), s.randomLearner(rng), temperature, rng);
};

function exchange(s: SearchState, r: number, x: number, y: number, temperature: number, rng: Rng): void {
  const tx = s.seat[x * s.R + r]!;
  const ty = s.seat[y * s.R + r]!;
  if (tx === ty || !free(s, x, r) || !free(s, y, r)) return;
  const gx = tx < 0 ? -1 : s.game[r * s.S + tx]!;
  const gy = ty < 0 ? -1 : s.game[r * s.S + ty]!;
  if (gx === gy && !s.pairsMatter) return;
  if ((gy >= 0 && !s.mayPlay(x, r, gy)) || (gx >= 0 && !s.mayPlay(y, r, gx))) return;
  const before = s.total;
  if (!s.pairsMatter && tx >= 0 && ty >= 0) {
    // Most moves are swaps that fail: they are weighed without being made.
    if (!accepts(s.worth.gain(x, r, gx, gy) + s.worth.gain(y, r, gy, gx), temperature, rng)) return;
    s.place(x, r, ty);
    s.place(y, r, tx);
    return s.accept();
  }
  s.place(x, r, ty);
  s.place(y, r, tx);
  settle(s, before, temperature, rng);
}

/** One learner moves to another table with room, or finds a seat at all. */
export const shift: Move = (s, rng, temperature) => {
  const r = below(rng, s.R);
  const l = s.randomLearner(rng);
  const from = s.seat[l * s.R + r]!;
  const to = below(rng, s.S);
  if (to === from || !free(s, l, r)) return;
  const g = s.game[r * s.S + to]!;
  if (g < 0 || s.size[r * s.S + to]! >= s.max[g]!) return;
  const old = from < 0 ? -1 : s.game[r * s.S + from]!;
  if ((from >= 0 && s.size[r * s.S + from]! <= s.min[old]!) || !s.mayPlay(l, r, g)) return;
  if (!s.pairsMatter && from >= 0) {
    if (!accepts(s.worth.gain(l, r, old, g), temperature, rng)) return;
    s.place(l, r, to);
    return s.accept();
  }
  const before = s.total;
  s.place(l, r, to);
  settle(s, before, temperature, rng);
};

/** Three learners of one round change places in a ring. */
export const ring: Move = (s, rng, temperature) => {
  const r = below(rng, s.R);
  const [x, y, z] = [s.randomLearner(rng), s.randomLearner(rng), s.randomLearner(rng)];
  const [tx, ty, tz] = [s.seat[x * s.R + r]!, s.seat[y * s.R + r]!, s.seat[z * s.R + r]!];
  if (tx < 0 || ty < 0 || tz < 0 || tx === ty || ty === tz || tx === tz) return;
  if (!free(s, x, r) || !free(s, y, r) || !free(s, z, r)) return;
  const [gx, gy, gz] = [s.game[r * s.S + tx]!, s.game[r * s.S + ty]!, s.game[r * s.S + tz]!];
  if (!s.mayPlay(x, r, gy) || !s.mayPlay(y, r, gz) || !s.mayPlay(z, r, gx)) return;
  if (!s.pairsMatter && !accepts(s.worth.gain(x, r, gx, gy) + s.worth.gain(y, r, gy, gz) + s.worth.gain(z, r, gz, gx), temperature, rng))
    return;
  const before = s.total;
  s.place(x, r, ty);
  s.place(y, r, tz);
  s.place(z, r, tx);
  if (s.pairsMatter) settle(s, before, temperature, rng);
  else s.accept();
};

/** Two learners change places in two rounds at once. */
export const swapTwice: Move = (s, rng, temperature) => {
  if (s.R < 2) return;
  const r = below(rng, s.R);
  const q = (r + 1 + below(rng, s.R - 1)) % s.R;
  const x = s.randomLearner(rng);
  const y = s.randomLearner(rng);
  if (x === y) return;
  const before = s.total;
  for (const at of [r, q]) {
    const tx = s.seat[x * s.R + at]!;
    const ty = s.seat[y * s.R + at]!;
    if (tx < 0 || ty < 0 || tx === ty || !free(s, x, at) || !free(s, y, at)) return takeBack(s, before);
    if (!s.mayTake(x, s.game[at * s.S + ty]!) || !s.mayTake(y, s.game[at * s.S + tx]!)) return takeBack(s, before);
    s.place(x, at, ty);
    s.place(y, at, tx);
  }
  settle(s, before, temperature, rng);
};

/** Reusable list of the learners at one table. */
const seated: number[] = [];
function learnersAt(s: SearchState, r: number, t: number): number[] {
  seated.length = 0;
  for (let l = 0; l < s.L; l++) if (s.seat[l * s.R + r] === t) seated.push(l);
  return seated;
}

/** A table plays another game with the same learners. */
export const changeGame: Move = (s, rng, temperature, guide) => {
  const r = below(rng, s.R);
  const l = s.randomLearner(rng);
  const t = s.seat[l * s.R + r]!;
  if (t < 0 || s.lockedTable[r * s.S + t] === 1) return;
  const old = s.game[r * s.S + t]!;
  const g = guide.game(l, rng);
  if (g < 0 || g === old) return;
  const size = s.size[r * s.S + t]!;
  if (size < s.min[g]! || size > s.max[g]! || !s.mayPlay(l, r, g) || !s.canOpen(r, g, t)) return;
  for (const m of learnersAt(s, r, t)) if (!s.mayPlay(m, r, g)) return;
  const before = s.total;
  s.setGame(r, t, g);
  settle(s, before, temperature, rng);
};

/** A table plays another game, and those whom it does not suit change places with those whom it does. */
export const changeAndRefill: Move = (s, rng, temperature, guide) => {
  const r = below(rng, s.R);
  const t = below(rng, s.S);
  const old = s.game[r * s.S + t]!;
  const l = s.randomLearner(rng);
  const g = guide.game(l, rng);
  if (old < 0 || g < 0 || g === old || s.lockedTable[r * s.S + t] === 1 || s.isResting(l, r)) return;
  if (!s.mayPlay(l, r, g) || !s.canOpen(r, g, t)) return;
  const before = s.total;
  s.setGame(r, t, g);
  while (s.size[r * s.S + t]! > s.max[g]!) if (!sendAway(s, r, t)) return takeBack(s, before);
  while (s.size[r * s.S + t]! < s.min[g]!) if (!fetch(s, r, t, g)) return takeBack(s, before);
  for (const m of [...learnersAt(s, r, t)]) if (!exchangeBest(s, r, t, m, g, rng)) return takeBack(s, before);
  settle(s, before, temperature, rng);
};

/** Whoever of a table gains most by it goes to another with room. */
function sendAway(s: SearchState, r: number, t: number): boolean {
  const now = s.game[r * s.S + t]!;
  let best = -1;
  let to = -1;
  let most = -Infinity;
  for (const m of learnersAt(s, r, t)) {
    if (!free(s, m, r)) continue;
    for (let o = 0; o < s.S; o++) {
      const g = s.game[r * s.S + o]!;
      if (o === t || g < 0 || s.size[r * s.S + o]! >= s.max[g]! || !s.mayPlay(m, r, g)) continue;
      const gain = s.worth.gain(m, r, now, g);
      if (gain > most) [best, to, most] = [m, o, gain];
    }
  }
  if (best < 0) return false;
  s.place(best, r, to);
  return true;
}

/** Whoever gains most comes to a table from one that can spare somebody, or from no seat at all. */
function fetch(s: SearchState, r: number, t: number, g: number): boolean {
  let best = -1;
  let most = -Infinity;
  for (let m = 0; m < s.L; m++) {
    const from = s.seat[m * s.R + r]!;
    if (from === t || !free(s, m, r) || !s.mayPlay(m, r, g)) continue;
    const old = from < 0 ? -1 : s.game[r * s.S + from]!;
    if (from >= 0 && s.size[r * s.S + from]! <= s.min[old]!) continue;
    const gain = s.worth.gain(m, r, old, g);
    if (gain > most) [best, most] = [m, gain];
  }
  if (best < 0) return false;
  s.place(best, r, t);
  return true;
}

/** Others that somebody who could stay is weighed against: all would cost more than it brings. */
const weighed = 12;

/** One of a table changes places with whom that brings most; somebody who may not play there has to. False where nobody can. */
function exchangeBest(s: SearchState, r: number, t: number, m: number, g: number, rng: Rng): boolean {
  const must = !s.mayPlay(m, r, g);
  if (!free(s, m, r)) return !must;
  let best = -1;
  let most = must ? -Infinity : 1e-9;
  const first = below(rng, s.L);
  const count = must ? s.L : Math.min(s.L, weighed);
  for (let i = 0; i < count; i++) {
    const y = (first + i) % s.L;
    const ty = s.seat[y * s.R + r]!;
    if (ty < 0 || ty === t || !free(s, y, r) || !s.mayPlay(y, r, g)) continue;
    const gy = s.game[r * s.S + ty]!;
    if (!s.mayPlay(m, r, gy)) continue;
    const gain = s.worth.gain(y, r, gy, g) + s.worth.gain(m, r, g, gy);
    if (gain > most) [best, most] = [y, gain];
  }
  if (best < 0) return !must;
  const to = s.seat[best * s.R + r]!;
  s.place(best, r, t);
  s.place(m, r, to);
  return true;
}

/** A closed table opens, with those who gain most and can be spared. */
export const openTable: Move = (s, rng, temperature, guide) => {
  const r = below(rng, s.R);
  const t = s.closedTable(r);
  const g = guide.game(s.randomLearner(rng), rng);
  if (t < 0 || g < 0 || !s.canOpen(r, g, -1)) return;
  const wanted = s.min[g]! + below(rng, s.max[g]! - s.min[g]! + 1);
  const before = s.total;
  s.setGame(r, t, g);
  while (s.size[r * s.S + t]! < wanted && fetch(s, r, t, g));
  settle(s, before, temperature, rng);
};

/** A table closes and its learners join others with room. */
export const closeTable: Move = (s, rng, temperature) => {
  const r = below(rng, s.R);
  const t = below(rng, s.S);
  if (s.game[r * s.S + t]! < 0 || s.lockedTable[r * s.S + t] === 1) return;
  const before = s.total;
  while (s.size[r * s.S + t]! > 0) {
    if (sendAway(s, r, t)) continue;
    if (!s.mayRest) return takeBack(s, before);
    for (const m of [...learnersAt(s, r, t)]) s.place(m, r, -1);
  }
  s.setGame(r, t, -1);
  settle(s, before, temperature, rng);
};

/** Two tables of two rounds change games. */
export const swapGames: Move = (s, rng, temperature) => {
  if (s.R < 2) return;
  const r = below(rng, s.R);
  const q = (r + 1 + below(rng, s.R - 1)) % s.R;
  const t = below(rng, s.S);
  const u = below(rng, s.S);
  const g = s.game[r * s.S + t]!;
  const h = s.game[q * s.S + u]!;
  if (g < 0 || h < 0 || g === h || s.lockedTable[r * s.S + t] === 1 || s.lockedTable[q * s.S + u] === 1) return;
  const [n, m] = [s.size[r * s.S + t]!, s.size[q * s.S + u]!];
  if (n < s.min[h]! || n > s.max[h]! || m < s.min[g]! || m > s.max[g]!) return;
  for (const l of learnersAt(s, r, t)) if (!s.mayTake(l, h)) return;
  for (const l of learnersAt(s, q, u)) if (!s.mayTake(l, g)) return;
  const before = s.total;
  s.setGame(r, t, h);
  s.setGame(q, u, g);
  settle(s, before, temperature, rng);
};

/** Somebody changes places so as to sit with a companion. */
export const joinCompanion: Move = (s, rng, temperature) => {
  const pairs = s.instance.aims?.together;
  if (!pairs?.length) return;
  const r = below(rng, s.R);
  const [a, b] = pairs[below(rng, pairs.length)]!.pair;
  const [x, p] = uniform(rng) < 0.5 ? [a, b] : [b, a];
  const t = s.seat[x * s.R + r]!;
  if (t < 0 || s.seat[p * s.R + r] === t) return;
  const there = learnersAt(s, r, t).filter((m) => m !== x);
  if (there.length > 0) exchange(s, r, p, there[below(rng, there.length)]!, temperature, rng);
};

/** Each kind of move and how often it is tried, in shares of 1. */
export const moveKinds: readonly { readonly name: string; readonly move: Move; readonly share: number }[] = [
  { name: 'swap', move: swap, share: 0.58 },
  { name: 'shift', move: shift, share: 0.12 },
  { name: 'ring', move: ring, share: 0.04 },
  { name: 'swap twice', move: swapTwice, share: 0.03 },
  { name: 'change game', move: changeGame, share: 0.14 },
  { name: 'change and refill', move: changeAndRefill, share: 0.04 },
  { name: 'open table', move: openTable, share: 0.01 },
  { name: 'close table', move: closeTable, share: 0.01 },
  { name: 'swap games', move: swapGames, share: 0.02 },
  { name: 'join a companion', move: joinCompanion, share: 0.01 },
];
