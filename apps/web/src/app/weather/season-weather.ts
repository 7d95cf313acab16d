import { ChangeDetectionStrategy, Component, computed, inject, resource, signal } from '@angular/core';
import { seasonOf, seasonWeather } from '@field-nurse/core/timing';
import { max, min, scaleLinear } from 'd3';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { Garden } from '../gardens/garden';
import { Axis } from '../shared/axis';
import { dayWord } from '../shared/days';
import { MeasuredWidth } from '../shared/measured-width';
import { inGardenUnits, measures } from '../shared/units';
import { seasonSentences } from './season-weather-words';

const edge = { left: 52, right: 8, top: 10 };
const warmthHeight = 110;
const rainHeight = 48;
const gap = 14;
// This much rain in a day fills the height; more is as high.
const heavyRainMm = 30;
const leastMonthWidth = 42;

/** The season so far, a stroke for each day: how warm it was, and how much it rained. */
@Component({
  selector: 'fn-season-weather',
  imports: [Axis, MeasuredWidth],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './season-weather.scss',
  template: `
    @if (days.value(); as list) {
      @if (sums().warmest) {
        <p class="told">{{ sentences().join(' ') }}</p>
        <div class="measured" (fnMeasuredWidth)="width.set($event)" fnMeasuredWidth>
          <svg [attr.width]="width()" [attr.height]="height" role="img" [attr.aria-label]="sentences().join(' ')">
            <g side="left" [fnAxis]="drawn().y" [word]="degrees" [lines]="width() - left" [attr.transform]="'translate(' + left + ',0)'" />
            <line class="frost" [attr.x1]="left" [attr.x2]="width()" [attr.y1]="drawn().frostY" [attr.y2]="drawn().frostY" />
            @for (month of drawn().months; track month.x) {
              <line class="line" [attr.x1]="month.x" [attr.x2]="month.x" y1="0" [attr.y2]="height - 18" />
              <text [attr.x]="month.x + 5" [attr.y]="height - 4">{{ month.word }}</text>
            }
            @for (day of drawn().days; track day.day) {
              @if (day.warmth; as warmth) {
                <line
                  class="warmth"
                  [attr.stroke-width]="day.width"
                  [attr.x1]="day.x"
                  [attr.x2]="day.x"
                  [attr.y1]="warmth.top"
                  [attr.y2]="warmth.bottom"
                />
              }
              @if (day.rain > 0) {
                <line
                  class="rain"
                  [attr.stroke-width]="day.width"
                  [attr.x1]="day.x"
                  [attr.x2]="day.x"
                  [attr.y1]="ground"
                  [attr.y2]="ground - day.rain"
                />
              }
            }
            <text text-anchor="end" [attr.x]="left - 6" [attr.y]="ground - rainHeight + 4">{{ heavyRain() }}</text>
            <line class="base" [attr.x1]="left" [attr.x2]="width()" [attr.y1]="ground" [attr.y2]="ground" />
          </svg>
        </div>
        <p class="fn-small key">
          <span><i class="warmth"></i>coldest to warmest hour of each day</span><span><i class="rain"></i>rain</span>
        </p>
      } @else {
        <p class="fn-small">Nothing was measured since {{ since() }}.</p>
      }
    } @else if (days.error()) {
      <p class="fn-care">The season’s days did not come. {{ days.error()?.message }}</p>
    } @else {
      <p class="fn-small" role="status">The season’s days are on their way …</p>
    }
  `,
})
export class SeasonWeatherPanel {
  readonly #api = inject(Api);
  readonly #garden = inject(Garden);
  protected readonly left = edge.left;
  protected readonly rainHeight = rainHeight;
  protected readonly ground = edge.top + warmthHeight + gap + rainHeight;
  protected readonly height = this.ground + 20;
  protected readonly width = signal(300);
  readonly #from = computed(() => seasonOf(this.#garden.today(), this.#garden.seasonStart()).from);
  protected readonly since = computed(() => dayWord(this.#from()));
  protected readonly days = resource({
    params: () => ({ garden: this.#garden.summary().id, from: this.#from(), to: this.#garden.today() }),
    loader: ({ params: { garden, from, to } }) => firstValueFrom(this.#api.weatherDays(garden, from, to)),
  });
  protected readonly sums = computed(() => seasonWeather(this.days.value() ?? []));
  protected readonly sentences = computed(() => seasonSentences(this.sums(), this.#garden.summary().units));

  protected readonly degrees = (value: number) => `${value}°`;
  protected readonly heavyRain = computed(() => inGardenUnits('rain', heavyRainMm, this.#garden.summary().units));

  protected readonly drawn = computed(() => {
    const list = this.days.value() ?? [];
    const { fromSi } = measures.temperature[this.#garden.summary().units];
    const x = scaleLinear([0, Math.max(list.length, 1)], [edge.left, this.width() - edge.right]);
    const lowest = Math.min(0, min(list, ({ minC }) => minC ?? Infinity) ?? 0);
    const highest = Math.max(10, max(list, ({ maxC }) => maxC ?? -Infinity) ?? 10);
    const y = scaleLinear([fromSi(lowest), fromSi(highest)], [edge.top + warmthHeight, edge.top]);
    const rain = scaleLinear([0, heavyRainMm], [0, rainHeight]).clamp(true);
    const width = Math.max(1, x(1) - x(0) - 1);
    return {
      y,
      frostY: y(fromSi(0)),
      months: list.flatMap(({ day }, i) =>
        day.endsWith('-01') && x(list.length) - x(i) >= leastMonthWidth ? [{ x: x(i), word: dayWord(day).replace('1 ', '') }] : [],
      ),
      days: list.map(({ day, minC, maxC, rainMm }, i) => ({
        day,
        x: x(i) + width / 2,
        width,
        warmth: minC === null || maxC === null ? null : { top: y(fromSi(maxC)), bottom: Math.max(y(fromSi(minC)), y(fromSi(maxC)) + 1) },
        rain: rain(rainMm ?? 0),
      })),
    };
  });
}
