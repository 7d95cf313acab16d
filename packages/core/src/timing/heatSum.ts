/** A day with what it adds. */
export interface HeatDay {
  readonly date: string;
  /** °C·day; `null` where it is not known */
  readonly dd: number | null;
}

/** A stage that is reached at a sum of heat. */
export interface HeatStage {
  readonly name: string;
  /** °C·day from the biofix */
  readonly at: number;
}

export interface HeatSum {
  /** the sum up to the end of each day; what is not known adds nothing, so that it is at least so much */
  readonly daily: readonly (HeatDay & { readonly sum: number })[];
  /** the first day at whose end the sum is there; `null` where no day comes that far */
  readonly reached: readonly { readonly name: string; readonly date: string | null }[];
  /** days from the biofix on of which nothing is known */
  readonly missing: number;
}

/**
 * Sum degree days from a biofix on, and find the days on which stages are reached.
 *
 * @param days - in order of date
 * @param biofix - the first day that counts; the first of all, where it is left out
 */
export function heatSum(days: readonly HeatDay[], stages: readonly HeatStage[] = [], biofix = days[0]?.date ?? ''): HeatSum {
  let sum = 0;
  const daily = days.map((day) => {
    if (day.date >= biofix) sum += day.dd ?? 0;
    return { ...day, sum };
  });
  return {
    daily,
    reached: stages.map(({ name, at }) => ({ name, date: daily.find((day) => day.date >= biofix && day.sum >= at)?.date ?? null })),
    missing: days.filter(({ date, dd }) => date >= biofix && dd === null).length,
  };
}
