import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';

/** What was typed as a whole number; `null` for nothing. */
export const numberOf = (typed: string): number | null => (typed.trim() === '' ? null : Number(typed));

/** What is wrong with it; nothing where it is right or empty. */
export function numberFault(typed: string, least: number, most: number): string {
  const number = numberOf(typed);
  if (number === null || (Number.isInteger(number) && number >= least && number <= most)) return '';
  return most < mostOfAll ? `A whole number from ${least} to ${most}, or empty.` : `A whole number from ${least}, or empty.`;
}

export const mostOfAll = 1_000_000;

/** A whole number that may be left out, as it is typed, with what is wrong below it. */
@Component({
  selector: 'fn-number-field',
  imports: [MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field>
      <mat-label>{{ label() }}</mat-label>
      <input
        matInput
        #typed
        type="number"
        step="1"
        [min]="least()"
        [value]="value()"
        [disabled]="disabled()"
        (input)="value.set(typed.value)"
      />
      <mat-hint>{{ fault() }}</mat-hint>
    </mat-form-field>
  `,
  styles: `
    mat-form-field {
      width: 100%;
    }
  `,
})
export class NumberField {
  readonly label = input.required<string>();
  readonly least = input(0);
  readonly most = input(mostOfAll);
  readonly disabled = input(false);
  readonly value = model.required<string>();
  protected readonly fault = computed(() => numberFault(this.value(), this.least(), this.most()));
}
