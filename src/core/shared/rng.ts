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
  const high = Math.floor(seed / 4294967296) >>> 0;
  rng.keyA = mix(low ^ mix(stream + 0x9e3779b9) ^ Math.imul(high, 0x85ebca6b));
  rng.keyB = mix(rng.keyA ^ mix(stream ^ 0x5bd1e995) ^ low);
  rng.counter = 0;
}

/** The next 32 random bits as an unsigned integer. */
export function nextUint(rng: Rng): number {
  rng.counter = (rng.counter + 1) | 0;
  return (mix(Math.imul(rng.counter, 0x9e3779b9) + rng.keyA) ^ mix(rng.counter + rng.keyB)) >>> 0;
}

/** 2⁻³², by which multiplying is exact. */
const perUint = 2.3283064365386963e-10;

/** A uniform integer in 0 .. limit − 1, for limits below 2³¹; the bias is below limit / 2³². */
export function below(rng: Rng, limit: number): number {
  return (nextUint(rng) * limit * perUint) | 0;
}

/** A uniform number in [0, 1). */
export function uniform(rng: Rng): number {
  return nextUint(rng) * perUint;
}

/** Fisher–Yates on the first `length` places. */
export function shuffle(rng: Rng, values: Int32Array | number[], length: number): void {
  for (let i = length - 1; i > 0; i--) {
    const j = below(rng, i + 1);
    const kept = values[i] as number;
    values[i] = values[j] as number;
    values[j] = kept;
  }
}
