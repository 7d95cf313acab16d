import { ChangeDetectionStrategy, Component, linkedSignal } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatTimepickerModule } from '@angular/material/timepicker';
import { DateTime } from 'luxon';
import { gardenDates } from './garden-dates';
import { PickedField } from '../shared/picked-field';

const fromTime = (time: string | null) => (time ? DateTime.fromISO(`2000-01-01T${time}`, { zone: 'utc' }) : null);

/** A time of day, typed or picked, in the garden's format; its value is `HH:MM`. */
@Component({
  selector: 'fn-time-field',
  imports: [MatFormFieldModule, MatInputModule, MatTimepickerModule],
  providers: [gardenDates()],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host,
    mat-form-field {
      display: block;
    }
  `,
  template: `
    <mat-form-field>
      <mat-label>{{ label() }}</mat-label>
      <input
        matInput
        #field
        autocomplete="off"
        [matTimepicker]="picker"
        [value]="shown()"
        [required]="required()"
        [disabled]="disabled()"
        [errorStateMatcher]="matcher"
        (valueChange)="picked($event, field.value)"
        (blur)="left()"
      />
      <mat-timepicker-toggle matIconSuffix [for]="picker" />
      <mat-timepicker #picker interval="30m" />
      <mat-error>{{ unread() || !error() ? 'Give a time of day, such as 18:30.' : error() }}</mat-error>
    </mat-form-field>
  `,
})
export class TimeField extends PickedField {
  protected readonly shown = linkedSignal<string | null, DateTime | null>({
    source: this.value,
    computation: (time, before) => (this.unread() ? (before?.value ?? null) : fromTime(time)),
  });

  protected picked(value: DateTime | null, typed: string): void {
    const time = value?.isValid ? value.toFormat('HH:mm') : null;
    this.take(time, time !== null || (typed.trim() === '' && !this.required()));
  }
}
