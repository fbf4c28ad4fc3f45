import { below, type Rng } from '../../shared/rng';
import type { SearchState } from '../searchState';
import { free, learnersAt, type Move, settle, takeBack } from './move';

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
