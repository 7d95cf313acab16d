/** An assignment of rows to columns, each column to one row at the most, with its proof. */
export interface Assignment {
  /** column of each row */
  readonly columns: readonly number[];
  readonly cost: number;
  /** no assignment costs less: from prices of rows and columns that no pair undercuts */
  readonly bound: number;
}

/**
 * The cheapest assignment of rows to columns, by shortest augmenting paths with prices (the Hungarian method).
 *
 * Source: Kuhn (1955), Nav. Res. Logist. Q. 2:83–97; the paths as in Jonker & Volgenant (1987), Computing 38:325–340.
 *
 * @param costs - a row for each thing that is placed, a number for each place; as many places as things, or more; no number may be infinite
 * @throws RangeError where there are fewer columns than rows, or a cost is no number
 */
export function assignment(costs: readonly (readonly number[])[]): Assignment {
  const rows = costs.length;
  const columns = costs[0]?.length ?? 0;
  if (rows === 0) return { columns: [], cost: 0, bound: 0 };
  if (columns < rows) throw new RangeError(`assignment: ${rows} rows need as many columns, got ${columns}`);
  for (const row of costs)
    if (row.length !== columns || row.some((cost) => !Number.isFinite(cost)))
      throw new RangeError('assignment: every cost must be a number');
  // Counted from 1, so that 0 is the row that is being placed.
  const [priceOfRow, priceOfColumn] = [new Float64Array(rows + 1), new Float64Array(columns + 1)];
  const [rowOf, from] = [new Int32Array(columns + 1), new Int32Array(columns + 1)];
  for (let row = 1; row <= rows; row++) {
    rowOf[0] = row;
    let at = 0;
    const slack = new Float64Array(columns + 1).fill(Infinity);
    const seen = new Uint8Array(columns + 1);
    do {
      seen[at] = 1;
      const here = rowOf[at]!;
      let [least, next] = [Infinity, 0];
      for (let column = 1; column <= columns; column++) {
        if (seen[column]) continue;
        const reduced = costs[here - 1]![column - 1]! - priceOfRow[here]! - priceOfColumn[column]!;
        if (reduced < slack[column]!) [slack[column], from[column]] = [reduced, at];
        if (slack[column]! < least) [least, next] = [slack[column]!, column];
      }
      for (let column = 0; column <= columns; column++)
        if (seen[column]) {
          priceOfRow[rowOf[column]!]! += least;
          priceOfColumn[column]! -= least;
        } else slack[column]! -= least;
      at = next;
    } while (rowOf[at] !== 0);
    for (; at !== 0; at = from[at]!) rowOf[at] = rowOf[from[at]!]!;
  }
  const placed = new Array<number>(rows);
  for (let column = 1; column <= columns; column++) if (rowOf[column]! > 0) placed[rowOf[column]! - 1] = column - 1;
  const sum = (prices: Float64Array) => prices.slice(1).reduce((so, price) => so + price, 0);
  return {
    columns: placed,
    cost: placed.reduce((so, column, row) => so + costs[row]![column]!, 0),
    bound: sum(priceOfRow) + sum(priceOfColumn),
  };
}
