export type Living = 'animals' | 'microbes';
export type PlantState = 'dormant' | 'in-leaf';

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
}

/** An application on the same planting, before or on the day that is judged. */
export interface EarlierApplication {
  readonly intervention: string;
  readonly daysAgo: number;
  /** counts for the season's maximum */
  readonly thisSeason: boolean;
}

/** Warmth on the day of an application, °C. */
export interface Warmth {
  readonly temperatureC?: number | undefined;
  readonly maxC?: number | undefined;
}

export type LabelLine = 'settings' | 'eaten' | 'pre-harvest' | 'interval' | 'season-max' | 'temperature' | 'bees' | 'host' | 'apart';

/** One line of a card: kept, broken, or open where what it asks for is not known. */
export interface JudgedLine {
  readonly line: LabelLine;
  readonly state: 'kept' | 'broken' | 'open';
  /** what the line allows, and what was found instead */
  readonly facts: Readonly<Record<string, string | number>>;
}
