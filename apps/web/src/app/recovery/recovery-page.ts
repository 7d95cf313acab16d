import { ChangeDetectionStrategy, Component, computed, inject, input, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Assessment } from '@field-nurse/contract';
import { daysToNextLook, expectedSeverity, nextAssessmentOn, statusOf } from '@field-nurse/core/recovery';
import { addDays, dayAt, daysBetween } from '@field-nurse/core/timing';
import { ApiError } from '../api/api-error';
import { Calc } from '../calc/calc';
import { workingConditions } from '../cases/case-diagnoses';
import { caseInEdit } from '../cases/case-edits';
import { CaseHead } from '../cases/case-head';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { dayWord, fromToday } from '../shared/days';
import { advice, growthWords } from '../shared/words';
import type { Outcome } from './close-case';
import { CloseCase } from './close-case';
import type { LookValue } from './assessment-form';
import { AssessmentForm } from './assessment-form';
import { RecoveryCurve } from './recovery-curve';
import { StatusMark } from '../gardens/status-mark';

const usualLookDays = 7;
const fewestForCurve = 2;
const fewestForFit = 3;

/** Is it getting better? The curve with its treatments, the next look, and the end of the case. */
@Component({
  selector: 'fn-recovery-page',
  imports: [RouterLink, MatButtonModule, CaseHead, CloseCase, AssessmentForm, RecoveryCurve, StatusMark],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './recovery-page.scss',
  templateUrl: './recovery-page.html',
})
export class RecoveryPage {
  readonly #calc = inject(Calc);
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  protected readonly garden = inject(Garden);
  /** id of the case in the address */
  readonly case = input.required<string>();
  protected readonly edits = caseInEdit(this.case);
  protected readonly advice = advice;
  protected readonly growths = growthWords;
  protected readonly busy = signal(false);
  protected readonly refusal = signal('');
  protected readonly correcting = signal<Assessment | undefined>(undefined);
  /** grows with each saved look, so that the form starts afresh */
  protected readonly formRound = signal(0);

  protected readonly one = this.edits.stored;
  protected readonly host = computed(() => this.#library.hosts().get(this.edits.planting()?.host ?? ''));
  protected readonly sign = computed(() => {
    const seen = (this.one()?.findings ?? []).filter(({ state }) => state === 'seen').map(({ sign }) => this.#library.signs().get(sign));
    return seen.find((sign) => sign?.drawing.organ === 'leaf') ?? seen[0];
  });
  protected readonly assessments = computed(() => this.garden.assessmentsOf(this.case()));
  protected readonly decision = computed(() => this.garden.decisionsOf(this.case()).at(-1));
  protected readonly applications = computed(() => this.garden.applied().filter(({ caseId }) => caseId === this.case()));
  protected readonly next = computed(() => nextAssessmentOn(this.assessments(), this.garden.decisionsOf(this.case())));
  protected readonly canWrite = computed(() => this.garden.canWrite());
  protected readonly hopeful = computed(
    () => workingConditions(this.one()?.diagnoses ?? []).map((id) => this.#library.conditions().get(id)?.recovery.sign)[0],
  );

  /** one reading a day: the last of a day stands for it */
  readonly #series = computed(() => [...new Map(this.assessments().map((look) => [look.assessedOn, look])).values()]);
  protected readonly points = computed(() => this.#series().map(({ assessedOn, ...look }) => ({ day: assessedOn, ...look })));
  protected readonly marks = computed(() =>
    this.applications().map(({ appliedAt, intervention }) => ({
      day: dayAt(appliedAt, this.garden.summary().timeZone),
      name: this.#library.interventionName(intervention),
    })),
  );
  protected readonly drawable = computed(() => this.points().length >= fewestForCurve);
  readonly #progress = resource({
    params: () => (this.drawable() ? this.#series().map(({ assessedOn, severity }) => ({ date: assessedOn, severity })) : undefined),
    loader: ({ params }) => this.#calc.progress({ points: params }),
  });
  protected readonly progress = computed(() => (this.drawable() && this.#progress.hasValue() ? this.#progress.value() : undefined));
  /** The rate is that since the newest decision: what went before it says nothing on what was decided. */
  readonly #sinceDecision = computed(() => {
    const from = this.decision()?.decidedOn ?? '';
    const series = this.#series().filter(({ assessedOn }) => assessedOn >= from);
    return series.length >= fewestForFit ? series.map(({ assessedOn, severity }) => ({ date: assessedOn, severity })) : undefined;
  });
  readonly #fitted = resource({
    params: () => this.#sinceDecision(),
    loader: async ({ params }) => ({ from: params[0]!.date, fit: (await this.#calc.progress({ points: params })).fit }),
  });
  protected readonly rateSince = computed(() => (this.#sinceDecision() && this.#fitted.hasValue() ? this.#fitted.value() : undefined));
  protected readonly fit = computed(() => {
    const { from, fit } = this.rateSince() ?? {};
    return fit && from ? { from, at: (day: string) => expectedSeverity(fit, daysBetween(from, day)) } : null;
  });

  protected readonly inAWeek = computed(() => {
    const [fit, last] = [this.fit(), this.points().at(-1)];
    return fit && last ? fit.at(addDays(last.day, 7)).toFixed(0) : undefined;
  });
  protected readonly rateWord = computed(() => {
    const fit = this.rateSince()?.fit;
    return fit ? `${fit.model} fit, rate ${fit.rate.toFixed(3)} a day, R² ${fit.rSquared.toFixed(2)}` : '';
  });

  /** Days to the next look if the look in the form were the newest. */
  protected readonly nextIn = computed(() => {
    const usual = workingConditions(this.one()?.diagnoses ?? []).map(
      (id) => this.#library.conditions().get(id)?.recovery.lookAgainDays ?? usualLookDays,
    );
    const looks = this.assessments();
    return (look: Pick<LookValue, 'severity' | 'count' | 'newGrowth' | 'assessedOn'>) => {
      const before = looks.filter(({ assessedOn }) => assessedOn < look.assessedOn);
      return daysToNextLook(statusOf([...before, look as Assessment]) ?? 'first-look', Math.min(usualLookDays * 2, ...usual));
    };
  });

  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly fromToday = (day: string) => fromToday(day, this.garden.today());
  protected readonly interventionName = (id: string) => this.#library.interventionName(id);

  protected async saveLook(value: LookValue): Promise<void> {
    const one = this.one();
    if (!one) return;
    this.busy.set(true);
    this.refusal.set('');
    const known = this.correcting();
    try {
      await this.#records.save(
        'assessments',
        known?.id ?? crypto.randomUUID(),
        known?.version ?? 0,
        { ...value, caseId: one.id, plantingId: one.plantingId },
        known ? 'Look corrected.' : 'Look logged.',
      );
      this.correcting.set(undefined);
      this.formRound.update((round) => round + 1);
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.busy.set(false);
    }
  }

  protected close({ outcome, note }: { outcome: Outcome; note: string }): void {
    const today = this.garden.today();
    this.edits.change((value) => ({ ...value, closedOn: today, outcome, note }), 'Case closed.');
  }

  protected reopen(): void {
    this.edits.change((value) => ({ ...value, closedOn: null, outcome: null }), 'Case open again.');
  }
}
