import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatRadioModule } from '@angular/material/radio';
import { MatSliderModule } from '@angular/material/slider';
import type { Assessment, Written } from '@field-nurse/contract';
import { addDays } from '@field-nurse/core/timing';
import type { Host, Sign } from '@field-nurse/library';
import { Drawing } from '../drawing/drawing';
import { Garden } from '../gardens/garden';
import { DayField } from '../gardens/day-field';
import { fromToday } from '../shared/days';
import { growthWords } from '../shared/words';

export type LookValue = Omit<Written<'assessments'>, 'caseId' | 'plantingId'>;

/** One recovery look: how much of the plant is marked, how many are counted, how the new growth is, and when to look again. */
@Component({
  selector: 'fn-assessment-form',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatRadioModule, MatSliderModule, Drawing, DayField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './look-form.scss',
  template: `
    <form (submit)="$event.preventDefault(); save()" novalidate>
      <div class="severity">
        <fn-drawing
          [organ]="sign()?.drawing?.organ ?? 'leaf'"
          [mark]="sign()?.drawing?.mark ?? ''"
          [leaf]="host()?.leaf ?? 'ovate'"
          [severity]="severity() / 100"
        />
        <div class="how">
          <p id="severity">
            Severity: <b>{{ severity() }} %</b> of the plant
          </p>
          <mat-slider min="0" max="100" step="1" discrete>
            <input matSliderThumb aria-labelledby="severity" [value]="severity()" (valueChange)="severity.set($event)" />
          </mat-slider>
          <p class="fn-small">Eyes rate it too high: half of what it looks like is often nearer.</p>
        </div>
      </div>
      <div class="fields">
        <mat-form-field>
          <mat-label>Count (if you count)</mat-label>
          <input matInput #counted type="number" min="0" step="1" [value]="count()" (input)="count.set(counted.value)" />
          <mat-hint>{{ countFault() }}</mat-hint>
        </mat-form-field>
        <fn-day-field
          label="Looked on"
          [required]="true"
          [value]="assessedOn() || null"
          [max]="garden.today()"
          (valueChange)="assessedOn.set($event ?? '')"
        />
      </div>
      <p class="growth" id="growth">New growth</p>
      <mat-radio-group aria-labelledby="growth" [value]="newGrowth()" (change)="newGrowth.set($event.value)">
        @for (growth of growths; track growth[0]) {
          <mat-radio-button [value]="growth[0]">{{ growth[1] }}</mat-radio-button>
        }
      </mat-radio-group>
      <div class="fields">
        <fn-day-field
          label="Look again on"
          [value]="nextAssessmentOn() || null"
          [min]="assessedOn()"
          [hint]="nextAssessmentOn() ? proposal() : 'no look planned'"
          (valueChange)="nextAssessmentOn.set($event ?? '')"
        />
        <mat-form-field>
          <mat-label>Note</mat-label>
          <input matInput #noted maxlength="4000" [value]="note()" (input)="note.set(noted.value)" autocomplete="off" />
        </mat-form-field>
      </div>
      <div class="fn-actions">
        <button matButton="filled" [disabled]="busy() || countFault() !== ''">{{ look() ? 'Save the look' : 'Log this look' }}</button>
        @if (look()) {
          <button matButton type="button" (click)="left.emit()">Leave it</button>
        }
      </div>
    </form>
  `,
})
export class AssessmentForm {
  protected readonly garden = inject(Garden);
  readonly host = input<Host>();
  /** the sign that is drawn as bad as the slider says */
  readonly sign = input<Sign>();
  /** a look to correct; none for a new one */
  readonly look = input<Assessment>();
  /** severity of the look before */
  readonly before = input<number>();
  /** days to the next look from this state of the plant */
  readonly nextIn = input.required<(look: Pick<LookValue, 'severity' | 'count' | 'newGrowth' | 'assessedOn'>) => number>();
  readonly busy = input(false);
  readonly saved = output<LookValue>();
  readonly left = output();
  protected readonly growths = Object.entries(growthWords);

  protected readonly severity = linkedSignal(() => this.look()?.severity ?? this.before() ?? 0);
  protected readonly count = linkedSignal(() => String(this.look()?.count ?? ''));
  protected readonly assessedOn = linkedSignal(() => this.look()?.assessedOn ?? this.garden.today());
  protected readonly newGrowth = linkedSignal<Assessment['newGrowth']>(() => this.look()?.newGrowth ?? 'unknown');
  protected readonly note = linkedSignal(() => this.look()?.note ?? '');
  readonly #proposed = computed(() => addDays(this.assessedOn() || this.garden.today(), this.nextIn()(this.#state())));
  protected readonly nextAssessmentOn = linkedSignal(() => (this.look() ? (this.look()!.nextAssessmentOn ?? '') : this.#proposed()));
  protected readonly proposal = computed(() => `${fromToday(this.nextAssessmentOn(), this.garden.today())}`);

  readonly #counted = computed(() => (this.count() === '' ? null : Number(this.count())));
  protected readonly countFault = computed(() => {
    const count = this.#counted();
    return count === null || (Number.isInteger(count) && count >= 0 && count <= 1_000_000) ? '' : 'A whole number from 0, or empty.';
  });

  #state(): Pick<LookValue, 'severity' | 'count' | 'newGrowth' | 'assessedOn'> {
    return { severity: this.severity(), count: this.#counted(), newGrowth: this.newGrowth(), assessedOn: this.assessedOn() };
  }

  protected save(): void {
    // The day's own field says what is wrong with it.
    if (this.countFault() !== '' || !this.assessedOn() || this.busy()) return;
    this.saved.emit({ ...this.#state(), nextAssessmentOn: this.nextAssessmentOn() || null, note: this.note().trim() });
  }
}
