import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { Written } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';

/** What the case is taken for now and was before, each with its day and reason: so that a wrong turn can be traced. */
@Component({
  selector: 'fn-working-diagnosis',
  imports: [MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    ol {
      display: grid;
      gap: 8px;
      list-style: none;
    }
    .old b {
      font-weight: 450;
    }
  `,
  template: `
    <ol>
      @for (one of history(); track one.on) {
        <li [class.old]="!$last">
          <b>{{ names(one.conditions) }}</b> <span class="fn-small"> {{ day(one.on) }}{{ $last ? '' : ', at first' }}</span>
          @if (one.why && !($last && !readonly())) {
            <p class="fn-small">{{ one.why }}</p>
          }
        </li>
      }
    </ol>
    <ng-content />
    @if (history().length === 0) {
      <p class="fn-small">Nothing is settled yet. “Work with this” beside a cause takes it; a second one can be kept beside it.</p>
    }
    @if (history().at(-1); as last) {
      @if (!readonly()) {
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Why (if you like)</mat-label>
          <input matInput #why [value]="last.why" maxlength="4000" (change)="explained.emit(why.value.trim())" />
        </mat-form-field>
      }
    }
  `,
})
export class WorkingDiagnosis {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly history = input.required<Written<'cases'>['diagnoses']>();
  readonly readonly = input(false);
  readonly explained = output<string>();
  protected readonly day = (day: string) => dayWord(day, this.#garden.today());
  protected readonly names = (ids: readonly string[]) => this.#library.conditionNames(ids);
}
