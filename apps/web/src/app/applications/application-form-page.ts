import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import { preHarvestFor } from '@field-nurse/core/label';
import type { Intervention } from '@field-nurse/library';
import { dayAt, instantOf, intervalsAfter } from '@field-nurse/core/timing';
import { Store } from '@ngrx/store';
import { workingConditions } from '../cases/case-diagnoses';
import { Garden } from '../gardens/garden';
import { plantingNow } from '../gardens/plantings-now';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { NameField } from '../library/name-field';
import { sessionFeature } from '../store/session-state';
import { TodaysWeather } from '../cases/todays-weather';
import { DayField } from '../gardens/day-field';
import { dayWord, instantWord } from '../shared/days';
import { Submission } from '../shared/submission';
import { TimeField } from '../gardens/time-field';
import { fromField, measures, toField } from '../shared/units';
import { applicationForm, fillFrom, setTargets, targetGroup, writtenFrom } from './application-form';
import { brokenLines } from './broken-lines';
import { productUnits } from './product-amount';

/** Log an application, or correct one: what, where, how much, who, weather, why; its waits are shown before it is saved. */
@Component({
  selector: 'fn-application-form-page',
  imports: [
    ReactiveFormsModule,
    RouterLink,
    DayField,
    MatButtonModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    NameField,
    TimeField,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .roomy {
      display: grid;
      gap: 12px;
    }
    .row {
      align-items: center;
    }
  `,
  templateUrl: './application-form-page.html',
})
export class ApplicationFormPage {
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #router = inject(Router);
  readonly #weather = inject(TodaysWeather);
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
  protected readonly productUnits = productUnits;
  protected readonly known = computed(() => this.garden.applications().find(({ id }) => id === this.application()));
  /** the case that a link came from, or that it was done for before */
  readonly #caseId = computed(() => this.case() ?? this.known()?.targets.find(({ caseId }) => caseId)?.caseId ?? null);
  protected readonly ofCase = computed(() => this.garden.case(this.#caseId() ?? ''));

  protected readonly form = applicationForm(this.garden.now(), this.#zone);
  protected readonly submission = new Submission(this.form);
  readonly #typed = toSignal(this.form.valueChanges, { initialValue: this.form.getRawValue() });

  protected readonly plantings = computed(() =>
    this.garden
      .plantings()
      .filter(({ id, endedOn }) => !endedOn || this.known()?.targets.some(({ plantingId }) => plantingId === id))
      .map(({ id, host, cultivar, placeId }) => ({
        id,
        name: [this.#library.hostName(host), cultivar, this.garden.place(placeId)?.name].filter(Boolean).join(' · '),
      }))
      .sort((a, b) => a.name.localeCompare(b.name)),
  );
  protected readonly interventions = computed(() => this.#library.index()?.interventions ?? []);

  /** when it was done; nothing while day or time can not be read */
  readonly #appliedAt = computed(() => {
    const { day, time } = this.#typed();
    return day && time ? instantOf(`${day}T${time}`, this.#zone) : undefined;
  });
  readonly #entry = computed(() => this.#library.interventions().get(this.#typed().intervention ?? ''));
  readonly #chosen = computed(() =>
    (this.#typed().targets ?? []).flatMap(({ plantingId }) => this.garden.plantingRecord(plantingId ?? '') ?? []),
  );
  protected readonly rows = computed(() =>
    (this.#typed().targets ?? []).map(({ plantingId }) => ({
      name: this.plantings().find(({ id }) => id === plantingId)?.name ?? '',
      cases: this.#casesOn(plantingId ?? ''),
    })),
  );
  protected readonly intervals = computed(() => {
    const [chosen, entry, applied] = [this.#chosen(), this.#entry(), this.#appliedAt()];
    if (chosen.length === 0 || !entry || !applied) return undefined;
    const eaten = chosen.some((planting) => planting.eaten);
    const days = Math.max(0, ...chosen.map(({ host }) => this.#harvestDays(entry, host)));
    const { reEntryAt, notPickedBefore, repeatFrom } = intervalsAfter(applied, this.#zone, { ...entry, preHarvestDays: days }, eaten);
    const typical = ['biological', 'soft', 'synthetic'].includes(entry.rung);
    return {
      reEntry:
        entry.reEntryHours > 0 ? `Keep out until ${instantWord(reEntryAt, this.#zone)}.` : 'No closed hours on the card: off until dry.',
      harvest: notPickedBefore
        ? `Not to be picked before ${dayWord(notPickedBefore, this.garden.today())}${typical ? ', by typical figures: the label in hand decides' : ''}.`
        : 'Not eaten.',
      repeat: repeatFrom ? `Not again before ${dayWord(repeatFrom, this.garden.today())}.` : '',
    };
  });
  #harvestDays(card: Intervention, id: string): number {
    const host = this.#library.hosts().get(id);
    return host ? preHarvestFor(card, host) : card.preHarvestDays;
  }

  protected readonly warnings = computed(() => {
    const [card, applied] = [this.#entry(), this.#appliedAt()];
    if (!card || !applied) return [];
    const on = dayAt(applied, this.#zone);
    const several = this.#chosen().length > 1;
    return this.#chosen().flatMap((record) =>
      brokenLines({
        card,
        cards: this.#library.interventions(),
        planting: plantingNow(record, on),
        host: this.#library.hosts().get(record.host),
        on,
        others: this.garden.appliedDays(record.id).filter(({ id }) => id !== this.application()),
        seasonStart: this.garden.seasonStart(),
        temperatureC: fromField('temperature', this.#typed().temperatureC ?? null, this.system),
      }).map((line) => (several ? `${this.#library.hostName(record.host)}: ${line}` : line)),
    );
  });

  #filled = false;

  constructor() {
    // Names and records may arrive after the form: fill it once, when they are there.
    effect(() => {
      if (!this.#library.index()) return;
      untracked(() => this.#fillOnce());
    });
  }

  /** A row for each planting that is chosen; what was typed into the others stays. */
  protected chosenPlantings(ids: readonly string[]): void {
    const kept = this.form.controls.targets.controls.filter(({ value }) => ids.includes(value.plantingId ?? ''));
    const known = new Set(kept.map(({ value }) => value.plantingId));
    const fresh = ids
      .filter((id) => !known.has(id))
      .map((id) => targetGroup(id, this.garden.planting(id)?.plants ?? 1, this.#usualCase(id)));
    setTargets(this.form, [...kept, ...fresh]);
  }

  #casesOn(plantingId: string): readonly { readonly id: string; readonly name: string }[] {
    const linked = new Set([this.#caseId(), ...(this.known()?.targets ?? []).map(({ caseId }) => caseId)]);
    return this.garden
      .cases()
      .filter((one) => one.plantingId === plantingId && (!one.closedOn || linked.has(one.id)))
      .map(({ id, diagnoses }) => ({ id, name: this.#library.conditionNames(workingConditions(diagnoses), 'not known yet') }));
  }

  /** The case that the link came from, or the only one that is open there. */
  #usualCase(plantingId: string): string | null {
    const cases = this.#casesOn(plantingId);
    return cases.find(({ id }) => id === this.#caseId())?.id ?? (cases.length === 1 ? cases[0]!.id : null);
  }

  protected async save(): Promise<void> {
    await this.submission.send(async () => {
      const known = this.known();
      await this.#records.save(
        'applications',
        known?.id ?? this.#newId,
        known?.version ?? 0,
        writtenFrom(this.form, this.#appliedAt()!, this.#zone, this.system, known),
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
      fillFrom(this.form, known, this.#zone, this.system);
      return;
    }
    const planting = this.garden.planting(this.ofCase()?.plantingId ?? this.planting() ?? '');
    const said = this.#weather.said(planting?.setting);
    this.form.patchValue({
      plantings: planting ? [planting.id] : [],
      intervention: this.intervention() ?? '',
      productAmount: this.amount() ? Number(this.amount()) : null,
      productUnit: productUnits.find((unit) => unit === this.unit()) ?? null,
      waterL: toField('water', this.water() ? Number(this.water()) : null, this.system),
      appliedBy: this.#person()?.name ?? '',
      temperatureC: toField('temperature', said.temperatureC, this.system),
      windKmh: toField('wind', said.windKmh, this.system),
      why: this.#library.conditionNames(workingConditions(this.ofCase()?.diagnoses ?? []), ''),
    });
    if (planting) setTargets(this.form, [targetGroup(planting.id, Number(this.plants() ?? planting.plants), this.#usualCase(planting.id))]);
  }
}
