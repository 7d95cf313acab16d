import { ChangeDetectionStrategy, Component, computed, input, linkedSignal } from '@angular/core';
import type { MatDatepickerInputEvent } from '@angular/material/datepicker';
import { MatDatepickerModule } from '@angular/material/datepicker';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { DateTime } from 'luxon';
import { gardenDates } from './garden-dates';
import { PickedField } from '../shared/picked-field';

const fromDay = (day: string | null) => (day ? DateTime.fromISO(day, { zone: 'utc' }) : null);

/** A day, typed or picked, in the garden's format; its value is `YYYY-MM-DD`. */
@Component({
  selector: 'fn-day-field',
  imports: [MatDatepickerModule, MatFormFieldModule, MatInputModule],
  providers: [gardenDates()],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host,
    mat-form-field {
      display: block;
    }
  `,
  template: `
    <mat-form-field [subscriptSizing]="sizing()">
      <mat-label>{{ label() }}</mat-label>
      <input
        matInput
        #field
        autocomplete="off"
        [matDatepicker]="picker"
        [value]="shown()"
        [min]="first()"
        [max]="last()"
        [required]="required()"
        [disabled]="disabled()"
        [errorStateMatcher]="matcher"
        (dateChange)="picked($event, field.value)"
        (blur)="left()"
      />
      <mat-datepicker-toggle matIconSuffix [for]="picker" />
      <mat-datepicker #picker />
      @if (hint()) {
        <mat-hint>{{ hint() }}</mat-hint>
      }
      <mat-error>{{ unread() || !error() ? 'Give a day' + range() + '.' : error() }}</mat-error>
    </mat-form-field>
  `,
})
export class DayField extends PickedField {
  readonly min = input<string | null>(null);
  readonly max = input<string | null>(null);
  readonly sizing = input<'fixed' | 'dynamic'>('fixed');
  protected readonly shown = linkedSignal<string | null, DateTime | null>({
    source: this.value,
    computation: (day, before) => (this.unread() ? (before?.value ?? null) : fromDay(day)),
  });
  protected readonly first = computed(() => fromDay(this.min()));
  protected readonly last = computed(() => fromDay(this.max()));
  protected readonly range = computed(() => {
    const [from, to] = [this.first(), this.last()].map((day) => day?.toFormat('d LLL yyyy'));
    return (from ? ` from ${from}` : '') + (to ? ` up to ${to}` : from ? ' on' : ', such as 18 Jul 2026');
  });

  protected picked({ value }: MatDatepickerInputEvent<DateTime>, typed: string): void {
    const day = value?.isValid ? value.toISODate() : null;
    const inRange = day !== null && day >= (this.min() ?? '') && (!this.max() || day <= this.max()!);
    this.take(day, day === null ? typed.trim() === '' && !this.required() : inRange);
  }
}
