import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import type { OnInit } from '@angular/core';
import { FormArray, FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { ClinicResult, ClinicSample, Written } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { DayField } from '../gardens/day-field';
import { resultWords } from './clinic-words';
import { usualQuality } from './tests-worth';

const percent = (share: number) =>
  new FormControl(share * 100, { nonNullable: true, validators: [Validators.required, Validators.min(0), Validators.max(100)] });
const rowFor = (condition: string) =>
  new FormGroup({
    condition: new FormControl(condition, { nonNullable: true }),
    result: new FormControl<ClinicResult['result'] | null>(null, [Validators.required]),
    sensitivity: percent(usualQuality.sensitivity),
    specificity: percent(usualQuality.specificity),
  });

/** What another clinic wrote back, typed in. */
@Component({
  selector: 'fn-results-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, ReactiveFormsModule, DayField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    form {
      display: grid;
      gap: 10px;
    }
    fieldset {
      margin: 0;
      padding: 0;
      border: 0;
    }
    legend {
      padding: 0 0 4px;
      font-weight: 650;
    }
  `,
  template: `
    <form [formGroup]="form" (ngSubmit)="keep()" novalidate>
      <h3>When the answer is there</h3>
      <p class="fn-small">
        How well a test tells stands in the clinic’s letter, or ask. The figures here are what laboratories usually reach.
      </p>
      @for (row of rows.controls; track row.value.condition) {
        <fieldset class="fn-form" [formGroup]="row">
          <legend>{{ library.conditionName(row.value.condition!) }}</legend>
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>It was</mat-label>
            <mat-select formControlName="result">
              @for (one of results; track one[0]) {
                <mat-option [value]="one[0]">{{ one[1] }}</mat-option>
              }
            </mat-select>
            <mat-error>Say what they found.</mat-error>
          </mat-form-field>
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>Finds, of 100 that have it</mat-label>
            <input matInput type="number" formControlName="sensitivity" />
            <mat-error>0 to 100.</mat-error>
          </mat-form-field>
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>Clears, of 100 that have it not</mat-label>
            <input matInput type="number" formControlName="specificity" />
            <mat-error>0 to 100.</mat-error>
          </mat-form-field>
        </fieldset>
      }
      <div class="fn-actions">
        <fn-day-field
          formControlName="reportedOn"
          label="Letter of"
          sizing="dynamic"
          [required]="true"
          [min]="sample().sentOn"
          [max]="garden.today()"
        />
        <button matButton="filled">Keep the result</button>
      </div>
    </form>
  `,
})
export class ResultsForm implements OnInit {
  protected readonly library = inject(Library);
  protected readonly garden = inject(Garden);
  readonly sample = input.required<ClinicSample>();
  readonly kept = output<Pick<Written<'clinicSamples'>, 'results' | 'reportedOn'>>();
  protected readonly results = Object.entries(resultWords);
  protected readonly rows = new FormArray<ReturnType<typeof rowFor>>([]);
  protected readonly form = new FormGroup({
    rows: this.rows,
    reportedOn: new FormControl(this.garden.today(), { nonNullable: true, validators: [Validators.required] }),
  });

  ngOnInit(): void {
    this.sample().testFor.forEach((condition) => this.rows.push(rowFor(condition)));
  }

  protected keep(): void {
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const { rows, reportedOn } = this.form.getRawValue();
    const results = rows.map(({ condition, result, sensitivity, specificity }) => ({
      condition,
      result: result!,
      sensitivity: Number(sensitivity) / 100,
      specificity: Number(specificity) / 100,
    }));
    this.kept.emit({ results, reportedOn });
  }
}
