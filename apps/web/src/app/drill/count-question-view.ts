import { ChangeDetectionStrategy, Component, DestroyRef, effect, inject, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { CrawlerPicture } from './crawler-picture';
import type { CountQuestion } from './drill-question';

/** How long the animals are seen. */
const seenMs = 3000;

/** Animals that are seen for three seconds and then counted from memory. */
@Component({
  selector: 'fn-count-question',
  imports: [CrawlerPicture, MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrls: ['./question.scss', './said-form.scss'],
  template: `
    <div class="question">
      <fn-crawler-picture
        class="picture"
        [blades]="question().blades"
        [crawlers]="question().crawlers"
        [mark]="question().mark"
        [shown]="phase() === 'seen' || told() !== null"
        [label]="label()"
      />
      <div class="answer">
        <h2>How many {{ question().name }}?</h2>
        @if (told(); as said) {
          <p class="verdict">
            There are <b>{{ question().truth }}</b>. You said {{ said.guess }}{{ difference(said.guess) }}.
          </p>
          <ng-content />
        } @else {
          @switch (phase()) {
            @case ('ready') {
              <p>They stand for three seconds. Estimate them as you would under a leaf: in clumps of five or ten.</p>
              <button mat-flat-button type="button" (click)="show()">Show them</button>
            }
            @case ('seen') {
              <p role="status">Look.</p>
            }
            @default {
              <form (submit)="$event.preventDefault(); say(typed.value)" novalidate>
                <label
                  >How many were there?
                  <span class="number"><input #typed class="fn-choice" type="text" inputmode="numeric" autocomplete="off" /></span>
                </label>
                @if (fault()) {
                  <p role="alert">{{ fault() }}</p>
                }
                <button mat-flat-button type="submit">Say so</button>
              </form>
            }
          }
        }
      </div>
    </div>
  `,
})
export class CountQuestionView {
  readonly question = input.required<CountQuestion>();
  readonly told = input<{ readonly guess: number } | null>(null);
  readonly said = output<number>();
  protected readonly phase = signal<'ready' | 'seen' | 'gone'>('ready');
  protected readonly fault = signal('');
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor() {
    inject(DestroyRef).onDestroy(() => clearTimeout(this.#timer));
    effect(() => {
      this.question();
      clearTimeout(this.#timer);
      this.phase.set('ready');
      this.fault.set('');
    });
  }

  protected label(): string {
    return this.phase() === 'seen' ? `A leaf with ${this.question().name} on it` : 'A leaf';
  }

  protected show(): void {
    this.phase.set('seen');
    this.#timer = setTimeout(() => this.phase.set('gone'), seenMs);
  }

  protected say(typed: string): void {
    const count = Number(typed);
    if (typed.trim() === '' || !Number.isInteger(count) || count < 0 || count > 100_000)
      return this.fault.set('A whole number, from 0 upward.');
    this.said.emit(count);
  }

  protected difference(guess: number): string {
    const { truth } = this.question();
    if (guess === truth) return ': right';
    const times = guess / truth;
    return Math.abs(times - 1) < 0.1
      ? ': nearly'
      : guess > truth
        ? `: ${times.toFixed(1)} times as many`
        : `: ${Math.round(100 * times)} % of them`;
  }
}
