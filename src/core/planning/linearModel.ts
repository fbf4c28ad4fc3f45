/** A linear or mixed-integer model to maximise, in compressed rows. */
export interface LinearModel {
  readonly cost: readonly number[];
  readonly lower: readonly number[];
  readonly upper: readonly number[];
  readonly integer: readonly boolean[];
  readonly rowLower: readonly number[];
  readonly rowUpper: readonly number[];
  readonly rowStart: readonly number[];
  readonly columns: readonly number[];
  readonly coefficients: readonly number[];
}

export interface SolverOutcome {
  readonly status: 'optimal' | 'feasible' | 'infeasible' | 'none';
  readonly values: readonly number[] | null;
  /** Proven upper bound on the objective. */
  readonly bound: number;
  readonly objective: number;
}

export interface SolverOptions {
  readonly seconds: number;
  readonly relativeGap?: number;
  readonly start?: readonly number[];
  /** Most branch-and-bound nodes; 0 stops after the root with its cuts. */
  readonly nodes?: number;
}

/** What core asks of a solver; the adapter brings one. */
export type SolveModel = (model: LinearModel, options: SolverOptions) => SolverOutcome;

/** A solver that fell over has no answer; whoever asked goes on with what there is. */
export function carefully(solve: SolveModel): SolveModel {
  return (model, options) => {
    try {
      return solve(model, options);
    } catch {
      return { status: 'none', values: null, bound: Number.NaN, objective: Number.NaN };
    }
  };
}

/** Builds a model row by row; nobody else writes solver input. */
export class ModelBuilder {
  private readonly cost: number[] = [];
  private readonly lower: number[] = [];
  private readonly upper: number[] = [];
  private readonly integer: boolean[] = [];
  private readonly rowLower: number[] = [];
  private readonly rowUpper: number[] = [];
  private readonly rowStart: number[] = [0];
  private readonly columns: number[] = [];
  private readonly coefficients: number[] = [];

  variable(cost: number, lower: number, upper: number, integer = false): number {
    this.cost.push(cost);
    this.lower.push(lower);
    this.upper.push(upper);
    this.integer.push(integer);
    return this.cost.length - 1;
  }

  /** lower ≤ Σ coefficient·variable ≤ upper; an empty row is left out. */
  row(lower: number, upper: number, terms: readonly (readonly [number, number])[]): void {
    if (terms.length === 0 && lower <= 0 && upper >= 0) return;
    for (const [column, coefficient] of terms) {
      this.columns.push(column);
      this.coefficients.push(coefficient);
    }
    this.rowStart.push(this.columns.length);
    this.rowLower.push(lower);
    this.rowUpper.push(upper);
  }

  build(): LinearModel {
    const { cost, lower, upper, integer, rowLower, rowUpper, rowStart, columns, coefficients } = this;
    return { cost, lower, upper, integer, rowLower, rowUpper, rowStart, columns, coefficients };
  }
}

/** The model as LP text, so that a solver outside this program can check it. */
export function lpText(model: LinearModel): string {
  const term = (coefficient: number, column: number): string => `${coefficient < 0 ? '-' : '+'} ${Math.abs(coefficient)} x${column}`;
  const lines = [
    'Maximize',
    ` obj: ${
      model.cost
        .map((c, j) => (c === 0 ? '' : term(c, j)))
        .filter(Boolean)
        .join(' ') || '0 x0'
    }`,
    'Subject To',
  ];
  for (let i = 0; i < model.rowLower.length; i++) {
    const body: string[] = [];
    for (let p = model.rowStart[i]!; p < model.rowStart[i + 1]!; p++) body.push(term(model.coefficients[p]!, model.columns[p]!));
    const [low, high] = [model.rowLower[i]!, model.rowUpper[i]!];
    if (low === high) lines.push(` r${i}: ${body.join(' ')} = ${low}`);
    else {
      if (Number.isFinite(low)) lines.push(` r${i}a: ${body.join(' ')} >= ${low}`);
      if (Number.isFinite(high)) lines.push(` r${i}b: ${body.join(' ')} <= ${high}`);
    }
  }
  lines.push(
    'Bounds',
    ...model.cost.map((_, j) => ` ${model.lower[j]} <= x${j} <= ${Number.isFinite(model.upper[j]!) ? model.upper[j] : '+inf'}`),
  );
  const general = model.integer.flatMap((is, j) => (is ? [`x${j}`] : []));
  if (general.length > 0) lines.push('General', ` ${general.join(' ')}`);
  return [...lines, 'End', ''].join('\n');
}
