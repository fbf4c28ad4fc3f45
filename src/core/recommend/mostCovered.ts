import { carefully, ModelBuilder, type SolveModel } from '../planning/linearModel';

/** Something that could be made or bought, and what it would close. */
export interface Candidate {
  readonly id: string;
  /** Minutes to prepare, or money; above 0. */
  readonly cost: number;
  /** Indices of what it covers. */
  readonly covers: readonly number[];
}

export interface Coverable {
  /** What each open thing is worth when it is covered, above 0. */
  readonly worth: readonly number[];
  readonly candidates: readonly Candidate[];
  /** What may be spent in all. */
  readonly budget: number;
}

export interface MostCovered {
  readonly chosen: readonly string[];
  readonly covered: readonly number[];
  readonly worth: number;
  readonly cost: number;
  /** Nothing that costs as much could be worth more than this. */
  readonly bound: number;
  /** The bound is reached: no other choice does more. */
  readonly proven: boolean;
}

const close = 1e-6;
/** A cheaper choice of the same worth is better; this much of a thing's least worth, spread over the whole budget. */
const thriftShare = 0.01;

/**
 * The choice within a budget that covers most (budgeted maximum coverage, Khuller, Moss and Naor 1999, solved exactly as an
 * integer programme: x for what is chosen, y at most the sum of those that cover it); of equal ones a cheap one. Where the
 * solver ends early it is the best found, with its bound.
 */
export function mostCovered({ worth, candidates, budget }: Coverable, solve: SolveModel, seconds: number): MostCovered {
  const usable = candidates.filter((c) => c.cost <= budget && c.covers.length > 0);
  if (usable.length === 0) return { chosen: [], covered: [], worth: 0, cost: 0, bound: 0, proven: true };
  const least = Math.min(...worth);
  const thrift = budget > 0 ? (least * thriftShare) / budget : 0;
  const model = new ModelBuilder();
  const x = usable.map((c) => model.variable(-thrift * c.cost, 0, 1, true));
  const y = worth.map((w) => model.variable(w, 0, 1));
  for (const [e, at] of y.entries()) {
    const by = usable.flatMap((c, i) => (c.covers.includes(e) ? [x[i]!] : []));
    model.row(-Infinity, 0, [[at, 1], ...by.map((i): [number, number] => [i, -1])]);
  }
  model.row(
    -Infinity,
    budget,
    usable.map((c, i): [number, number] => [x[i]!, c.cost]),
  );
  const found = carefully(solve)(model.build(), { seconds });
  const picked = found.values ? usable.filter((_, i) => found.values![x[i]!]! > 0.5) : greedily(worth, usable, budget);
  const covered = [...new Set(picked.flatMap((c) => c.covers))].sort((a, b) => a - b);
  const got = covered.reduce((sum, e) => sum + worth[e]!, 0);
  const all = [...new Set(usable.flatMap((c) => c.covers))].reduce((sum, e) => sum + worth[e]!, 0);
  // The price of thrift is less than any one thing is worth, so the bound rounds up by no more than that.
  const bound = Number.isFinite(found.bound) ? Math.min(all, Math.max(got, found.bound + thrift * budget)) : all;
  return {
    chosen: picked.map((c) => c.id),
    covered,
    worth: got,
    cost: picked.reduce((sum, c) => sum + c.cost, 0),
    bound,
    proven: found.status === 'optimal' || bound - got < close,
  };
}

/** The best by worth for its cost, one after another; for when no solver answers. */
function greedily(worth: readonly number[], usable: readonly Candidate[], budget: number): Candidate[] {
  const picked: Candidate[] = [];
  const have = new Set<number>();
  let left = budget;
  for (;;) {
    const gain = (c: Candidate): number => c.covers.reduce((sum, e) => sum + (have.has(e) ? 0 : worth[e]!), 0) / c.cost;
    const best = usable.filter((c) => !picked.includes(c) && c.cost <= left).sort((a, b) => gain(b) - gain(a))[0];
    if (!best || gain(best) <= 0) return picked;
    picked.push(best);
    best.covers.forEach((e) => have.add(e));
    left -= best.cost;
  }
}
