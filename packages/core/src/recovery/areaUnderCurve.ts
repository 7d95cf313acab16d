/** Severity on a day; days count from any fixed day. */
export interface Reading {
  readonly day: number;
  /** percent of the plant, 0 to 100 */
  readonly severity: number;
}

/**
 * Area under the disease progress curve by the trapezoid rule.
 *
 * Source: Shaner & Finney (1977), Phytopathology 67:1051–1056, eq. 1.
 *
 * @param readings - in order of day, no day twice
 * @returns percent·days, 0 or more; 0 for fewer than two readings
 * @throws RangeError if days do not ascend or a severity is outside 0 to 100
 * @example
 * audpc([{ day: 0, severity: 10 }, { day: 5, severity: 20 }, { day: 10, severity: 40 }]) // => 225
 */
export function audpc(readings: readonly Reading[]): number {
  requireAscending('audpc', readings);
  let area = 0;
  for (let i = 1; i < readings.length; i++) {
    const a = readings[i - 1]!;
    const b = readings[i]!;
    area += ((a.severity + b.severity) / 2) * (b.day - a.day);
  }
  return area;
}

/**
 * Area under the disease progress stairs: gives the first and last reading the weight that the trapezoid rule takes from them.
 *
 * AUDPS = AUDPC + (y₁ + yₙ)/2 · D/(n − 1), with D the days from first to last reading.
 *
 * Source: Simko & Piepho (2012), Phytopathology 102:381–389, eq. 6.
 *
 * @returns percent·days; `undefined` for fewer than two readings
 * @throws RangeError as `audpc`
 * @example
 * audps([{ day: 0, severity: 10 }, { day: 5, severity: 20 }, { day: 10, severity: 40 }]) // => 350
 */
export function audps(readings: readonly Reading[]): number | undefined {
  const first = readings[0];
  const last = readings.at(-1);
  if (!first || !last || readings.length < 2) return undefined;
  return audpc(readings) + (((first.severity + last.severity) / 2) * (last.day - first.day)) / (readings.length - 1);
}

/**
 * Area under the curve as a share of full severity all the time.
 *
 * Source: Fry (1978), Phytopathology 68:1650–1655 (standardised area).
 *
 * @returns 0 to 1; `undefined` for fewer than two readings
 */
export function relativeArea(readings: readonly Reading[]): number | undefined {
  const span = (readings.at(-1)?.day ?? 0) - (readings[0]?.day ?? 0);
  return readings.length < 2 ? undefined : audpc(readings) / (100 * span);
}

function requireAscending(caller: string, readings: readonly Reading[]): void {
  readings.forEach(({ day, severity }, i) => {
    if (!(severity >= 0 && severity <= 100)) throw new RangeError(`${caller} requires severity from 0 to 100 percent, got ${severity}`);
    if (i > 0 && !(day > readings[i - 1]!.day))
      throw new RangeError(`${caller} requires days in ascending order, got ${readings[i - 1]!.day} then ${day}`);
  });
}
