/**
 * A counter-based random number generator: the n-th number of game g under seed s is a
 * hash of (s, g, n), so any single game can be replayed alone, on any worker.
 * The mixer is the 32-bit finaliser with multipliers 0x21f0aaad and 0x735a2d97
 * (C. Wellons and T. Ettl's search for low-bias hashes, from memory).
 */
export interface Rng {
  keyA: number;
  keyB: number;
  counter: number;
}

function mix(value: number): number {
  let x = value | 0;
  x ^= x >>> 16;
  x = Math.imul(x, 0x21f0aaad);
  x ^= x >>> 15;
  x = Math.imul(x, 0x735a2d97);
  x ^= x >>> 15;
  return x;
}

export function createRng(seed: number, stream = 0): Rng {
  const rng: Rng = { keyA: 0, keyB: 0, counter: 0 };
  reseed(rng, seed, stream);
  return rng;
}

/** Points the generator at the start of a stream without allocating. */
export function reseed(rng: Rng, seed: number, stream: number): void {
  const low = seed >>> 0;
  // Most seeds fit in 32 bits; this runs once a game.
  const high = seed === low ? 0 : Math.floor(seed / 4294967296) >>> 0;
  rng.keyA = mix(low ^ mix(stream + 0x9e3779b9) ^ Math.imul(high, 0x85ebca6b));
  rng.keyB = mix(rng.keyA ^ mix(stream ^ 0x5bd1e995) ^ low);
  rng.counter = 0;
}

/** The next 32 random bits, signed: what the fastest arithmetic works on. */
function nextBits(rng: Rng): number {
  const counter = (rng.counter + 1) | 0;
  rng.counter = counter;
  // The two mixes are written out: a compiler inlines only so many calls in a hot loop.
  let x = (Math.imul(counter, 0x9e3779b9) + rng.keyA) | 0;
  let y = (counter + rng.keyB) | 0;
  x = Math.imul(x ^ (x >>> 16), 0x21f0aaad);
  y = Math.imul(y ^ (y >>> 16), 0x21f0aaad);
  x = Math.imul(x ^ (x >>> 15), 0x735a2d97);
  y = Math.imul(y ^ (y >>> 15), 0x735a2d97);
  return x ^ (x >>> 15) ^ y ^ (y >>> 15);
}

/** The next 32 random bits as an unsigned integer. */
export function nextUint(rng: Rng): number {
  return nextBits(rng) >>> 0;
}

/** 2⁻³², by which multiplying is exact. */
const perUint = 2.3283064365386963e-10;

/**
 * A uniform integer in 0 .. limit − 1, ⌊bits · limit / 2³²⌋, for limits below 2³¹; the
 * bias is below limit / 2³². Small limits multiply in two halves of 16 bits, which needs no
 * floating point. The numbers stand in the formula: a bundle would read a name anew each time.
 */
export function below(rng: Rng, limit: number): number {
  const bits = nextBits(rng);
  if (limit > 0xffff) return ((bits >>> 0) * limit * 2.3283064365386963e-10) | 0;
  return (Math.imul(bits >>> 16, limit) + (Math.imul(bits & 0xffff, limit) >>> 16)) >>> 16;
}

/** A uniform number in [0, 1). */
export function uniform(rng: Rng): number {
  return nextUint(rng) * perUint;
}

/** Fisher–Yates on the first `length` places. */
export function shuffle<T>(rng: Rng, values: Int32Array | T[], length: number): void {
  const list = values as T[];
  for (let i = length - 1; i > 0; i--) {
    const j = below(rng, i + 1);
    const kept = list[i]!;
    list[i] = list[j]!;
    list[j] = kept;
  }
}
