import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { Lesson } from '@field-nurse/contract';
import { ApiError } from '../api/api-error';
import { DayField } from '../gardens/day-field';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { dayWord } from '../shared/days';

/** What was learnt, and next year's list: a line each, with a day where something is to be done. */
@Component({
  selector: 'fn-lessons-panel',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, DayField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host,
    form {
      display: grid;
      gap: 10px;
    }
    ul {
      list-style: none;
    }
    li {
      display: flex;
      gap: 12px;
      align-items: center;
      justify-content: space-between;
      padding: 6px 0;
      border-top: 1px solid var(--fn-line);
    }
    .done {
      color: var(--fn-faint-ink);
      text-decoration: line-through;
    }
    .fields {
      display: grid;
      grid-template-columns: minmax(0, 2fr) minmax(180px, 1fr) auto;
      gap: 4px 14px;
      align-items: start;
    }
    @media (max-width: 700px) {
      .fields {
        grid-template-columns: minmax(0, 1fr);
      }
    }
  `,
  template: `
    <ul>
      @for (lesson of lessons(); track lesson.id) {
        <li>
          <span>
            <span [class.done]="lesson.doneOn">{{ lesson.text }}</span>
            <br /><span class="fn-small">{{ when(lesson) }}</span>
          </span>
          @if (garden.canWrite() && lesson.dueOn) {
            <button matButton type="button" (click)="setDone(lesson)">{{ lesson.doneOn ? 'Not done yet' : 'Done' }}</button>
          }
        </li>
      } @empty {
        <li class="fn-small">Nothing written yet. Kinds to grow, places to change, dates to begin: next year thanks you.</li>
      }
    </ul>
    @if (garden.canWrite()) {
      <form (submit)="$event.preventDefault(); add()" novalidate>
        <div class="fields">
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>What to remember, or to do</mat-label>
            <input matInput #typed maxlength="2000" autocomplete="off" [value]="text()" (input)="text.set(typed.value)" />
          </mat-form-field>
          <fn-day-field label="On (if it has a day)" [value]="dueOn()" (valueChange)="dueOn.set($event)" />
          <button matButton="outlined" [disabled]="text().trim() === '' || busy()">Write it down</button>
        </div>
        @if (refusal(); as line) {
          <p class="fn-stop" role="alert">{{ line }} What you typed is still here.</p>
        }
      </form>
    }
  `,
})
export class LessonsPanel {
  readonly #records = inject(Records);
  protected readonly garden = inject(Garden);
  protected readonly text = signal('');
  protected readonly dueOn = signal<string | null>(null);
  protected readonly busy = signal(false);
  protected readonly refusal = signal('');
  protected readonly lessons = computed(() =>
    [...this.garden.lessons()].sort(
      (a, b) => Number(a.doneOn !== null) - Number(b.doneOn !== null) || (a.dueOn ?? '9').localeCompare(b.dueOn ?? '9'),
    ),
  );
  protected readonly when = ({ dueOn, doneOn, writtenOn }: Lesson) => {
    const day = (on: string) => dayWord(on, this.garden.today());
    if (doneOn) return `done ${day(doneOn)}`;
    return dueOn ? `due ${day(dueOn)}` : `written ${day(writtenOn)}`;
  };

  protected async add(): Promise<void> {
    if (this.busy()) return;
    this.busy.set(true);
    this.refusal.set('');
    try {
      await this.#records.save(
        'lessons',
        crypto.randomUUID(),
        0,
        { writtenOn: this.garden.today(), text: this.text().trim(), condition: null, host: null, dueOn: this.dueOn(), doneOn: null },
        'Written down.',
      );
      this.text.set('');
      this.dueOn.set(null);
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.busy.set(false);
    }
  }

  protected async setDone({ id, version, ...value }: Lesson): Promise<void> {
    const doneOn = value.doneOn ? null : this.garden.today();
    await this.#records
      .save('lessons', id, version, { ...value, doneOn }, doneOn ? 'Done.' : 'Open again.')
      .catch((error: unknown) => this.refusal.set(ApiError.from(error).message));
  }
}
