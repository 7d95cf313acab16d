/** A plant to look at: row and place in the row, both counted from 1. */
export interface Pick {
  readonly row: number;
  readonly plant: number;
}

/**
 * Which plants to look at: a walk up one row and down the next, cut into as many equal stretches as there are looks, with one plant drawn in each.
 * So every plant has the same chance, none is chosen by eye, and the whole place is crossed.
 *
 * Source: systematic sampling with random starts in strata, Cochran (1977), Sampling Techniques, ch. 8.
 *
 * @param plants - in the planting, 1 or more
 * @param rows - that they stand in, 1 or more and at most `plants`
 * @param looks - wanted; all plants when there are no more than that
 * @param random - uniform numbers in [0, 1)
 * @throws RangeError for numbers outside their range
 * @returns in the order of the walk
 */
export function walkPicks(plants: number, rows: number, looks: number, random: () => number): Pick[] {
  for (const [name, value] of Object.entries({ plants, rows, looks }))
    if (!(Number.isInteger(value) && value >= 1)) throw new RangeError(`walkPicks: ${name} must be a whole number from 1, got ${value}`);
  if (rows > plants) throw new RangeError(`walkPicks: there can't be more rows (${rows}) than plants (${plants})`);
  const count = Math.min(looks, plants);
  return Array.from({ length: count }, (_, i) => {
    const [from, to] = [Math.floor((i * plants) / count), Math.floor(((i + 1) * plants) / count)];
    return onWalk(from + Math.floor(random() * (to - from)), plants, rows);
  });
}

/** The plant at a step of the walk that goes up the first row and down the second. The first rows hold one more when it does not divide. */
function onWalk(step: number, plants: number, rows: number): Pick {
  const short = Math.floor(plants / rows);
  const longRows = plants % rows;
  const inLong = longRows * (short + 1);
  const row = step < inLong ? Math.floor(step / (short + 1)) : longRows + Math.floor((step - inLong) / short);
  const length = row < longRows ? short + 1 : short;
  const start = row < longRows ? row * (short + 1) : inLong + (row - longRows) * short;
  const along = step - start;
  return { row: row + 1, plant: (row % 2 === 0 ? along : length - 1 - along) + 1 };
}
