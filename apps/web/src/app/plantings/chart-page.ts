import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { MatIconModule } from '@angular/material/icon';
import { RouterLink } from '@angular/router';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { MeasuredWidth } from '../shared/measured-width';
import { dayScale, monthStarts, monthWord } from './day-scale';
import { PlantingStrip } from './planting-strip';
import type { Strip } from './strips';
import { seasonSpan, stripsWithin } from './strips';

const widthAtFirst = 600;

/** The planting chart: every planting of a season as one strip, by place. */
@Component({
  selector: 'fn-chart-page',
  imports: [RouterLink, MatIconModule, MatFormFieldModule, MatSelectModule, MeasuredWidth, PlantingStrip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './chart-page.scss',
  template: `
    <div class="fn-page">
      <div class="fn-head">
        <div>
          <h1>Planting chart</h1>
          <p>Each planting through the season</p>
        </div>
        @if (years().length > 1) {
          <mat-form-field subscriptSizing="dynamic">
            <mat-label>Season</mat-label>
            <mat-select [value]="year()" (selectionChange)="show($event.value)">
              @for (one of years(); track one) {
                <mat-option [value]="one">{{ one }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
        }
      </div>
      @if (coming()) {
        <p role="status">
          {{ garden.seasonFault() ? garden.seasonFault() + ' What is on this device is shown.' : 'Fetching ' + year() + ' …' }}
        </p>
      }
      @if (garden.plantings().length === 0) {
        <div class="fn-empty">
          <h2>No planting yet</h2>
          <p>Once something grows, its season is drawn here: assessments, treatments, harvests.</p>
          <a [routerLink]="['/g', garden.summary().id, 'ground']">Begin on Ground</a>
        </div>
      } @else {
        <p class="key fn-small">
          <span
            ><svg viewBox="0 0 30 16">
              <path class="wash" d="M1 14 L10 5 L20 8 L29 14 Z" />
              <path class="line" d="M1 14 L10 5 L20 8 L29 14" />
            </svg>
            severity</span
          >
          <span
            ><svg viewBox="0 0 16 16"><path class="treatment" d="M3 13 l5 -10 l5 10 z" /></svg> treatment</span
          >
          <span
            ><svg viewBox="0 0 16 16"><circle class="opened" cx="8" cy="8" r="5" /></svg> case opened</span
          >
          <span
            ><svg viewBox="0 0 22 16">
              <path class="round" d="M5 4 V12" />
              <path class="round found" d="M14 4 V12" />
            </svg>
            look on a round, something found</span
          >
          <span
            ><svg viewBox="0 0 24 16"><rect class="unsafe" x="1" y="5" width="22" height="6" /></svg> not to be picked</span
          >
          <span
            ><svg viewBox="0 0 16 16"><path class="harvest" d="M8 2 l6 6 l-6 6 l-6 -6 z" /></svg> next harvest</span
          >
          <span
            ><svg viewBox="0 0 24 16"><path class="grows" d="M2 8 H22" /></svg> in growth</span
          >
        </p>
        <div class="chart">
          <div class="months">
            <span></span>
            <div (fnMeasuredWidth)="width.set($event)">
              @for (month of months(); track month.day) {
                <span [style.left.px]="month.x">{{ month.word }}</span>
              }
            </div>
          </div>
          @for (place of places(); track place.name) {
            <section [attr.aria-label]="place.name">
              <h2>{{ place.name }}</h2>
              @for (strip of place.strips; track strip.planting.id) {
                <div class="row">
                  <span class="who">
                    <a [routerLink]="['/g', garden.summary().id, 'plantings', strip.planting.id]">{{
                      library.hostName(strip.planting.host)
                    }}</a>
                    <small>{{ strip.planting.cultivar }}</small>
                    @if (garden.canWrite() && !strip.planting.endedOn) {
                      <a
                        class="wrong"
                        [routerLink]="['/g', garden.summary().id, 'wrong']"
                        [queryParams]="{ planting: strip.planting.id }"
                        [attr.aria-label]="'Something is wrong with ' + library.hostName(strip.planting.host)"
                        title="Something is wrong"
                        ><mat-icon svgIcon="sick" aria-hidden="true"
                      /></a>
                    }
                  </span>
                  <fn-planting-strip [strip]="strip" [span]="span()" [today]="garden.today()" [width]="width()" />
                </div>
              }
            </section>
          }
        </div>
      }
    </div>
  `,
})
export class ChartPage {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  protected readonly width = signal(widthAtFirst);

  readonly #records = computed(() => ({
    plantings: this.garden.plantings(),
    cases: this.garden.cases(),
    assessments: this.garden.assessments(),
    applications: this.garden.applied(),
    stops: this.garden.stops(),
  }));
  protected readonly years = this.garden.years;
  protected readonly year = signal(this.garden.today().slice(0, 4));
  /** the records of the year are on their way */
  protected readonly coming = computed(() => !this.garden.hasYear(this.year(), true));
  readonly #zone = this.garden.summary().timeZone;
  protected readonly span = computed(() => seasonSpan(this.year(), this.#records(), this.garden.today(), this.#zone));
  protected readonly places = computed(() => {
    const byPlace = new Map<string, Strip[]>();
    for (const strip of stripsWithin(this.span(), this.#records(), this.garden.today(), this.#zone)) {
      const name = this.garden.place(strip.planting.placeId)?.name ?? '';
      byPlace.set(name, [...(byPlace.get(name) ?? []), strip]);
    }
    return [...byPlace].map(([name, strips]) => ({ name, strips })).sort((a, b) => a.name.localeCompare(b.name));
  });
  constructor() {
    this.garden.openYear(this.year(), true);
  }

  protected show(year: string): void {
    this.year.set(year);
    this.garden.openYear(year, true);
  }

  protected readonly months = computed(() => {
    const x = dayScale(this.span(), this.width());
    return monthStarts(this.span()).map((day) => ({ day, word: monthWord(day, this.width()), x: x(day) }));
  });
}
