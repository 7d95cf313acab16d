import { ChangeDetectionStrategy, Component, output, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';

/** "Not needed any more", beside other things to do: asks why, and tells it. */
@Component({
  selector: 'fn-not-needed',
  imports: [ReactiveFormsModule, MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host,
    form {
      display: grid;
      justify-items: start;
    }
    :host(.asks) {
      flex: 1 0 100%;
    }
    mat-form-field {
      width: 100%;
    }
  `,
  host: { '[class.asks]': 'asks()' },
  template: `
    <button matButton type="button" [attr.aria-expanded]="asks()" (click)="asks.set(!asks())">Not needed any more</button>
    @if (asks()) {
      <form (submit)="$event.preventDefault(); tell()">
        <mat-form-field>
          <mat-label>Why it is not needed</mat-label>
          <input matInput [formControl]="why" maxlength="200" autocomplete="off" />
        </mat-form-field>
        <button matButton="outlined">Take it out of the plan</button>
      </form>
    }
  `,
})
export class NotNeeded {
  /** why */
  readonly told = output<string>();
  protected readonly asks = signal(false);
  protected readonly why = new FormControl('', { nonNullable: true });

  protected tell(): void {
    this.told.emit(this.why.value.trim());
    this.asks.set(false);
  }
}
