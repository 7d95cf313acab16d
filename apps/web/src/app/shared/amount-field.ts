import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';

/** A number that is reckoned with as it is typed; what is wrong with it stands below it. */
@Component({
  selector: 'fn-amount-field',
  imports: [MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      min-width: 0;
    }
    .fault {
      color: var(--fn-madder);
      font-weight: 600;
    }
  `,
  template: `
    <mat-form-field subscriptSizing="dynamic">
      <mat-label>{{ label() }}</mat-label>
      <input
        matInput
        #field
        type="number"
        inputmode="decimal"
        step="any"
        [value]="value() ?? ''"
        [attr.aria-invalid]="fault() !== undefined"
        (input)="typed.emit(field.valueAsNumber)"
      />
      @if (fault(); as words) {
        <mat-hint class="fault">{{ words }}</mat-hint>
      } @else if (hint(); as words) {
        <mat-hint>{{ words }}</mat-hint>
      }
    </mat-form-field>
  `,
})
export class AmountField {
  readonly label = input.required<string>();
  readonly value = input.required<number | null>();
  readonly fault = input<string | undefined>();
  readonly hint = input('');
  /** the number; none, where the field is empty or holds no number */
  readonly typed = output<number>();
}
