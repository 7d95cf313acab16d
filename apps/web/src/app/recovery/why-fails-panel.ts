import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { whyItFails } from '@field-nurse/core/recovery';
import type { FailureFacts } from '@field-nurse/core/recovery';
import { Garden } from '../gardens/garden';
import { failureWords } from './proof-words';

// The rest is seldom to blame.
const shown = 4;

/** It does not get better: why not, the likeliest first, each with the look that would tell. */
@Component({
  selector: 'fn-why-fails-panel',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host,
    ol {
      display: grid;
      gap: 10px;
    }
    ol {
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 64px minmax(0, 1fr);
      gap: 2px 12px;
    }
    .bar {
      align-self: start;
      height: 10px;
      margin-top: 7px;
      background: var(--fn-line);
    }
    .bar span {
      display: block;
      height: 100%;
      background: var(--fn-ochre);
    }
  `,
  template: `
    <ol>
      @for (one of causes(); track one.cause) {
        <li>
          <span class="bar" role="img" [attr.aria-label]="one.percent + ' in 100'"><span [style.width.%]="one.percent"></span></span>
          <span>
            <b>{{ words[one.cause].word }}</b><span class="fn-small">&ngsp;{{ one.percent }} in 100</span><br />
            {{ words[one.cause].look }}
          </span>
        </li>
      }
    </ol>
    <div class="fn-actions">
      <a [routerLink]="['/g', garden.summary().id, 'cases', case()]">Look at the case again</a>
      <a [routerLink]="['/g', garden.summary().id, 'cases', case(), 'options']">Choose anew</a>
    </div>
    <p class="fn-small">Ranked by what is at hand; how often each is to blame is our estimate.</p>
  `,
})
export class WhyFailsPanel {
  protected readonly garden = inject(Garden);
  readonly case = input.required<string>();
  readonly facts = input.required<FailureFacts>();
  protected readonly words = failureWords;
  protected readonly causes = computed(() =>
    whyItFails(this.facts())
      .slice(0, shown)
      .map(({ cause, share }) => ({ cause, percent: Math.round(100 * share) })),
  );
}
