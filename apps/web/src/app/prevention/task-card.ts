import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import type { PreventionTask, Place } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { dayWord, fromToday } from '../shared/days';
import { fromField, inGardenUnits, measures } from '../shared/units';
import { mulchFor } from './prevention-list';
import type { WalkTask } from './prevention-list';

export interface TaskAnswer {
  readonly outcome: PreventionTask['outcome'];
  readonly amount: number | null;
}

const outcomeWords: Readonly<Record<PreventionTask['outcome'], string>> = { fine: 'fine', done: 'put right', 'wants-work': 'wants work' };

/** One thing to look at: what to ask of it, why, what it prevents; answered in one tap. */
@Component({
  selector: 'fn-task-card',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './task-card.scss',
  template: `
    <div class="what">
      <h3>{{ task().about.name }}</h3>
      <span class="fn-small" [class.due]="task().isDue">{{ when() }}</span>
    </div>
    <p>{{ task().about.ask }}</p>
    <p class="fn-small">{{ task().about.why }} Prevents: {{ prevents() }}.</p>
    @if (task().about.care; as care) {
      <details>
        <summary>How it is put right without harm</summary>
        <ol>
          @for (step of care; track step) {
            <li>{{ step }}</li>
          }
        </ol>
      </details>
    }
    @if (task().about.measures) {
      <div class="measure">
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>{{ isMulch() ? 'Depth of the mulch, ' + unit : 'Flies in a minute' }}</mat-label>
          <input matInput #amount type="number" step="any" min="0" (input)="measured(amount.value)" />
        </mat-form-field>
        <p role="status">{{ sum() }}</p>
      </div>
    }
    @if (garden.canWrite()) {
      <div class="answers">
        <button matButton="outlined" type="button" (click)="answer('fine')">Fine</button>
        <button matButton="outlined" type="button" (click)="answer('done')">Put right</button>
        <button matButton="outlined" type="button" (click)="answer('wants-work')">Wants work</button>
      </div>
    }
  `,
})
export class TaskCard {
  readonly #library = inject(Library);
  protected readonly garden = inject(Garden);
  readonly task = input.required<WalkTask>();
  readonly place = input.required<Place>();
  readonly answered = output<TaskAnswer>();
  protected readonly unit = measures.length[this.garden.summary().units].unit;
  /** centimetres of mulch, or flies in a minute */
  protected readonly amount = signal<number | null>(null);
  protected readonly isMulch = computed(() => this.task().about.measures?.what === 'mulch-cm');
  protected readonly prevents = computed(() =>
    this.task()
      .about.prevents.map((id) => this.#library.conditionName(id).toLowerCase())
      .join(', '),
  );
  protected readonly when = computed(() => {
    const { last, dueOn, isDue } = this.task();
    const due = isDue ? 'due' : `due ${fromToday(dueOn, this.garden.today())}`;
    return last ? `${due} · ${dayWord(last.doneOn, this.garden.today())}: ${outcomeWords[last.outcome]}` : due;
  });
  protected readonly sum = computed(() => {
    const amount = this.amount();
    const wanted = this.task().about.measures;
    if (amount === null || !wanted) return '';
    if (!this.isMulch())
      return amount > wanted.high
        ? 'A brood is out: take wet bedding out, cover the dung, hang fly papers out of reach of birds and bats.'
        : 'Few enough: leave it.';
    const units = this.garden.summary().units;
    const range = `${inGardenUnits('length', wanted.low, units)} to ${inGardenUnits('length', wanted.high, units)}`;
    const result = mulchFor(this.place(), this.task().about, amount);
    if (!result) return `Wanted are ${range}. Give the place an area, and this says how much that is.`;
    if (result.act === 'leave') return `Within ${range}: leave it as it is.`;
    const water = inGardenUnits('water', Math.round(result.litres), units);
    return result.act === 'add'
      ? `Bring ${water} of mulch to come to the middle of ${range}.`
      : `Take away ${water} of mulch; wanted are ${range}.`;
  });

  protected measured(text: string): void {
    const said = text === '' ? null : this.isMulch() ? fromField('length', Number(text), this.garden.summary().units) : Number(text);
    const most = this.isMulch() ? 200 : 10_000;
    this.amount.set(said !== null && said >= 0 && said <= most ? said : null);
  }

  protected answer(outcome: PreventionTask['outcome']): void {
    this.answered.emit({ outcome, amount: this.amount() });
  }
}
