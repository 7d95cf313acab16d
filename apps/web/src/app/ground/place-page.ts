import { ChangeDetectionStrategy, Component, DestroyRef, inject, input } from '@angular/core';
import type { OnInit } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import type { Written } from '@field-nurse/contract';
import { placeNamed } from '@field-nurse/library/list';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { injectLeaveFor } from '../shared/leave-for';
import { Submission } from '../shared/submission';
import { lightWords, placeKindWords, settingWords } from '../shared/words';

type PlaceValue = Written<'places'>;

/** Add or change a place. */
@Component({
  selector: 'fn-place-page',
  imports: [ReactiveFormsModule, RouterLink, MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="fn-page">
      <h1>{{ place() ? 'Change the place' : 'New place' }}</h1>
      <form class="fn-panel" [formGroup]="form" (ngSubmit)="save()" novalidate>
        <div class="fn-form">
          <mat-form-field>
            <mat-label>Name</mat-label>
            <input matInput formControlName="name" autocomplete="off" />
            @if (form.controls.name.invalid) {
              <mat-error>{{ form.controls.name.errors?.['server'] ?? 'Give it a name of up to 120 letters.' }}</mat-error>
            }
          </mat-form-field>
          <mat-form-field>
            <mat-label>Kind</mat-label>
            <mat-select formControlName="kind">
              @for (kind of kinds; track kind[0]) {
                <mat-option [value]="kind[0]">{{ kind[1] }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <mat-form-field>
            <mat-label>Where it is</mat-label>
            <mat-select formControlName="setting">
              @for (setting of settings; track setting[0]) {
                <mat-option [value]="setting[0]">{{ setting[1] }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <mat-form-field>
            <mat-label>Sun in summer</mat-label>
            <mat-select formControlName="light">
              <mat-option [value]="null">not said</mat-option>
              @for (light of lights; track light[0]) {
                <mat-option [value]="light[0]">{{ light[1] }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <mat-form-field>
            <mat-label>Area in m² (if you like)</mat-label>
            <input matInput type="number" step="any" formControlName="areaM2" />
            @if (form.controls.areaM2.invalid) {
              <mat-error>More than 0 and at most 1,000,000 m², or empty.</mat-error>
            }
          </mat-form-field>
          <mat-form-field class="fn-wide">
            <mat-label>Note</mat-label>
            <textarea matInput formControlName="note" rows="2"></textarea>
          </mat-form-field>
        </div>
        @if (submission.refusal(); as line) {
          <p class="fn-stop" role="alert">{{ line }}</p>
        }
        <div class="fn-actions">
          <button matButton="filled" [disabled]="submission.busy()">Save the place</button>
          <a matButton [routerLink]="groundLink">Leave it</a>
        </div>
      </form>
    </div>
  `,
})
export class PlacePage implements OnInit {
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);
  readonly #leaveFor = injectLeaveFor();
  readonly #destroyed = inject(DestroyRef);
  readonly #newId = crypto.randomUUID();
  /** id of the place to change; none for a new one */
  readonly place = input<string>();
  protected readonly kinds = Object.entries(placeKindWords);
  protected readonly settings = Object.entries(settingWords);
  protected readonly lights = Object.entries(lightWords);
  protected readonly groundLink = ['/g', this.#garden.summary().id, 'ground'];
  protected readonly form = new FormGroup({
    name: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.maxLength(120)] }),
    kind: new FormControl<PlaceValue['kind']>('bed', { nonNullable: true }),
    setting: new FormControl<PlaceValue['setting']>('outdoor', { nonNullable: true }),
    light: new FormControl<PlaceValue['light']>(null),
    areaM2: new FormControl<number | null>(null, [Validators.min(0.01), Validators.max(1_000_000)]),
    note: new FormControl('', { nonNullable: true, validators: [Validators.maxLength(4000)] }),
  });
  protected readonly submission = new Submission(this.form);

  ngOnInit(): void {
    const known = this.#garden.place(this.place() ?? '');
    if (known) this.form.patchValue(known);
    else this.form.controls.name.valueChanges.pipe(takeUntilDestroyed(this.#destroyed)).subscribe((name) => this.#guess(name));
  }

  /** A place is of the kind that its name tells ("Kitchen sill"), until somebody says otherwise. */
  #guess(name: string): void {
    const { kind, setting } = this.form.controls;
    const named = placeNamed(name);
    if (kind.pristine) kind.setValue(named?.kind ?? 'bed');
    if (setting.pristine) setting.setValue(named?.setting ?? 'outdoor');
  }

  protected async save(): Promise<void> {
    const known = this.#garden.place(this.place() ?? '');
    await this.submission.send(async () => {
      await this.#records.save(
        'places',
        known?.id ?? this.#newId,
        known?.version ?? 0,
        { shape: known?.shape ?? null, endedOn: known?.endedOn ?? null, ...this.form.getRawValue() },
        known ? 'Place changed.' : 'Place added.',
      );
      await this.#leaveFor(this.groundLink);
    });
  }
}
