import { cumsum } from 'd3-array';
import type { Highs, Model } from 'highs';
import type { Milp, MilpOutcome, MilpRow, MilpSession, MilpSolver } from './milp.js';

// A gap of the objective that is no more than rounding.
const tolerance = 1e-7;
// What HiGHS calls a point that keeps every row.
const feasiblePoint = 2;

/** HiGHS (Huangfu & Hall 2018), a branch-and-cut solver, as it was loaded by whoever asks. */
export const highsSolver = (highs: Highs): MilpSolver => ({ open: (milp) => new HighsSession(highs, milp) });

class HighsSession<Tag> implements MilpSession<Tag> {
  readonly #highs: Highs;
  readonly #model: Model;
  readonly #columns: number;
  /** the last solution, from which the next search begins */
  #known: Float64Array | undefined;

  constructor(highs: Highs, { costs, choices, rows }: Milp<Tag>) {
    this.#highs = highs;
    this.#columns = choices;
    const { continuous, integer } = highs.constants.variableType;
    this.#model = highs.createModel({
      numCols: costs.length,
      numRows: rows.length,
      colCost: [...costs],
      colLower: costs.map(() => 0),
      colUpper: costs.map(() => 1),
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
    this.#model.options.set({ output_flag: false, mip_rel_gap: 0, mip_abs_gap: tolerance, random_seed: 1 });
  }

  addRow(row: MilpRow<Tag>): void {
    this.#known = undefined;
    this.#model.addRow(row.lower, row.upper, { indices: [...row.indices], values: [...row.values] });
  }

  solve(seconds: number, barred: readonly number[] = [], hint?: readonly number[]): MilpOutcome {
    const model = this.#model;
    for (const column of barred) model.changeColBounds(column, 0, 0);
    try {
      model.options.set({ time_limit: seconds });
      model.zeroAllClocks();
      const known = this.#known ?? hint;
      if (known && barred.every((column) => known[column]! < 0.5)) model.setSolution({ colValue: [...known] });
      model.run();
      return this.#outcome();
    } finally {
      for (const column of barred) model.changeColBounds(column, 0, 1);
    }
  }

  close(): void {
    this.#model.dispose();
  }

  #outcome(): MilpOutcome {
    const { modelStatus } = this.#highs.constants;
    const status = this.#model.getModelStatus();
    if (status === modelStatus.infeasible) return { status: 'infeasible' };
    const isOptimal = status === modelStatus.optimal;
    if (!isOptimal && this.#model.info.get('primal_solution_status') !== feasiblePoint) return { status: 'open' };
    const values = this.#model.getSolution().colValue;
    this.#known = values;
    return {
      status: isOptimal ? 'optimal' : 'feasible',
      objective: this.#model.getObjectiveValue(),
      bound: this.#model.info.get('mip_dual_bound') as number,
      chosen: Array.from({ length: this.#columns }, (_, column) => column).filter((column) => values[column]! > 0.5),
    };
  }
}
