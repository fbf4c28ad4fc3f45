import { fractionCode } from '../items/fraction';
import { acts, isAct } from '../items/acts';
import { fractionOps, type Item, type Operation, operations, type Representation, resultOf, type Unknown } from '../items/item';
import type { ItemPredicate, SkillNature } from './skill';
import { prerequisitesOf, type SkillGraph } from './skillGraph';

/** Facts and written or read procedures are one sort of step: both are credited from a right answer. */
export type CreditSort = 'answers' | 'strategy' | 'concept';
export const sortOf = (nature: SkillNature): CreditSort => (nature === 'by-heart' || nature === 'method' ? 'answers' : nature);

/** Whether a step asks for a way of showing, a story or coins, say: what it practises comes beside the numbers in it. */
export const asksForShowing = (p: ItemPredicate): boolean => named(p, 'rep').length > 0;

export interface Narrower {
  /** By skill: the skills of its sort that are narrower, by index. An item that both take in is credited to the narrower. */
  readonly than: readonly ReadonlySet<number>[];
  /** By skill: share of its own items that are credited to it at all, 0 … 1; NaN where it has none. */
  readonly kept: Float64Array;
}

const first = [...Array(22).keys()];
const counted = [24, 25, 27, 30, 35, 36, 38, 40, 42, 45, 47, 48, 50, 54, 56, 60, 63, 64, 70, 72, 75, 80, 81, 84, 90, 95, 96];
const large = [
  98, 99, 100, 101, 108, 110, 119, 120, 121, 132, 144, 150, 200, 240, 250, 300, 345, 400, 470, 500, 600, 640, 720, 803, 900, 945,
];
const largest = [990, 999, 1000, 1001, 1100, 1500, 2000, 4999, 5000, 9000, 9999, 12_345, 100_000, 468_000, 1_000_000];
const below = [-1, -3, -10, -20];
const numbers = [...below, ...first, ...counted, ...large, ...largest];
const few = [-3, 0, 1, 2, 3, 4, 5, 6, 7, 9, 10, 12, 15, 20, 30, 47, 100, 150, 999];
const fractions = [2, 3, 4, 5, 6, 8, 10, 12].flatMap((d) => [...Array(d + 1).keys()].map((n) => fractionCode(n + 1, d)));

function named<K extends 'rep' | 'unknown'>(p: ItemPredicate, key: K): readonly Item[K][] {
  const own = p[key];
  const inner = [...(p.anyOf ?? []), ...(p.not ? [p.not] : [])].flatMap((x) => named(x, key));
  return own === undefined ? inner : [...([own].flat() as Item[K][]), ...inner];
}

/** Items of one operation that tell predicates apart: many numbers shown as numerals, fewer in every other way named. The item is one and the same, changed. */
function eachItem(
  op: Operation,
  reps: readonly Representation[],
  unknowns: readonly Unknown[],
  alone: boolean,
  see: (item: Item) => void,
): void {
  const wide = fractionOps.includes(op) ? fractions : numbers;
  const narrow = fractionOps.includes(op) ? fractions.filter((_, i) => i % 3 === 0) : few;
  const noNought = op === 'divide' || op === 'factor' || op === 'round' || op === 'measure';
  const item: { -readonly [K in keyof Item]: Item[K] } = { op, a: 0, b: 0, result: 0, unknown: 'result', rep: 'numerals' };
  for (const rep of reps)
    for (const unknown of unknowns) {
      if (isAct(op)) {
        item.rep = rep;
        item.unknown = unknown;
        for (const [a, b] of acts[op].operands) {
          item.a = a;
          item.b = b;
          item.result = resultOf(op, a, b);
          see(item);
        }
        continue;
      }
      const values = rep === 'numerals' && unknown === 'result' && !alone ? wide : narrow;
      item.rep = rep;
      item.unknown = unknown;
      for (const a of values)
        for (const b of values) {
          if (b === 0 && noNought) continue;
          item.a = a;
          item.b = b;
          item.result = resultOf(op, a, b);
          see(item);
        }
    }
}

/** How often exactly these skills met an item, kept as a tree over their indices. */
interface Together {
  count: number;
  readonly more: Map<number, Together>;
}
const nobody = (): Together => ({ count: 0, more: new Map() });

const known = new WeakMap<readonly unknown[], Narrower>();

/**
 * Which steps are narrower than which, worked out once a graph. Of two steps of one sort the one is
 * narrower whose items are a proper part of the other's, or else which the other needs at any depth,
 * unless the other asks for more: a story, a picture, a missing number.
 * A step that is only a place to start (turning round, nine as ten less one) is set against no other.
 */
export function narrowerOf(graph: SkillGraph): Narrower {
  const found = known.get(graph.tests);
  if (found) return found;
  const n = graph.skills.length;
  const sorts = graph.skills.map((s) => sortOf(s.nature));
  const own = new Float64Array(n);
  /** By operation: how many items each takes, and each two of one sort together, at x·n + y. */
  const counts: { readonly own: Float64Array; readonly both: Uint16Array }[] = [];
  const meets = new Uint8Array(n * n);
  const sets = nobody();
  const met: number[] = [];
  for (const op of operations) {
    const asked = graph.askedFor.get(op)!;
    const here = { own: new Float64Array(n), both: new Uint16Array(n * n) };
    counts.push(here);
    const reps = [...new Set<Representation>(['numerals', ...asked.flatMap((k) => named(graph.skills[k]!.predicate!, 'rep'))])];
    const unknowns = [...new Set<Unknown>(['result', ...asked.flatMap((k) => named(graph.skills[k]!.predicate!, 'unknown'))])];
    eachItem(op, reps, unknowns, asked.length < 2, (item) => {
      met.length = 0;
      let set = sets;
      for (const k of asked) {
        if (!graph.tests[k]!(item)) continue;
        met.push(k);
        let next = set.more.get(k);
        if (!next) set.more.set(k, (next = nobody()));
        set = next;
      }
      set.count++;
      for (const x of met) {
        own[x]! += 1;
        here.own[x]! += 1;
        for (const y of met) if (x !== y && sorts[x] === sorts[y]) here.both[x * n + y]! += 1;
      }
    });
    for (let pair = 0; pair < meets.length; pair++) if (here.both[pair]! > 0) meets[pair] = 1;
  }
  const asksFor = (k: number, what: 'rep' | 'unknown'): boolean => named(graph.skills[k]!.predicate!, what).some((v) => v !== 'result');
  /** A story, a coin, a missing number: such a step is no wider than one that takes its items in any form. */
  const asksMore = (x: number, y: number): boolean => (['rep', 'unknown'] as const).some((w) => asksFor(x, w) && !asksFor(y, w));
  /** In every operation that both take, all items of the one are the other's too, and somewhere the other has more. */
  const part = (x: number, y: number): boolean => {
    const shared = counts.filter((c) => c.own[x]! > 0 && c.own[y]! > 0);
    return shared.every((c) => c.both[x * n + y] === c.own[x]) && shared.some((c) => c.own[y]! > c.own[x]!);
  };
  const than = graph.skills.map((): Set<number> => new Set());
  for (let wide = 0; wide < n; wide++) {
    if (graph.skills[wide]!.placeToStart) continue;
    const before = prerequisitesOf(graph, wide);
    for (let x = 0; x < n; x++) {
      if (x === wide || graph.skills[x]!.placeToStart || meets[wide * n + x] === 0) continue;
      if (part(x, wide) || (before.has(x) && !part(wide, x) && !asksMore(wide, x))) than[wide]!.add(x);
    }
  }
  const kept = new Float64Array(n);
  const keep = ({ count, more }: Together, so: readonly number[]): void => {
    for (const k of so) if (!so.some((x) => than[k]!.has(x))) kept[k]! += count;
    for (const [k, next] of more) keep(next, [...so, k]);
  };
  keep(sets, []);
  for (let k = 0; k < n; k++) kept[k] = own[k] === 0 ? NaN : kept[k]! / own[k]!;
  const made = { than, kept };
  known.set(graph.tests, made);
  return made;
}

/** A step that keeps less of its items than this is no aim for a game: it is there when its parts are. */
export const leastKept = 0.1;
/** Whether a game can aim at a step: it has items, and easier steps do not explain nearly all of them. */
export const isAim = (graph: SkillGraph, k: number): boolean => narrowerOf(graph).kept[k]! >= leastKept;
