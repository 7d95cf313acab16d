import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import type { Written } from '@field-nurse/contract';
import { clockAt, instantOf, intervalsAfter } from '@field-nurse/core/timing';
import { Store } from '@ngrx/store';
import { workingConditions } from '../cases/case-diagnoses';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { sessionFeature } from '../people/session-state';
import { TodaysWeather } from '../treatment/todays-weather';
import { dayWord, instantWord } from '../shared/days';
import { Submission } from '../shared/submission';
import { fromField, measures, toField } from '../shared/units';
import { rungWords } from '../shared/words';
import { cardWarnings } from './card-warnings';

const number = (low: number, high: number) => new FormControl<number | null>(null, [Validators.min(low), Validators.max(high)]);
const text = (most: number) => new FormControl('', { nonNullable: true, validators: [Validators.maxLength(most)] });

/** Log an application, or correct one: what, where, how much, who, weather, why; its waits are shown before it is saved. */
@Component({
  selector: 'fn-log-form-page',
  imports: [ReactiveFormsModule, RouterLink, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './application-form-page.html',
})
export class LogFormPage {
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #router = inject(Router);
  readonly #weather = inject(TodaysWeather).said;
  readonly #newId = crypto.randomUUID();
  protected readonly garden = inject(Garden);
  readonly #person = inject(Store).selectSignal(sessionFeature.selectPerson);

  /** id of the application to correct; none for a new one */
  readonly application = input<string>();
  /** what a link may fill in */
  readonly case = input<string>();
  readonly planting = input<string>();
  readonly intervention = input<string>();
  readonly plants = input<string>();
  readonly amount = input<string>();
  readonly unit = input<string>();
  readonly water = input<string>();

  readonly #zone = this.garden.summary().timeZone;
  protected readonly system = this.garden.summary().units;
  protected readonly measures = measures;
  protected readonly known = computed(() => this.garden.applications().find(({ id }) => id === this.application()));
  readonly #caseId = computed(() => this.known()?.caseId ?? this.case() ?? null);
  protected readonly ofCase = computed(() => this.garden.case(this.#caseId() ?? ''));

  protected readonly form = new FormGroup({
    plantingId: new FormControl('', { nonNullable: true, validators: [Validators.required] }),
    intervention: new FormControl('', { nonNullable: true, validators: [Validators.required] }),
    appliedAt: new FormControl(clockAt(this.garden.now(), this.#zone), { nonNullable: true, validators: [Validators.required] }),
    plants: new FormControl(1, {
      nonNullable: true,
      validators: [Validators.required, Validators.min(1), Validators.max(100_000), Validators.pattern(/^\d+$/)],
    }),
    productAmount: number(0, 1_000_000),
    productUnit: new FormControl<string | null>(null, [Validators.maxLength(20)]),
    waterL: number(0, 100_000),
    coveredPart: text(200),
    appliedBy: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.maxLength(120)] }),
    temperatureC: new FormControl<number | null>(null),
    windKmh: number(0, 200),
    sky: text(120),
    why: text(4000),
  });
  protected readonly submission = new Submission(this.form);
  readonly #typed = toSignal(this.form.valueChanges, { initialValue: this.form.getRawValue() });

  protected readonly plantings = computed(() =>
    this.garden
      .plantings()
      .filter(({ id, endedOn }) => !endedOn || id === this.known()?.plantingId)
      .map(({ id, host, cultivar, placeId }) => ({
        id,
        name: [this.#library.hostName(host), cultivar, this.garden.place(placeId)?.name].filter(Boolean).join(' · '),
      }))
      .sort((a, b) => a.name.localeCompare(b.name)),
  );
  protected readonly rungs = computed(() =>
    Object.entries(rungWords).flatMap(([id, { word }]) => {
      const options = (this.#library.index()?.interventions ?? [])
        .filter(({ rung }) => rung === id)
        .sort((a, b) => a.name.localeCompare(b.name));
      return options.length > 0 ? [{ word, options }] : [];
    }),
  );

  readonly #planting = computed(() => this.garden.planting(this.#typed().plantingId ?? ''));
  readonly #entry = computed(() => this.#library.interventions().get(this.#typed().intervention ?? ''));
  protected readonly waits = computed(() => {
    const [planting, entry, clock] = [this.#planting(), this.#entry(), this.#typed().appliedAt];
    if (!planting || !entry || !clock) return undefined;
    const applied = instantOf(clock, this.#zone);
    const { reEntryAt, harvestSafeOn, repeatFrom } = intervalsAfter(applied, this.#zone, entry, planting.eaten);
    return {
      reEntry:
        entry.reEntryHours > 0 ? `Keep out until ${instantWord(reEntryAt, this.#zone)}.` : 'No closed hours on the card: off until dry.',
      harvest: harvestSafeOn ? `Safe to pick from ${dayWord(harvestSafeOn, this.garden.today())}.` : 'Not eaten.',
      repeat: repeatFrom ? `Not again before ${dayWord(repeatFrom, this.garden.today())}.` : '',
    };
  });
  protected readonly warnings = computed(() => {
    const [planting, entry, clock] = [this.#planting(), this.#entry(), this.#typed().appliedAt];
    if (!planting || !entry || !clock) return [];
    const others = this.garden.applicationsOn(planting.id).filter(({ id, intervention }) => id !== this.application() && intervention === entry.id);
    return cardWarnings(entry, planting, others, instantOf(clock, this.#zone), this.#zone);
  });

  #filled = false;

  constructor() {
    // Names and records may arrive after the form: fill it once, when they are there.
    effect(() => {
      if (!this.#library.index()) return;
      untracked(() => this.#fillOnce());
    });
  }

  protected async save(): Promise<void> {
    await this.submission.send(async () => {
      const known = this.known();
      await this.#records.save(
        'applications',
        known?.id ?? this.#newId,
        known?.version ?? 0,
        this.#value(),
        known ? 'Log entry corrected.' : 'Application logged.',
      );
      await this.#router.navigate(this.#caseId() ? ['/g', this.garden.summary().id, 'cases', this.#caseId(), 'recovery'] : this.logLink);
    });
  }

  protected readonly logLink = ['/g', this.garden.summary().id, 'log'];

  #fillOnce(): void {
    if (this.#filled) return;
    this.#filled = true;
    const known = this.known();
    if (known) {
      this.form.patchValue({
        ...known,
        appliedAt: clockAt(known.appliedAt, this.#zone),
        waterL: toField('water', known.waterL, this.system),
        temperatureC: toField('temperature', known.temperatureC, this.system),
        windKmh: toField('wind', known.windKmh, this.system),
      });
      return;
    }
    const planting = this.garden.planting(this.ofCase()?.plantingId ?? this.planting() ?? '');
    const said = this.#weather();
    this.form.patchValue({
      plantingId: planting?.id ?? '',
      intervention: this.intervention() ?? '',
      plants: Number(this.plants() ?? planting?.plants ?? 1),
      productAmount: this.amount() ? Number(this.amount()) : null,
      productUnit: this.unit() ?? null,
      waterL: toField('water', this.water() ? Number(this.water()) : null, this.system),
      appliedBy: this.#person()?.name ?? '',
      temperatureC: toField('temperature', said.temperatureC, this.system),
      windKmh: toField('wind', said.windKmh, this.system),
      why: this.#library.conditionNames(workingConditions(this.ofCase()?.diagnoses ?? []), ''),
    });
  }

  #value(): Written<'applications'> {
    const { plants, appliedAt, waterL, temperatureC, windKmh, productUnit, productAmount, ...rest } = this.form.getRawValue();
    return {
      ...rest,
      caseId: this.#caseId(),
      plants: Number(plants),
      appliedAt: instantOf(appliedAt, this.#zone),
      productAmount,
      productUnit: productUnit?.trim() || null,
      waterL: fromField('water', waterL, this.system),
      temperatureC: fromField('temperature', temperatureC, this.system),
      windKmh: fromField('wind', windKmh, this.system),
    };
  }
}
