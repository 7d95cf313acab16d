import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Shapes } from '../drawing/shapes';
import { drawFreshOrOld } from '../drawing/fresh-or-old';
import { drawSign } from '../drawing/draw-sign';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';
import { StageList } from '../entries/stage-list';
import type { FreshQuestion, StageQuestion } from './drill-question';
import { stageAnswers } from './drill-words';

/** A drawing, and a few answers of which one is right: which stage it is, or whether it is fresh. */
@Component({
  selector: 'fn-choice-question',
  imports: [EntryLink, MatButtonModule, Shapes, StageList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './question.scss',
  template: `
    <div class="question">
      <fn-shapes class="picture" [shapes]="shapes()" [label]="label()" />
      <div class="answer">
        <h2>{{ ask() }}</h2>
        @if (told(); as said) {
          <p class="verdict">
            @if (said.guess === said.truth) {
              Right: <b>{{ wordOf(said.truth) }}</b>.
            } @else {
              It is <b>{{ wordOf(said.truth) }}</b>. You said {{ wordOf(said.guess) }}.
            }
          </p>
          @if (fresh(); as fresh) {
            <p><b>Fresh:</b> {{ fresh.sign.fresh }}</p>
            <p><b>Old:</b> {{ fresh.sign.old }}</p>
          } @else if (condition(); as condition) {
            <p><fn-entry-link kind="conditions" [entry]="condition.id" /> from its beginning:</p>
            <fn-stage-list [stages]="condition.stages" />
          }
          <ng-content />
        } @else {
          <div class="choices">
            @for (choice of choices(); track choice) {
              <button mat-stroked-button type="button" (click)="said.emit(choice)">{{ sentence(wordOf(choice)) }}</button>
            }
          </div>
        }
      </div>
    </div>
  `,
})
export class ChoiceQuestionView {
  readonly #library = inject(Library);
  readonly question = input.required<StageQuestion | FreshQuestion>();
  readonly told = input<{ readonly truth: string; readonly guess: string } | null>(null);
  readonly said = output<string>();

  protected readonly fresh = computed(() => {
    const question = this.question();
    return question.kind === 'fresh' ? question : undefined;
  });
  protected readonly condition = computed(() => {
    const question = this.question();
    return question.kind === 'stage' ? this.#library.conditions().get(question.condition) : undefined;
  });
  protected readonly shapes = computed(() => {
    const question = this.question();
    return question.kind === 'fresh'
      ? drawFreshOrOld(question.sign.id, question.isFresh, question.leaf, question.seed)
      : drawSign({ organ: 'creature', mark: question.mark });
  });
  protected readonly label = computed(() => this.fresh()?.sign.name ?? 'An animal at one stage of its life');
  protected readonly ask = computed(() => {
    const fresh = this.fresh();
    return fresh ? `${fresh.sign.name}: fresh or old?` : 'Which stage is this?';
  });
  protected readonly choices = computed(() => (this.fresh() ? ['fresh', 'old'] : Object.keys(stageAnswers)));
  protected readonly wordOf = (answer: string) => stageAnswers[answer] ?? answer;
  protected readonly sentence = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);
}
