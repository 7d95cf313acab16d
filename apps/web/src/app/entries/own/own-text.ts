import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { Fault } from './fault';

/** One field of an own entry that is typed into, with what is wrong with it below. */
@Component({
  selector: 'fn-own-text',
  imports: [Fault, MatFormFieldModule, MatInputModule],
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
      @if (rows() > 0) {
        <textarea matInput #area [rows]="rows()" maxlength="4000" [value]="value()" (change)="typed.emit(area.value)"></textarea>
      } @else if (number()) {
        <input matInput #figure type="number" min="0" step="any" [value]="value()" (change)="typed.emit(figure.value)" />
      } @else {
        <input matInput #line maxlength="1200" [value]="value()" (change)="typed.emit(line.value)" />
      }
    </mat-form-field>
    <fn-fault [line]="fault()" />
  `,
})
export class OwnText {
  readonly label = input.required<string>();
  readonly value = input.required<string | number>();
  /** lines that are seen at once; none for a single one */
  readonly rows = input(0);
  readonly number = input(false);
  readonly fault = input<string>();
  readonly typed = output<string>();
}
