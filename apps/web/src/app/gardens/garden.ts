import { computed, inject, Injectable, linkedSignal, signal } from '@angular/core';
import type { Assessment, Case, Decision, GardenSummary, PastCase, Place, Planting as PlantingRecord } from '@field-nurse/contract';
import { plantingOn } from '@field-nurse/core/ground';
import { dayAt, seasonOf, usualSeasonStart } from '@field-nurse/core/timing';
import { Store } from '@ngrx/store';
import { appliedTo } from './applied';
import type { Applied } from './applied';
import { GardenActions, gardenFeature } from '../store/garden-state';
import { atHandOf, shelfNow } from './shelf-now';
import { plantingNow } from './plantings-now';
import type { Planting } from './plantings-now';

/** Reading the open garden: its records, and its own idea of today. */
@Injectable({ providedIn: 'root' })
export class Garden {
  readonly #store = inject(Store);
  readonly #tick = signal(Date.now());
  readonly #maybe = this.#store.selectSignal(gardenFeature.selectGarden);

  /** of the open garden; between two gardens still of the one before: its pages are on the screen until the next has come */
  readonly summary = linkedSignal<GardenSummary | null, GardenSummary>({
    source: this.#maybe,
    computation: (open, before) => (open ?? before?.value)!,
  }).asReadonly();
  /** id of the open garden; nothing before one is open, and at the door */
  readonly id = computed(() => this.#maybe()?.id);
  readonly places = this.#store.selectSignal(gardenFeature.selectPlaces);
  readonly #plantingRecords = this.#store.selectSignal(gardenFeature.selectPlantings);
  readonly cases = this.#store.selectSignal(gardenFeature.selectCases);
  readonly decisions = this.#store.selectSignal(gardenFeature.selectDecisions);
  readonly products = this.#store.selectSignal(gardenFeature.selectProducts);
  readonly labelCards = this.#store.selectSignal(gardenFeature.selectLabelCards);
  readonly stockMoves = this.#store.selectSignal(gardenFeature.selectStockMoves);
  readonly treatmentPlans = this.#store.selectSignal(gardenFeature.selectTreatmentPlans);
  /** plans that go on: of a case that is open, on a planting that grows */
  readonly openPlans = computed(() =>
    this.treatmentPlans().filter(
      ({ endedOn, caseId, plantingId }) => !endedOn && !this.case(caseId ?? '')?.closedOn && !this.planting(plantingId)?.endedOn,
    ),
  );
  readonly plannedApplications = this.#store.selectSignal(gardenFeature.selectPlannedApplications);
  readonly workTimes = this.#store.selectSignal(gardenFeature.selectWorkTimes);
  readonly sprayers = this.#store.selectSignal(gardenFeature.selectSprayers);
  readonly harvests = this.#store.selectSignal(gardenFeature.selectHarvests);
  readonly removals = this.#store.selectSignal(gardenFeature.selectRemovals);
  readonly drills = this.#store.selectSignal(gardenFeature.selectDrills);
  readonly lessons = this.#store.selectSignal(gardenFeature.selectLessons);
  readonly testSprays = this.#store.selectSignal(gardenFeature.selectTestSprays);
  readonly applications = this.#store.selectSignal(gardenFeature.selectApplications);
  readonly assessments = this.#store.selectSignal(gardenFeature.selectAssessments);
  readonly traps = this.#store.selectSignal(gardenFeature.selectTraps);
  readonly catches = this.#store.selectSignal(gardenFeature.selectCatches);
  readonly scoutingRounds = this.#store.selectSignal(gardenFeature.selectScoutingRounds);
  readonly stops = this.#store.selectSignal(gardenFeature.selectStops);
  readonly leafMeasurements = this.#store.selectSignal(gardenFeature.selectLeafMeasurements);
  readonly groundEvents = this.#store.selectSignal(gardenFeature.selectGroundEvents);
  readonly preventionTasks = this.#store.selectSignal(gardenFeature.selectPreventionTasks);
  readonly thresholds = this.#store.selectSignal(gardenFeature.selectThresholds);
  readonly ownEntries = this.#store.selectSignal(gardenFeature.selectOwnEntries);
  readonly clinicSamples = this.#store.selectSignal(gardenFeature.selectClinicSamples);
  readonly comments = this.#store.selectSignal(gardenFeature.selectComments);

  readonly #pastCases = this.#store.selectSignal(gardenFeature.selectPastCases);
  readonly #season = this.#store.selectSignal(gardenFeature.selectSeason);
  readonly #firstSeason = this.#store.selectSignal(gardenFeature.selectFirstSeason);
  readonly #seasons = this.#store.selectSignal(gardenFeature.selectSeasons);

  readonly now = computed(() => this.#maybe()?.fixedNow ?? new Date(this.#tick()).toISOString());
  readonly today = computed(() => dayAt(this.now(), this.#maybe()?.timeZone ?? 'UTC'));
  /** as they stand today */
  readonly plantings = computed<readonly Planting[]>(() => this.#plantingRecords().map((one) => plantingNow(one, this.today())));
  /** applications, once for each planting that they went to */
  readonly applied = computed<readonly Applied[]>(() => appliedTo(this.applications()));
  /** products that were not given up, with what is left of them */
  readonly shelf = computed(() =>
    shelfNow(
      { products: this.products(), labelCards: this.labelCards(), stockMoves: this.stockMoves(), applications: this.applications() },
      this.today(),
    ),
  );
  /** products that can be taken, as options are asked with them */
  readonly atHand = computed(() => atHandOf(this.shelf(), this.labelCards()));
  /** cases of earlier seasons in a line each, as far as they are not here in full */
  readonly pastCases = computed<readonly PastCase[]>(() => {
    const here = new Set(this.cases().map(({ id }) => id));
    return this.#pastCases().filter(({ id }) => !here.has(id));
  });
  /** every case of the garden in a line, whether it is here in full or not */
  readonly caseLines = computed<readonly PastCase[]>(() => {
    const plantings = new Map(this.#plantingRecords().map((one) => [one.id, one]));
    const here = this.cases().flatMap(({ id, plantingId, openedOn, closedOn, diagnoses }) => {
      const planting = plantings.get(plantingId);
      if (!planting) return [];
      const { placeId } = plantingOn(planting, openedOn);
      return [{ id, plantingId, placeId, host: planting.host, openedOn, closedOn, conditions: diagnoses.at(-1)?.conditions ?? [] }];
    });
    return [...this.pastCases(), ...here];
  });
  /** years in which there may be records, first to this one */
  readonly years = computed(() => {
    const [first, last] = [this.#firstSeason() || this.today(), this.today()].map((day) => Number(day.slice(0, 4))) as [number, number];
    return Array.from({ length: last - first + 1 }, (_, i) => String(first + i));
  });
  /** month and day on which its season begins */
  readonly seasonStart = computed(() => this.summary().seasonStart ?? usualSeasonStart(this.summary().latitude));
  readonly canWrite = computed(() => ['owner', 'member'].includes(this.#maybe()?.role ?? ''));
  readonly canComment = computed(() => this.#maybe()?.role !== 'viewer');
  readonly isOwner = computed(() => this.#maybe()?.role === 'owner');

  constructor() {
    const minuteMs = 60_000;
    setInterval(() => this.#tick.set(Date.now()), minuteMs);
  }

  /**
   * Bring the records of a year that are not on this device yet.
   *
   * @param whole - with every stop of the running season: today needs only the last at each planting
   */
  openYear(year: string, whole = false): void {
    for (const from of this.#seasonsOf(year))
      if (!this.#isHere(from, whole)) this.#store.dispatch(GardenActions.seasonOpened({ day: from }));
  }

  readonly seasonFault = this.#store.selectSignal(gardenFeature.selectSeasonFault);
  /** whether all records of a year are on this device */
  hasYear = (year: string, whole = false): boolean => this.#seasonsOf(year).every((from) => this.#isHere(from, whole));

  #isHere = (from: string, whole: boolean) => this.#seasons().includes(from) || (!whole && from === this.#season().from);

  /** first days of the seasons that a calendar year has a part in, as far as there are any */
  #seasonsOf(year: string): string[] {
    const ends = [`${year}-01-01`, `${year}-12-31`].map((day) => seasonOf(day, this.seasonStart()).from);
    return [...new Set(ends)].filter((from) => from >= this.#firstSeason() && from <= this.#season().from);
  }

  place = (id: string): Place | undefined => this.places().find((one) => one.id === id);
  planting = (id: string): Planting | undefined => this.plantings().find((one) => one.id === id);
  /** as it is kept: what a change is made from */
  plantingRecord = (id: string): PlantingRecord | undefined => this.#plantingRecords().find((one) => one.id === id);
  /** the plan by which something is done for a case */
  planOf = (caseId: string, intervention: string) =>
    this.openPlans().find((one) => one.caseId === caseId && one.interventions.includes(intervention));
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
