import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { Sprayer, Written } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Submission } from '../shared/submission';
import { fromField, inGardenUnits, measures } from '../shared/units';
import { calibrationForm, calibrationOf } from './calibration-form';
import { sprayerSays } from './sprayer-words';

/** Sprayers and cans, and what they give as their user walks and pumps. */
@Component({
  selector: 'fn-sprayers-page',
  imports: [ReactiveFormsModule, MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .sprayer {
      margin-bottom: 16px;
    }
    form,
    .fn-actions {
      margin-top: 10px;
    }
  `,
  templateUrl: './sprayers-page.html',
})
export class SprayersPage {
  readonly #records = inject(Records);
  protected readonly garden = inject(Garden);
  readonly #system = this.garden.summary().units;
  protected readonly waterWord = measures.water[this.#system].unit;
  protected readonly wayWord = this.#system === 'us' ? 'ft' : 'm';
  protected readonly sprayers = computed(() =>
    this.garden
      .sprayers()
      .filter(({ endedOn }) => !endedOn)
      .map((one) => ({
        ...one,
        holds: inGardenUnits('water', one.holdsL, this.#system),
        says: sprayerSays(one, this.#system, this.garden.today()),
      })),
  );
  /** the sprayer that is being measured */
  protected readonly measuring = signal<string | null>(null);
  protected readonly run = calibrationForm();
  protected readonly missing = signal('');
  protected readonly measured = new Submission(this.run);
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.maxLength(120)] }),
    holds: new FormControl<number | null>(null, [Validators.required, Validators.min(0.05), Validators.max(2000)]),
    newFlow: new FormControl<number | null>(null, [Validators.min(1e-6), Validators.max(100)]),
  });
  protected readonly added = new Submission(this.form);

  protected async add(): Promise<void> {
    const { name, holds, newFlow } = this.form.getRawValue();
    await this.added.send(async () => {
      await this.#write(
        crypto.randomUUID(),
        0,
        {
          name,
          holdsL: fromField('water', holds, this.#system)!,
          newFlowLPerMin: fromField('water', newFlow, this.#system),
          calibrations: [],
          endedOn: null,
        },
        `${name} is kept.`,
      );
      this.form.reset();
    });
  }

  protected measure(id: string | null): void {
    this.run.reset();
    this.missing.set('');
    this.measuring.set(id);
  }

  protected async keep(sprayer: Sprayer): Promise<void> {
    const calibration = calibrationOf(this.run, this.garden.today(), this.#system);
    this.missing.set(typeof calibration === 'string' ? calibration : '');
    if (typeof calibration === 'string') return;
    await this.measured.send(async () => {
      await this.#write(
        sprayer.id,
        sprayer.version,
        { ...this.#written(sprayer), calibrations: [...sprayer.calibrations, calibration].slice(-50) },
        'The measure is kept.',
      );
      this.measure(null);
    });
  }

  protected async putAway(sprayer: Sprayer): Promise<void> {
    await this.measured.run(() =>
      this.#write(
        sprayer.id,
        sprayer.version,
        { ...this.#written(sprayer), endedOn: this.garden.today() },
        `${sprayer.name} is no longer here.`,
      ),
    );
  }

  #written({ name, holdsL, newFlowLPerMin, calibrations, endedOn }: Sprayer): Written<'sprayers'> {
    return { name, holdsL, newFlowLPerMin, calibrations, endedOn };
  }

  #write(id: string, version: number, value: Written<'sprayers'>, said: string): Promise<unknown> {
    return this.#records.save('sprayers', id, version, value, said);
  }
}
