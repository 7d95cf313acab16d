import type { Quantity, UnitName } from '../units/index.js';

export type Living = 'animals' | 'microbes';
export type PlantState = 'dormant' | 'in-leaf';

/** How much of a product a label allows: from low to high in `unit`, on `per`; a percentage stands for so many ml in 100 ml. */
export interface CardRate {
  readonly low: number;
  readonly high: number;
  readonly unit: UnitName;
  /** none for a percentage */
  readonly per: { readonly amount: number; readonly unit: UnitName | 'plant' } | null;
}

/** What a label allows, as far as its law is judged. Typical figures stand in until the label in hand is copied. */
export interface LabelCard {
  readonly id: string;
  readonly name: string;
  /** settings that it names */
  readonly settings: readonly string[];
  /** may go onto plants that are eaten */
  readonly onEaten: boolean;
  /** days between the last application and picking, where nothing else is said of the plant */
  readonly preHarvestDays: number;
  readonly preHarvestOn: readonly { readonly host: string; readonly days: number }[];
  /** least days between two applications first, most days last */
  readonly repeatDays?: readonly number[] | undefined;
  /** applications in a season */
  readonly seasonMax?: number | undefined;
  readonly temperatureC?: { readonly min: number; readonly max: number } | undefined;
  readonly bees: 'none' | 'slight' | 'serious';
  /** not within so many days before the planting flowers */
  readonly daysBeforeFlower: number;
  readonly modeOfAction?: { readonly scheme: string; readonly group: string } | undefined;
  /** what a season's maximum is counted for together with this, where it is not the mode of action */
  readonly countsAs?: string | undefined;
  /** living things that are set out */
  readonly release?: Living | undefined;
  /** what was set out dies of it, and for how many days after */
  readonly kills: readonly { readonly what: Living; readonly days: number }[];
  /** hosts or families that it harms */
  readonly harmsHosts: readonly {
    readonly host: string;
    readonly harm: 'slight' | 'serious';
    readonly why: string;
    readonly when?: PlantState | undefined;
  }[];
  /** what may not be used within so many days of it */
  readonly apartFrom: readonly { readonly intervention: string; readonly days: number; readonly why: string }[];
  /** its harvest days stand on the label of a product in hand */
  readonly fromLabel?: boolean | undefined;
  /** the label in hand has no line for this plant, or none against this trouble */
  readonly lacks?: 'crop' | 'target' | undefined;
  /** last day on which it may be used */
  readonly validUntil?: string | undefined;
  /** only for people with a licence */
  readonly licensed?: boolean | undefined;
  readonly maxWindKmh?: number | undefined;
  /** metres to stay away from water */
  readonly bufferM?: number | undefined;
  readonly allowedRate?: CardRate | undefined;
}

/** A plant as labels name it: itself, a plant that it is like, or its family. */
export interface LabelledHost {
  readonly id: string;
  readonly family: string;
  readonly like?: string | undefined;
}

/** A planting as it stands on the day of an application. */
export interface LabelledPlanting {
  readonly host: LabelledHost;
  readonly setting: string;
  readonly eaten: boolean;
  readonly inFlower: boolean;
  /** days until it flowers next; not known: left out */
  readonly flowersInDays?: number | undefined;
  /** true while it has no leaves; not known: left out */
  readonly bare?: boolean | undefined;
  /** days to the next picking; not known: left out */
  readonly daysToHarvest?: number | undefined;
  /** a pond, ditch or fish tank is near; not known: left out */
  readonly waterNear?: boolean | undefined;
}

/** An application on the same planting, before or on the day that is judged. */
export interface EarlierApplication {
  readonly intervention: string;
  readonly daysAgo: number;
  /** counts for the season's maximum */
  readonly thisSeason: boolean;
}

/** The weather of an application, in °C and km/h; what is not known is left out. */
export interface ApplicationWeather {
  readonly temperatureC?: number | undefined;
  readonly maxC?: number | undefined;
  readonly windKmh?: number | undefined;
}

/** What was used, or is about to be. */
export interface UsedAmount {
  readonly product: Quantity;
  readonly waterL?: number | undefined;
  readonly areaM2?: number | undefined;
  readonly plants?: number | undefined;
}

export type LabelLine =
  | 'crop'
  | 'target'
  | 'validity'
  | 'licence'
  | 'settings'
  | 'eaten'
  | 'pre-harvest'
  | 'interval'
  | 'season-max'
  | 'rate'
  | 'temperature'
  | 'wind'
  | 'bees'
  | 'buffer'
  | 'host'
  | 'apart';

/** One line of a card: kept, broken, or open where what it asks for is not known. */
export interface JudgedLine {
  readonly line: LabelLine;
  readonly state: 'kept' | 'broken' | 'open';
  /** what the line allows, and what was found instead */
  readonly facts: Readonly<Record<string, string | number>>;
}
