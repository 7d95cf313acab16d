import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

const bodyTop = 26;
const bodyHeight = 66;

/** A sprayer drawn to its fill level. */
@Component({
  selector: 'fn-sprayer',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: block;
      width: 62px;
    }
    .water {
      fill: var(--fn-water);
      opacity: 0.55;
    }
    .line {
      fill: none;
      stroke: var(--fn-ink);
      stroke-width: 2;
      stroke-linejoin: round;
      stroke-linecap: round;
    }
    .tick {
      stroke: var(--fn-ink);
      stroke-width: 1;
    }
  `,
  template: `
    <svg viewBox="0 0 72 100" role="img" [attr.aria-label]="label()">
      <clipPath [attr.id]="clip"><path [attr.d]="body" /></clipPath>
      <rect class="water" x="0" width="72" [attr.y]="waterTop()" height="100" [attr.clip-path]="'url(#' + clip + ')'" />
      @for (y of ticks; track y) {
        <line class="tick" x1="12" x2="18" [attr.y1]="y" [attr.y2]="y" />
      }
      <path class="line" [attr.d]="body" />
      <path class="line" d="M24 26 V18 H40 V26 M32 18 V8 M24 8 H40 M50 40 C64 36 60 14 66 8 M62 5 L70 10" />
    </svg>
  `,
})
export class Sprayer {
  static #count = 0;
  /** share of the sprayer that is full, 0 to 1 */
  readonly full = input.required<number>();
  readonly label = input.required<string>();
  protected readonly clip = `fn-sprayer-${Sprayer.#count++}`;
  protected readonly body = 'M18 26 H46 Q52 26 52 34 V86 Q52 92 46 92 H18 Q12 92 12 86 V34 Q12 26 18 26 Z';
  protected readonly ticks = [0.25, 0.5, 0.75].map((share) => bodyTop + bodyHeight * (1 - share));
  protected readonly waterTop = computed(() => bodyTop + bodyHeight * (1 - this.full()));
}
