import { below, type Rng, uniform } from '../../shared/rng';
import type { SearchState } from '../searchState';
import { accepts, free, learnersAt, type Move, settle, takeBack } from './move';

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
