import type { Setting } from '../diagnosis/index.js';
import type { EarlierApplication, LabelCard, LabelledHost, PlantState, ProductCard } from '../label/index.js';

export type Stance = 'hands' | 'organic' | 'softest' | 'protect';
export type Rung = 'none' | 'culture' | 'hand' | 'barrier' | 'trap' | 'biological' | 'soft' | 'synthetic' | 'removal';
/** Kinds of life stage that a treatment may act on; `any` where stages make no difference. */
export const stageKinds = ['egg', 'larva', 'nymph', 'pupa', 'adult', 'spore', 'lesion', 'any'] as const;
export type StageKind = (typeof stageKinds)[number];
export type Hiding = 'rolled-leaf' | 'mine' | 'stem' | 'root' | 'case' | 'wax';
export type Risk = 'none' | 'care' | 'serious';
export type Harm = LabelCard['bees'];

/** What must be known of an intervention to judge it for a planting, beside its label. */
export interface InterventionFacts extends LabelCard {
  readonly rung: Rung;
  readonly reach: 'contact' | 'stomach' | 'translaminar' | 'systemic' | 'fumigant' | 'physical' | 'living' | 'whole-plant';
  readonly organic: boolean;
  readonly restricted: boolean;
  /** what people try and should not */
  readonly dont: boolean;
  /** helps next time, and changes nothing today */
  readonly nextSeason: boolean;
  /** to whom it is sold; nothing for what is not bought as a product */
  readonly sold?: 'amateur' | 'varies' | 'professional' | undefined;
  readonly helpers: Harm;
  readonly animals: Risk;
  readonly water: Risk;
  readonly soilC?: { readonly min: number; readonly max: number } | undefined;
  /** of the northern hemisphere */
  readonly months?: readonly number[] | undefined;
  readonly when?: PlantState | undefined;
  /** hosts or families that it is for; any when empty */
  readonly onlyHosts: readonly string[];
  /** what acts alike is done in turn, and not at once */
  readonly effect?: string | undefined;
  readonly undoes: readonly string[];
  readonly reEntryHours: number;
  readonly rainFastHours?: number | undefined;
  readonly minutesPerPlant: number;
  readonly costPerPlant: number;
  /** pointless unless harvest is this near, days */
  readonly harvestWithinDays?: number | undefined;
  /** pointless unless helpers were seen */
  readonly needsHelpers: boolean;
  readonly order: Step;
  readonly disputes: readonly Dispute[];
}

/** When in a combined plan a step is done: water before feed, cut before spray. */
export type Step = 'water' | 'clean' | 'cut' | 'shield' | 'release' | 'spray' | 'feed' | 'remove' | 'wait';

export interface Dispute {
  readonly id: string;
  readonly question: string;
  readonly schools: readonly School[];
  readonly default: string;
  readonly why: string;
}

/** One view on a question on which growers differ, and what follows from taking it. */
export interface School {
  readonly view: string;
  readonly reason: string;
  /** interventions that it takes first */
  readonly does?: readonly string[] | undefined;
  /** interventions that it goes without */
  readonly leaves?: readonly string[] | undefined;
  /** what is done besides, where an intervention that the question is about is used */
  readonly steps?: readonly string[] | undefined;
  /** each round is decided anew, after a look */
  readonly oneByOne?: boolean | undefined;
}

/** A view that was taken on a question. */
export interface TakenSchool {
  readonly question: string;
  readonly view: string;
}

/** What treatment has to know of a condition. */
export interface TreatableCondition {
  readonly id: string;
  readonly name: string;
  readonly reportable: 'nearly-everywhere' | 'in-places' | 'no';
  readonly stages: readonly {
    readonly id: string;
    readonly kind: StageKind;
    readonly hidden?: Hiding | undefined;
    /** in which it is about, of the northern hemisphere */
    readonly months?: readonly number[] | undefined;
  }[];
  readonly treat: readonly Effect[];
  readonly disputes: readonly Dispute[];
}

export interface Effect {
  readonly intervention: string;
  /** kinds of stage, or stages of the condition */
  readonly stages: readonly string[];
  /** percent, low and high */
  readonly efficacy: readonly number[];
  readonly evidence: 'strong' | 'moderate' | 'weak' | 'folk';
  readonly note?: string | undefined;
  /** in place of the card's own steps */
  readonly steps?: readonly string[] | undefined;
  /** hosts or families that this is for; any when left out */
  readonly hosts?: readonly string[] | undefined;
  /** of the northern hemisphere */
  readonly months?: readonly number[] | undefined;
  readonly age?: readonly Age[] | undefined;
}

/** How far a plant has grown. */
export type Age = 'seedling' | 'young' | 'grown';

/** A product that is at hand. Without a card of its own it is judged by the typical figures of its ingredient. */
export interface ShelfProduct {
  readonly id: string;
  readonly name: string;
  readonly intervention: string;
  readonly card: ProductCard | null;
}

export interface RegionRules {
  readonly id: string;
  readonly authority: string;
  /** conditions that must be reported here, beside those that must be nearly everywhere */
  readonly notifiable: readonly string[];
  /** conditions that need not be reported here, though they must be in many places */
  readonly notListed: readonly string[];
  /** products that may be bought and used in a garden here */
  readonly soldHere: readonly string[];
  readonly forbidden: readonly { readonly intervention: string; readonly why: string }[];
  readonly restricted: readonly { readonly intervention: string; readonly why: string }[];
}

/** The planting as it stands today. What is not known is left out. */
export interface Situation {
  readonly host: LabelledHost & { readonly tender?: boolean | undefined; readonly kind?: string; readonly habit?: string | undefined };
  readonly conditions: readonly TreatableCondition[];
  /** a stage of one of the conditions or a kind of stage, as somebody said */
  readonly stage?: string | undefined;
  /** chance of each stage, by condition and stage, where nobody said which */
  readonly stageChances?: ReadonlyMap<string, ReadonlyMap<string, number>> | undefined;
  readonly setting: Setting;
  readonly inFlower: boolean;
  readonly flowersInDays?: number | undefined;
  readonly bare?: boolean | undefined;
  readonly age?: Age | undefined;
  /** how many plants are to be treated */
  readonly plants?: number | undefined;
  readonly worth?: Worth | undefined;
  /** pets or hens that come near */
  readonly animalsNear?: boolean | undefined;
  /** a pond, ditch or fish tank within the buffer */
  readonly waterNear?: boolean | undefined;
  readonly edible: boolean;
  readonly daysToHarvest?: number | undefined;
  readonly daysToFrost?: number | undefined;
  /** days until the crop is cleared anyway */
  readonly daysToEnd?: number | undefined;
  /** month of the northern hemisphere that the season is like, 1 to 12 */
  readonly month?: number | undefined;
  readonly temperatureC?: number | undefined;
  readonly forecast?:
    { readonly rainInHours?: number | undefined; readonly windKmh?: number | undefined; readonly maxC?: number | undefined } | undefined;
  readonly helpersSeen: boolean;
  readonly hidden?: Hiding | undefined;
  readonly earlier: readonly EarlierApplication[];
  /** what was tried on a few leaves of this planting */
  readonly tests?: readonly LeafTest[] | undefined;
  /** the day that is asked about */
  readonly on?: string | undefined;
  /** products at hand */
  readonly shelf?: readonly ShelfProduct[] | undefined;
  /** whoever applies it has a licence for professional products */
  readonly hasLicence?: boolean | undefined;
  readonly stance: Stance;
  /** views taken where growers differ */
  readonly schools?: readonly TakenSchool[] | undefined;
  readonly region: RegionRules;
  /** conditions of which the grower asked the authority, and which are not listed here */
  readonly notListed: readonly string[];
}

/** A few leaves that were sprayed first. */
export interface LeafTest {
  readonly intervention: string;
  readonly outcome: 'waiting' | 'clean' | 'marked';
  readonly daysAgo: number;
  /** until they are looked at; below 0: they should have been */
  readonly lookInDays: number;
}

/** What a plant is worth to its grower. */
export type Worth = 'cheap' | 'usual' | 'dear';
