import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { scaleLinear } from 'd3';
import { Garden } from '../gardens/garden';
import { dayWord } from '../shared/days';
import type { Compared } from './case-looks';
import { comparisonWord } from './proof-words';

const width = 360;
const methods = {
  'henderson-tilton': 'Henderson–Tilton',
  abbott: 'Abbott',
  'schneider-orelli': 'Schneider-Orelli',
  'sun-shepard': 'Sun–Shepard',
};

/** Two parts side by side: how much less there is, and how sure that is. */
@Component({
  selector: 'fn-part-comparison',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 6px;
    }
    svg {
      width: 100%;
      max-width: 460px;
      overflow: visible;
    }
    .scale,
    .nought {
      stroke: var(--fn-line);
    }
    .nought {
      stroke: var(--fn-ink);
    }
    .range {
      stroke: var(--fn-faint-ink);
      stroke-width: 7;
      stroke-linecap: round;
      opacity: 0.45;
    }
    .less .range,
    .less .point {
      stroke: var(--fn-green);
      fill: var(--fn-green);
      opacity: 1;
    }
    .more .range,
    .more .point {
      stroke: var(--fn-madder);
      fill: var(--fn-madder);
      opacity: 1;
    }
    .less .range,
    .more .range {
      opacity: 0.4;
    }
    .point {
      fill: var(--fn-ink);
    }
    text {
      fill: var(--fn-faint-ink);
      font: 11px var(--fn-text);
    }
  `,
  template: `
    <p>{{ word() }}</p>
    @if (drawn(); as drawn) {
      <svg viewBox="0 0 360 44" role="img" [attr.aria-label]="word()" [class]="drawn.verdict">
        <line class="scale" x1="10" x2="350" y1="16" y2="16" />
        <line class="nought" y1="6" y2="26" [attr.x1]="drawn.nought" [attr.x2]="drawn.nought" />
        @if (drawn.range) {
          <line class="range" y1="16" y2="16" [attr.x1]="drawn.range[0]" [attr.x2]="drawn.range[1]" />
        }
        <circle class="point" r="6" cy="16" [attr.cx]="drawn.point" />
        <text x="10" y="42">more</text>
        <text text-anchor="middle" y="42" [attr.x]="drawn.nought">the same</text>
        <text text-anchor="end" x="350" y="42">all gone</text>
      </svg>
      <p class="fn-small">{{ by() }}</p>
    }
  `,
})
export class PartComparisonView {
  readonly #garden = inject(Garden);
  readonly compared = input.required<Compared>();
  protected readonly word = computed(() => {
    const { treated, other, comparison } = this.compared();
    return comparisonWord(treated.name, other.name, comparison);
  });
  protected readonly drawn = computed(() => {
    const { comparison } = this.compared();
    if (!comparison) return undefined;
    const { percent, interval, verdict } = comparison;
    const x = scaleLinear([-100, 100], [10, width - 10]).clamp(true);
    return { verdict, point: x(percent), nought: x(0), range: interval && ([x(interval[0]), x(interval[1])] as const) };
  });
  protected readonly by = computed(() => {
    const { comparison } = this.compared();
    if (!comparison) return '';
    const day = (on: string) => dayWord(on, this.#garden.today());
    const before = comparison.before ? ` and before it on ${day(comparison.before)}` : '; nothing was counted before';
    return `By counts of ${day(comparison.after)}${before} (${methods[comparison.method]}). The bar holds nineteen in twenty of 10,000 drawn samples.`;
  });
}
