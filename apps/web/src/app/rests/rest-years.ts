import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import type { GroundYear } from '@field-nurse/core/season';
import { area, line, scaleLinear } from 'd3';
import { MeasuredWidth } from '../shared/measured-width';

const height = 132;
const edge = { left: 40, right: 8, top: 16, bottom: 22 };
const fewYears = 12;

/** The years for which a place rests: what is left in its ground, what a crop would lose to it, and the year in which it is open again. */
@Component({
  selector: 'fn-rest-years',
  imports: [MeasuredWidth],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    svg {
      display: block;
      overflow: visible;
    }
    .closed {
      fill: var(--fn-madder-wash);
    }
    .left {
      fill: none;
      stroke: var(--fn-ink);
      stroke-width: 2;
    }
    .loss {
      fill: var(--fn-madder);
      opacity: 0.16;
    }
    .loss-middle {
      fill: none;
      stroke: var(--fn-madder);
      stroke-width: 1.75;
      stroke-dasharray: 5 4;
    }
    .now {
      stroke: var(--fn-green);
      stroke-width: 2;
    }
    .base,
    .tick {
      stroke: var(--fn-line);
    }
    text {
      fill: var(--fn-faint-ink);
      font: 12px var(--fn-text);
    }
    .word {
      fill: var(--fn-ink);
      font-weight: 650;
    }
  `,
  template: `
    <div fnMeasuredWidth (fnMeasuredWidth)="width.set($event)">
      <svg [attr.width]="width()" [attr.height]="height" role="img" [attr.aria-label]="label()">
        <rect
          class="closed"
          [attr.x]="x()(from())"
          [attr.y]="edge.top"
          [attr.width]="x()(until()) - x()(from())"
          [attr.height]="height - edge.top - edge.bottom"
        />
        @for (tick of ticks(); track tick.year) {
          <line class="tick" [attr.x1]="tick.x" [attr.x2]="tick.x" [attr.y1]="edge.top" [attr.y2]="height - edge.bottom" />
          <text text-anchor="middle" [attr.x]="tick.x" [attr.y]="height - 5">{{ tick.year }}</text>
        }
        <line class="base" [attr.x1]="edge.left" [attr.x2]="width() - edge.right" [attr.y1]="y()(0)" [attr.y2]="y()(0)" />
        @if (years().length > 0) {
          <text x="0" [attr.y]="y()(1) + 4">100 %</text>
          <text x="0" [attr.y]="y()(0) + 4">0 %</text>
          <path class="loss" [attr.d]="lossBand()" />
          <path class="loss-middle" [attr.d]="lossPath()" />
          <path class="left" [attr.d]="leftPath()" />
        }
        <line class="now" [attr.x1]="x()(now())" [attr.x2]="x()(now())" [attr.y1]="edge.top - 4" [attr.y2]="height - edge.bottom" />
        <text class="word" [attr.x]="x()(now()) + 5" [attr.y]="edge.top - 4">today</text>
        <text class="word" text-anchor="end" [attr.x]="x()(until()) - 4" [attr.y]="edge.top + 14">closed until {{ untilWord() }}</text>
      </svg>
    </div>
  `,
})
export class RestYears {
  /** years as numbers with their part: 2026.5 is the middle of 2026 */
  readonly from = input.required<number>();
  readonly until = input.required<number>();
  readonly now = input.required<number>();
  readonly untilWord = input.required<string>();
  /** what is left year by year; nothing where it is not known */
  readonly years = input<readonly GroundYear[]>([]);
  readonly label = input.required<string>();
  protected readonly width = signal(420);
  protected readonly height = height;
  protected readonly edge = edge;

  protected readonly x = computed(() =>
    scaleLinear([Math.floor(this.from()), Math.max(this.until() + 1, this.from() + fewYears)], [edge.left, this.width() - edge.right]),
  );
  protected readonly y = computed(() => scaleLinear([0, 1], [height - edge.bottom, edge.top]));
  protected readonly ticks = computed(() =>
    this.x()
      .ticks(Math.max(2, Math.floor(this.width() / 90)))
      .filter((year) => Number.isInteger(year))
      .map((year) => ({ year, x: this.x()(year) })),
  );
  readonly #at = ({ year }: GroundYear) => this.x()(this.from() + year);
  readonly #shown = computed(() => this.years().filter(({ year }) => this.from() + year <= this.x().domain()[1]!));
  protected readonly lossBand = computed(
    () =>
      area<GroundYear>()
        .x(this.#at)
        .y0(({ loss }) => this.y()(loss.p10))
        .y1(({ loss }) => this.y()(loss.p90))(this.#shown()) ?? '',
  );
  protected readonly lossPath = computed(
    () =>
      line<GroundYear>()
        .x(this.#at)
        .y(({ loss }) => this.y()(loss.p50))(this.#shown()) ?? '',
  );
  protected readonly leftPath = computed(
    () =>
      line<GroundYear>()
        .x(this.#at)
        .y(({ left }) => this.y()(left.p50))(this.#shown()) ?? '',
  );
}
