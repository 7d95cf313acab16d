import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { extent, line, max, scaleLinear } from 'd3';
import { Axis } from '../shared/axis';
import { MeasuredWidth } from '../shared/measured-width';
import { rungWords } from '../shared/words';
import type { JudgedIntervention } from './ladder';
import { apart, tradeOffPoints } from './trade-off-points';
import type { Cost } from './trade-off-points';

const height = 250;
const edge = { left: 40, right: 16, top: 14, bottom: 38 };
const radius = 10;
/** minutes from which work is told in hours */
const longWork = 90;
/** rows of the table that are shown at first */
const firstRows = 8;

/** What each option is expected to lose against the work or the money that it takes; the same as a table beside it. */
@Component({
  selector: 'fn-trade-off',
  imports: [MatButtonModule, Axis, MeasuredWidth],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './trade-off.scss',
  template: `
    <div class="by" role="group" aria-label="Against">
      <button type="button" [attr.aria-pressed]="by() === 'minutes'" (click)="by.set('minutes')">Work</button>
      <button type="button" [attr.aria-pressed]="by() === 'money'" (click)="by.set('money')">Money</button>
    </div>
    <div fnMeasuredWidth (fnMeasuredWidth)="width.set($event)">
      <svg [attr.width]="width()" [attr.height]="height" role="img" [attr.aria-label]="label()">
        <g
          [fnAxis]="y()"
          side="left"
          [ticks]="4"
          [lines]="width() - edge.left - edge.right"
          [attr.transform]="'translate(' + edge.left + ' 0)'"
        ></g>
        <g [fnAxis]="x()" side="bottom" [ticks]="4" [word]="tickWord" [attr.transform]="'translate(0 ' + (height - edge.bottom) + ')'"></g>
        <text [attr.x]="width() - edge.right" [attr.y]="height - 4" text-anchor="end">
          {{ by() === 'minutes' ? 'work on all plants' : 'money for all plants' }}
        </text>
        <text [attr.x]="4" [attr.y]="10">lost</text>
        <path class="front" [attr.d]="front()" />
        @for (dot of dots(); track dot.id) {
          <g
            [attr.class]="'dot ' + dot.rung"
            [class.behind]="!dot.onFront"
            [class.shown]="shown() === dot.id"
            [attr.transform]="'translate(' + dot.x + ' ' + dot.y + ')'"
            (mouseenter)="shown.set(dot.id)"
            (mouseleave)="shown.set(null)"
          >
            <circle [attr.r]="radius" />
            <text text-anchor="middle" dy="0.35em">{{ dot.number }}</text>
            <title>{{ dot.name }}</title>
          </g>
        }
      </svg>
    </div>
    <table class="fn-table">
      <caption class="fn-hidden">
        The same in figures
      </caption>
      <thead>
        <tr>
          <th scope="col">No.</th>
          <th scope="col">Option</th>
          <th scope="col" class="number">{{ by() === 'minutes' ? 'Work' : 'Money' }}</th>
          <th scope="col" class="number">Lost</th>
        </tr>
      </thead>
      <tbody>
        @for (point of rows(); track point.id) {
          <tr [class.shown]="shown() === point.id" (mouseenter)="shown.set(point.id)" (mouseleave)="shown.set(null)">
            <td [class]="'key ' + point.rung">{{ point.number }}</td>
            <th scope="row">
              <button type="button" (focus)="shown.set(point.id)" (blur)="shown.set(null)" (click)="seek(point.id)">
                {{ point.name }}
              </button>
              <span class="fn-small">{{ rung(point.rung) }}</span>
            </th>
            <td class="number">{{ costWord(point.cost) }}</td>
            <td class="number">{{ point.loss.toFixed(2) }}</td>
          </tr>
        }
      </tbody>
    </table>
    @if (rows().length < points().length) {
      <button matButton type="button" (click)="all.set(true)">Show all {{ points().length }}</button>
    }
    <p class="fn-small">
      Lost: the damage that is left with what the option costs, for a plant, in the money of the garden. What lies on the line is beaten by
      no other in both.
    </p>
  `,
})
export class TradeOff {
  readonly options = input.required<readonly JudgedIntervention[]>();
  readonly plants = input.required<number>();
  protected readonly by = signal<Cost>('minutes');
  protected readonly all = signal(false);
  protected readonly rows = computed(() => (this.all() ? this.points() : this.points().slice(0, firstRows)));
  protected readonly shown = signal<string | null>(null);
  protected readonly width = signal(300);
  protected readonly height = height;
  protected readonly edge = edge;
  protected readonly radius = radius;

  protected readonly points = computed(() => tradeOffPoints(this.options(), this.plants(), this.by()));
  /** many minutes are told in hours, on the axis too */
  readonly #unit = computed(() => {
    const most = max(this.points(), ({ cost }) => cost) ?? 0;
    return this.by() === 'minutes' && most >= longWork
      ? { size: 60, word: ' h' }
      : { size: 1, word: this.by() === 'minutes' ? ' min' : '' };
  });
  protected readonly x = computed(() => {
    const most = (max(this.points(), ({ cost }) => cost) ?? 0) / this.#unit().size;
    return scaleLinear([0, most || 1], [edge.left + radius, this.width() - edge.right - radius]).nice(4);
  });
  protected readonly y = computed(() => {
    const [low = 0, high = 1] = extent(this.points(), ({ loss }) => loss);
    return scaleLinear([low, high > low ? high : low + 1], [height - edge.bottom - radius * 2, edge.top + radius * 2]).nice(4);
  });
  protected readonly dots = computed(() =>
    apart(
      this.points().map((point) => ({ ...point, x: this.x()(point.cost / this.#unit().size), y: this.y()(point.loss) })),
      radius,
    ),
  );
  protected readonly front = computed(
    () =>
      line<{ x: number; y: number }>(
        ({ x }) => x,
        ({ y }) => y,
      )(
        this.dots()
          .filter(({ onFront }) => onFront)
          .sort((a, b) => a.x - b.x),
      ) ?? '',
  );
  protected readonly label = computed(() => {
    const [best] = this.points();
    return best
      ? `${this.points().length} options. Least is lost with ${best.name}. The figures stand in the table below.`
      : 'No option is open.';
  });
  protected readonly rung = (id: string) => rungWords[id]?.word.toLowerCase() ?? id;
  protected readonly tickWord = (value: number) => `${value}${this.#unit().word}`;
  protected readonly costWord = (cost: number): string => {
    if (this.by() === 'money') return cost < 10 ? cost.toFixed(2) : String(Math.round(cost));
    return cost < longWork ? `${Math.round(cost)} min` : `${Number((cost / 60).toPrecision(2))} h`;
  };

  /** Go to the option's own card. */
  protected seek(id: string): void {
    document.getElementById(`option-${id}`)?.scrollIntoView({ block: 'center' });
  }
}
