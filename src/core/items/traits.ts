import type { Item } from './item';

/**
 * Exact traits of an addition or subtraction on whole numbers, by its ones digits:
 * `reaching` a ten (8+2, 28+2), `leaving` one (20−7) and `crossing` one (8+5, 34−8)
 * are three different things; everything else is `within` a ten.
 */
export type TenTrait = 'reaching' | 'leaving' | 'crossing' | 'within';

const whole = (n: number): boolean => Number.isInteger(n) && n >= 0;

export function tenTraitOf(item: Pick<Item, 'op' | 'a' | 'b'>): TenTrait | null {
  const { op, a, b } = item;
  if (!whole(a) || !whole(b)) return null;
  const onesA = a % 10;
  const onesB = b % 10;
  if (op === 'add' || op === 'compose') {
    if (onesA + onesB > 10) return 'crossing';
    return onesA + onesB === 10 ? 'reaching' : 'within';
  }
  if (op === 'subtract') {
    if (a < b) return null;
    if (onesA < onesB) return onesA === 0 ? 'leaving' : 'crossing';
    return onesA === onesB && onesB > 0 && a > b ? 'reaching' : 'within';
  }
  return null;
}

/** Whether the written method trades anywhere: in some place the digits of the two numbers do not fit. 428 − 150 does, 428 − 15 does, 428 − 12 does not. */
export function regroups(item: Pick<Item, 'op' | 'a' | 'b'>): boolean {
  const { op, a, b } = item;
  if (!whole(a) || !whole(b) || (op !== 'add' && op !== 'subtract') || (op === 'subtract' && a < b)) return false;
  for (let [x, y] = [a, b]; x > 0 || y > 0; x = Math.floor(x / 10), y = Math.floor(y / 10))
    if (op === 'add' ? (x % 10) + (y % 10) >= 10 : x % 10 < y % 10) return true;
  return false;
}

/** Whether an addition or subtraction passes a hundred without stopping on it. */
export function crossesHundred(item: Pick<Item, 'op' | 'a' | 'b' | 'result'>): boolean {
  if (item.op !== 'add' && item.op !== 'subtract') return false;
  const low = Math.min(item.a, item.result);
  const high = Math.max(item.a, item.result);
  return Math.floor(low / 100) !== Math.floor(high / 100) && high % 100 !== 0 && low % 100 !== 0;
}
