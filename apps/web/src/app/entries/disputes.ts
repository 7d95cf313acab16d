import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Dispute } from '@field-nurse/library';

/** Questions on which growers disagree: both schools with their reasons, our default, and why. */
@Component({
  selector: 'fn-disputes',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    section {
      display: grid;
      gap: 10px;
    }
    article {
      display: grid;
      gap: 6px;
    }
    ul {
      margin-left: 1.1em;
    }
  `,
  template: `
    @if (disputes().length > 0) {
      <section aria-labelledby="disputes">
        <h2 id="disputes">Growers disagree</h2>
        @for (dispute of disputes(); track dispute.id) {
          <article>
            <h3>{{ dispute.question }}</h3>
            <ul>
              @for (school of dispute.schools; track school.view) {
                <li>
                  <b>{{ school.view }}.</b> {{ school.reason }}
                </li>
              }
            </ul>
            <p><b>Our default:</b> {{ dispute.default }} {{ dispute.why }}</p>
          </article>
        }
      </section>
    }
  `,
})
export class Disputes {
  readonly disputes = input.required<readonly Dispute[]>();
}
