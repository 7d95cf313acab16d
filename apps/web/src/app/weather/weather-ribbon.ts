import { ChangeDetectionStrategy, Component, computed, effect, ElementRef, inject, input, signal, viewChild } from '@angular/core';
import { RouterLink } from '@angular/router';
import { usualSprayLimits } from '@field-nurse/core/timing';
import type { SprayWindow } from '@field-nurse/core/timing';
import { Garden } from '../gardens/garden';
import { instantWord } from '../shared/days';
import { MeasuredWidth } from '../shared/measured-width';
import { inGardenUnits } from '../shared/units';
import { layOutRibbon } from './ribbon';
import { daysBack, GardenWeather } from './garden-weather';
import { weekdayWord, windowWord } from './window-words';

const daysAhead = 10;
const leastDayWidth = 64;
/** The last days and the next ten: warmth, rain, what was not measured, and when it could be sprayed. */
@Component({
  selector: 'fn-weather-ribbon',
  imports: [RouterLink, MeasuredWidth],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './weather-ribbon.scss',
  templateUrl: './weather-ribbon.html',
})
export class WeatherRibbon {
  /** leads to the page of weather, on other pages than that */
  readonly linked = input(true);
  protected readonly book = inject(GardenWeather);
  protected readonly garden = inject(Garden);
  protected readonly scroller = viewChild<ElementRef<HTMLElement>>('scroller');
  readonly #zone = this.garden.summary().timeZone;
  protected readonly base = `/g/${this.garden.summary().id}`;
  protected readonly given = signal(1150);
  protected readonly width = computed(() => Math.max(this.given(), (daysBack + 1 + daysAhead) * leastDayWidth));
  protected readonly height = 164;
  protected readonly ground = 130;
  protected readonly lane = 138;

  protected readonly hasWeather = computed(() => this.book.measured().length > 0 || this.book.forecast().length > 0);
  protected readonly ribbon = computed(() =>
    layOutRibbon({
      measured: this.book.measured(),
      forecast: this.book.forecast(),
      windows: this.book.windows(),
      from: this.book.from(),
      now: this.garden.now(),
      timeZone: this.#zone,
      days: daysBack + 1 + (this.book.forecast().length > 0 ? daysAhead : 0),
      width: this.width(),
      curve: { top: 64, bottom: 104 },
      rainHeight: 50,
    }),
  );
  protected readonly labels = computed(() =>
    this.ribbon().days.map((day) => ({
      ...day,
      word: weekdayWord(day.day),
      today: day.day === this.garden.today(),
      warmth: day.maxC === null || day.minC === null ? '' : `${this.#degrees(day.maxC)} / ${this.#degrees(day.minC)}`,
      rain: day.rainMm ? inGardenUnits('rain', day.rainMm, this.garden.summary().units) : '',
    })),
  );
  protected readonly gapHours = computed(() => this.ribbon().gaps.reduce((sum, { hours }) => sum + hours, 0));
  /** when one could spray next, in words; for readers, and for who does not read the lane */
  protected readonly next = computed(() => {
    const [first] = this.book.windows();
    if (this.book.forecast().length === 0) return '';
    if (!first) return 'In the next ten days no hours are dry, calm and mild enough to spray.';
    return `Next hours to spray in: ${windowWord(first, this.#zone)}.`;
  });
  protected readonly limits = computed(() => {
    const { dryAfterHours, maxWindKmh, minC, maxC } = usualSprayLimits;
    const { units } = this.garden.summary();
    return `Dry for ${dryAfterHours} hours after, wind up to ${inGardenUnits('wind', maxWindKmh, units)}, ${this.#degrees(minC)} to ${inGardenUnits('temperature', maxC, units)}. The label goes before this. Flowers open: at dusk only.`;
  });
  protected readonly station = computed(() => {
    const state = this.book.answer()?.station;
    if (!state) return '';
    const name = `${state.name}${state.simulated ? ' (simulated)' : ''}`;
    return state.readAt ? `${name}, read ${instantWord(state.readAt, this.#zone)}` : name;
  });
  protected readonly silent = computed(() => {
    const failedAt = this.book.answer()?.station?.failedAt;
    return failedAt ? `The station did not answer at ${instantWord(failedAt, this.#zone)}; what is shown is what was read before.` : '';
  });

  protected readonly windowTitle = (window: SprayWindow) => `May be sprayed: ${windowWord(window, this.#zone)}`;

  constructor() {
    // On a phone the ribbon is wider than the screen: begin with today.
    effect(() => {
      const element = this.scroller()?.nativeElement;
      if (element && this.hasWeather()) element.scrollLeft = Math.max(0, this.ribbon().nowX - element.clientWidth / 4);
    });
  }

  #degrees(celsius: number): string {
    return inGardenUnits('temperature', Math.round(celsius), this.garden.summary().units).replace(/ .*/, '°');
  }
}
