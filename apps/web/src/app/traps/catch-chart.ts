import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { addDays } from '@field-nurse/core/timing';
import { max, scaleLinear, scaleUtc } from 'd3';
import { Axis } from '../shared/axis';
import { dayWord } from '../shared/days';
import { MeasuredWidth } from '../shared/measured-width';

export interface CatchInterval {
  readonly spot: string;
  readonly days: number;
  readonly caught: number;
  readonly until: string;
}

const height = 166;
const edge = { left: 34, right: 8, top: 30, bottom: 24 };
const dateOf = (day: string) => new Date(`${day}T00:00:00Z`);

/** Catch in a week between readings, as bars as wide as the time they stand for, against the level. */
@Component({
  selector: 'fn-catch-chart',
  imports: [Axis, MeasuredWidth],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: block;
      min-width: 0;
      overflow-x: clip;
    }
    .bar {
      fill: var(--fn-green-wash);
      stroke: var(--fn-green);
    }
    .over {
      fill: var(--fn-madder-wash);
      stroke: var(--fn-madder);
      stroke-width: 2;
    }
    .level {
      stroke: var(--fn-madder);
      stroke-width: 1.5;
      stroke-dasharray: 6 4;
    }
    .axis {
      stroke: var(--fn-faint-ink);
    }
    .moved {
      stroke: var(--fn-ink);
      stroke-dasharray: 2 3;
    }
    text {
      fill: var(--fn-faint-ink);
      font-size: 12px;
    }
  `,
  template: `
    <div fnMeasuredWidth (fnMeasuredWidth)="width.set($event)">
      <svg [attr.width]="width()" [attr.height]="height" role="img" [attr.aria-label]="label()">
        @for (bar of bars(); track bar.x) {
          <rect
            [attr.class]="bar.over ? 'bar over' : 'bar'"
            [attr.x]="bar.x + 1"
            [attr.width]="bar.width"
            [attr.y]="bar.y"
            [attr.height]="ground - bar.y"
          >
            <title>{{ bar.title }}</title>
          </rect>
          @if (bar.moved) {
            <line class="moved" [attr.x1]="bar.x" [attr.x2]="bar.x" [attr.y1]="edge.top - 22" [attr.y2]="ground" />
            <text [attr.x]="bar.x + 4" [attr.y]="edge.top - 14">{{ bar.moved }}</text>
          }
        }
        @if (levelY() !== null) {
          <line class="level" [attr.x1]="edge.left" [attr.x2]="width() - edge.right" [attr.y1]="levelY()" [attr.y2]="levelY()" />
        }
        <line class="axis" [attr.x1]="edge.left" [attr.x2]="width() - edge.right" [attr.y1]="ground" [attr.y2]="ground" />
        <g side="left" [fnAxis]="y()" [attr.transform]="'translate(' + edge.left + ',0)'" />
        <g side="bottom" [fnAxis]="x()" [ticks]="dates()" [word]="dateWord" [attr.transform]="'translate(0,' + ground + ')'" />
      </svg>
    </div>
    <p class="fn-small">Caught in a week, between readings{{ weeklyLevel() === null ? '' : '; dashed: the level' }}.</p>
  `,
})
export class CatchChart {
  readonly intervals = input.required<readonly CatchInterval[]>();
  readonly weeklyLevel = input.required<number | null>();
  readonly today = input.required<string>();
  protected readonly width = signal(600);
  protected readonly height = height;
  protected readonly edge = edge;
  protected readonly ground = height - edge.bottom;

  readonly #start = computed(() => addDays(this.intervals()[0]!.until, -this.intervals()[0]!.days));
  protected readonly x = computed(() => scaleUtc([dateOf(this.#start()), dateOf(this.today())], [edge.left, this.width() - edge.right]));
  protected readonly y = computed(() => {
    const most = max([...this.intervals().map(perWeek), this.weeklyLevel() ?? 0, 1])!;
    return scaleLinear([0, most], [this.ground, edge.top]).nice(4);
  });
  protected readonly bars = computed(() =>
    this.intervals().map((interval, i) => {
      const [left, right] = [addDays(interval.until, -interval.days), interval.until].map((day) => this.x()(dateOf(day)));
      const before = this.intervals()[i - 1];
      return {
        x: left!,
        width: Math.max(2, right! - left! - 2),
        y: this.y()(perWeek(interval)),
        over: this.weeklyLevel() !== null && perWeek(interval) >= this.weeklyLevel()!,
        moved: before && before.spot !== interval.spot ? interval.spot : '',
        title: `${interval.caught} in ${interval.days} days to ${dayWord(interval.until)}, ${interval.spot}`,
      };
    }),
  );
  protected readonly levelY = computed(() => (this.weeklyLevel() === null ? null : this.y()(this.weeklyLevel()!)));
  /** as many dates as there is room for */
  protected readonly dates = computed(() => Math.max(2, Math.floor(this.width() / 110)));
  protected readonly dateWord = (date: Date) => dayWord(date.toISOString().slice(0, 10));
  protected readonly label = computed(
    () =>
      `Catches: ${this.bars()
        .map(({ title }) => title)
        .join('; ')}.`,
  );
}

const perWeek = ({ caught, days }: CatchInterval) => (7 * caught) / days;
