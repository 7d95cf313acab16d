import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButtonToggleModule } from '@angular/material/button-toggle';
import { MatCheckboxModule } from '@angular/material/checkbox';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import type { Case, Written } from '@field-nurse/contract';
import { questionText } from '@field-nurse/library/texts';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { fromField, measures, toField } from '../shared/units';
import { hidingWords, stanceWords } from '../shared/words';
import { isAsked, TodaysFacts } from '../cases/todays-facts';
import { TodaysWeather } from '../cases/todays-weather';

export type CaseFacts = Pick<Written<'cases'>, 'stage' | 'hidden' | 'helpersSeen' | 'stance' | 'schools'>;

/** What the options depend on today: the stage of the trouble, where it hides, helpers, and the weather. */
@Component({
  selector: 'fn-about-today',
  imports: [MatButtonToggleModule, MatCheckboxModule, MatFormFieldModule, MatInputModule, MatSelectModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .grid {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(min(100%, 132px), 1fr));
      gap: 8px;
    }
    mat-form-field {
      min-width: 0;
    }
    .question {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 12px;
      align-items: center;
      justify-content: space-between;
    }
    mat-checkbox {
      display: block;
      margin-top: 8px;
    }
  `,
  template: `
    @for (question of yesNo(); track question.fact) {
      <div class="question">
        <span [id]="question.fact">{{ question.text }}</span>
        <mat-button-toggle-group
          [attr.aria-labelledby]="question.fact"
          hideSingleSelectionIndicator
          [value]="question.answer"
          (change)="facts.answer(case().plantingId, question.fact, $event.value)"
        >
          <mat-button-toggle [value]="true">Yes</mat-button-toggle>
          <mat-button-toggle [value]="false">No</mat-button-toggle>
        </mat-button-toggle-group>
      </div>
    }
    @if (others(); as line) {
      <p class="fn-small">It would change what is open to know: {{ line }}</p>
    }
    <div class="grid">
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Stage now</mat-label>
        <mat-select [value]="case().stage" (selectionChange)="changed.emit({ stage: $event.value })">
          <mat-option [value]="null">not known</mat-option>
          @for (stage of stages(); track stage.id) {
            <mat-option [value]="stage.id" [title]="stage.does">{{ stage.word }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Hidden</mat-label>
        <mat-select [value]="case().hidden" (selectionChange)="changed.emit({ hidden: $event.value })">
          <mat-option [value]="null">in the open</mat-option>
          @for (one of hidings; track one[0]) {
            <mat-option [value]="one[0]">{{ one[1] }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-form-field subscriptSizing="dynamic">
        <mat-label>Stance here</mat-label>
        <mat-select [value]="case().stance" (selectionChange)="changed.emit({ stance: $event.value })">
          <mat-option [value]="null">as the garden</mat-option>
          @for (one of stances; track one[0]) {
            <mat-option [value]="one[0]" [title]="one[1].means">{{ one[1].word }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      @for (field of fields(); track field.name) {
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>{{ field.label }}</mat-label>
          <input matInput #value type="number" step="any" [value]="field.value ?? ''" (change)="say(field, value)" />
        </mat-form-field>
      }
    </div>
    <mat-checkbox [checked]="case().helpersSeen" (change)="changed.emit({ helpersSeen: $event.checked })"
      >Helpers seen at work (ladybirds, hoverfly larvae, mummies, predators)</mat-checkbox
    >
  `,
})
export class AboutToday {
  readonly #library = inject(Library);
  readonly #weather = inject(TodaysWeather);
  readonly #system = inject(Garden).summary().units;
  readonly case = input.required<Case>();
  readonly setting = input.required<string | undefined>();
  readonly conditions = input.required<readonly string[]>();
  /** what would change a verdict if it were known */
  readonly questions = input<readonly { readonly fact: string; readonly text: string }[]>([]);
  readonly changed = output<Partial<CaseFacts>>();
  protected readonly facts = inject(TodaysFacts);
  /** questions of yes and no: those that are open, and those that were answered today */
  protected readonly yesNo = computed(() => {
    const answers = this.facts.answersOf(this.case().plantingId);
    const open = this.questions().flatMap(({ fact, text }) => (isAsked(fact) ? [{ fact, text }] : []));
    const answered = Object.keys(answers)
      .filter(isAsked)
      .filter((fact) => !open.some((one) => one.fact === fact))
      .map((fact) => ({ fact, text: questionText(fact) }));
    return [...open, ...answered].map((one) => ({ ...one, answer: answers[one.fact] ?? null }));
  });
  /** the other questions, which have fields */
  protected readonly others = computed(() =>
    this.questions()
      .flatMap(({ fact, text }) => (isAsked(fact) ? [] : [text]))
      .join(' '),
  );
  protected readonly stances = Object.entries(stanceWords);
  protected readonly hidings = Object.entries(hidingWords);

  protected readonly stages = computed(() => [
    ...new Map(
      this.conditions()
        .flatMap((id) => this.#library.conditions().get(id)?.stages ?? [])
        .map((stage) => [stage.id, { ...stage, word: stage.id.replaceAll('-', ' ') }]),
    ).values(),
  ]);

  protected readonly fields = computed(() => {
    const said = this.#weather.said(this.setting());
    const { temperature, wind } = measures;
    const unit = temperature[this.#system].unit;
    return [
      {
        name: 'temperatureC',
        measure: 'temperature',
        label: `Now, ${unit}`,
        low: -40,
        high: 60,
        value: toField('temperature', said.temperatureC, this.#system),
      },
      {
        name: 'warmestC',
        measure: 'temperature',
        label: `Warmest, ${unit}`,
        low: -40,
        high: 60,
        value: toField('temperature', said.warmestC, this.#system),
      },
      {
        name: 'windKmh',
        measure: 'wind',
        label: `Wind, ${wind[this.#system].unit}`,
        low: 0,
        high: 200,
        value: toField('wind', said.windKmh, this.#system),
      },
      { name: 'rainInHours', measure: null, label: 'Rain in, hours', low: 0, high: 240, value: said.rainInHours },
      { name: 'daysToFrost', measure: null, label: 'Frost in, days', low: 0, high: 400, value: said.daysToFrost },
    ] as const;
  });

  /** An empty field says nothing; a value that can't be is brought to the nearest that can. */
  protected say(field: ReturnType<typeof this.fields>[number], input: HTMLInputElement): void {
    const typed = input.value === '' ? null : Number(input.value);
    const si = field.measure ? fromField(field.measure, typed, this.#system) : typed;
    const held = si === null ? null : Math.min(field.high, Math.max(field.low, si));
    this.#weather.set(field.name, held);
    if (held !== si) input.value = String((field.measure ? toField(field.measure, held, this.#system) : held) ?? '');
  }
}
