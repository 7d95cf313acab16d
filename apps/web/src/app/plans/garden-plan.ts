import { computed, DestroyRef, inject, Injectable, resource, signal } from '@angular/core';
import type { PlannedApplication, PlanResult, TreatmentPlan } from '@field-nurse/contract';
import { changesOfPlan, roundId } from '@field-nurse/core/planning';
import type { PlanChange, RoundInSlot } from '@field-nurse/core/planning';
import { dayAt } from '@field-nurse/core/timing';
import { deepEqual } from 'fast-equals';
import { Calc } from '../calc/calc';
import type { WayTold } from '../calc/garden-to-plan';
import { wayId } from '../calc/plan-ways';
import { Planner } from '../calc/planner';
import type { GardenPlanQuestion } from '../calc/plan-garden';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { keepLatest } from '../shared/keep-latest';
import { GardenWeather } from '../weather/garden-weather';

/** A round of a plan: as it stands, as the planner would have it, or both. */
export interface RoundRow {
  readonly id: string;
  readonly plan: TreatmentPlan;
  readonly ordinal: number;
  readonly stored: PlannedApplication | undefined;
  /** where the planner would have it, where that is not where it stands */
  readonly change: PlanChange | undefined;
}

/** The garden's plans all at once: how they stand, how they would be best, and what a move costs. */
@Injectable()
export class GardenPlan {
  readonly #calc = inject(Calc);
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #weather = inject(GardenWeather);
  // What a move costs is asked and given up at every step of the keys; the plan itself goes on meanwhile.
  readonly #planner = new Planner();
  readonly #mover = new Planner();
  readonly #told = signal<PlanResult['moves']>([]);
  readonly #toldOf = signal(0);
  readonly #key = () => this.#garden.summary().id;

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      this.#planner.close();
      this.#mover.close();
    });
  }

  readonly plans = this.#garden.openPlans;

  readonly #asked = computed(
    () => {
      const { timeZone } = this.#garden.summary();
      return {
        now: this.#garden.now().slice(0, 13) + ':00:00Z',
        timeZone,
        seasonStart: this.#garden.seasonStart(),
        plans: this.plans(),
        planned: this.#garden.plannedApplications(),
        plantings: this.plans().flatMap(({ plantingId }) => this.#garden.plantingRecord(plantingId) ?? []),
        applied: this.#garden.applied().map(({ plantingId, caseId, intervention, appliedAt }) => ({
          plantingId,
          caseId,
          intervention,
          appliedOn: dayAt(appliedAt, timeZone),
        })),
        shelf: this.#garden.shelf(),
        workTimes: this.#garden.workTimes(),
        testSprays: this.#garden.testSprays(),
        // Of today's half-days a part is measured already.
        weather: [...this.#weather.measured(), ...this.#weather.forecast()],
        forecastIssuedAt: this.#weather.answer()?.forecast?.issuedAt,
      };
    },
    { equal: deepEqual },
  );
  readonly #question = resource({ params: () => this.#asked(), loader: ({ params }) => this.#calc.planGarden(params) });
  readonly question = keepLatest<GardenPlanQuestion>(this.#key, () => (this.#question.hasValue() ? this.#question.value() : undefined));
  readonly #answer = resource({
    params: () => this.question()?.question,
    loader: ({ params, abortSignal }) => this.#planner.plan({ ...params, movesFor: [] }, abortSignal),
  });
  readonly answer = keepLatest<PlanResult>(this.#key, () => (this.#answer.hasValue() ? this.#answer.value() : undefined));
  readonly isWorking = computed(() => this.#question.isLoading() || this.#answer.isLoading());
  readonly fault = computed(() => (this.#question.error() ?? this.#answer.error())?.message);

  /** the round that is looked at, or dragged */
  readonly chosen = signal<string | undefined>(undefined);
  readonly #moves = resource({
    params: () => {
      const [round, question] = [this.chosen(), this.question()?.question];
      return round && question?.rounds.some(({ id }) => id === round) ? { round, garden: this.#asked() } : undefined;
    },
    loader: async ({ params: { round, garden }, abortSignal }) => {
      this.#told.set([]);
      // Wherever it was put by hand: what it costs elsewhere is asked as if it were free.
      const planned = garden.planned.map((one) => (roundId(one.planId, one.ordinal) === round ? { ...one, held: false } : one));
      const { question } = await this.#calc.planGarden({ ...garden, planned });
      return this.#mover.plan({ ...question, movesFor: [round] }, abortSignal, (move, of) => {
        this.#told.update((all) => [...all, move]);
        this.#toldOf.set(of);
      });
    },
  });
  /** what every other half-day would cost for the chosen round, or which lines it breaks */
  readonly moves = computed(() => (this.#moves.hasValue() ? (this.#moves.value()?.moves ?? []) : this.isReckoning() ? this.#told() : []));
  /** how many half-days are reckoned so far, of how many */
  readonly progress = computed(() => ({ done: this.#told().length, of: this.#toldOf() }));
  readonly isReckoning = computed(() => this.#moves.isLoading());

  readonly changes = computed<readonly PlanChange[]>(() => {
    const [asked, answer] = [this.question(), this.answer()];
    return asked && answer ? changesOfPlan(asked.question, this.#known(), answer.schedule) : [];
  });

  /** rounds that are still to be done, and those that were */
  readonly rounds = computed<readonly RoundRow[]>(() =>
    this.plans().flatMap((plan) =>
      Array.from({ length: plan.rounds }, (_, i) => {
        const id = roundId(plan.id, i + 1);
        const stored = this.#garden.plannedApplications().find(({ planId, ordinal }) => planId === plan.id && ordinal === i + 1);
        return { id, plan, ordinal: i + 1, stored, change: this.changes().find(({ round }) => round === id) };
      }),
    ),
  );

  round = (id: string): RoundRow | undefined => this.rounds().find((one) => one.id === id);
  way = (id: string): WayTold | undefined => this.question()?.ways.find((one) => one.id === id);
  wayOf = ({ plan, stored, change }: RoundRow): WayTold | undefined =>
    change ? this.way(change.to.product) : stored && this.way(wayId(plan, stored.productId ?? stored.intervention));
  wayName = ({ intervention, productId }: Pick<WayTold, 'intervention' | 'productId'>): string =>
    this.#garden.products().find(({ id }) => id === productId)?.name ?? this.#library.interventionName(intervention);
  personOf = (round: string): string => this.answer()?.schedule.find((one) => one.round === round)?.person ?? '';

  /** Write the rounds where the planner would have them, with one way back for all. */
  async take(changes: readonly PlanChange[]): Promise<void> {
    const written = changes.flatMap(({ round, to }) => {
      const row = this.round(round);
      return row ? this.#placed(row, to, false) : [];
    });
    await this.#records.saveAll(written, written.length === 1 ? 'One round planned.' : `${written.length} rounds planned.`);
  }

  /** Put a round somewhere by hand: it stays there. */
  async hold(row: RoundRow, to: Omit<RoundInSlot, 'round'>, said: string): Promise<void> {
    await this.#records.saveAll(this.#placed(row, { ...to, round: row.id }, true), said);
  }

  /** Leave a round to the planner again. */
  async letGo({ stored }: RoundRow): Promise<void> {
    if (stored) await this.#save(stored, { held: false }, 'The planner may move it again.');
  }

  async notNeeded({ stored }: RoundRow, note: string): Promise<void> {
    if (stored) await this.#save(stored, { state: 'not-needed', note }, 'Not needed any more.');
  }

  /** A round as it is written where it is to be; nothing where what it is done with is not at hand any more. */
  #placed({ plan, ordinal, stored }: RoundRow, { date, slot, product, round }: RoundInSlot, held: boolean) {
    const way = this.way(product);
    if (!way) return [];
    return [
      {
        subject: 'plannedApplications' as const,
        id: stored?.id ?? crypto.randomUUID(),
        version: stored?.version ?? 0,
        value: {
          planId: plan.id,
          ordinal,
          intervention: way.intervention,
          productId: way.productId,
          plannedFor: date,
          slot,
          held,
          person: this.personOf(round),
          state: 'planned' as const,
          startedAt: null,
          applicationId: null,
          note: stored?.note ?? '',
        },
      },
    ];
  }

  async #save({ id, version, ...value }: PlannedApplication, change: Partial<PlannedApplication>, said: string): Promise<void> {
    await this.#records.save('plannedApplications', id, version, { ...value, ...change }, said);
  }

  #known(): RoundInSlot[] {
    return this.#garden.plannedApplications().flatMap(({ planId, ordinal, plannedFor, slot, intervention, productId, state }) => {
      const plan = this.plans().find(({ id }) => id === planId);
      if (!plan || state === 'done' || state === 'not-needed') return [];
      return [{ round: roundId(planId, ordinal), date: plannedFor, slot, product: wayId(plan, productId ?? intervention) }];
    });
  }
}
