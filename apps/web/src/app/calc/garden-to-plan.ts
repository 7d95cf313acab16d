import type { PlannedApplication, Planting, TestSpray, TreatmentPlan, WorkTime } from '@field-nurse/contract';
import type { PlanToPlace, WayOfPlan } from '@field-nurse/core/planning';
import type { WeatherHour } from '@field-nurse/core/timing';
import type { Intervention } from '@field-nurse/library';
import type { OnShelf } from '../gardens/shelf-now';

/** What the garden's plans are placed from. */
export interface GardenToPlan {
  readonly now: string;
  readonly timeZone: string;
  readonly seasonStart: string;
  /** those that go on */
  readonly plans: readonly TreatmentPlan[];
  readonly planned: readonly PlannedApplication[];
  readonly plantings: readonly Planting[];
  readonly applied: readonly {
    readonly plantingId: string;
    readonly caseId: string | null;
    readonly intervention: string;
    readonly appliedOn: string;
  }[];
  readonly shelf: readonly OnShelf[];
  readonly workTimes: readonly WorkTime[];
  readonly testSprays: readonly TestSpray[];
  /** measured and forecast */
  /** when the forecast in it was made; now, where there is none */
  readonly forecastIssuedAt?: string | undefined;
  readonly weather: readonly WeatherHour[];
}

/** A way to do the rounds of a plan, as people are told of it. */
export interface WayTold {
  readonly id: string;
  readonly plan: string;
  readonly intervention: string;
  readonly productId: string | null;
  readonly minutes: number;
  readonly reEntryHours: number;
  readonly preHarvestDays: number;
  /** what the label says against a day, by date */
  readonly forbidden: Readonly<Record<string, readonly string[]>>;
}

/** A way as the planner has it, and as people are told of it, with the card that counts for it. */
export interface Way {
  readonly way: WayOfPlan;
  readonly told: WayTold;
  readonly card: Intervention;
}

/** A plan that is to be placed, with its ways. */
export interface PlanSeen {
  readonly plan: TreatmentPlan;
  readonly toPlace: PlanToPlace;
  readonly ways: readonly Way[];
}

/** The library's interventions by their ids. */
export type Cards = ReadonlyMap<string, Intervention>;
