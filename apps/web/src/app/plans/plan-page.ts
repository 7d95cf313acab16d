import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { jobsOf } from '../gardens/jobs';
import { Library } from '../library/library';
import { PlantingTitle } from '../library/planting-title';
import { slotWord } from '../shared/days';
import { advice } from '../shared/words';
import type { HalfDayAt } from './board';
import { GardenPlan } from './garden-plan';
import { PlanBoard } from './plan-board';
import type { MovedRound } from './plan-board';
import { BeforeItComes } from './before-it-comes';
import { linesWord, whyWord } from './plan-words';
import { RoundPanel } from './round-panel';
import { WorkTimes } from './work-times';

/** The plan: all rounds of all cases in their half-days, what would change and why, and what can't be done. */
@Component({
  selector: 'fn-plan-page',
  imports: [RouterLink, BeforeItComes, MatButtonModule, PlanBoard, PlantingTitle, RoundPanel, WorkTimes],
  providers: [GardenPlan],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './plan-page.scss',
  templateUrl: './plan-page.html',
})
export class PlanPage {
  protected readonly garden = inject(Garden);
  readonly #library = inject(Library);
  protected readonly plan = inject(GardenPlan);
  protected readonly advice = advice;
  /** id of a case, from a link: its first round is looked at */
  readonly case = input<string>();
  protected readonly refusal = signal('');
  protected readonly isTaking = signal(false);
  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);

  protected readonly changes = computed(() =>
    this.plan.changes().flatMap((change) => {
      const row = this.plan.round(change.round);
      const way = this.plan.way(change.to.product);
      if (!row || !way) return [];
      return [
        {
          change,
          isNew: !change.from,
          name: `${this.plan.wayName(way)}, round ${row.ordinal}`,
          planting: row.plan.plantingId,
          when: slotWord(change.to.date, change.to.slot, this.garden.today()),
          why: change.from ? whyWord(change, this.garden.today()) : '',
        },
      ];
    }),
  );
  protected readonly isNew = computed(() => this.changes().every((one) => one.isNew));
  protected readonly notPlaced = computed(() =>
    (this.plan.answer()?.notPlaced ?? []).flatMap(({ round, why }) => {
      const row = this.plan.round(round);
      if (!row) return [];
      const conflict = this.plan.answer()?.conflicts.find((one) => one.round === round);
      const text = (conflict?.text ?? '') || why.map((one) => one.text).join(' ');
      const forbidden = why.some(({ code }) => code === 'label') ? this.#labelLines(row.plan.id) : [];
      return [{ round, row, text, forbidden, name: row.plan.interventions.map((id) => this.#library.interventionName(id)).join(' or ') }];
    }),
  );
  protected readonly jobs = computed(() =>
    jobsOf(this.plan.plans(), this.garden.plannedApplications()).map((job) => ({
      ...job,
      when: slotWord(job.day, job.slot, this.garden.today()),
      isLate: job.day < this.garden.today(),
      name: this.plan.wayName(job),
      of: job.rounds.map(({ planned, plan }) => ({
        id: planned.id,
        planting: plan.plantingId,
        ordinal: planned.ordinal,
        rounds: plan.rounds,
      })),
    })),
  );
  protected readonly summary = computed(() => {
    const [next] = this.jobs();
    const count = this.jobs().length;
    if (!next) return this.changes().length > 0 ? 'Nothing is planned yet. This is what is proposed.' : 'Nothing is planned.';
    return `${count} ${count === 1 ? 'job' : 'jobs'} ahead. Next: ${next.name}, ${next.when}.`;
  });
  /** "The best there is" or how far from it this may be. */
  protected readonly proof = computed(() => {
    const answer = this.plan.answer();
    if (!answer || answer.schedule.length === 0) return '';
    if (answer.optimal) return 'No other order of all rounds loses less: that is proven.';
    const gap = answer.objective > 0 ? (100 * (answer.objective - answer.bound)) / answer.objective : 0;
    return `A good order; the best one could lose up to ${gap.toFixed(gap < 1 ? 1 : 0)} % less.`;
  });

  constructor() {
    effect(() => {
      const of = this.case();
      const first = this.plan.rounds().find(({ plan, stored }) => plan.caseId === of && stored?.state !== 'done');
      if (of && first && !this.plan.chosen()) this.plan.chosen.set(first.id);
    });
  }

  protected async take(): Promise<void> {
    await this.#trying(() => this.plan.take(this.plan.changes()));
  }

  protected async move({ row, to }: MovedRound): Promise<void> {
    const at = row.stored ? { date: row.stored.plannedFor, slot: row.stored.slot } : row.change?.to;
    if (!at || (at.date === to.date && at.slot === to.slot)) return;
    const move = this.plan.moves().find(({ date, slot }) => date === to.date && slot === to.slot);
    const when = slotWord(to.date, to.slot, this.garden.today());
    if (move?.lines) {
      this.refusal.set(`Not ${when}. ${linesWord(move.lines)} ${this.#forbiddenOn(row.plan.id, to)}`.trim());
      return;
    }
    const product = move?.product ?? this.plan.wayOf(row)?.id;
    if (product) await this.#trying(() => this.plan.hold(row, { ...to, product }, `Moved: ${when}.`));
  }

  async #trying(work: () => Promise<void>): Promise<void> {
    this.refusal.set('');
    this.isTaking.set(true);
    try {
      await work();
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.isTaking.set(false);
    }
  }

  /** What the labels say against a day, in their own sentences. */
  #forbiddenOn(plan: string, { date }: HalfDayAt): string {
    const ways = (this.plan.question()?.ways ?? []).filter((way) => way.plan === plan);
    return [...new Set(ways.flatMap(({ forbidden }) => forbidden[date] ?? []))].join(' ');
  }

  #labelLines(plan: string): string[] {
    const ways = (this.plan.question()?.ways ?? []).filter((way) => way.plan === plan);
    return [...new Set(ways.flatMap(({ forbidden }) => Object.values(forbidden).flat()))];
  }
}
