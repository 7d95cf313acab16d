import { ChangeDetectionStrategy, Component, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { Written } from '@field-nurse/contract';
import { outcomeWords } from '../shared/words';

export type Outcome = NonNullable<Written<'cases'>['outcome']>;

/** Closing a case with its outcome and what to remember, or opening it again. */
@Component({
  selector: 'fn-close-case',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
  `,
  template: `
    @if (isClosed()) {
      <p>If it comes back, go on with the same case: what was tried stays beside it.</p>
      <div class="fn-actions"><button matButton="outlined" type="button" (click)="reopened.emit()">Open it again</button></div>
    } @else {
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>How it ended</mat-label>
        <mat-select [value]="outcome()" (selectionChange)="outcome.set($event.value)">
          @for (one of outcomes; track one[0]) {
            <mat-option [value]="one[0]">{{ one[1] }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>To remember next year (if you like)</mat-label>
        <textarea matInput #noted rows="2" maxlength="4000"></textarea>
      </mat-form-field>
      <div class="fn-actions">
        <button matButton="outlined" type="button" (click)="closed.emit({ outcome: outcome(), note: noted.value.trim() })">
          Close the case
        </button>
      </div>
    }
  `,
})
export class CloseCase {
  readonly isClosed = input.required<boolean>();
  readonly closed = output<{ outcome: Outcome; note: string }>();
  readonly reopened = output();
  protected readonly outcome = signal<Outcome>('recovered');
  protected readonly outcomes = Object.entries(outcomeWords);
}
