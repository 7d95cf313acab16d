import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { OnInit } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import type { PlantingEvent, Written } from '@field-nurse/contract';
import { cultivarIn, settingIn } from '@field-nurse/library/find';
import type { Planting } from '../gardens/plantings-now';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { NameField } from '../library/name-field';
import { RestingGround } from '../prevention/resting-ground';
import { Submission } from '../shared/submission';
import { DayField } from '../gardens/day-field';
import { injectLeaveFor } from '../shared/leave-for';
import { settingWords } from '../shared/words';
import { lastingOn, withLasting } from './planting-events';

const wholeFrom1To = (most: number) => [Validators.required, Validators.min(1), Validators.max(most), Validators.pattern(/^\d+$/)];

/** Add, change or end a planting; its plant may be given by any of its names. */
@Component({
  selector: 'fn-planting-edit-page',
  imports: [
    ReactiveFormsModule,
    RouterLink,
    DayField,
    MatButtonModule,
    MatCheckboxModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    NameField,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './planting-edit-page.html',
})
export class PlantingEditPage implements OnInit {
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #leaveFor = injectLeaveFor();
  readonly #newId = crypto.randomUUID();
  protected readonly garden = inject(Garden);
  /** id of the planting to change; none for a new one */
  readonly planting = input<string>();
  protected readonly settings = Object.entries(settingWords);
  protected readonly groundLink = ['/g', this.garden.summary().id, 'ground'];
  protected readonly known = computed(() => this.garden.planting(this.planting() ?? ''));

  protected readonly form = new FormGroup({
    host: new FormControl('', { nonNullable: true, validators: [Validators.required] }),
    cultivar: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(120)] }),
    placeId: new FormControl('', { nonNullable: true, validators: [Validators.required] }),
    plants: new FormControl(1, {
      nonNullable: true,
      validators: wholeFrom1To(100_000),
    }),
    rows: new FormControl(1, { nonNullable: true, validators: wholeFrom1To(1000) }),
    plantedOn: new FormControl(this.garden.today(), { nonNullable: true, validators: [Validators.required] }),
    setting: new FormControl<Planting['setting']>('outdoor', { nonNullable: true }),
    moved: new FormControl(true, { nonNullable: true }),
    movedOn: new FormControl(this.garden.today(), { nonNullable: true, validators: [Validators.required] }),
    inFlower: new FormControl(false, { nonNullable: true }),
    flowersFrom: new FormControl(this.garden.today(), { nonNullable: true, validators: [Validators.required] }),
    flowersUntil: new FormControl<string | null>(null),
    eaten: new FormControl(true, { nonNullable: true }),
    harvestFrom: new FormControl<string | null>(null),
    harvestUntil: new FormControl<string | null>(null),
    arrival: new FormGroup({
      held: new FormControl(false, { nonNullable: true }),
      from: new FormControl(this.garden.today(), { nonNullable: true, validators: [Validators.required] }),
      days: new FormControl(21, { nonNullable: true, validators: wholeFrom1To(365) }),
      looks: new FormControl(3, { nonNullable: true, validators: wholeFrom1To(30) }),
    }),
    note: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(4000)] }),
  });
  protected readonly submission = new Submission(this.form);

  protected readonly hosts = computed(() => this.#library.known()?.hosts ?? []);

  readonly #ground = inject(RestingGround);
  readonly #host = toSignal(this.form.controls.host.valueChanges, { initialValue: '' });
  /** why it should not stand there */
  protected readonly rest = computed(() => {
    const [planned, today] = [this.#plantedOn(), this.garden.today()];
    return this.#ground.word(this.#place(), this.#host(), planned > today ? planned : today);
  });
  readonly #plantedOn = toSignal(this.form.controls.plantedOn.valueChanges, { initialValue: '' });
  readonly #place = toSignal(this.form.controls.placeId.valueChanges, { initialValue: '' });
  /** another place is chosen for a planting that stood elsewhere */
  protected readonly isElsewhere = computed(
    () => this.known() !== undefined && this.#place() !== '' && this.#place() !== this.known()?.placeId,
  );

  async ngOnInit(): Promise<void> {
    await this.#library.first().catch(() => undefined);
    const known = this.known();
    if (known)
      this.form.patchValue({
        ...known,
        ...this.#shownSeason(known),
        arrival: known.quarantine ? { held: true, ...known.quarantine } : {},
      });
    else this.#takeSettingOf(this.garden.places()[0]?.id);
  }

  protected chosenPlace(): void {
    this.#takeSettingOf(this.form.controls.placeId.value);
  }

  /** @param beside - what was typed beside the plant's name: its variety, unless one is named, and where it stands */
  protected chosenHost(beside: string): void {
    const { host, cultivar, eaten, setting } = this.form.controls;
    const plant = this.#library.hosts().get(host.value);
    if (plant) eaten.setValue(plant.eaten);
    if (cultivar.value === '') cultivar.setValue(cultivarIn(beside));
    setting.setValue(settingIn(beside) ?? setting.value);
  }

  protected async save(): Promise<void> {
    await this.submission.send(() => this.#write(this.#value(), this.known() ? 'Planting changed.' : 'Planting added.'));
  }

  protected async end(): Promise<void> {
    const record = this.garden.plantingRecord(this.planting() ?? '');
    if (!record) return;
    const { id: _, version: __, ...value } = record;
    const ended = { kind: 'ended' as const, on: this.garden.today() };
    await this.submission.run(() => this.#write({ ...value, events: [...value.events, ended] }, 'Planting ended.'));
  }

  #takeSettingOf(placeId: string | undefined): void {
    const place = this.garden.place(placeId ?? '');
    if (place) this.form.patchValue({ placeId: place.id, setting: place.setting });
  }

  #shownSeason({ events, inFlower }: Planting) {
    const today = this.garden.today();
    const flowering = inFlower ? lastingOn(events, 'flowering', today) : null;
    const harvest = lastingOn(events, 'harvest', today);
    return {
      ...(flowering && { flowersFrom: flowering.from, flowersUntil: flowering.until }),
      harvestFrom: harvest?.from ?? null,
      harvestUntil: harvest?.until ?? null,
    };
  }

  #value(): Written<'plantings'> {
    const typed = this.form.getRawValue();
    const { host, plants, rows, arrival, cultivar, plantedOn, eaten, note, placeId, setting } = typed;
    const record = this.garden.plantingRecord(this.planting() ?? '');
    const known = this.known();
    const moves = this.isElsewhere() && typed.moved;
    // Where it was never moved, its place and setting are what is corrected.
    const corrected = moves || !known || record?.events.some(({ kind }) => kind === 'moved') ? undefined : { placeId, setting };
    return {
      cultivar,
      plantedOn,
      eaten,
      note,
      placeId: corrected?.placeId ?? record?.placeId ?? placeId,
      setting: corrected?.setting ?? record?.setting ?? setting,
      events: this.#events(record?.events ?? [], moves),
      host,
      plants: Number(plants),
      rows: Math.min(Number(rows), Number(plants)),
      // In another place it lies elsewhere.
      shape: known?.placeId === placeId ? known.shape : null,
      // All of the form is said by saving it, but for a day that nobody touched.
      assumed: known?.assumed.includes('plantedOn') && this.form.controls.plantedOn.pristine ? ['plantedOn'] : [],
      quarantine: arrival.held
        ? {
            from: arrival.from,
            days: Number(arrival.days),
            looks: Number(arrival.looks),
            releasedOn: known?.quarantine?.from === arrival.from ? known.quarantine.releasedOn : null,
          }
        : null,
    };
  }

  #events(before: readonly PlantingEvent[], moves: boolean): PlantingEvent[] {
    const { placeId, setting, movedOn, inFlower, flowersFrom, flowersUntil, eaten, harvestFrom, harvestUntil } = this.form.getRawValue();
    const today = this.garden.today();
    const lastMove = before.findLast(({ kind }) => kind === 'moved');
    const moved: PlantingEvent[] = moves
      ? [...before, { kind: 'moved', on: movedOn, placeId, setting }]
      : before.map((event) => (event === lastMove ? { ...event, placeId, setting } : event));
    const flowering = inFlower ? { from: flowersFrom, until: flowersUntil } : null;
    const harvest = eaten && harvestFrom ? { from: harvestFrom, until: harvestUntil } : null;
    return withLasting(withLasting(moved, 'flowering', flowering, today), 'harvest', harvest, today);
  }

  async #write(value: Written<'plantings'>, said: string): Promise<void> {
    await this.#records.save('plantings', this.known()?.id ?? this.#newId, this.known()?.version ?? 0, value, said);
    await this.#leaveFor(this.groundLink);
  }
}
