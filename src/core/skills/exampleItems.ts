import { compareFractions, denominatorOf, fractionCode, greatestCommonDivisor } from '../items/fraction';
import { acts, isAct } from '../items/acts';
import { fractionOps, type Item, type Operation, operations, resultOf, type Unknown } from '../items/item';
import { below, createRng, type Rng } from '../shared/rng';
import { compilePredicate, operationsOf } from './compilePredicate';
import type { ItemPredicate } from './skill';

/** Items drawn for a predicate: some that are a chance for the skill, and some of the same kind that are not. */
export interface Examples {
  readonly match: readonly Item[];
  readonly miss: readonly Item[];
}

const draws = 6000;
const spans = [5, 10, 20, 100, 1000] as const;
const denominators = [2, 3, 4, 5, 6, 8, 10] as const;

/** Draws up to `wanted` different items on either side of a predicate, within `asks` too if given; the same for the same seed. */
export function exampleItems(predicate: ItemPredicate, wanted: number, seed = 1, asks: ItemPredicate = {}): Examples {
  const test = compilePredicate(predicate);
  const fit = compilePredicate(asks);
  const rng = createRng(seed);
  const asked = operationsOf(asks) ?? operationsOf(predicate) ?? operations;
  const reps = listed(predicate, 'rep') ?? ['numerals'];
  const unknowns = listed(asks, 'unknown') ?? listed(predicate, 'unknown') ?? ['result'];
  const match = new Map<string, Item>();
  const miss = new Map<string, Item>();
  for (let i = 0; i < draws && (match.size < wanted || miss.size < wanted); i++) {
    const op = asked[below(rng, asked.length)]!;
    const item = draw(op, oneWay({ ...predicate, ...asks }, rng), rng);
    if (!item) continue;
    const full: Item = { ...item, rep: reps[below(rng, reps.length)]!, unknown: unknowns[below(rng, unknowns.length)]! as Unknown };
    const side = test(full) ? match : miss;
    if (side === match && !fit(full)) continue;
    const key = `${op}|${full.a}|${full.b}|${full.rep}|${full.unknown}`;
    if (side.size < wanted) side.set(key, full);
  }
  return { match: [...match.values()], miss: [...miss.values()] };
}

/** All values a condition allows anywhere in the predicate; null when it is not named. */
function listed<K extends 'rep' | 'unknown'>(p: ItemPredicate, key: K): Item[K][] | null {
  const own = p[key] as Item[K] | readonly Item[K][] | undefined;
  if (own !== undefined) return [own].flat() as Item[K][];
  const inner = (p.anyOf ?? []).map((x) => listed(x, key));
  return inner.length > 0 && inner.every((x) => x !== null) ? inner.flatMap((x) => x!) : null;
}

/** The conditions of one of several alternatives, to draw from. */
function oneWay(p: ItemPredicate, rng: Rng): ItemPredicate {
  return p.anyOf ? { ...p, ...p.anyOf[below(rng, p.anyOf.length)]! } : p;
}

function draw(op: Operation, p: ItemPredicate, rng: Rng): Omit<Item, 'rep' | 'unknown'> | null {
  if (isAct(op)) {
    const { operands } = acts[op];
    const [a, b] = operands[below(rng, operands.length)]!;
    return { op, a, b, result: resultOf(op, a, b) };
  }
  if (fractionOps.includes(op)) {
    const pool = p.denominators ?? denominators;
    const fraction = (): number => {
      const d = pool[below(rng, pool.length)]!;
      // Parts of a whole; now and then all of them.
      return fractionCode(1 + below(rng, below(rng, 8) === 0 ? d : d - 1), d);
    };
    let [a, b] = [fraction(), fraction()];
    // The same part written otherwise comes up often enough to be worth asking for.
    if (op === 'equivalent-fraction' && below(rng, 2) === 0) {
      const [d, n] = [denominatorOf(a), Math.floor(a / 100)];
      const other = pool.filter((x) => x !== d && (n * x) % d === 0);
      if (other.length > 0) {
        const x = other[below(rng, other.length)]!;
        b = fractionCode((n * x) / d, x);
      }
    }
    // A difference is taken from the larger, and a common bottom number has two digits at most, as fractions are written here.
    if (op === 'subtract-fraction' && compareFractions(a, b) < 0) [a, b] = [b, a];
    if (
      (op === 'add-fraction' || op === 'subtract-fraction') &&
      denominatorOf(a) * denominatorOf(b) > 99 * greatestCommonDivisor(denominatorOf(a), denominatorOf(b))
    )
      return null;
    return { op, a, b, result: resultOf(op, a, b) };
  }
  const span = spans[below(rng, spans.length)]!;
  const number = (range: readonly [number, number] | undefined): number =>
    range && below(rng, 2) === 0
      ? range[0] + below(rng, range[1] - range[0] + 1)
      : (p.negative ? -span : 0) + below(rng, span * (p.negative ? 2 : 1) + 1);
  let a = number(p.a ?? p.larger);
  let b = p.either && below(rng, 2) === 0 ? p.either[below(rng, p.either.length)]! : number(p.b ?? p.smaller);
  // Towards an answer of the size asked for, or to the whole it belongs to.
  if (p.result && below(rng, 2) === 0) {
    const to = p.result[0] + below(rng, p.result[1] - p.result[0] + 1);
    if (op === 'add' || op === 'compose' || op === 'fact-family') [a, b] = a <= to ? [a, to - a] : [Math.max(0, to - b), b];
    if (op === 'subtract') a = to + b;
  }
  const stepA = p.aMultipleOf ?? p.bothMultiplesOf ?? p.largerMultipleOf;
  const stepB = p.bMultipleOf ?? p.bothMultiplesOf;
  if (stepA && below(rng, 4) > 0) a -= a % stepA;
  if (stepB && below(rng, 4) > 0) b -= b % stepB;
  if (p.bondOf !== undefined && below(rng, 2) === 0) a = Math.max(0, p.bondOf - b);
  if (op === 'divide') {
    if (b === 0) return null;
    a *= b;
  }
  // A whole is at least its part, but for numbers below zero.
  if (!p.negative && (op === 'subtract' || op === 'decompose' || op === 'balance') && a < b) return null;
  if (op === 'factor' && b === 0) return null;
  if (op === 'round' && b === 0) return null;
  if (op === 'next-in-pattern' && (a < 2 || a > 8)) return null;
  return { op, a, b, result: resultOf(op, a, b) };
}
