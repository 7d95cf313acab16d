import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, output, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';

const secondMs = 1000;

/** A clock for what has to act so long: it goes by the time of day, so that it is right also after the screen was locked. */
@Component({
  selector: 'fn-contact-timer',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 16px;
      align-items: center;
    }
    .clock {
      font: 650 2.4rem/1 var(--fn-head);
      font-variant-numeric: tabular-nums;
    }
  `,
  template: `
    @if (startedAt()) {
      <span class="clock" role="timer">{{ clock() }}</span>
      <span role="status">{{ isOver() ? 'The time is up.' : word() }}</span>
    } @else {
      <span>{{ word() }}</span>
      <button matButton="outlined" type="button" (click)="started.emit()">Start the clock</button>
    }
  `,
})
export class ContactTimer {
  /** what is waited for */
  readonly word = input.required<string>();
  readonly minutes = input.required<number>();
  /** instant at which it was started; none: it waits to be */
  readonly startedAt = input<string>();
  readonly started = output();
  readonly #now = signal(Date.now());
  readonly #left = computed(() => Date.parse(this.startedAt() ?? '') + this.minutes() * 60 * secondMs - this.#now());
  protected readonly isOver = computed(() => this.#left() <= 0);
  protected readonly clock = computed(() => {
    const seconds = Math.max(0, Math.ceil(this.#left() / secondMs));
    return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
  });

  constructor() {
    const ticking = setInterval(() => this.#now.set(Date.now()), secondMs);
    inject(DestroyRef).onDestroy(() => clearInterval(ticking));
    let wasRunning = false;
    effect(() => {
      const isRunning = this.startedAt() !== undefined && !this.isOver();
      // A phone in the pocket says so when the time is up.
      if (wasRunning && !isRunning) navigator.vibrate?.([400, 200, 400]);
      wasRunning = isRunning;
    });
  }
}
