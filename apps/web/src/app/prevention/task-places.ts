import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import type { Place } from '@field-nurse/contract';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { placeKindWords } from '../shared/words';
import type { WalkPlace, WalkTask } from './prevention-list';
import { TaskCard } from './task-card';
import type { TaskAnswer } from './task-card';

/** What is to be looked at, place by place, each answered in one tap. */
@Component({
  selector: 'fn-task-places',
  imports: [TaskCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .places {
      display: grid;
      gap: 14px;
    }
    summary {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 12px;
      align-items: baseline;
      min-height: 40px;
      cursor: pointer;
    }
    summary::after {
      content: '+';
      margin-left: auto;
      color: var(--fn-faint-ink);
      font-size: 1.4rem;
      line-height: 1;
    }
    [open] > summary::after {
      content: '−';
    }
    .places > details:not([open]) {
      padding-bottom: 8px;
    }
    .places > details {
      padding-top: 10px;
    }
    .later {
      margin-top: 8px;
    }
  `,
  template: `
    @if (fault()) {
      <p class="fn-stop" role="alert">{{ fault() }}</p>
    }
    <div class="places">
      @for (one of walk(); track one.place.id) {
        <details class="fn-panel" [open]="$first || opened().has(one.place.id)" (toggle)="keepOpen(one.place.id, $event)">
          <summary>
            <h2>{{ one.place.name }}</h2>
            <span class="fn-small">{{ kinds[one.place.kind] }} · {{ dueWord(one.due) }}</span>
          </summary>
          @for (task of one.tasks; track task.task) {
            @if (task.isDue) {
              <fn-task-card [task]="task" [place]="one.place" (answered)="answer(one.place, task, $event)" />
            }
          }
          @if (one.due < one.tasks.length) {
            <details class="later">
              <summary class="fn-small">Not due yet: {{ one.tasks.length - one.due }}</summary>
              @for (task of one.tasks; track task.task) {
                @if (!task.isDue) {
                  <fn-task-card [task]="task" [place]="one.place" (answered)="answer(one.place, task, $event)" />
                }
              }
            </details>
          }
        </details>
      }
    </div>
  `,
})
export class TaskPlaces {
  readonly #records = inject(Records);
  readonly #garden = inject(Garden);
  readonly walk = input.required<readonly (WalkPlace & { readonly due: number })[]>();
  protected readonly kinds = placeKindWords;
  protected readonly fault = signal('');
  /** places that stay unfolded while their tasks are answered */
  protected readonly opened = signal<ReadonlySet<string>>(new Set());
  protected readonly dueWord = (due: number) => (due === 0 ? 'nothing due' : `${due} due`);

  protected keepOpen(place: string, event: Event): void {
    const { open } = event.target as HTMLDetailsElement;
    this.opened.update((ids) => new Set(open ? [...ids, place] : [...ids].filter((id) => id !== place)));
  }

  protected async answer(place: Place, { task, about }: WalkTask, { outcome, amount }: TaskAnswer): Promise<void> {
    this.fault.set('');
    const value = { placeId: place.id, task, doneOn: this.#garden.today(), outcome, amount, note: '' };
    try {
      await this.#records.saveOrKeep('preventionTasks', crypto.randomUUID(), 0, value, `${about.name}, ${place.name}: noted.`);
    } catch (error) {
      this.fault.set(ApiError.from(error).message);
    }
  }
}
