import { daysBetween, seasonOf } from '../timing/index.js';
import type { Hiding, ShelfProduct, Stance, TakenSchool } from './interventionFacts.js';

/** The weather as somebody said or measured it; what is not known is `null`. */
export interface SaidWeather {
  readonly temperatureC: number | null;
  readonly warmestC: number | null;
  readonly windKmh: number | null;
  readonly rainInHours: number | null;
  readonly daysToFrost: number | null;
}

/** A case with what is true around it on the day that is asked about. */
export interface CaseOnDay<Setting extends string, Hidden extends Hiding, School extends Stance, AtHand extends ShelfProduct> {
  readonly on: string;
  /** working diagnosis, by condition */
  readonly conditions: readonly string[];
  readonly case: {
    readonly stage: string | null;
    readonly hidden: Hidden | null;
    readonly helpersSeen: boolean;
    /** for this case alone; none: as the garden has it */
    readonly stance: School | null;
    readonly schools: readonly TakenSchool[];
    /** of these, what was seen and what was looked for and absent goes along; old scars tell no stage */
    readonly findings: readonly { readonly sign: string; readonly state: string }[];
  };
  /** as it stands on that day */
  readonly planting: {
    readonly host: string;
    readonly setting: Setting;
    readonly eaten: boolean;
    readonly inFlower: boolean;
    readonly nextFlowerOn: string | null;
    readonly nextHarvestOn: string | null;
    readonly plants: number;
  };
  /** what was tried on a few leaves of that planting */
  readonly tests: readonly {
    readonly intervention: string;
    readonly outcome: 'waiting' | 'clean' | 'marked';
    readonly sprayedOn: string;
    readonly lookOn: string;
  }[];
  /** on that planting, in any order */
  readonly applied: readonly { readonly intervention: string; readonly appliedOn: string }[];
  readonly garden: {
    readonly stance: School;
    readonly schools: readonly TakenSchool[];
    readonly region: string;
    /** `MM-DD` */
    readonly seasonStart: string;
    /** degrees north; not known: north */
    readonly latitude: number | null;
    /** suspects of which the authority said that they need not be reported here */
    readonly notListed: readonly string[];
  };
  readonly weather: SaidWeather | null;
  /** products at hand, each with the card that counts for it */
  readonly shelf: readonly AtHand[];
}

// Intervals between products reach back over the beginning of a season; older ones decide nothing.
const rememberedDays = 400;
const mostRemembered = 100;
const mostFindings = 60;

/**
 * The question "what can be done for this planting on this day?", as the options are asked.
 *
 * @returns nothing before there is a working diagnosis
 */
export function treatmentQuestion<Setting extends string, Hidden extends Hiding, School extends Stance, AtHand extends ShelfProduct>(
  about: CaseOnDay<Setting, Hidden, School, AtHand>,
) {
  const { on, conditions, planting, applied, garden, weather } = about;
  if (conditions.length === 0) return undefined;
  const recent = applied
    .map(({ intervention, appliedOn }) => ({ ingredient: intervention, daysAgo: daysBetween(appliedOn, on) }))
    .filter(({ daysAgo }) => daysAgo >= 0 && daysAgo <= rememberedDays)
    .sort((a, b) => a.daysAgo - b.daysAgo)
    .slice(0, mostRemembered);
  return {
    host: planting.host,
    conditions: [...conditions],
    setting: planting.setting,
    inFlower: planting.inFlower,
    edible: planting.eaten,
    helpersSeen: about.case.helpersSeen,
    findings: about.case.findings
      .flatMap(({ sign, state }) => (state === 'seen' || state === 'absent' ? [{ sign, state } as const] : []))
      .slice(0, mostFindings),
    month: Number(on.slice(5, 7)),
    hemisphere: (garden.latitude ?? 1) < 0 ? ('south' as const) : ('north' as const),
    plants: planting.plants,
    notListed: [...garden.notListed],
    recent,
    tests: testsOn(about),
    seasonDays: daysBetween(seasonOf(on, garden.seasonStart).from, on),
    on,
    shelf: [...about.shelf],
    stance: about.case.stance ?? garden.stance,
    schools: schoolsOf(garden.schools, about.case.schools),
    region: garden.region,
    ...(about.case.stage && { stage: about.case.stage }),
    ...(about.case.hidden && { hidden: about.case.hidden }),
    ...(planting.nextFlowerOn && { flowersInDays: Math.max(0, daysBetween(on, planting.nextFlowerOn)) }),
    ...(planting.nextHarvestOn && { daysToHarvest: Math.max(0, daysBetween(on, planting.nextHarvestOn)) }),
    ...known('temperatureC', weather?.temperatureC),
    ...known('daysToFrost', weather?.daysToFrost),
    forecast: { ...known('maxC', weather?.warmestC), ...known('windKmh', weather?.windKmh), ...known('rainInHours', weather?.rainInHours) },
  };
}

/** What had been tried by the day, and the outcome as it was known then. */
const testsOn = ({ on, tests }: Pick<CaseOnDay<string, Hiding, Stance, ShelfProduct>, 'on' | 'tests'>) =>
  tests
    .filter(({ sprayedOn }) => sprayedOn <= on)
    .map(({ intervention, outcome, sprayedOn, lookOn }) => ({
      ingredient: intervention,
      outcome,
      daysAgo: daysBetween(sprayedOn, on),
      lookInDays: daysBetween(on, lookOn),
    }))
    .filter(({ daysAgo }) => daysAgo <= rememberedDays)
    .slice(-mostRemembered);

/** Views of the garden, and in place of them those of the case. */
const schoolsOf = (garden: readonly TakenSchool[], own: readonly TakenSchool[]): TakenSchool[] => [
  ...new Map([...garden, ...own].map((one) => [one.question, one])).values(),
];

const known = <K extends string>(key: K, value: number | null | undefined): Partial<Record<K, number>> =>
  value === null || value === undefined ? {} : ({ [key]: value } as Record<K, number>);
