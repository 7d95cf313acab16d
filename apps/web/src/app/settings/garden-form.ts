import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { FormGroup } from '@angular/forms';
import { FormControl, ReactiveFormsModule, Validators, FormGroup as Group } from '@angular/forms';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { GardenSettings } from '@field-nurse/contract';
import { toSignal } from '@angular/core/rxjs-interop';
import { catchError, of } from 'rxjs';
import { Api } from '../api/api';
import { Library } from '../library/library';
import { monthDayWord } from '../shared/days';
import { stanceWords } from '../shared/words';

const text = (value: string) => new FormControl(value, { nonNullable: true, validators: [Validators.required] });
const degrees = (limit: number) => new FormControl<number | null>(null, [Validators.min(-limit), Validators.max(limit)]);

/** The form of a garden's settings, new or changed. */
export const gardenForm = () =>
  new Group({
    name: new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.maxLength(120)] }),
    timeZone: text(Intl.DateTimeFormat().resolvedOptions().timeZone),
    latitude: degrees(90),
    longitude: degrees(180),
    units: new FormControl<GardenSettings['units']>('metric', { nonNullable: true }),
    stance: new FormControl<GardenSettings['stance']>('organic', { nonNullable: true }),
    region: text('neutral'),
    seasonStart: new FormControl<string | null>(null),
    notListed: new FormControl<string[]>([], { nonNullable: true }),
    schools: new FormControl<GardenSettings['schools']>([], { nonNullable: true }),
    weatherStation: new FormControl<string | null>(null),
  });

export type GardenForm = ReturnType<typeof gardenForm>;

@Component({
  selector: 'fn-garden-form',
  imports: [ReactiveFormsModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .roomy {
      row-gap: 16px;
    }
  `,
  template: `
    <div class="fn-form roomy" [formGroup]="form()">
      <mat-form-field class="fn-wide" subscriptSizing="dynamic">
        <mat-label>Name of the garden</mat-label>
        <input matInput formControlName="name" autocomplete="off" />
        @if (form().get('name')?.invalid) {
          <mat-error>{{ form().get('name')?.errors?.['server'] ?? 'Give it a name of up to 120 letters.' }}</mat-error>
        }
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Stance</mat-label>
        <mat-select formControlName="stance">
          @for (one of stances; track one.id) {
            <mat-option [value]="one.id">{{ one.word }}</mat-option>
          }
        </mat-select>
        <mat-hint>{{ stanceHint() }}</mat-hint>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Region</mat-label>
        <mat-select formControlName="region">
          @for (region of library.known()?.regions ?? []; track region.id) {
            <mat-option [value]="region.id">{{ region.name }}</mat-option>
          }
        </mat-select>
        <mat-hint>Its rules say what may be used and what must be reported.</mat-hint>
      </mat-form-field>
      @if (stations()?.length !== 0) {
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Weather station</mat-label>
          <mat-select formControlName="weatherStation">
            <mat-option [value]="null">none: weather from files</mat-option>
            @for (station of stations(); track station.id) {
              <mat-option [value]="station.id">{{ station.name }}{{ station.simulated ? ' (simulated)' : '' }}</mat-option>
            }
          </mat-select>
          <mat-hint>A simulated station is made up: for trying things out.</mat-hint>
        </mat-form-field>
      }
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>A season begins on</mat-label>
        <mat-select formControlName="seasonStart">
          <mat-option [value]="null">1 January in the north, 1 July in the south</mat-option>
          @for (start of seasonStarts(); track start.value) {
            <mat-option [value]="start.value">{{ start.word }}</mat-option>
          }
        </mat-select>
        <mat-hint>What a label allows in a season is counted from here.</mat-hint>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Units</mat-label>
        <mat-select formControlName="units">
          <mat-option value="metric">Litres, grams, metres</mat-option>
          <mat-option value="us">US gallons, ounces, feet</mat-option>
        </mat-select>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Time zone</mat-label>
        <mat-select formControlName="timeZone">
          @for (zone of zones; track zone) {
            <mat-option [value]="zone">{{ zone }}</mat-option>
          }
        </mat-select>
        @if (form().get('timeZone')?.invalid) {
          <mat-error>{{ form().get('timeZone')?.errors?.['server'] ?? 'Choose one.' }}</mat-error>
        }
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Latitude (if you like)</mat-label>
        <input matInput type="number" step="any" formControlName="latitude" />
        <mat-hint>Tells summer from winter. South is below zero.</mat-hint>
        @if (form().get('latitude')?.invalid) {
          <mat-error>From −90 to 90 degrees, or empty.</mat-error>
        }
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Longitude (if you like)</mat-label>
        <input matInput type="number" step="any" formControlName="longitude" />
        @if (form().get('longitude')?.invalid) {
          <mat-error>From −180 to 180 degrees, or empty.</mat-error>
        }
      </mat-form-field>
    </div>
  `,
})
export class GardenFormFields {
  protected readonly library = inject(Library);
  readonly form = input.required<FormGroup>();
  /** stations that can be chosen, once they are known; none when they do not answer, and then what was chosen stays. Their field is there before, so that nothing moves under a thumb */
  protected readonly stations = toSignal(
    inject(Api)
      .stations()
      .pipe(catchError(() => of([]))),
    { initialValue: undefined },
  );
  protected readonly stances = Object.entries(stanceWords).map(([id, { word }]) => ({ id, word }));
  protected readonly zones = [...new Set(['UTC', Intl.DateTimeFormat().resolvedOptions().timeZone, ...Intl.supportedValuesOf('timeZone')])];
  protected readonly seasonStarts = () => {
    const set = this.form().get('seasonStart')?.value as string | null;
    const firsts = Array.from({ length: 12 }, (_, i) => `${String(i + 1).padStart(2, '0')}-01`);
    return [...new Set([...firsts, ...(set ? [set] : [])])].sort().map((value) => ({ value, word: monthDayWord(value) }));
  };
  protected readonly stanceHint = () => stanceWords[this.form().get('stance')?.value as keyof typeof stanceWords]?.means ?? '';
}
