import { addDays, daysBetween } from '../timing/index.js';

/** A case of the garden in a line. */
export interface CaseLine {
  readonly host: string;
  readonly openedOn: string;
  readonly conditions: readonly string[];
}

/** A trouble that came at about this time in earlier years, on a planting that grows now. */
export interface ComingSight {
  readonly planting: string;
  readonly condition: string;
  /** the earliest day of the year on which it was first seen, in this year */
  readonly expectedOn: string;
  /** what keeps it off should stand there from this day on */
  readonly beginOn: string;
  /** years in which it was seen, oldest first */
  readonly years: readonly string[];
}

// What is to keep a trouble off begins two to three weeks before its usual date.
const leadDays = 21;
// A date of earlier years is no promise: a trouble that has not come three weeks later may yet.
const lateDays = 21;

/**
 * What earlier years say is coming: for each planting in growth, troubles that were first seen on its kind from three weeks before today on, up to so
 * many days ahead. What was seen this year is here already.
 *
 * @param ahead - days that are looked ahead to the day on which to begin
 * @returns by the day on which to begin
 */
export function comingSights(
  plantings: readonly { readonly id: string; readonly host: string; readonly endedOn: string | null }[],
  cases: readonly CaseLine[],
  today: string,
  ahead: number,
): ComingSight[] {
  const year = today.slice(0, 4);
  return plantings
    .filter(({ endedOn }) => !endedOn)
    .flatMap(({ id, host }) => {
      const own = cases.filter((one) => one.host === host);
      const here = new Set(own.filter(({ openedOn }) => openedOn.startsWith(year)).flatMap(({ conditions }) => conditions));
      const conditions = [...new Set(own.flatMap((one) => one.conditions))].filter((one) => !here.has(one));
      return conditions.flatMap((condition): ComingSight[] => {
        const seen = own.filter((one) => one.conditions.includes(condition)).map(({ openedOn }) => openedOn);
        const [first] = seen.map((day) => inYear(day, year)).sort();
        const beginOn = addDays(first!, -leadDays);
        if (daysBetween(today, beginOn) > ahead || daysBetween(first!, today) > lateDays) return [];
        const years = [...new Set(seen.map((day) => day.slice(0, 4)))].sort();
        return [{ planting: id, condition, expectedOn: first!, beginOn, years }];
      });
    })
    .sort((a, b) => a.beginOn.localeCompare(b.beginOn));
}

/** The same day of another year; 29 February is 1 March where there is none. */
const inYear = (day: string, year: string): string => addDays(`${year}-${day.slice(5, 7)}-01`, Number(day.slice(8)) - 1);
