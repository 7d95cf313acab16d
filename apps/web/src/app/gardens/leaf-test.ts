import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { ApiError } from '../api/api-error';
import { dayWord } from '../shared/days';
import { Garden } from './garden';
import { TestLeaves } from './test-leaves';

/** A test of one treatment on a few leaves of one planting: where it stands, and what can be said to it. */
@Component({
  selector: 'fn-leaf-test',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (words(); as line) {
      <p [class.fn-care]="isMarked()">{{ line }}</p>
    }
    @if (garden.canWrite()) {
      <div class="fn-actions fn-no-print">
        @if (test()?.outcome === 'waiting') {
          <button matButton="outlined" type="button" (click)="trying(tests.answer(test()!, 'clean'))">Unmarked</button>
          <button matButton="outlined" type="button" (click)="trying(tests.answer(test()!, 'marked'))">Spotted or burnt</button>
        } @else if (isMarked()) {
          <button matButton type="button" (click)="trying(tests.answer(test()!, 'clean'))">It was something else</button>
        } @else if (!test()) {
          <button matButton="outlined" type="button" (click)="trying(begin())">I sprayed a few leaves now</button>
        }
      </div>
    }
    @if (refusal(); as line) {
      <p class="fn-stop" role="alert">{{ line }}</p>
    }
  `,
})
export class LeafTest {
  protected readonly garden = inject(Garden);
  protected readonly tests = inject(TestLeaves);
  readonly planting = input.required<string>();
  readonly intervention = input.required<string>();
  readonly case = input<string | null>(null);
  readonly product = input<string | null>(null);
  protected readonly refusal = signal('');
  protected readonly test = computed(() => this.tests.of(this.planting(), this.intervention()));
  protected readonly isMarked = computed(() => this.test()?.outcome === 'marked');
  protected readonly words = computed(() => {
    const [test, today] = [this.test(), this.garden.today()];
    if (!test) return 'Wet three leaves, an old one, a young one and one between, mark them, and look after two days.';
    const sprayed = dayWord(test.sprayedOn, today);
    if (test.outcome === 'clean') return `Tried on ${sprayed}: the leaves stayed unmarked.`;
    if (test.outcome === 'marked') return `Tried on ${sprayed}: it marked the leaves.`;
    return test.lookOn <= today
      ? `Tried on ${sprayed}. How are the leaves?`
      : `Tried on ${sprayed}: look on ${dayWord(test.lookOn, today)}.`;
  });

  protected begin(): Promise<void> {
    return this.tests.begin({
      plantingId: this.planting(),
      caseId: this.case(),
      intervention: this.intervention(),
      productId: this.product(),
    });
  }

  protected async trying(work: Promise<void>): Promise<void> {
    this.refusal.set('');
    await work.catch((error: unknown) => this.refusal.set(ApiError.from(error).message));
  }
}
