import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { NgTemplateOutlet } from '@angular/common';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { DrillKind } from '@field-nurse/library/drill';
import { drillKinds, gradeOf } from '@field-nurse/library/drill';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { ChoiceQuestionView } from './choice-question-view';
import { CountQuestionView } from './count-question-view';
import { DrillSitting, sittingSeconds } from './drill-sitting';
import { drillWords } from './drill-words';
import { LooksQuestionView } from './looks-question-view';
import { PercentQuestionView } from './percent-question-view';

/** Three minutes of drills, one question at a time. */
@Component({
  selector: 'fn-sitting-page',
  imports: [ChoiceQuestionView, CountQuestionView, LooksQuestionView, MatButtonModule, NgTemplateOutlet, PercentQuestionView, RouterLink],
  providers: [DrillSitting],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './sitting-page.scss',
  templateUrl: './sitting-page.html',
})
export class SittingPage {
  protected readonly garden = inject(Garden);
  protected readonly sitting = inject(DrillSitting);
  protected readonly library = inject(Library);
  /** one kind alone */
  readonly kind = input<string>();

  protected readonly wanted = computed(() => drillKinds.find((one) => one === this.kind()));
  protected readonly title = computed(() => (this.wanted() ? drillWords[this.wanted()!].name : 'Three minutes'));
  /** Stages and what tells look-alikes apart come with the second part of the library. */
  protected readonly isReady = computed(() => !!this.library.index());
  protected readonly gone = computed(() => Math.min(100, (100 * this.sitting.seconds()) / sittingSeconds));
  protected readonly clock = computed(() => {
    const left = Math.ceil(this.sitting.left());
    return left === 0 ? 'Time is up: this one is the last.' : `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')} left`;
  });
  /** What was answered, by kind: how many, and how many well. */
  protected readonly summary = computed(() => {
    const answers = this.sitting.answers();
    return [...new Set(answers.map(({ kind }) => kind))].map((kind) => {
      const own = answers.filter((one) => one.kind === kind);
      return { name: drillWords[kind].name, asked: own.length, well: own.filter((one) => ['good', 'easy'].includes(gradeOf(one))).length };
    });
  });

  constructor() {
    effect(() => {
      const kind: DrillKind | undefined = this.wanted();
      if (this.isReady()) untracked(() => this.sitting.begin(kind));
    });
  }

  /** What was said of a question, in the shape that its view takes. */
  protected readonly number = computed(() => {
    const told = this.sitting.told();
    return told && typeof told.guess === 'number' ? { guess: told.guess } : null;
  });
  protected readonly choice = computed(() => {
    const told = this.sitting.told();
    return told && typeof told.guess === 'string' && typeof told.truth === 'string' ? { truth: told.truth, guess: told.guess } : null;
  });
}
