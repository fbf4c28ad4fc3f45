import { below, type Rng } from '../../shared/rng';
import { between } from '../../play/deck';
import type { ChainParameters } from './parameters';

/** One loop: card i says "I have answer[i]; who has a[i] ∘ b[i]?", and card i+1 has it. */
export interface Loop {
  readonly answer: Int32Array;
  readonly op: Int32Array;
  readonly a: Int32Array;
  readonly b: Int32Array;
}

export const ADD = 0;
export const SUBTRACT = 1;
export const MULTIPLY = 2;
export const DIVIDE = 3;

/** Answers that can stand on a card. */
export function answersOf(p: ChainParameters): number[] {
  const low = p.operation === 'sum' ? 2 : 1;
  const list: number[] = [];
  for (let n = low; n <= p.highest; n++) {
    if (p.operation === 'product' && !factorPairs(n).length) continue;
    list.push(n);
  }
  return list;
}

function factorPairs(n: number): number[] {
  return Array.from({ length: 11 }, (_, i) => i + 2).filter((x) => n % x === 0 && n / x >= 2 && n / x <= 12);
}

/** Writes one question whose answer is `n`. */
function ask(p: ChainParameters, loop: Loop, card: number, n: number, rng: Rng): void {
  const set = (op: number, a: number, b: number): void => {
    loop.op[card] = op;
    loop.a[card] = a;
    loop.b[card] = b;
  };
  if (p.operation === 'sum') {
    const b = between(rng, 1, n - 1);
    set(ADD, Math.max(b, n - b), Math.min(b, n - b));
  } else if (p.operation === 'difference') {
    const b = between(rng, 1, 9);
    set(SUBTRACT, n + b, b);
  } else if (p.operation === 'product') {
    const pairs = factorPairs(n);
    const a = pairs[below(rng, pairs.length)]!;
    set(MULTIPLY, a, n / a);
  } else if (p.operation === 'ten-more-or-less') {
    if (n > 10 && below(rng, 2) === 0) set(ADD, n - 10, 10);
    else set(SUBTRACT, n + 10, 10);
  } else if (n % 2 === 0 && below(rng, 2) === 0) set(MULTIPLY, n / 2, 2);
  else set(DIVIDE, 2 * n, 2);
}

export function newLoop(cards: number): Loop {
  return { answer: new Int32Array(cards), op: new Int32Array(cards), a: new Int32Array(cards), b: new Int32Array(cards) };
}

/** Deals different answers in one circle, so that the loop closes once and only at its end. */
export function writeLoop(p: ChainParameters, loop: Loop, pool: Int32Array, rng: Rng): void {
  const n = p.cards;
  for (let i = 0; i < n; i++) {
    const j = i + below(rng, pool.length - i);
    const kept = pool[i]!;
    pool[i] = pool[j]!;
    pool[j] = kept;
    loop.answer[i] = pool[i]!;
  }
  for (let i = 0; i < n; i++) ask(p, loop, i, loop.answer[(i + 1) % n]!, rng);
}

/**
 * What is wrong with a loop, or null: from any card the questions must lead through every
 * card before the first comes again.
 */
export function loopProblem(loop: Loop): string | null {
  const n = loop.answer.length;
  const valueOf = (i: number): number => {
    const [a, b] = [loop.a[i]!, loop.b[i]!];
    return [a + b, a - b, a * b, a / b][loop.op[i]!]!;
  };
  const seen = new Set<number>();
  let at = 0;
  for (let i = 0; i < n; i++) {
    if (seen.has(at)) return `closes after ${i} of ${n} cards`;
    seen.add(at);
    const holders = [...loop.answer.keys()].filter((c) => loop.answer[c] === valueOf(at));
    if (holders.length !== 1) return `the answer ${valueOf(at)} is on ${holders.length} cards`;
    at = holders[0]!;
  }
  return at === 0 ? null : 'does not close';
}
