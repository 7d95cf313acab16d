import type { Application, Case, GardenSummary, OptionsRequest, Planting } from '@field-nurse/contract';
import { dayAt, daysBetween } from '@field-nurse/core/timing';
import { workingConditions } from '../cases/case-diagnoses';
import type { SaidWeather } from './todays-weather';

const rememberedDays = 400;

export interface CaseToday {
  readonly case: Case;
  readonly planting: Planting;
  readonly garden: GardenSummary;
  /** on the same planting, any order */
  readonly applications: readonly Application[];
  readonly today: string;
  readonly weather: SaidWeather;
}

/** The question "what can be done for this planting today?"; nothing before there is a working diagnosis. */
export function situationOf({ case: one, planting, garden, applications, today, weather }: CaseToday): OptionsRequest | undefined {
  const conditions = [...workingConditions(one.diagnoses)];
  if (conditions.length === 0) return undefined;
  const recent = applications
    .map(({ intervention, appliedAt }) => ({ ingredient: intervention, daysAgo: daysBetween(dayAt(appliedAt, garden.timeZone), today) }))
    .filter(({ daysAgo }) => daysAgo >= 0 && daysAgo <= rememberedDays && sameSeason(daysAgo, today));
  return {
    host: planting.host,
    conditions,
    setting: planting.setting,
    inFlower: planting.inFlower,
    edible: planting.eaten,
    helpersSeen: one.helpersSeen,
    recent,
    stance: garden.stance,
    region: garden.region,
    ...(one.stage && { stage: one.stage }),
    ...(one.hidden && { hidden: one.hidden }),
    ...(planting.nextHarvestOn && { daysToHarvest: Math.max(0, daysBetween(today, planting.nextHarvestOn)) }),
    ...given('temperatureC', weather.temperatureC),
    ...given('daysToFrost', weather.daysToFrost),
    forecast: { ...given('maxC', weather.warmestC), ...given('windKmh', weather.windKmh), ...given('rainInHours', weather.rainInHours) },
  };
}

/** A season's count starts with the calendar year; intervals between products reach back over New Year. */
const longestIntervalDays = 30;
const sameSeason = (daysAgo: number, today: string) =>
  daysAgo <= longestIntervalDays || daysAgo <= daysBetween(`${today.slice(0, 4)}-01-01`, today);

const given = <K extends string>(key: K, value: number | null): Partial<Record<K, number>> =>
  value === null ? {} : ({ [key]: value } as Record<K, number>);
