import { ChangeDetectionStrategy, Component, computed, effect, inject, input, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { Assessment, CasePart } from '@field-nurse/contract';
import { daysToNextLook, expectedSeverity, gone, looksByDay, nextAssessmentOn, statusOf } from '@field-nurse/core/recovery';
import { addDays, dayAt, daysBetween, northernMonth } from '@field-nurse/core/timing';
import { ApiError } from '../api/api-error';
import { Calc } from '../calc/calc';
import { workingConditions } from '../cases/case-diagnoses';
import { caseInEdit } from '../cases/case-edits';
import { CaseHead } from '../cases/case-head';
import { caseReckoning } from '../cases/case-reckoning';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { dayWord, fromToday } from '../shared/days';
import { advice, growthWords } from '../shared/words';
import type { Outcome } from './close-case';
import { CloseCase } from './close-case';
import { GardenWeather } from '../weather/garden-weather';
import type { LookState, LookValue } from './assessment-form';
import { AssessmentForm } from './assessment-form';
import { failureFacts, hidingOf } from './case-facts';
import { cameBack, clearLooks, comparedCases, comparedParts, plantsFollowed } from './case-looks';
import { GonePanel } from './gone-panel';
import { PartComparisonView } from './part-comparison';
import { PartsPanel } from './parts-panel';
import { PhotoOverlay } from './photo-overlay';
import { PlantsFollowed } from './plants-followed';
import { WhyFailsPanel } from './why-fails-panel';
import { RecoveryCurve } from './recovery-curve';
import { StatusMark } from '../gardens/status-mark';
import { ExpectedCourse } from '../season/expected-course';
import { SeasonTry } from '../season/season-try';

const usualLookDays = 7;
const fewestForCurve = 2;
const fewestForFit = 3;

/** Is it getting better? The curve with its treatments, the next look, and the end of the case. */
@Component({
  selector: 'fn-recovery-page',
  imports: [
    RouterLink,
    MatButtonModule,
    AssessmentForm,
    CaseHead,
    CloseCase,
    GonePanel,
    PartComparisonView,
    PartsPanel,
    PhotoOverlay,
    PlantsFollowed,
    RecoveryCurve,
    StatusMark,
    WhyFailsPanel,
  ],
  providers: [SeasonTry, ExpectedCourse],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './recovery-page.scss',
  templateUrl: './recovery-page.html',
})
export class RecoveryPage {
  readonly #calc = inject(Calc);
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  protected readonly expected = inject(ExpectedCourse);
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

  constructor() {
    effect(() => this.expected.of(this.case()));
  }

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

  /** one reading a day */
  readonly #series = computed(() => looksByDay(this.assessments()));
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
    return (look: LookState) => {
      const before = looks.filter(({ assessedOn }) => assessedOn < look.assessedOn);
      return daysToNextLook(statusOf([...before, look as Assessment]) ?? 'first-look', Math.min(usualLookDays * 2, ...usual));
    };
  });

  readonly #weather = inject(GardenWeather);
  readonly #reckoning = caseReckoning(this.case);
  readonly #condition = computed(() => this.#library.conditions().get(workingConditions(this.one()?.diagnoses ?? [])[0] ?? ''));
  protected readonly treatments = computed(() =>
    [
      ...new Set([
        ...this.garden.decisionsOf(this.case()).map(({ intervention }) => intervention),
        ...this.applications().map(({ intervention }) => intervention),
      ]),
    ].filter((id) => id !== 'watch'),
  );
  protected readonly hasPartLooks = computed(() => this.assessments().some(({ partId }) => partId !== null));
  readonly #appliedOn = (wanted?: string) => {
    const first = this.applications().find(({ intervention }) => wanted === undefined || intervention === wanted);
    return first && dayAt(first.appliedAt, this.garden.summary().timeZone);
  };
  protected readonly compared = computed(() => [
    ...comparedParts(this.one()?.parts ?? [], this.assessments(), this.#appliedOn),
    ...this.#besideOthers(),
  ]);
  /** other cases of the same trouble, which nothing was done to, or something else */
  #besideOthers() {
    const [condition, on] = [this.#condition(), this.#appliedOn()];
    if (!condition || !on) return [];
    const others = this.garden
      .cases()
      .filter(({ id, diagnoses }) => id !== this.case() && workingConditions(diagnoses).includes(condition.id))
      .map(({ id, plantingId }) => ({ side: { id, name: this.#sideName(id, plantingId) }, looks: this.garden.assessmentsOf(id) }));
    const side = { id: this.case(), name: this.#sideName(this.case(), this.one()?.plantingId ?? '') };
    return comparedCases({ side, looks: this.assessments() }, others, on);
  }
  /** what was done, and where: "Copper hydroxide, Potato ground" */
  #sideName(caseId: string, plantingId: string): string {
    const done = this.garden.applied().find((one) => one.caseId === caseId)?.intervention;
    const planting = this.garden.planting(plantingId);
    return [
      done ? this.#library.interventionName(done) : 'Left alone',
      planting?.cultivar,
      this.garden.place(planting?.placeId ?? '')?.name,
    ]
      .filter(Boolean)
      .join(', ');
  }
  protected readonly followed = computed(() => plantsFollowed(this.assessments()));
  protected readonly photoLooks = computed(() => this.assessments().filter(({ photos }) => photos.length > 0));
  /** when it may be believed gone: asked once a look was clean */
  protected readonly gone = computed(() => {
    const [condition, planting] = [this.#condition(), this.edits.planting()];
    const looks = clearLooks(this.#series());
    if (!condition || !planting || !looks.some(({ found }) => !found)) return undefined;
    const arrivals = this.garden.plantings().filter(({ id, placeId }) => id !== planting.id && placeId === planting.placeId);
    return gone({
      looks,
      plants: planting.plants,
      ...hidingOf(condition, planting.setting),
      arrivals: arrivals.map(({ plantedOn }) => plantedOn),
      today: this.garden.today(),
    });
  });
  /** why it may not work: asked where it is no better at the last look after something was done */
  protected readonly failure = computed(() => {
    const [condition, planting, one, last] = [this.#condition(), this.edits.planting(), this.one(), this.applications().at(-1)];
    const status = statusOf(this.assessments());
    const looked = this.assessments().at(-1)?.assessedOn;
    if (!condition || !planting || !one || !last || !looked || one.closedOn || !['level', 'relapsing'].includes(status ?? ''))
      return undefined;
    // Beside what was left alone it did help.
    if (this.compared().some(({ comparison }) => comparison?.verdict === 'less')) return undefined;
    const card = this.#library.interventions().get(last.intervention);
    if (!card || dayAt(last.appliedAt, this.garden.summary().timeZone) >= looked) return undefined;
    const group = card.modeOfAction?.group ?? card.id;
    const modeOf = (id: string) => this.#library.interventions().get(id)?.modeOfAction?.group ?? id;
    const sameMode = this.garden.applicationsOn(planting.id).filter(({ intervention }) => modeOf(intervention) === group).length;
    const ranked = this.#reckoning.answer()?.ranked.find(({ condition: id }) => id === condition.id);
    return failureFacts(
      condition,
      { card, appliedAt: last.appliedAt, coveredPart: last.coveredPart, sameMode },
      {
        chanceOfCause: ranked?.probability ?? 0.5,
        month: northernMonth(Number(this.garden.today().slice(5, 7)), (this.garden.summary().latitude ?? 0) < 0 ? 'south' : 'north'),
        hours: this.#weather.measured(),
        sources: this.garden.caseLines().filter((line) => line.id !== one.id && !line.closedOn && line.conditions.includes(condition.id))
          .length,
        cameBack: cameBack(this.#series()),
      },
    );
  });
  protected readonly where = ({ partId, plant }: Assessment) => {
    const part = this.one()?.parts.find(({ id }) => id === partId);
    return part ? `${part.name}: ` : plant ? `plant ${plant}: ` : '';
  };

  protected divide(parts: CasePart[]): void {
    this.edits.change((value) => ({ ...value, parts }), parts.length > 0 ? 'Divided.' : 'Looked at as a whole.');
  }

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
