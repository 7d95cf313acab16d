import { cumsum } from 'd3-array';
import type { Highs, Model } from 'highs';
import type { Milp, MilpOutcome, MilpSolver } from './milp.js';

// A gap of the objective that is no more than rounding.
const tolerance = 1e-7;
// What HiGHS calls a point that keeps every row.
const feasiblePoint = 2;

/** HiGHS (Huangfu & Hall 2018), a branch-and-cut solver, as it was loaded by whoever asks. */
export const highsSolver =
  (highs: Highs): MilpSolver =>
  (milp, seconds, known) => {
    const model = modelOf(highs, milp);
    try {
      model.options.set({ output_flag: false, mip_rel_gap: 0, mip_abs_gap: tolerance, random_seed: 1, time_limit: seconds });
      if (known) model.setSolution({ colValue: [...known] });
      model.run();
      return outcomeOf(highs, model, milp.choices);
    } finally {
      model.dispose();
    }
  };

function modelOf<Tag>(highs: Highs, { costs, choices, rows, barred }: Milp<Tag>): Model {
  const { continuous, integer } = highs.constants.variableType;
  const isBarred = new Set(barred);
  return highs.createModel({
    numCols: costs.length,
    numRows: rows.length,
    colCost: [...costs],
    colLower: costs.map(() => 0),
    colUpper: costs.map((_, column) => (isBarred.has(column) ? 0 : 1)),
    integrality: costs.map((_, column) => (column < choices ? integer : continuous)),
    rowLower: rows.map(({ lower }) => lower),
    rowUpper: rows.map(({ upper }) => upper),
    matrix: {
      format: 'csr',
      numRows: rows.length,
      numCols: costs.length,
      starts: [0, ...cumsum(rows.map(({ indices }) => indices.length))],
      indices: rows.flatMap(({ indices }) => indices),
      values: rows.flatMap(({ values }) => values),
    },
  });
}

function outcomeOf({ constants: { modelStatus } }: Highs, model: Model, choices: number): MilpOutcome {
  const status = model.getModelStatus();
  if (status === modelStatus.infeasible) return { status: 'infeasible' };
  const isOptimal = status === modelStatus.optimal;
  if (!isOptimal && model.info.get('primal_solution_status') !== feasiblePoint) return { status: 'open' };
  const values = model.getSolution().colValue;
  return {
    status: isOptimal ? 'optimal' : 'feasible',
    objective: model.getObjectiveValue(),
    bound: model.info.get('mip_dual_bound') as number,
    chosen: Array.from({ length: choices }, (_, column) => column).filter((column) => values[column]! > 0.5),
  };
}
