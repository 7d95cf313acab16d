import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { verdictWords } from '../shared/words';

/** Fits: a full round. With care: half a round. Ruled out: a crossed one. */
@Component({
  selector: 'fn-verdict-mark',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: inline-flex;
      gap: 7px;
      align-items: center;
      white-space: nowrap;
      font-size: 0.9rem;
      font-weight: 600;
    }
    svg {
      width: 18px;
      height: 18px;
    }
    path {
      fill: none;
      stroke: var(--fn-ink);
      stroke-width: 1.7;
    }
    .fits .fill {
      fill: var(--fn-green);
      stroke: var(--fn-green);
    }
    .care .half {
      fill: var(--fn-ochre);
      stroke: none;
    }
    .ruled-out path {
      stroke: var(--fn-madder);
    }
  `,
  template: `
    <svg viewBox="0 0 18 18" aria-hidden="true" [class]="verdict()">
      <path class="fill" d="M2 9a7 7 0 1 0 14 0a7 7 0 1 0 -14 0" />
      @if (verdict() === 'care') {
        <path class="half" d="M2 9a7 7 0 0 0 14 0z" />
      }
      @if (verdict() === 'ruled-out') {
        <path d="M4 14 L14 4" />
      }
    </svg>
    <span>{{ words[verdict()] }}</span>
  `,
})
export class VerdictMark {
  readonly verdict = input.required<string>();
  protected readonly words = verdictWords;
}
