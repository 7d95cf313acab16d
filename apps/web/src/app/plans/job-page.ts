import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, untracked } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Router, RouterLink } from '@angular/router';
import type { PlannedApplication } from '@field-nurse/contract';
import { clockAt } from '@field-nurse/core/timing';
import { Store } from '@ngrx/store';
import { keptProduct } from '../applications/product-amount';
import { ReckonedLaw } from '../applications/reckoned-law';
import { TodaysWeather } from '../cases/todays-weather';
import { Garden } from '../gardens/garden';
import { slotAt } from '../gardens/round-done';
import { LeafTest } from '../gardens/leaf-test';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { instantWord } from '../shared/days';
import { Submission } from '../shared/submission';
import { amountWord, fromField, measures, toField } from '../shared/units';
import { advice } from '../shared/words';
import { sessionFeature } from '../store/session-state';
import { ContactTimer } from '../shared/contact-timer';
import { JobInHand } from './job-in-hand';
import type { StepId } from './job-in-hand';
import { JobMix } from './job-mix';
import { JobNotice } from './job-notice';
import { JobProgress } from './job-progress';
import { keptAmount } from './job-tank';

const titles: Readonly<Record<StepId, string>> = {
  wear: 'Wear this',
  clear: 'Clear the place',
  mix: 'Mix',
  try: 'A few leaves first',
  do: 'Do it',
  after: 'Afterwards',
  notice: 'Put up the notice',
  write: 'Write down what was done',
};

/** A job of the plan, step by step, on a phone in the sun; what was done is written as it goes, also without signal. */
@Component({
  selector: 'fn-job-page',
  imports: [ReactiveFormsModule, RouterLink, ContactTimer, JobNotice, LeafTest, MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './job-page.scss',
  templateUrl: './job-page.html',
})
export class JobPage {
  protected readonly garden = inject(Garden);
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #router = inject(Router);
  readonly #weather = inject(TodaysWeather);
  readonly #law = inject(ReckonedLaw);
  readonly #person = inject(Store).selectSignal(sessionFeature.selectPerson);
  /** id of the job in the address: that of its first round */
  readonly job = input.required<string>();
  protected readonly advice = advice;
  protected readonly titles = titles;
  protected readonly system = this.garden.summary().units;
  protected readonly measures = measures;
  protected readonly amountWord = amountWord;
  readonly #zone = this.garden.summary().timeZone;
  protected readonly base = computed(() => `/g/${this.garden.summary().id}`);

  protected readonly about = new JobInHand(this.job);
  protected readonly mix = new JobMix(this.about);
  protected readonly progress = linkedSignal<string, JobProgress>({ source: this.job, computation: (job) => new JobProgress(job) });

  /** somebody else has begun it */
  protected readonly begunAt = computed(() => {
    const started = this.about
      .known()
      ?.rounds.map(({ planned }) => planned)
      .find(({ state }) => state === 'under-way');
    return started?.startedAt && this.progress().now().step === 0 ? instantWord(started.startedAt, this.#zone) : undefined;
  });

  protected readonly step = computed(() => Math.min(this.progress().now().step, Math.max(0, this.about.steps().length - 1)));
  protected readonly at = computed(() => this.about.steps()[this.step()]);
  protected readonly hasBegun = computed(() => this.about.known()?.isUnderWay === true || this.progress().now().step > 0);

  protected readonly form = new FormGroup({
    amount: new FormControl<number | null>(null, Validators.min(0)),
    water: new FormControl<number | null>(null, Validators.min(0)),
    collected: new FormControl<number | null>(null, [Validators.min(0), Validators.pattern(/^\d+$/)]),
    plants: new FormGroup<Record<string, FormControl<number | null>>>({}),
    part: new FormControl('', { nonNullable: true }),
    by: new FormControl('', { nonNullable: true, validators: Validators.required }),
  });
  protected readonly submission = new Submission(this.form);

  constructor() {
    // What is to be written is filled in once it is known, also where the page was opened anew at the last step.
    effect(() => {
      if (this.at() !== 'write') return;
      this.mix.answer();
      untracked(() => this.#fill());
    });
  }

  /** That it is under way, or not any more, is told to the others; without signal it is told later, and the job goes on. */
  async #tell(change: Pick<PlannedApplication, 'state' | 'startedAt'>): Promise<void> {
    for (const { planned } of this.about.known()?.rounds ?? []) {
      const { id, version, ...value } = planned;
      if (value.state !== change.state) await this.#records.keep('plannedApplications', id, version, { ...value, ...change }, planned);
    }
  }

  protected async go(steps: number): Promise<void> {
    if (!this.hasBegun()) await this.#tell({ state: 'under-way', startedAt: this.garden.now() });
    this.progress().change({ step: Math.max(0, this.step() + steps) });
  }

  protected time(what: string): void {
    const { timers } = this.progress().now();
    this.progress().change({ timers: { ...timers, [what]: new Date().toISOString() } });
  }

  /** What was to be used, to be put right where it was otherwise. */
  #fill(): void {
    const mix = this.mix.answer();
    const { amount, water } = this.form.value;
    this.form.patchValue({
      amount: amount ?? (mix ? keptAmount(mix.product).amount : null),
      water: water ?? (mix ? Number((toField('water', mix.water.amount, this.system) ?? 0).toPrecision(3)) : null),
      by: this.form.value.by || this.about.known()?.person || this.#person()?.name || '',
    });
    for (const { plantingId, plants } of this.about.targets())
      if (!this.form.controls.plants.contains(plantingId))
        this.form.controls.plants.addControl(plantingId, new FormControl(plants, [Validators.required, Validators.min(1)]));
  }

  protected async write(): Promise<void> {
    await this.submission.send(async () => {
      const job = this.about.known();
      if (!job) return;
      const { amount, water, collected, plants, part, by } = this.form.getRawValue();
      const said = this.#weather.said(this.about.targets()[0]?.planting.setting);
      const application = applicationOf(job.id);
      const value = {
        intervention: job.intervention,
        productId: job.productId,
        appliedAt: this.garden.now(),
        targets: this.about.targets().map(({ planting, plan }) => ({
          plantingId: planting.id,
          caseId: plan.caseId,
          plants: plants[planting.id] ?? planting.plants,
          areaM2: null,
          coveredPart: part,
        })),
        ...keptProduct(amount || null, amount ? this.mix.unit() : null),
        collected,
        waterL: fromField('water', water, this.system),
        kit: '',
        appliedBy: by,
        temperatureC: said.temperatureC,
        windKmh: said.windKmh,
        sky: '',
        why: this.#library.conditionNames([...new Set(job.rounds.flatMap(({ plan }) => plan.against))], ''),
      };
      // As the rounds are kept by now: that they were begun may have been written since.
      const rounds = job.rounds.flatMap(({ planned }) => this.garden.plannedApplications().find(({ id }) => id === planned.id) ?? []);
      const [today, clock] = clockAt(this.garden.now(), this.garden.summary().timeZone).split('T') as [string, string];
      const slot = slotAt(clock);
      await this.#records.saveAllOrKeep(
        [
          { subject: 'applications', id: application, value, reckoned: this.#law.of(value) },
          ...rounds.map(({ id, version, ...round }) => ({
            subject: 'plannedApplications' as const,
            id,
            version,
            // It was done now, wherever it stood in the plan.
            value: { ...round, plannedFor: today, slot, state: 'done' as const, applicationId: application },
          })),
        ],
        `${this.about.name()} is in the log.`,
        new Map(rounds.map((round) => [round.id, round])),
      );
      this.progress().clear();
      await this.#router.navigate([this.base(), 'plan']);
    });
  }

  protected async leaveOff(): Promise<void> {
    await this.#tell({ state: 'planned', startedAt: null });
    this.progress().clear();
    await this.#router.navigate([this.base(), 'plan']);
  }
}

/** The log entry of a job has an id of its own that follows from the job's: two people who do the same job write the same entry. */
export const applicationOf = (job: string): string => (15 - parseInt(job[0]!, 16)).toString(16) + job.slice(1);
