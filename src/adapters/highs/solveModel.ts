import loadHighs, { type Highs } from 'highs';
import type { LinearModel, SolveModel, SolverOptions, SolverOutcome } from '../../core/planning/linearModel';

let loaded: Highs | null = null;

/** Loads the solver once per thread. */
export async function loadSolver(): Promise<SolveModel> {
  loaded ??= await loadHighs();
  const highs = loaded;
  return (model, options) => solve(highs, model, options);
}

/** A row that nothing can fill: of a model without any columns the solver says only that it is empty. */
const hopeless = (model: LinearModel): boolean =>
  model.rowLower.some((lower, i) => model.rowStart[i] === model.rowStart[i + 1] && (lower > 0 || model.rowUpper[i]! < 0));

/** HiGHS status code of a usable primal solution. */
const feasiblePoint = 2;

function solve(highs: Highs, model: LinearModel, options: SolverOptions): SolverOutcome {
  const { variableType, objectiveSense, modelStatus } = highs.constants;
  if (hopeless(model)) return { status: 'infeasible', values: null, bound: Number.NaN, objective: Number.NaN };
  return highs.withModel(
    {
      numCols: model.cost.length,
      numRows: model.rowLower.length,
      sense: objectiveSense.maximize,
      colCost: Float64Array.from(model.cost),
      colLower: Float64Array.from(model.lower),
      colUpper: Float64Array.from(model.upper),
      rowLower: Float64Array.from(model.rowLower),
      rowUpper: Float64Array.from(model.rowUpper),
      ...(model.integer.some(Boolean)
        ? { integrality: Int32Array.from(model.integer, (is) => (is ? variableType.integer : variableType.continuous)) }
        : {}),
      matrix: {
        format: 'csr',
        numRows: model.rowLower.length,
        numCols: model.cost.length,
        starts: Int32Array.from(model.rowStart),
        indices: Int32Array.from(model.columns),
        values: Float64Array.from(model.coefficients),
      },
    },
    (m): SolverOutcome => {
      m.options.set({ output_flag: false, time_limit: options.seconds, mip_rel_gap: options.relativeGap ?? 1e-6 });
      if (options.nodes !== undefined) m.options.set({ mip_max_nodes: options.nodes });
      if (options.start) m.setSolution({ colValue: Float64Array.from(options.start) });
      m.run();
      const status = m.getModelStatus();
      const isMip = model.integer.some(Boolean);
      if (status === modelStatus.infeasible || status === modelStatus.unboundedOrInfeasible)
        return { status: 'infeasible', values: null, bound: Number.NaN, objective: Number.NaN };
      if (m.info.get('primal_solution_status') !== feasiblePoint)
        return { status: 'none', values: null, bound: isMip ? Number(m.info.get('mip_dual_bound')) : Number.NaN, objective: Number.NaN };
      const objective = m.getObjectiveValue();
      const bound = isMip ? Number(m.info.get('mip_dual_bound')) : objective;
      return { status: status === modelStatus.optimal ? 'optimal' : 'feasible', values: [...m.getSolution().colValue], bound, objective };
    },
  );
}
