import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Fault } from './fault';

/** One field of an own entry that is chosen from a few, with what is wrong with it below. */
@Component({
  selector: 'fn-own-choice',
  imports: [Fault, MatFormFieldModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: block;
    }
    mat-form-field {
      width: 100%;
    }
  `,
  template: `
    <mat-form-field subscriptSizing="dynamic">
      <mat-label>{{ label() }}</mat-label>
      <mat-select [value]="value()" (selectionChange)="chosen.emit($event.value)">
        @for (row of choices(); track row[0]) {
          <mat-option [value]="row[0]">{{ row[1] }}</mat-option>
        }
      </mat-select>
    </mat-form-field>
    <fn-fault [line]="fault()" />
  `,
})
export class OwnChoice<T extends string> {
  readonly label = input.required<string>();
  readonly value = input.required<T>();
  /** values and their words */
  readonly choices = input.required<readonly (readonly [T, string])[]>();
  readonly fault = input<string>();
  readonly chosen = output<T>();
}
