import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormControl, FormGroup, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { WorkTime } from '@field-nurse/contract';
import { addDays } from '@field-nurse/core/timing';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { dayWord, weekdayName } from '../shared/days';
import { Submission } from '../shared/submission';

const daysShown = 7;

/** Who has how much time: so long on most days, and none on days that are tapped out. */
@Component({
  selector: 'fn-work-times',
  imports: [ReactiveFormsModule, MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .person {
      padding: 8px 0;
      border-top: 1px solid var(--fn-line);
    }
    .days {
      display: grid;
      grid-template-columns: repeat(7, minmax(0, 1fr));
      gap: 4px;
      margin-top: 6px;
    }
    .days button {
      display: grid;
      min-height: 48px;
      padding: 3px 0;
      border: 1px solid var(--fn-line);
      border-radius: var(--fn-radius);
      background: var(--fn-green-wash);
      color: var(--fn-ink);
      font: inherit;
      font-size: 0.8rem;
      line-height: 1.2;
      cursor: pointer;
    }
    .days button[aria-pressed='true'] {
      background: var(--fn-sunk);
      color: var(--fn-faint-ink);
      text-decoration: line-through;
    }
    form {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 7.5em;
      gap: 0 10px;
    }
    form .fn-actions {
      grid-column: 1 / -1;
    }
  `,
  template: `
    <section class="fn-panel" aria-labelledby="hours">
      <h2 id="hours">Who has time</h2>
      @for (one of people(); track one.id) {
        <div class="person">
          <b>{{ one.person }}</b>&ngsp;<span class="fn-small">{{ one.minutesPerDay }} minutes a day</span>
          <div class="days">
            @for (day of one.days; track day.on) {
              <button
                type="button"
                [attr.aria-pressed]="day.isOff"
                [attr.aria-label]="one.person + ' has no time on ' + day.word"
                [disabled]="!garden.canWrite()"
                (click)="turn(one.id, day.on)"
              >
                <span>{{ day.weekday }}</span>
                <span>{{ day.number }}</span>
              </button>
            }
          </div>
          @if (garden.canWrite()) {
            <button matButton type="button" (click)="takeOut(one.id)">Take {{ one.person }} out</button>
          }
        </div>
      } @empty {
        <p class="fn-small">Until somebody’s hours are known, every day is long enough.</p>
      }
      @if (garden.canWrite()) {
        <details>
          <summary>Add somebody</summary>
          <form [formGroup]="form" (ngSubmit)="add()">
            <mat-form-field>
              <mat-label>Name</mat-label>
              <input matInput formControlName="person" maxlength="80" autocomplete="off" />
              <mat-error>A name that is not in the list.</mat-error>
            </mat-form-field>
            <mat-form-field>
              <mat-label>Minutes a day</mat-label>
              <input matInput type="number" formControlName="minutesPerDay" />
              <mat-error>From 0 to 1440.</mat-error>
            </mat-form-field>
            @if (submission.refusal(); as line) {
              <p class="fn-stop" role="alert">{{ line }}</p>
            }
            <div class="fn-actions"><button matButton="outlined" [disabled]="submission.busy()">Add</button></div>
          </form>
        </details>
      }
    </section>
  `,
})
export class WorkTimes {
  protected readonly garden = inject(Garden);
  readonly #records = inject(Records);
  protected readonly form = new FormGroup({
    person: new FormControl('', { nonNullable: true, validators: [Validators.required] }),
    minutesPerDay: new FormControl(120, { nonNullable: true, validators: [Validators.required, Validators.min(0), Validators.max(1440)] }),
  });
  protected readonly submission = new Submission(this.form);
  protected readonly people = computed(() =>
    this.garden
      .workTimes()
      .filter(({ endedOn }) => !endedOn)
      .sort((a, b) => a.person.localeCompare(b.person))
      .map((one) => ({ ...one, days: this.#days(one) })),
  );

  #days = ({ exceptions }: WorkTime) =>
    Array.from({ length: daysShown }, (_, i) => {
      const on = addDays(this.garden.today(), i);
      const isOff = exceptions.some((one) => one.on === on && one.minutes === 0);
      return { on, isOff, weekday: weekdayName(on), number: Number(on.slice(8)), word: `${weekdayName(on)} ${dayWord(on)}` };
    });

  /** Take a day out, or give it back. */
  protected async turn(id: string, on: string): Promise<void> {
    const known = this.garden.workTimes().find((one) => one.id === id);
    if (!known) return;
    const { id: _, version, ...value } = known;
    const others = value.exceptions.filter((one) => one.on !== on);
    const isOff = value.exceptions.some((one) => one.on === on && one.minutes === 0);
    const exceptions = isOff ? others : [...others, { on, minutes: 0 }];
    await this.#records.save(
      'workTimes',
      id,
      version,
      { ...value, exceptions },
      isOff ? 'The day is free again.' : `${value.person} has no time then.`,
    );
  }

  protected async takeOut(id: string): Promise<void> {
    const known = this.garden.workTimes().find((one) => one.id === id);
    if (!known) return;
    const { id: _, version, ...value } = known;
    await this.#records.save(
      'workTimes',
      id,
      version,
      { ...value, endedOn: this.garden.today() },
      `${value.person} is no longer in the plan.`,
    );
  }

  protected async add(): Promise<void> {
    await this.submission.send(async () => {
      const value = { ...this.form.getRawValue(), exceptions: [], endedOn: null };
      // Who was taken out comes back as who they were: a name is there once.
      const known = this.garden.workTimes().find(({ person, endedOn }) => endedOn && person === value.person.trim());
      await this.#records.save(
        'workTimes',
        known?.id ?? crypto.randomUUID(),
        known?.version ?? 0,
        value,
        `${value.person} is in the plan.`,
      );
      this.form.reset();
    });
  }
}
