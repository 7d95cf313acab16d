import type { EarlierApplication, LabelCard } from '../label/index.js';

export type Stance = 'hands' | 'organic' | 'softest' | 'protect';
export type Rung = 'none' | 'culture' | 'hand' | 'barrier' | 'trap' | 'biological' | 'soft' | 'synthetic' | 'removal';
/** Kinds of life stage that a treatment may act on; `any` where stages make no difference. */
export const stageKinds = ['egg', 'larva', 'nymph', 'pupa', 'adult', 'spore', 'lesion', 'any'] as const;
export type StageKind = (typeof stageKinds)[number];
export type Hiding = 'rolled-leaf' | 'mine' | 'stem' | 'root' | 'case' | 'wax';
export type Harm = LabelCard['bees'];

/** What must be known of an intervention to judge it for a planting, beside its label. */
export interface InterventionFacts extends LabelCard {
  readonly rung: Rung;
  readonly reach: 'contact' | 'stomach' | 'translaminar' | 'systemic' | 'fumigant' | 'physical' | 'living' | 'whole-plant';
  readonly organic: boolean;
  readonly restricted: boolean;
  readonly helpers: Harm;
  readonly modeOfAction?: { readonly scheme: string; readonly group: string } | undefined;
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
  readonly schools: readonly { readonly view: string; readonly reason: string }[];
  readonly default: string;
  readonly why: string;
}

/** What treatment has to know of a condition. */
export interface TreatableCondition {
  readonly id: string;
  readonly name: string;
  readonly stages: readonly { readonly id: string; readonly kind: StageKind; readonly hidden?: Hiding | undefined }[];
  readonly treat: readonly Effect[];
  readonly disputes: readonly Dispute[];
}

export interface Effect {
  readonly intervention: string;
  readonly stages: readonly StageKind[];
  /** percent, low and high */
  readonly efficacy: readonly number[];
  readonly evidence: 'strong' | 'moderate' | 'weak' | 'folk';
  readonly note?: string | undefined;
}

export interface RegionRules {
  readonly id: string;
  readonly authority: string;
  readonly notifiable: readonly string[];
  readonly forbidden: readonly { readonly intervention: string; readonly why: string }[];
  readonly restricted: readonly { readonly intervention: string; readonly why: string }[];
}

/** The planting as it stands today. */
export interface Situation {
  readonly host: { readonly id: string; readonly family: string };
  readonly conditions: readonly TreatableCondition[];
  readonly stage?: string | undefined;
  readonly setting: string;
  readonly inFlower: boolean;
  readonly edible: boolean;
  readonly daysToHarvest?: number | undefined;
  readonly daysToFrost?: number | undefined;
  readonly temperatureC?: number | undefined;
  readonly forecast?:
    { readonly rainInHours?: number | undefined; readonly windKmh?: number | undefined; readonly maxC?: number | undefined } | undefined;
  readonly helpersSeen: boolean;
  readonly hidden?: Hiding | undefined;
  readonly earlier: readonly EarlierApplication[];
  readonly stance: Stance;
  readonly region: RegionRules;
}
