import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { OnInit } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import type { AbstractControl, ValidationErrors } from '@angular/forms';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatAutocompleteModule } from '@angular/material/autocomplete';
import { MatButtonModule } from '@angular/material/button';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import type { Planting, Written } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { hostByName, matchingHosts } from '../library/host-names';
import { Library } from '../library/library';
import { Submission } from '../shared/submission';
import { settingWords } from '../shared/words';

const wholeFrom1To = (most: number) => [Validators.required, Validators.min(1), Validators.max(most), Validators.pattern(/^\d+$/)];

/** Add, change or end a planting; its plant may be given by any of its names. */
@Component({
  selector: 'fn-planting-edit-page',
  imports: [
    ReactiveFormsModule,
    RouterLink,
    MatAutocompleteModule,
    MatButtonModule,
    MatCheckboxModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './planting-edit-page.html',
})
export class PlantingEditPage implements OnInit {
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #router = inject(Router);
  readonly #newId = crypto.randomUUID();
  protected readonly garden = inject(Garden);
  /** id of the planting to change; none for a new one */
  readonly planting = input<string>();
  protected readonly settings = Object.entries(settingWords);
  protected readonly groundLink = ['/g', this.garden.summary().id, 'ground'];
  protected readonly known = computed(() => this.garden.planting(this.planting() ?? ''));

  readonly #isKnownHost = ({ value }: AbstractControl<string>): ValidationErrors | null =>
    hostByName(this.#library.index()?.hosts ?? [], value) ? null : { unknownHost: true };

  protected readonly form = new FormGroup({
    host: new FormControl('', { nonNullable: true, validators: [Validators.required, this.#isKnownHost] }),
    cultivar: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(120)] }),
    placeId: new FormControl('', { nonNullable: true, validators: [Validators.required] }),
    plants: new FormControl(1, {
      nonNullable: true,
      validators: wholeFrom1To(100_000),
    }),
    rows: new FormControl(1, { nonNullable: true, validators: wholeFrom1To(1000) }),
    plantedOn: new FormControl(this.garden.today(), { nonNullable: true, validators: [Validators.required] }),
    setting: new FormControl<Planting['setting']>('outdoor', { nonNullable: true }),
    inFlower: new FormControl(false, { nonNullable: true }),
    eaten: new FormControl(true, { nonNullable: true }),
    nextHarvestOn: new FormControl<string | null>(null),
    arrival: new FormGroup({
      held: new FormControl(false, { nonNullable: true }),
      from: new FormControl(this.garden.today(), { nonNullable: true, validators: [Validators.required] }),
      days: new FormControl(21, { nonNullable: true, validators: wholeFrom1To(365) }),
      looks: new FormControl(3, { nonNullable: true, validators: wholeFrom1To(30) }),
    }),
    note: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(4000)] }),
  });
  protected readonly submission = new Submission(this.form);

  readonly #typed = toSignal(this.form.controls.host.valueChanges, { initialValue: '' });
  protected readonly hosts = computed(() => matchingHosts(this.#library.index()?.hosts ?? [], this.#typed()));

  async ngOnInit(): Promise<void> {
    const index = await this.#library.load().catch(() => undefined);
    const known = this.known();
    if (known)
      this.form.patchValue({
        ...known,
        host: index?.hosts.find(({ id }) => id === known.host)?.name ?? known.host,
        arrival: known.quarantine ? { held: true, ...known.quarantine } : {},
      });
    else this.#takeSettingOf(this.garden.places()[0]?.id);
  }

  protected chosenPlace(): void {
    this.#takeSettingOf(this.form.controls.placeId.value);
  }

  protected chosenHost(): void {
    const host = hostByName(this.#library.index()?.hosts ?? [], this.form.controls.host.value);
    if (host) this.form.controls.eaten.setValue(host.eaten);
  }

  protected async save(): Promise<void> {
    await this.submission.send(() =>
      this.#write({ ...this.#value(), endedOn: this.known()?.endedOn ?? null }, this.known() ? 'Planting changed.' : 'Planting added.'),
    );
  }

  protected async end(): Promise<void> {
    const known = this.known();
    if (!known) return;
    const { id: _, version: __, ...value } = known;
    await this.submission.run(() => this.#write({ ...value, endedOn: this.garden.today() }, 'Planting ended.'));
  }

  #takeSettingOf(placeId: string | undefined): void {
    const place = this.garden.place(placeId ?? '');
    if (place) this.form.patchValue({ placeId: place.id, setting: place.setting });
  }

  #value(): Omit<Written<'plantings'>, 'endedOn'> {
    const { host, nextHarvestOn, plants, rows, arrival, ...rest } = this.form.getRawValue();
    const known = this.known();
    return {
      ...rest,
      plants: Number(plants),
      rows: Math.min(Number(rows), Number(plants)),
      // In another place it lies elsewhere.
      shape: known?.placeId === rest.placeId ? known.shape : null,
      quarantine: arrival.held
        ? {
            from: arrival.from,
            days: Number(arrival.days),
            looks: Number(arrival.looks),
            releasedOn: known?.quarantine?.from === arrival.from ? known.quarantine.releasedOn : null,
          }
        : null,
      host: hostByName(this.#library.index()!.hosts, host)!.id,
      nextHarvestOn: nextHarvestOn || null,
    };
  }

  async #write(value: Written<'plantings'>, said: string): Promise<void> {
    await this.#records.save('plantings', this.known()?.id ?? this.#newId, this.known()?.version ?? 0, value, said);
    await this.#router.navigate(this.groundLink);
  }
}
