/** A way to do a round: a product, or work that needs none. */
export interface PlanProduct {
  readonly id: string;
  /** mode of action; without one it never counts as a repetition */
  readonly group?: string | undefined;
  /** share of the trouble that it takes away, 0 to 1 */
  readonly efficacy: number;
  /** money, in the unit of all losses */
  readonly cost: number;
  readonly minutes: number;
  /** what it takes of the stock of that product */
  readonly amount?: number | undefined;
  readonly preHarvestDays?: number | undefined;
  readonly reEntryHours?: number | undefined;
  /** hours without rain that it needs to hold; without it rain limits nothing */
  readonly rainFastHours?: number | undefined;
  readonly minC?: number | undefined;
  readonly maxC?: number | undefined;
  readonly maxWindKmh?: number | undefined;
  readonly bees?: 'none' | 'slight' | 'serious' | undefined;
  /** what its amount is taken from; its id, where it is left out */
  readonly pack?: string | undefined;
  /** what a season's maximum is counted for; its id, where it is left out */
  readonly season?: string | undefined;
  /** days to keep between it and the product of that id, which may be its own; in either order */
  readonly apart?: readonly { readonly from: string; readonly days: number }[] | undefined;
  /** stretches in which its label forbids it, both days included */
  readonly barred?: readonly { readonly from: string; readonly until: string }[] | undefined;
}

/** One thing to be done once, or not at all. Days are calendar days. */
export interface PlanRound {
  readonly id: string;
  readonly case: string;
  readonly place?: string | undefined;
  readonly earliest?: string | undefined;
  readonly latest?: string | undefined;
  readonly after?: { readonly round: string; readonly minDays: number; readonly maxDays?: number | undefined } | undefined;
  /** what a day's delay costs */
  readonly dailyLoss: number;
  /** what would be lost if nothing worked */
  readonly value: number;
  readonly dropLoss?: number | undefined;
  /** first and last day */
  readonly flowers?: { readonly from: string; readonly until: string } | undefined;
  readonly harvests?: readonly string[] | undefined;
  readonly products: readonly PlanProduct[];
  /** half of the day that it has to be in */
  readonly only?: HalfDay | undefined;
  /** who has to do it */
  readonly person?: string | undefined;
  /** where people expect it: to do it elsewhere costs so much more; and who was told to do it */
  readonly expected?:
    { readonly date: string; readonly slot: HalfDay; readonly moveLoss: number; readonly person?: string | undefined } | undefined;
}

export type HalfDay = 'morning' | 'evening';

/** Weather of a half-day; one that is not listed limits nothing. */
export interface SlotWeather {
  readonly date: string;
  readonly slot: HalfDay;
  readonly temperatureC: number;
  readonly windKmh: number;
  readonly rainMm: number;
  /** chance that it rains then, 0 to 1; without it the forecast is taken at its word: rain that is less likely than not bars nothing */
  readonly rainChance?: number | undefined;
}

/** What was done for a case before. */
export interface PlanDone {
  readonly case: string;
  readonly product: string;
  readonly group?: string | undefined;
  readonly date: string;
}

/** Somebody who works in the garden. Each round is done by one person alone. */
export interface PlanPerson {
  readonly id: string;
  readonly minutesPerDay: number;
  /** minutes on days that are unlike the others, by date */
  readonly minutesOn?: Readonly<Record<string, number>> | undefined;
}

export interface PlanRules {
  readonly minutePrice?: number | undefined;
  readonly minutesPerDay?: number | undefined;
  readonly people?: readonly PlanPerson[] | undefined;
  readonly rotate?: boolean | undefined;
  readonly seasonMax?: Readonly<Record<string, number>> | undefined;
  readonly stock?: Readonly<Record<string, number>> | undefined;
  readonly done?: readonly PlanDone[] | undefined;
  /** chance of rain in a half-day of which no weather is told, 0 to 1 */
  readonly rainChance?: number | undefined;
}

export interface PlanQuestion {
  readonly start: string;
  /** half of the first day with which it begins; the morning, where it is left out */
  readonly startSlot?: HalfDay | undefined;
  readonly days: number;
  readonly rounds: readonly PlanRound[];
  readonly rules: PlanRules;
  readonly weather: readonly SlotWeather[];
}

/** A line that keeps a round from a half-day: of its own, of the weather, or of what else is done. */
export type PlanLine =
  | 'earliest'
  | 'latest'
  | 'half-day'
  | 'label'
  | 'temperature'
  | 'wind'
  | 'rain'
  | 'bees'
  | 'harvest'
  | 'after'
  | 'same-slot'
  | 'rotation'
  | 'apart'
  | 'season-max'
  | 'stock'
  | 'minutes'
  | 're-entry';

/** Which lines count. */
export type Counts = (line: PlanLine) => boolean;
