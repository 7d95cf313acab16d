import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { area, line, scaleSqrt } from 'd3';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';
import { dayScale, monthStarts } from './day-scale';
import type { Span, Strip } from './strips';

const room = 4;

/** One planting through the season: how long it stood, how badly it was marked, what was done, when it may be picked. */
@Component({
  selector: 'fn-planting-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './planting-strip.scss',
  template: `
    <svg [attr.width]="width()" [attr.height]="height()" role="img" [attr.aria-label]="label()">
      @for (month of months(); track month) {
        <line class="month" [attr.x1]="month" [attr.x2]="month" y1="0" [attr.y2]="height()" />
      }
      <line class="grows" [attr.x1]="x(strip().grows.from)" [attr.x2]="x(strip().grows.to)" [attr.y1]="ground()" [attr.y2]="ground()" />
      @for (span of strip().unsafe; track $index) {
        <rect class="unsafe" [attr.x]="x(span.from)" [attr.width]="x(span.to) - x(span.from)" [attr.y]="ground() - 3" height="6" />
      }
      @for (one of paths(); track one.id) {
        <path class="wash" [attr.d]="one.wash" />
        <path class="line" [attr.d]="one.line" />
        @for (point of one.points; track point.day) {
          <circle class="look" r="2.2" [attr.cx]="point.x" [attr.cy]="point.y" />
        }
      }
      @for (look of strip().rounds; track $index) {
        <path [attr.class]="look.found ? 'round found' : 'round'" [attr.d]="'M' + x(look.day) + ' ' + (ground() + 3) + ' v6'">
          <title>{{ dayWord(look.day) }}: {{ look.found ? 'something found on a round' : 'looked at on a round' }}</title>
        </path>
      }
      @for (day of strip().opened; track $index) {
        <circle class="opened" r="4" [attr.cx]="x(day)" [attr.cy]="ground()">
          <title>{{ dayWord(day) }}: case opened</title>
        </circle>
      }
      @for (mark of strip().treatments; track $index) {
        <path class="treatment" [attr.d]="'M' + (x(mark.day) - 4) + ' ' + (ground() + 1) + ' l4 -9 l4 9 z'">
          <title>{{ dayWord(mark.day) }}: {{ library.interventionName(mark.intervention) }}</title>
        </path>
      }
      @if (strip().harvest; as day) {
        <path class="harvest" [attr.d]="'M' + x(day) + ' ' + (ground() - 7) + ' l6 7 l-6 7 l-6 -7 z'">
          <title>{{ dayWord(day) }}: next harvest</title>
        </path>
      }
      @if (today() >= span().from && today() <= span().to) {
        <line class="today" [attr.x1]="x(today())" [attr.x2]="x(today())" y1="0" [attr.y2]="height()" />
      }
    </svg>
  `,
})
export class PlantingStrip {
  protected readonly library = inject(Library);
  readonly strip = input.required<Strip>();
  readonly span = input.required<Span>();
  readonly today = input.required<string>();
  readonly width = input.required<number>();
  readonly height = input(50);
  protected readonly dayWord = (day: string) => dayWord(day);

  readonly #scale = computed(() => dayScale(this.span(), this.width()));
  protected readonly x = (day: string) => this.#scale()(day);
  protected readonly ground = computed(() => this.height() - 11);
  // Square root: a tenth of the leaf still shows beside the whole of it.
  readonly #y = computed(() => scaleSqrt([0, 100], [this.ground(), room]));
  protected readonly months = computed(() => monthStarts(this.span()).map((day) => this.x(day)));
  protected readonly paths = computed(() =>
    this.strip().cases.map(({ id, points }) => {
      const placed = points.map(({ day, severity }) => ({ day, x: this.x(day), y: this.#y()(severity) }));
      return {
        id,
        points: placed,
        line:
          line<(typeof placed)[number]>(
            ({ x }) => x,
            ({ y }) => y,
          )(placed) ?? '',
        wash:
          area<(typeof placed)[number]>(
            ({ x }) => x,
            this.ground(),
            ({ y }) => y,
          )(placed) ?? '',
      };
    }),
  );
  protected readonly label = computed(() => {
    const { cases, opened, rounds, treatments, harvest } = this.strip();
    const worst = cases.map(
      ({ points }) => `severity up to ${Math.max(...points.map(({ severity }) => severity))} %, last ${points.at(-1)!.severity} %`,
    );
    const done = treatments.map(({ day, intervention }) => `${this.library.interventionName(intervention)} ${dayWord(day)}`);
    const looked = rounds.length === 0 ? '' : `looked at on ${rounds.length} ${rounds.length === 1 ? 'round' : 'rounds'}`;
    const begun = opened.map((day) => `case opened ${dayWord(day)}`);
    return (
      [...begun, ...worst, looked, ...done, harvest ? `harvest ${dayWord(harvest)}` : ''].filter(Boolean).join('; ') || 'nothing noted'
    );
  });
}
