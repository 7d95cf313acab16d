import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { plantsFollowed } from './case-looks';

const [step, radius] = [22, 8];
const mostAcross = 24;

/** Single plants that are followed, where they stand in their rows, and which of them lag behind. */
@Component({
  selector: 'fn-plants-followed',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 10px;
    }
    svg {
      max-width: 100%;
      max-height: 220px;
    }
    circle {
      fill: var(--fn-raised);
      stroke: var(--fn-line);
    }
    .followed {
      fill: var(--fn-green-wash);
      stroke: var(--fn-green);
      stroke-width: 2;
    }
    .lags {
      fill: var(--fn-madder);
      stroke: var(--fn-madder);
    }
    text {
      fill: var(--fn-faint-ink);
      font: 10px var(--fn-text);
    }
    ul {
      list-style: none;
    }
  `,
  template: `
    @if (drawn(); as drawn) {
      <svg
        [attr.viewBox]="'0 0 ' + drawn.width + ' ' + drawn.height"
        [attr.width]="drawn.width"
        role="img"
        aria-label="Where the plants stand"
      >
        @for (plant of drawn.plants; track plant.number) {
          <circle r="8" [attr.cx]="plant.x" [attr.cy]="plant.y" [class.followed]="plant.isFollowed" [class.lags]="plant.lags">
            <title>plant {{ plant.number }}</title>
          </circle>
        }
      </svg>
    }
    <ul>
      @for (one of plants(); track one.plant) {
        <li>
          <b>Plant {{ one.plant }}</b>
          {{ one.looks > 1 ? one.first + ' % at first, ' + one.last + ' % now' : one.last + ' %' }}
          @if (one.lags) {
            <b>lags behind</b>
          }
        </li>
      }
    </ul>
    @if (hasLagging()) {
      <p class="fn-small">
        Plants that lag often stand drier, deeper or in shade, or were missed by the spray. Go on caring for them, and look there first.
      </p>
    }
  `,
})
export class PlantsFollowed {
  readonly plants = input.required<ReturnType<typeof plantsFollowed>>();
  readonly of = input.required<number>();
  readonly rows = input.required<number>();
  protected readonly hasLagging = computed(() => this.plants().some(({ lags }) => lags));
  /** the planting from above; one of very many plants is not drawn */
  protected readonly drawn = computed(() => {
    const across = Math.ceil(this.of() / this.rows());
    if (across > mostAcross || this.rows() > mostAcross) return undefined;
    const known = new Map(this.plants().map((one) => [one.plant, one]));
    return {
      width: across * step,
      height: this.rows() * step,
      plants: Array.from({ length: this.of() }, (_, i) => ({
        number: i + 1,
        x: (i % across) * step + radius + 3,
        y: Math.floor(i / across) * step + radius + 3,
        isFollowed: known.has(i + 1),
        lags: known.get(i + 1)?.lags ?? false,
      })),
    };
  });
}
