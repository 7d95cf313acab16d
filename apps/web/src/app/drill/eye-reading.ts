import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { fewestGuesses } from '@field-nurse/core/drill';
import { Garden } from '../gardens/garden';
import { MyEye } from './my-eye';

// Less than this is not worth a tap.
const leastPoints = 2;

/** What the grower's own drills say of a severity that was just said, to be taken over or left. */
@Component({
  selector: 'fn-eye-reading',
  imports: [MatButtonModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    div {
      display: flex;
      flex-wrap: wrap;
      gap: 2px 10px;
      align-items: center;
    }
    p {
      font-size: 0.9rem;
    }
  `,
  template: `
    <div aria-live="polite">
      @if (corrected() !== null) {
        <p>Corrected by your drills from {{ corrected() }} %.</p>
        <button mat-button type="button" (click)="back()">Back to {{ corrected() }} %</button>
      } @else if (reading(); as reading) {
        <p>
          When you say {{ said() }} %, your drills say it is mostly <b>{{ reading.percent }} %</b> ({{ reading.low }} to
          {{ reading.high }}).
        </p>
        <button mat-stroked-button type="button" (click)="take(reading.percent)">Use {{ reading.percent }} %</button>
      } @else if (!eye()) {
        <p class="fn-small">
          Eyes rate it too high: half of what it looks like is often nearer.
          <a [routerLink]="['/g', garden.summary().id, 'drills']">Try yours</a>: {{ fewest }} drilled leaves, and what you say is put right
          here.
        </p>
      }
    </div>
  `,
})
export class EyeReading {
  protected readonly garden = inject(Garden);
  readonly #mine = inject(MyEye);
  /** percent, as the form has it */
  readonly said = input.required<number>();
  /** of what it is a share: a stand has an eye of its own */
  readonly scale = input<'plant' | 'leaf' | 'stand'>('leaf');
  readonly taken = output<number>();
  protected readonly fewest = fewestGuesses;

  protected readonly eye = computed(() => (this.scale() === 'stand' ? this.#mine.standEye() : this.#mine.leafEye()));
  /** What was said before it was corrected; nothing once another number is said. */
  readonly #before = linkedSignal<number, { readonly from: number; readonly to: number } | null>({
    source: this.said,
    computation: (said, previous) => (previous?.value?.to === said ? previous.value : null),
  });
  protected readonly corrected = computed(() => this.#before()?.from ?? null);
  protected readonly reading = computed(() => {
    const [eye, said] = [this.eye(), this.said()];
    if (!eye || said <= 0) return null;
    const { percent, low, high, isTold } = eye.corrected(said);
    if (!isTold || Math.abs(percent - said) < leastPoints) return null;
    return { percent: Math.round(percent), low: Math.round(low), high: Math.round(high) };
  });

  protected take(percent: number): void {
    this.#before.set({ from: this.said(), to: percent });
    this.taken.emit(percent);
  }

  protected back(): void {
    const from = this.corrected()!;
    this.#before.set(null);
    this.taken.emit(from);
  }
}
