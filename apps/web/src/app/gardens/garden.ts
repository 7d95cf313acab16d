import { computed, inject, Injectable, signal } from '@angular/core';
import type { Assessment, Case, Decision, GardenSummary, Place, Planting as PlantingRecord } from '@field-nurse/contract';
import { dayAt, usualSeasonStart } from '@field-nurse/core/timing';
import { Store } from '@ngrx/store';
import { appliedTo } from './applied';
import type { Applied } from './applied';
import { gardenFeature } from './garden-state';
import { plantingNow } from './plantings-now';
import type { Planting } from './plantings-now';

/** Reading the open garden: its records, and its own idea of today. */
@Injectable({ providedIn: 'root' })
export class Garden {
  readonly #store = inject(Store);
  readonly #tick = signal(Date.now());
  readonly #maybe = this.#store.selectSignal(gardenFeature.selectGarden);

  readonly summary = computed<GardenSummary>(() => this.#maybe()!);
  readonly places = this.#store.selectSignal(gardenFeature.selectPlaces);
  readonly #plantingRecords = this.#store.selectSignal(gardenFeature.selectPlantings);
  readonly cases = this.#store.selectSignal(gardenFeature.selectCases);
  readonly decisions = this.#store.selectSignal(gardenFeature.selectDecisions);
  readonly applications = this.#store.selectSignal(gardenFeature.selectApplications);
  readonly assessments = this.#store.selectSignal(gardenFeature.selectAssessments);
  readonly traps = this.#store.selectSignal(gardenFeature.selectTraps);
  readonly catches = this.#store.selectSignal(gardenFeature.selectCatches);
  readonly scoutingRounds = this.#store.selectSignal(gardenFeature.selectScoutingRounds);
  readonly stops = this.#store.selectSignal(gardenFeature.selectStops);
  readonly leafMeasurements = this.#store.selectSignal(gardenFeature.selectLeafMeasurements);
  readonly preventionTasks = this.#store.selectSignal(gardenFeature.selectPreventionTasks);
  readonly thresholds = this.#store.selectSignal(gardenFeature.selectThresholds);
  readonly ownEntries = this.#store.selectSignal(gardenFeature.selectOwnEntries);
  readonly clinicSamples = this.#store.selectSignal(gardenFeature.selectClinicSamples);
  readonly comments = this.#store.selectSignal(gardenFeature.selectComments);

  readonly now = computed(() => this.#maybe()?.fixedNow ?? new Date(this.#tick()).toISOString());
  readonly today = computed(() => dayAt(this.now(), this.#maybe()?.timeZone ?? 'UTC'));
  /** as they stand today */
  readonly plantings = computed<readonly Planting[]>(() => this.#plantingRecords().map((one) => plantingNow(one, this.today())));
  /** applications, once for each planting that they went to */
  readonly applied = computed<readonly Applied[]>(() => appliedTo(this.applications()));
  /** month and day on which its season begins */
  readonly seasonStart = computed(() => this.summary().seasonStart ?? usualSeasonStart(this.summary().latitude));
  readonly canWrite = computed(() => ['owner', 'member'].includes(this.#maybe()?.role ?? ''));
  readonly canComment = computed(() => this.#maybe()?.role !== 'viewer');
  readonly isOwner = computed(() => this.#maybe()?.role === 'owner');

  constructor() {
    const minuteMs = 60_000;
    setInterval(() => this.#tick.set(Date.now()), minuteMs);
  }

  place = (id: string): Place | undefined => this.places().find((one) => one.id === id);
  planting = (id: string): Planting | undefined => this.plantings().find((one) => one.id === id);
  /** as it is kept: what a change is made from */
  plantingRecord = (id: string): PlantingRecord | undefined => this.#plantingRecords().find((one) => one.id === id);
  case = (id: string): Case | undefined => this.cases().find((one) => one.id === id);
  assessmentsOf = (caseId: string): Assessment[] =>
    this.assessments()
      .filter((look) => look.caseId === caseId)
      .sort((a, b) => a.assessedOn.localeCompare(b.assessedOn));
  applicationsOn = (plantingId: string): Applied[] =>
    this.applied()
      .filter((one) => one.plantingId === plantingId)
      .sort((a, b) => a.appliedAt.localeCompare(b.appliedAt));
  /** what was done on a planting, by its day on the garden's calendar */
  appliedDays = (plantingId: string) =>
    this.applicationsOn(plantingId).map(({ id, intervention, appliedAt }) => ({
      id,
      intervention,
      appliedOn: dayAt(appliedAt, this.summary().timeZone),
    }));
  decisionsOf = (caseId: string): Decision[] =>
    this.decisions()
      .filter((one) => one.caseId === caseId)
      .sort((a, b) => a.decidedOn.localeCompare(b.decidedOn));
}
