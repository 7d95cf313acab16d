import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { Garden } from '../gardens/garden';
import { instantWord } from '../shared/days';

/** How long a planting is closed and not picked. */
export interface Wait {
  readonly name: string;
  readonly keepOut: string;
  /** empty where it may be picked */
  readonly notPicked: string;
}

/** The notice for the bed: what was done, until when to keep out, from when on it may be picked; to print, or to copy by hand. */
@Component({
  selector: 'fn-job-notice',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .notice {
      display: grid;
      gap: 10px;
      padding: 20px;
      border: 4px solid var(--fn-madder);
      background: var(--fn-raised);
    }
    h3 {
      margin: 0;
      color: var(--fn-madder);
      font: 700 1.9rem/1.1 var(--fn-head);
    }
    p {
      margin: 0;
    }
    .bed {
      padding-top: 8px;
      border-top: 1px solid var(--fn-line);
      font-size: 1.15rem;
    }
  `,
  template: `
    <div class="notice">
      <h3>Keep out</h3>
      <p>{{ name() }}, {{ at() }}{{ by() ? ', ' + by() : '' }}.</p>
      @for (wait of waits(); track wait.name) {
        <div class="bed">
          <p>
            <b>{{ wait.name }}</b>
          </p>
          <p>Keep out until {{ wait.keepOut }}.</p>
          @if (wait.notPicked) {
            <p>Not to be picked before {{ wait.notPicked }}.</p>
          }
        </div>
      }
      <p class="fn-small">{{ garden.summary().name }}. The label of the product decides.</p>
    </div>
    <div class="fn-actions fn-no-print"><button matButton="outlined" type="button" (click)="print()">Print it</button></div>
  `,
})
export class JobNotice {
  protected readonly garden = inject(Garden);
  readonly name = input.required<string>();
  readonly waits = input.required<readonly Wait[]>();
  readonly by = input.required<string>();
  /** instant at which it was done */
  readonly on = input.required<string>();
  protected readonly at = computed(() => instantWord(this.on(), this.garden.summary().timeZone));

  protected print(): void {
    window.print();
  }
}
