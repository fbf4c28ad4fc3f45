import type { CombineOperation, Intermediates } from './parameters';

/** One step of a solution on exact fractions. */
export interface Step {
  readonly op: CombineOperation;
  readonly a: number;
  readonly b: number;
  readonly result: number;
}

export interface Solution {
  readonly text: string;
  readonly steps: readonly Step[];
  /** Some step leaves the whole numbers. */
  readonly fractional: boolean;
}

export interface Solved {
  readonly solutions: readonly Solution[];
  /** Complete lines the search looked at, and how many met the target. */
  readonly searched: number;
  readonly found: number;
}

/** A sum or product with its parts flattened: what makes two lines "the same". */
type Form = { kind: 'number'; text: string } | { kind: 'sum' | 'product'; parts: { inverse: boolean; form: Form }[] };

interface Value {
  readonly form: Form;
  readonly number: number;
}

const gcd = (x: number, y: number): number => {
  let a = Math.abs(x);
  let b = Math.abs(y);
  while (b > 0) {
    const rest = a % b;
    a = b;
    b = rest;
  }
  return a || 1;
};

/** Far below the smallest true difference, 1 / scale, and far above what rounding brings. */
const nearEnough = 1e-6;

/** Order in which two numbers may be joined: a+b, a−b, b−a, a×b, a÷b, b÷a. */
const JOINS: readonly { readonly op: CombineOperation; readonly swapped: boolean }[] = [
  { op: 'add', swapped: false },
  { op: 'subtract', swapped: false },
  { op: 'subtract', swapped: true },
  { op: 'multiply', swapped: false },
  { op: 'divide', swapped: false },
  { op: 'divide', swapped: true },
];

/**
 * All essentially different ways to reach a target with every number used exactly once.
 * Two lines are the same when they flatten to the same multiset of signed terms and of
 * factors with exponent ±1, equal numbers being interchangeable.
 *
 * Cost: at most 3,888 · 6 lines for four numbers; forms are built for hits only.
 * // => solveTarget([3, 3, 8, 8], 24, all, 'rational').solutions.length === 1
 */
export function solveTarget(
  numbers: readonly number[],
  target: number,
  operations: readonly CombineOperation[],
  intermediates: Intermediates,
  scale = 1,
): Solved {
  const found = new Map<string, Solution>();
  const count = { searched: 0, found: 0 };
  const joins = JOINS.flatMap((join, code) => (operations.includes(join.op) ? [code] : []));
  const integersOnly = intermediates === 'integer' || intermediates === 'natural';
  const noNegatives = intermediates === 'natural' || intermediates === 'non-negative';
  const n = numbers.length;
  // One row of numerators and denominators for each depth; `path` holds (i, j, join).
  const tops = Array.from({ length: n }, (_, depth) => new Float64Array(n - depth));
  const bottoms = Array.from({ length: n }, (_, depth) => new Float64Array(n - depth));
  const path = new Int32Array(3 * n);
  // Halves and tenths are whole numbers over one denominator.
  tops[0]!.set(numbers.map((x) => Math.round(x * scale)));
  bottoms[0]!.fill(scale);

  const meet = (): void => {
    count.found++;
    const solution = replay(numbers, path);
    if (!found.has(solution.text)) found.set(solution.text, solution);
  };

  const search = (depth: number): void => {
    const top = tops[depth]!;
    const bottom = bottoms[depth]!;
    const left = n - depth;
    const nextTop = tops[depth + 1]!;
    const nextBottom = bottoms[depth + 1]!;
    for (let i = 0; i < left; i++) {
      for (let j = i + 1; j < left; j++) {
        for (let k = 0; k < joins.length; k++) {
          const code = joins[k]!;
          const swapped = code === 2 || code === 5;
          const xt = swapped ? top[j]! : top[i]!;
          const xb = swapped ? bottom[j]! : bottom[i]!;
          const yt = swapped ? top[i]! : top[j]!;
          const yb = swapped ? bottom[i]! : bottom[j]!;
          if (code >= 4 && yt === 0) continue;
          const t = code === 0 ? xt * yb + yt * xb : code <= 2 ? xt * yb - yt * xb : code === 3 ? xt * yt : xt * yb;
          const b = code <= 3 ? xb * yb : xb * yt;
          if (left === 2) {
            // The last step needs no reduced fraction, only whether it meets the target.
            if (integersOnly && t % b !== 0) continue;
            if (noNegatives && (b < 0 ? -t : t) < 0) continue;
            count.searched++;
            // Whole sides differ by a whole number of scale steps; a decimal target is not exact (0.07 · 100).
            const miss = t - target * b;
            if (miss > nearEnough || miss < -nearEnough) continue;
            path[depth * 3] = i;
            path[depth * 3 + 1] = j;
            path[depth * 3 + 2] = code;
            meet();
            continue;
          }
          const divisor = b === 1 ? 1 : gcd(t, b) * (b < 0 ? -1 : 1);
          const reducedTop = t / divisor;
          const reducedBottom = b / divisor;
          if (integersOnly && reducedBottom !== 1) continue;
          if (noNegatives && reducedTop < 0) continue;
          let at = 0;
          for (let m = 0; m < left; m++) {
            if (m === i || m === j) continue;
            nextTop[at] = top[m]!;
            nextBottom[at++] = bottom[m]!;
          }
          nextTop[at] = reducedTop;
          nextBottom[at] = reducedBottom;
          path[depth * 3] = i;
          path[depth * 3 + 1] = j;
          path[depth * 3 + 2] = code;
          search(depth + 1);
        }
      }
    }
  };
  search(0);
  const solutions = [...found.values()].sort((s, t) => effortOf(s) - effortOf(t) || (s.text < t.text ? -1 : 1));
  return { solutions, searched: count.searched, found: count.found };
}

/** Writes down the line that a search path stands for. */
function replay(numbers: readonly number[], path: Int32Array): Solution {
  let values: Value[] = numbers.map((number) => ({ number, form: { kind: 'number', text: String(number) } }));
  const steps: Step[] = [];
  for (let depth = 0; values.length > 1; depth++) {
    const [i, j] = [path[depth * 3]!, path[depth * 3 + 1]!];
    const { op, swapped } = JOINS[path[depth * 3 + 2]!]!;
    const [x, y] = swapped ? [values[j]!, values[i]!] : [values[i]!, values[j]!];
    const number =
      op === 'add'
        ? x.number + y.number
        : op === 'subtract'
          ? x.number - y.number
          : op === 'multiply'
            ? x.number * y.number
            : x.number / y.number;
    const result = Math.abs(number - Math.round(number)) < 1e-9 ? Math.round(number) : number;
    steps.push({ op, a: x.number, b: y.number, result });
    const kind = op === 'add' || op === 'subtract' ? 'sum' : 'product';
    const form: Form = { kind, parts: [...partsOf(x.form, kind, false), ...partsOf(y.form, kind, op === 'subtract' || op === 'divide')] };
    values = [...values.filter((_, m) => m !== i && m !== j), { number: result, form }];
  }
  return { text: write(values[0]!.form, 0), steps, fractional: steps.some((s) => !Number.isInteger(s.result)) };
}

function partsOf(form: Form, kind: 'sum' | 'product', inverse: boolean): { inverse: boolean; form: Form }[] {
  if (form.kind === kind) return form.parts.map((part) => ({ inverse: part.inverse !== inverse, form: part.form }));
  return [{ inverse, form }];
}

/** Writes a form with its parts in one order: plain before inverse, then by text. */
function write(form: Form, depth: number): string {
  if (form.kind === 'number') return form.text;
  const written = form.parts.map((part) => ({ inverse: part.inverse, text: write(part.form, depth + 1) }));
  written.sort(
    (x, y) =>
      Number(x.inverse) - Number(y.inverse) ||
      (x.text.length === y.text.length ? (x.text < y.text ? -1 : 1) : x.text.length - y.text.length),
  );
  const [plain, inverse] = form.kind === 'sum' ? [' + ', ' − '] : [' × ', ' ÷ '];
  const text = written
    .map((part, i) => (i === 0 ? (part.inverse ? (form.kind === 'sum' ? '−' : '1 ÷ ') : '') : part.inverse ? inverse : plain) + part.text)
    .join('');
  return form.kind === 'sum' && depth > 0 ? `(${text})` : text;
}

/** Orders solutions: whole numbers first, then fewer divisions and products, then smaller numbers. */
function effortOf(solution: Solution): number {
  const weight = { add: 0, subtract: 1, multiply: 2, divide: 4 };
  const steps = solution.steps.reduce((sum, s) => sum + weight[s.op], 0);
  return (solution.fractional ? 1000 : 0) + steps * 10 + Math.max(...solution.steps.map((s) => Math.abs(s.result))) / 100;
}

/**
 * Difficulty = log₂(lines searched ÷ lines that meet the target) + 2 if every way needs a
 * fraction + ½ for each kind of operation beyond the first in the easiest way.
 * One star below 7, two below 9.5, three above. Common practice, no source.
 */
export function starsOf(solved: Solved): 0 | 1 | 2 | 3 {
  const easiest = solved.solutions[0];
  if (!easiest) return 0;
  const kinds = new Set(easiest.steps.map((s) => s.op)).size;
  const difficulty = Math.log2(solved.searched / solved.found) + (easiest.fractional ? 2 : 0) + 0.5 * (kinds - 1);
  if (difficulty < 7) return 1;
  return difficulty < 9.5 ? 2 : 3;
}
