import { below, type Rng, shuffle } from '../../shared/rng';
import type { CombineOperation, TargetCombineParameters } from './parameters';
import { solveTarget, starsOf, type Step } from './solver';

/** What the table knows of one hand, solved once. */
export interface Hand {
  readonly stars: number;
  readonly ways: number;
  readonly easiest: readonly Step[];
  readonly all: readonly (readonly Step[])[];
}

export interface Dealer {
  readonly deck: Int32Array;
  readonly numbers: Int32Array;
  readonly known: Map<number, Hand>;
}

export function newDealer(p: TargetCombineParameters): Dealer {
  const kinds = p.highest - p.lowest + 1;
  return { deck: Int32Array.from({ length: kinds * p.copies }, (_, i) => p.lowest + (i % kinds)), numbers: new Int32Array(p.numbers), known: new Map() };
}

/** Attempts to deal a hand of the wanted stars before the last one is taken as it is. */
const dealAttempts = 200;

export function deal(dealer: Dealer, p: TargetCombineParameters, rng: Rng): Hand {
  let hand = drawHand(dealer, p, rng);
  for (let i = 0; i < dealAttempts; i++) {
    if (hand.stars === 0 ? p.unsolvable : hand.stars >= p.leastStars && hand.stars <= p.mostStars) return hand;
    hand = drawHand(dealer, p, rng);
  }
  return hand;
}

function drawHand(dealer: Dealer, p: TargetCombineParameters, rng: Rng): Hand {
  const { numbers, deck } = dealer;
  if (p.draw === 'return') for (let i = 0; i < numbers.length; i++) numbers[i] = p.lowest + below(rng, p.highest - p.lowest + 1);
  else {
    for (let i = 0; i < numbers.length; i++) {
      const j = i + below(rng, deck.length - i);
      const kept = deck[i]!;
      deck[i] = deck[j]!;
      deck[j] = kept;
      numbers[i] = deck[i]!;
    }
  }
  numbers.sort();
  let key = 0;
  for (let i = 0; i < numbers.length; i++) key = key * 64 + numbers[i]!;
  let hand = dealer.known.get(key);
  if (!hand) {
    hand = solveHand([...numbers], p);
    dealer.known.set(key, hand);
  }
  return hand;
}

export function solveHand(numbers: readonly number[], p: TargetCombineParameters): Hand {
  const solved = solveTarget(numbers, p.target, p.operations, p.intermediates);
  return { stars: starsOf(solved), ways: solved.solutions.length, easiest: solved.solutions[0]?.steps ?? [], all: solved.solutions.map((s) => s.steps) };
}

/** A blind line: joins two numbers at random until one is left, inside the rules. Null when stuck. */
export function randomLine(numbers: Int32Array, p: TargetCombineParameters, rng: Rng, report: (op: CombineOperation, a: number, b: number) => void): number | null {
  const values = [...numbers];
  while (values.length > 1) {
    shuffle(rng, values, values.length);
    let x = values.pop()!;
    let y = values.pop()!;
    const op = p.operations[below(rng, p.operations.length)]!;
    if ((op === 'subtract' || op === 'divide') && x < y && p.intermediates !== 'integer') [x, y] = [y, x];
    if (op === 'divide' && (y === 0 || (p.intermediates !== 'rational' && p.intermediates !== 'non-negative' && x % y !== 0))) {
      if (p.operations.length === 1) return null;
      values.push(x, y);
      if (!p.operations.some((o) => o !== 'divide')) return null;
      continue;
    }
    report(op, x, y);
    values.push(op === 'add' ? x + y : op === 'subtract' ? x - y : op === 'multiply' ? x * y : x / y);
  }
  return values[0]!;
}
