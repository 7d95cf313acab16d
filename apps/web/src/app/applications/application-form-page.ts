import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { amountUsed, cardThatCounts, preHarvestFor } from '@field-nurse/core/label';
import type { Written } from '@field-nurse/contract';
import type { Intervention } from '@field-nurse/library';
import { clockAt, dayAt, instantOf, intervalsAfter } from '@field-nurse/core/timing';
import { Store } from '@ngrx/store';
import { workingConditions } from '../cases/case-diagnoses';
import { Garden } from '../gardens/garden';
import { plantingNow } from '../gardens/plantings-now';
import { Records } from '../gardens/records';
import { roundsDoneBy, slotAt } from '../gardens/round-done';
import { Library } from '../library/library';
import { NameField } from '../library/name-field';
import { sessionFeature } from '../store/session-state';
import { TodaysWeather } from '../cases/todays-weather';
import { DayField } from '../gardens/day-field';
import { dayWord, instantWord } from '../shared/days';
import { Submission } from '../shared/submission';
import { TimeField } from '../gardens/time-field';
import { injectLeaveFor } from '../shared/leave-for';
import { fromField, measures, toField } from '../shared/units';
import { applicationForm, fillFrom, setTargets, targetGroup, writtenFrom } from './application-form';
import { FormerEntries } from './former-entries';
import { judgeLogged } from './judge-logged';
import { isCollecting, keptProduct, productUnits } from './product-amount';

/** Log an application, or correct one: what, where, how much, who, weather, why; its waits are shown before it is saved. */
@Component({
  selector: 'fn-application-form-page',
  imports: [
    FormerEntries,
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
  readonly #leaveFor = injectLeaveFor();
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
  /** id of the pack on the shelf */
  readonly product = input<string>();
  /** its case has rounds of this in the plan */
  protected readonly isPlanned = computed(() => this.garden.planOf(this.case() ?? '', this.intervention() ?? '') !== undefined);

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
  protected readonly isByHand = computed(() => isCollecting(this.#entry()));
  readonly #chosen = computed(() =>
    (this.#typed().targets ?? []).flatMap(({ plantingId }) => this.garden.plantingRecord(plantingId ?? '') ?? []),
  );
  protected readonly rows = computed(() =>
    (this.#typed().targets ?? []).map(({ plantingId }) => ({
      name: this.plantings().find(({ id }) => id === plantingId)?.name ?? '',
      cases: this.#casesOn(plantingId ?? ''),
    })),
  );
  /** packs of what was done, on the shelf now or used for this entry before */
  protected readonly packs = computed(() =>
    this.garden
      .products()
      .filter(
        ({ id, intervention, endedOn }) => intervention === this.#typed().intervention && (!endedOn || id === this.known()?.productId),
      )
      .map(({ id, name, batch }) => ({ id, name: [name, batch && `batch ${batch}`].filter(Boolean).join(', ') })),
  );
  readonly #pack = computed(() => this.packs().find(({ id }) => id === this.#typed().productId));
  readonly #packCard = computed(() => this.garden.labelCards().filter(({ productId }) => productId === this.#pack()?.id));

  /** the card that counts on each planting, and what of it is not kept */
  readonly #judged = computed(() => {
    const [typical, applied] = [this.#entry(), this.#appliedAt()];
    if (!typical || !applied) return [];
    const on = dayAt(applied, this.#zone);
    const { productAmount, productUnit, waterL, targets } = this.#typed();
    const rows = (targets ?? []).map(({ plantingId, plants }) => ({
      plants: Number(plants) || 1,
      areaM2: this.known()?.targets.find((one) => one.plantingId === plantingId)?.areaM2 ?? null,
    }));
    const used = amountUsed({
      ...keptProduct(productAmount ?? null, productUnit ?? null),
      waterL: fromField('water', waterL ?? null, this.system),
      targets: rows,
    });
    return this.#chosen().map((record) => {
      const caseId = targets?.find(({ plantingId }) => plantingId === record.id)?.caseId;
      const host = this.#library.hosts().get(record.host);
      const { card, broken } = judgeLogged({
        typical,
        product: cardThatCounts(this.#packCard()),
        cards: this.#library.interventions(),
        planting: plantingNow(record, on),
        host,
        against: workingConditions(this.garden.case(caseId ?? '')?.diagnoses ?? []),
        on,
        others: this.garden.appliedDays(record.id).filter(({ id }) => id !== this.application()),
        seasonStart: this.garden.seasonStart(),
        weather: {
          temperatureC: fromField('temperature', this.#typed().temperatureC ?? null, this.system) ?? undefined,
          windKmh: fromField('wind', this.#typed().windKmh ?? null, this.system) ?? undefined,
        },
        used,
      });
      return { record, card: host ? { ...card, preHarvestDays: preHarvestFor(card, host) } : card, broken };
    });
  });

  protected readonly intervals = computed(() => {
    const [judged, applied] = [this.#judged(), this.#appliedAt()];
    if (judged.length === 0 || !applied) return undefined;
    const most = (of: (card: Intervention) => number) => Math.max(0, ...judged.map(({ card }) => of(card)));
    const repeat = most(({ repeatDays }) => repeatDays?.[0] ?? 0);
    const { reEntryAt, notPickedBefore, repeatFrom } = intervalsAfter(
      applied,
      this.#zone,
      {
        reEntryHours: most(({ reEntryHours }) => reEntryHours),
        preHarvestDays: most(({ preHarvestDays }) => preHarvestDays),
        repeatDays: repeat > 0 ? [repeat] : undefined,
      },
      judged.some(({ record }) => record.eaten),
    );
    const typical = this.#packCard().length === 0 && ['biological', 'soft', 'synthetic'].includes(this.#entry()!.rung);
    return {
      reEntry:
        Date.parse(reEntryAt) > Date.parse(applied)
          ? `Keep out until ${instantWord(reEntryAt, this.#zone)}.`
          : 'No closed hours on the card: off until dry.',
      harvest: notPickedBefore
        ? `Not to be picked before ${dayWord(notPickedBefore, this.garden.today())}${typical ? ', by typical figures: the label in hand decides' : ''}.`
        : 'Not eaten.',
      repeat: repeatFrom ? `Not again before ${dayWord(repeatFrom, this.garden.today())}.` : '',
    };
  });

  protected readonly warnings = computed(() =>
    this.#judged().flatMap(({ record, broken }) =>
      broken.map((line) => (this.#judged().length > 1 ? `${this.#library.hostName(record.host)}: ${line}` : line)),
    ),
  );

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
      const [id, version] = [known?.id ?? this.#newId, known?.version ?? 0];
      const value = {
        ...writtenFrom(this.form, this.#appliedAt()!, this.#zone, this.system, known),
        // A pack of another ingredient, left over from before the name was changed, does not count.
        productId: this.#pack()?.id ?? null,
      };
      await this.#records.saveAll(
        [{ subject: 'applications', id, version, value }, ...(known ? [] : this.#roundsDone(id, value))],
        known ? 'Log entry corrected.' : 'Application logged.',
      );
      await this.#leaveFor(this.#caseId() ? ['/g', this.garden.summary().id, 'cases', this.#caseId(), 'recovery'] : this.logLink);
    });
  }

  /** What is done counts for its plan, though it was done without it. */
  #roundsDone(id: string, { intervention, productId = null, appliedBy, appliedAt, targets }: Written<'applications'>) {
    const [day, clock] = clockAt(appliedAt, this.#zone).split('T') as [string, string];
    const logged = { id, intervention, productId, appliedBy, targets, day, slot: slotAt(clock) };
    const rounds = roundsDoneBy(logged, this.garden.openPlans(), this.garden.plannedApplications(), () => crypto.randomUUID());
    return rounds.map((round) => ({ subject: 'plannedApplications' as const, ...round }));
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
      productId: this.product() ?? null,
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
