import type { Item, Operation } from '../items/item';
import { denominatorOf } from '../items/fraction';
import { crossesHundred, regroups, tenTraitOf } from '../items/traits';
import type { ItemPredicate } from './skill';

export type ItemTest = (item: Item) => boolean;

const list = <T>(value: T | readonly T[]): readonly T[] => (Array.isArray(value) ? (value as readonly T[]) : [value as T]);
const within = (n: number, range: readonly [number, number]): boolean => n >= range[0] && n <= range[1];

/** The whole and the parts an item is about, or null when it is not an addition or subtraction. */
function bondOf(item: Item): number | null {
  if (item.op === 'add' || item.op === 'compose' || item.op === 'fact-family') return item.result;
  if (item.op === 'subtract' || item.op === 'decompose') return item.a;
  return null;
}

function isNearDouble(item: Item): boolean {
  if (item.op === 'add') return Math.abs(item.a - item.b) === 1;
  return item.op === 'subtract' && Math.abs(item.b - item.result) === 1;
}

function isDouble(item: Item): boolean {
  if (item.op === 'add' || item.op === 'multiply') return item.a === item.b;
  return item.op === 'subtract' && item.b === item.result;
}

/** The operations a predicate can hold for, from itself or from all of its alternatives; null when any. */
export function operationsOf(predicate: ItemPredicate): readonly Operation[] | null {
  if (predicate.op !== undefined) return list(predicate.op);
  if (!predicate.anyOf) return null;
  const each = predicate.anyOf.map(operationsOf);
  return each.some((ops) => ops === null) ? null : [...new Set(each.flatMap((ops) => ops!))];
}

/**
 * Turns a declarative predicate into a test, once, so that simulation can classify
 * millions of items by table look-up.
 */
export function compilePredicate(predicate: ItemPredicate): ItemTest {
  const tests: ItemTest[] = [];
  const p = predicate;
  if (p.op !== undefined) {
    const allowed = new Set(list(p.op));
    tests.push((i) => allowed.has(i.op));
  }
  if (p.a) tests.push((i) => within(i.a, p.a!));
  if (p.b) tests.push((i) => within(i.b, p.b!));
  if (p.smaller) tests.push((i) => within(Math.min(i.a, i.b), p.smaller!));
  if (p.larger) tests.push((i) => within(Math.max(i.a, i.b), p.larger!));
  if (p.result) tests.push((i) => within(i.result, p.result!));
  if (p.unknown !== undefined) {
    const allowed = new Set(list(p.unknown));
    tests.push((i) => allowed.has(i.unknown));
  }
  if (p.rep !== undefined) {
    const allowed = new Set(list(p.rep));
    tests.push((i) => allowed.has(i.rep));
  }
  if (p.ten !== undefined) {
    const allowed = new Set(list(p.ten));
    tests.push((i) => {
      const trait = tenTraitOf(i);
      return trait !== null && allowed.has(trait);
    });
  }
  if (p.regroups !== undefined) tests.push((i) => regroups(i) === p.regroups);
  if (p.crossesHundred !== undefined) tests.push((i) => crossesHundred(i) === p.crossesHundred);
  if (p.double !== undefined) tests.push((i) => isDouble(i) === p.double);
  if (p.nearDouble !== undefined) tests.push((i) => isNearDouble(i) === p.nearDouble);
  if (p.bondOf !== undefined) tests.push((i) => bondOf(i) === p.bondOf);
  if (p.either) {
    const allowed = new Set(p.either);
    tests.push((i) => allowed.has(i.a) || allowed.has(i.b) || (i.op === 'divide' && allowed.has(i.result)));
  }
  if (p.bothMultiplesOf !== undefined) {
    const step = p.bothMultiplesOf;
    tests.push((i) => i.a % step === 0 && i.b % step === 0);
  }
  if (p.largerMultipleOf !== undefined) {
    const step = p.largerMultipleOf;
    tests.push((i) => Math.max(i.a, i.b) % step === 0);
  }
  if (p.resultMultipleOf !== undefined) {
    const step = p.resultMultipleOf;
    tests.push((i) => i.result % step === 0);
  }
  if (p.aMultipleOf !== undefined) {
    const step = p.aMultipleOf;
    tests.push((i) => i.a % step === 0);
  }
  if (p.bMultipleOf !== undefined) {
    const step = p.bMultipleOf;
    tests.push((i) => i.b % step === 0);
  }
  if (p.denominators) {
    const allowed = new Set(p.denominators);
    tests.push((i) => allowed.has(denominatorOf(i.a)) && (i.op === 'name-fraction' || allowed.has(denominatorOf(i.b))));
  }
  if (p.likeDenominators !== undefined) tests.push((i) => (denominatorOf(i.a) === denominatorOf(i.b)) === p.likeDenominators);
  // What comes of comparing only says which is more; it is no number on the table.
  if (p.negative) tests.push((i) => i.a < 0 || i.b < 0 || (i.result < 0 && i.op !== 'compare' && i.op !== 'compare-fraction'));
  if (p.whole)
    tests.push(
      (i) => Number.isInteger(i.a) && Number.isInteger(i.b) && Number.isInteger(i.result) && i.result >= 0 && i.a >= 0 && i.b >= 0,
    );
  if (p.anyOf) {
    const alternatives = p.anyOf.map(compilePredicate);
    tests.push((i) => alternatives.some((test) => test(i)));
  }
  if (p.not) {
    const another = compilePredicate(p.not);
    tests.push((i) => !another(i));
  }
  return (item) => tests.every((test) => test(item));
}
