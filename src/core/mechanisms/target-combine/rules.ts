import { greatestCommonDivisor } from '../../items/fraction';
import { below, type Rng, shuffle } from '../../shared/rng';
import type { CombineOperation, TargetCombineParameters } from './parameters';
import { solveTarget, starsOf, type Step } from './solver';

/** What the table knows of one hand, solved once. */
export interface Hand {
  readonly stars: number;
  readonly ways: number;
  /** Numbers that the easiest way uses. */
  readonly used: number;
  readonly easiest: readonly Step[];
  readonly all: readonly (readonly Step[])[];
}

export interface Dealer {
  readonly deck: Int32Array;
  /** The deck in its first order, to which every game returns. */
  readonly wholeDeck: Int32Array;
  readonly numbers: Int32Array;
  /** The hand on the same card that does not work. */
  readonly decoy: Int32Array;
  readonly known: Map<number, Hand>;
}

export function newDealer(p: TargetCombineParameters): Dealer {
  const kinds = p.highest - p.lowest + 1;
  const signs = p.cards === 'with-negatives' ? 2 : 1;
  const deck = Int32Array.from(
    { length: kinds * p.copies * signs },
    (_, i) => (p.lowest + (i % kinds)) * (Math.floor(i / kinds) % signs === 1 ? -1 : 1),
  );
  return { deck, wholeDeck: deck.slice(), numbers: new Int32Array(p.numbers), decoy: new Int32Array(p.numbers), known: new Map() };
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
  if (p.draw === 'return') for (let i = 0; i < numbers.length; i++) numbers[i] = deck[below(rng, deck.length)]!;
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
  for (let i = 0; i < numbers.length; i++) key = key * 128 + numbers[i]! + 64;
  let hand = dealer.known.get(key);
  if (!hand) {
    hand = solveHand([...numbers], p);
    dealer.known.set(key, hand);
  }
  return hand;
}

/** Denominator of the numbers on the cards. */
export const scaleOf = (p: TargetCombineParameters): number => (p.cards === 'halves' ? 2 : p.cards === 'tenths' ? 10 : 1);

/** Solves a hand of card numbers (halves and tenths counted in halves and tenths). */
export function solveHand(cards: readonly number[], p: TargetCombineParameters): Hand {
  const scale = scaleOf(p);
  const numbers = cards.map((n) => n / scale);
  for (let leave = 0; leave <= (p.use === 'all' ? 0 : numbers.length - 2); leave++) {
    for (const some of without(numbers, leave)) {
      const solved = solveTarget(some, p.target, p.operations, p.intermediates, scale);
      if (solved.solutions.length > 0)
        return {
          stars: starsOf(solved),
          ways: solved.solutions.length,
          used: some.length,
          easiest: solved.solutions[0]!.steps,
          all: solved.solutions.map((s) => s.steps),
        };
    }
  }
  return { stars: 0, ways: 0, used: 0, easiest: [], all: [] };
}

/** Every way to leave out so many of the numbers. */
function without(numbers: readonly number[], leave: number): number[][] {
  if (leave === 0) return [[...numbers]];
  return numbers.flatMap((_, i) =>
    i >= numbers.length - leave + 1 ? [] : without(numbers.slice(i + 1), leave - 1).map((rest) => [...numbers.slice(0, i), ...rest]),
  );
}

/** Puts a hand that does not work into `decoy`; false when none was drawn. */
export function drawDecoy(dealer: Dealer, p: TargetCombineParameters, rng: Rng): boolean {
  const kept = [...dealer.numbers];
  for (let i = 0; i < dealAttempts; i++) {
    const hand = drawHand(dealer, p, rng);
    if (hand.stars > 0) continue;
    dealer.decoy.set(dealer.numbers);
    dealer.numbers.set(kept);
    return true;
  }
  dealer.numbers.set(kept);
  return false;
}

/** A blind line: joins two numbers at random until one is left, inside the rules. Null when stuck. */
export function randomLine(
  numbers: Int32Array,
  p: TargetCombineParameters,
  rng: Rng,
  report: (op: CombineOperation, a: number, b: number) => void,
): number | null {
  const scale = scaleOf(p);
  // Numbers stay whole over whole, so that tenths and thirds are what they are.
  const values: Ratio[] = Array.from(numbers, (n) => lowest(n, scale));
  while (values.length > 1) {
    shuffle(rng, values, values.length);
    let x = values.pop()!;
    let y = values.pop()!;
    const op = p.operations[below(rng, p.operations.length)]!;
    const less = x[0] * y[1] < y[0] * x[1];
    if ((op === 'subtract' || op === 'divide') && less && p.intermediates !== 'integer') [x, y] = [y, x];
    const broken = op === 'divide' && y[0] !== 0 && (x[0] * y[1]) % (x[1] * y[0]) !== 0;
    if (op === 'divide' && (y[0] === 0 || (p.intermediates !== 'rational' && p.intermediates !== 'non-negative' && broken))) {
      if (p.operations.length === 1) return null;
      values.push(x, y);
      if (!p.operations.some((o) => o !== 'divide')) return null;
      continue;
    }
    report(op, x[0] / x[1], y[0] / y[1]);
    values.push(joined(op, x, y));
  }
  return values[0]![0] / values[0]![1];
}

/** A number as whole over whole, in lowest terms, the lower one positive. */
type Ratio = readonly [top: number, bottom: number];

function lowest(top: number, bottom: number): Ratio {
  const shared = (greatestCommonDivisor(top, bottom) || 1) * (bottom < 0 ? -1 : 1);
  return [top / shared, bottom / shared];
}

function joined(op: CombineOperation, [a, b]: Ratio, [c, d]: Ratio): Ratio {
  if (op === 'add') return lowest(a * d + c * b, b * d);
  if (op === 'subtract') return lowest(a * d - c * b, b * d);
  return op === 'multiply' ? lowest(a * c, b * d) : lowest(a * d, b * c);
}
