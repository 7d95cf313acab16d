import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { area as areaShape, scaleLinear, scaleUtc, line as lineShape } from 'd3';
import { Axis } from '../shared/axis';
import { dayWord } from '../shared/days';

export interface CurvePoint {
  readonly day: string;
  readonly severity: number;
  readonly count: number | null;
  readonly newGrowth: string;
}

export interface CurveMark {
  readonly day: string;
  readonly name: string;
}

const width = 600;
const height = 290;
const edge = { left: 40, right: 44, top: 58, bottom: 30 };
const dateOf = (day: string) => new Date(`${day}T00:00:00Z`);
const marginShare = 0.04;
const nearPx = 92;
const expectedMs = 14 * 86_400_000;

/** Severity over time, the counts as open rings on their own scale, and what was done on which day. */
@Component({
  selector: 'fn-recovery-curve',
  imports: [Axis],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './recovery-curve.scss',
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' ' + height" role="img" [attr.aria-label]="label()">
      <g
        side="left"
        [fnAxis]="y()"
        [ticks]="5"
        [word]="percent"
        [lines]="width - edge.left - edge.right"
        [attr.transform]="'translate(' + edge.left + ',0)'"
      />
      <g side="bottom" [fnAxis]="x()" [ticks]="6" [word]="dateWord" [attr.transform]="'translate(0,' + (height - edge.bottom) + ')'" />
      @if (countY(); as countScale) {
        <text class="axis" text-anchor="end" [attr.x]="width - 2" [attr.y]="edge.top - 14">count</text>
        <g side="right" [fnAxis]="countScale" [attr.transform]="'translate(' + (width - edge.right) + ',0)'" />
      }
      @for (mark of marksShown(); track $index) {
        <line class="mark" [attr.x1]="mark.x" [attr.x2]="mark.x" [attr.y1]="mark.y + 5" [attr.y2]="height - edge.bottom" />
        <path class="flag" [attr.d]="'M' + (mark.x - 5) + ' ' + (height - edge.bottom + 1) + ' l5 -9 l5 9 z'" />
        <text class="name" [attr.text-anchor]="mark.anchor" [attr.x]="mark.x" [attr.y]="mark.y">{{ mark.name }}</text>
      }
      @if (expectedShape(); as shape) {
        <path class="expected" [attr.d]="shape.band" />
        <path class="expected-middle" [attr.d]="shape.middle" />
      }
      @if (fitPath(); as path) {
        <path class="fit" [attr.d]="path" />
      }
      <path class="counts" [attr.d]="countPath()" />
      @for (point of countPoints(); track point.day) {
        <circle class="count" r="4" [attr.cx]="point.x" [attr.cy]="point.y" />
      }
      <path class="curve" [attr.d]="severityPath()" />
      @for (point of severityPoints(); track point.day) {
        <circle [attr.class]="point.newGrowth === 'clean' ? 'clean' : 'point'" r="5.5" [attr.cx]="point.x" [attr.cy]="point.y">
          <title>{{ point.title }}</title>
        </circle>
      }
    </svg>
    <p class="fn-small key">
      <span
        ><svg viewBox="0 0 14 14"><circle class="point" cx="7" cy="7" r="5" /></svg> severity</span
      >
      <span
        ><svg viewBox="0 0 14 14"><circle class="clean" cx="7" cy="7" r="5" /></svg> severity, new growth clean</span
      >
      @if (countY()) {
        <span
          ><svg viewBox="0 0 14 14"><circle class="count" cx="7" cy="7" r="4" /></svg> count</span
        >
      }
      <span
        ><svg viewBox="0 0 14 14"><path class="flag" d="M2 12 l5 -9 l5 9 z" /></svg> treatment</span
      >
      @if (expectedShape()) {
        <span
          ><svg viewBox="0 0 22 14"><rect class="expected" y="2" width="22" height="10" /></svg> expected
          {{ expected()!.on === 'count' ? 'count' : 'severity' }} if nothing more is done, in eight of ten seasons</span
        >
      }
      @if (fitPath()) {
        <span
          ><svg viewBox="0 0 22 14"><path class="fit" d="M0 7 H22" /></svg> fitted curve</span
        >
      }
    </p>
  `,
})
export class RecoveryCurve {
  readonly points = input.required<readonly CurvePoint[]>();
  readonly marks = input<readonly CurveMark[]>([]);
  /** a fitted curve: the day it begins, and the severity that it expects on a day, percent */
  readonly fit = input<{ readonly from: string; readonly at: (day: string) => number } | null>(null);
  /** how it is expected to go if nothing more is done; drawn behind */
  readonly expected = input<{
    readonly on: 'severity' | 'count';
    readonly days: readonly { readonly day: string; readonly low: number; readonly middle: number; readonly high: number }[];
  } | null>(null);
  protected readonly width = width;
  protected readonly height = height;
  protected readonly edge = edge;

  protected readonly x = computed(() => {
    const expected = this.#expectedDays();
    const days = [...this.points().map(({ day }) => day), ...this.marks().map(({ day }) => day), ...expected.map(({ day }) => day)].sort();
    const [first, last] = [dateOf(days[0]!).getTime(), dateOf(days.at(-1)!).getTime()];
    const oneDayMs = 86_400_000;
    const room = Math.max((last - first) * marginShare, oneDayMs);
    return scaleUtc([first - room, last + room], [edge.left, width - edge.right]);
  });
  protected readonly y = computed(() =>
    scaleLinear(
      [0, Math.min(100, Math.max(10, ...this.points().map(({ severity }) => severity), ...this.#expectedOn('severity')) * 1.1)],
      [height - edge.bottom, edge.top],
    ).nice(5),
  );
  protected readonly countY = computed(() => {
    const counts = this.points().flatMap(({ count }) => count ?? []);
    return counts.length > 0
      ? scaleLinear([0, Math.max(5, ...counts, ...this.#expectedOn('count')) * 1.1], [height - edge.bottom, edge.top]).nice(4)
      : undefined;
  });

  // A fortnight past the last look: what comes later would press the looks into a corner.
  readonly #expectedDays = computed(() => {
    const last = this.points().at(-1)?.day ?? '';
    const until = dateOf(last).getTime() + expectedMs;
    return (this.expected()?.days ?? []).filter(({ day }) => dateOf(day).getTime() <= until);
  });
  #expectedOn = (on: 'severity' | 'count') => (this.expected()?.on === on ? this.#expectedDays().map(({ high }) => high) : []);
  protected readonly expectedShape = computed(() => {
    const days = this.#expectedDays();
    const y = this.expected()?.on === 'count' ? this.countY() : this.y();
    if (days.length === 0 || !y) return undefined;
    const points = days.map(({ day, low, middle, high }) => ({ x: this.x()(dateOf(day)), low: y(low), middle: y(middle), high: y(high) }));
    return {
      band:
        areaShape<(typeof points)[number]>()
          .x(({ x }) => x)
          .y0(({ low }) => low)
          .y1(({ high }) => high)(points) ?? '',
      middle: pathThrough(points.map(({ x, middle }) => ({ x, y: middle }))),
    };
  });

  protected readonly percent = (value: number) => `${value} %`;
  protected readonly dateWord = (date: Date) => dayWord(date.toISOString().slice(0, 10));

  protected readonly severityPoints = computed(() =>
    this.points().map((point) => ({
      ...point,
      x: this.x()(dateOf(point.day)),
      y: this.y()(point.severity),
      title: `${dayWord(point.day)}: ${point.severity} %${point.count === null ? '' : `, ${point.count} counted`}`,
    })),
  );
  protected readonly countPoints = computed(() => {
    const y = this.countY();
    return y ? this.points().flatMap(({ day, count }) => (count === null ? [] : [{ day, x: this.x()(dateOf(day)), y: y(count) }])) : [];
  });
  protected readonly severityPath = computed(() => pathThrough(this.severityPoints()));
  protected readonly countPath = computed(() => pathThrough(this.countPoints()));
  protected readonly fitPath = computed(() => {
    const fit = this.fit();
    const last = this.points().at(-1);
    if (!fit || !last) return '';
    const start = dateOf(fit.from).getTime();
    const steps = 40;
    const days = Array.from({ length: steps + 1 }, (_, i) => new Date(start + ((dateOf(last.day).getTime() - start) * i) / steps));
    return pathThrough(days.map((date) => ({ x: this.x()(date), y: this.y()(fit.at(date.toISOString().slice(0, 10))) })));
  });
  /** Names of treatments that lie close are set on two lines, and those near the right edge end at their mark. */
  protected readonly marksShown = computed(() => {
    let row = 0;
    let lastX = -Infinity;
    return [...this.marks()]
      .sort((a, b) => a.day.localeCompare(b.day))
      .map(({ day, name }) => {
        const x = this.x()(dateOf(day));
        row = x - lastX < nearPx ? (row + 1) % 3 : 0;
        lastX = x;
        return { x, name, y: 12 + row * 13, anchor: x > width * 0.7 ? 'end' : 'start' };
      });
  });
  protected readonly label = computed(() => {
    const said = this.points().map(({ day, severity }) => `${dayWord(day)} ${severity} %`);
    const done = this.marks().map(({ day, name }) => `${name} on ${dayWord(day)}`);
    return `Severity: ${said.join(', ')}.${done.length > 0 ? ` Treatments: ${done.join(', ')}.` : ''}`;
  });
}

const pathThrough = (points: readonly { readonly x: number; readonly y: number }[]): string =>
  lineShape<{ readonly x: number; readonly y: number }>(
    ({ x }) => x,
    ({ y }) => y,
  )([...points]) ?? '';
