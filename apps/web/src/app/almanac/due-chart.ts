import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { scaleUtc } from 'd3';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { Axis } from '../shared/axis';
import { dayWord } from '../shared/days';
import type { DueRow } from './almanac-rows';

const width = 760;
const rowHeight = 34;
const edge = { left: 10, right: 10, top: 6, bottom: 26 };
const dateOf = (day: string) => new Date(`${day}T00:00:00Z`);
const monthWord = new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' });

/** A year from its begin to its end: when each trouble came in earlier years, when it is due, and from when it can be kept off. */
@Component({
  selector: 'fn-due-chart',
  imports: [Axis],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    svg {
      width: 100%;
      overflow: visible;
    }
    .lead {
      stroke: var(--fn-green);
      stroke-width: 2;
      stroke-dasharray: 2 3;
    }
    .begin {
      fill: var(--fn-green);
    }
    .range {
      fill: var(--fn-ochre-wash);
      stroke: var(--fn-ochre);
    }
    .expected {
      stroke: var(--fn-ochre);
      stroke-width: 3;
    }
    .seen {
      fill: none;
      stroke: var(--fn-ink);
      stroke-width: 1.5;
    }
    .here {
      fill: var(--fn-madder);
    }
    .today {
      stroke: var(--fn-ink);
    }
    .rule {
      stroke: var(--fn-line);
    }
    .name {
      font: 600 13px var(--fn-text);
      fill: var(--fn-ink);
    }
    .year {
      font: 10px var(--fn-text);
      fill: var(--fn-faint-ink);
      text-anchor: middle;
    }
    .key {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 18px;
    }
    .key svg {
      width: 26px;
      height: 14px;
      vertical-align: -2px;
    }
  `,
  template: `
    <svg [attr.viewBox]="'0 0 ' + width + ' ' + height()" role="img" [attr.aria-label]="label()">
      <g side="bottom" [fnAxis]="x()" [ticks]="12" [word]="monthOf" [attr.transform]="'translate(0,' + (height() - edge.bottom) + ')'" />
      @for (row of drawn(); track $index) {
        <g [attr.transform]="'translate(0,' + row.y + ')'">
          <line class="rule" y1="33" y2="33" [attr.x1]="edge.left" [attr.x2]="width - edge.right" />
          <text class="name" [attr.x]="edge.left" y="12">{{ row.name }}</text>
          @if (row.due; as due) {
            <line class="lead" y1="23" y2="23" [attr.x1]="due.begin" [attr.x2]="due.from" />
            <path class="begin" [attr.d]="'M' + (due.begin - 5) + ' 17 l10 6 l-10 6 z'" />
            <rect class="range" y="17" height="12" rx="3" [attr.x]="due.from" [attr.width]="due.to - due.from" />
            <line class="expected" y1="15" y2="31" [attr.x1]="due.expected" [attr.x2]="due.expected" />
          }
          @for (one of row.seen; track one.year) {
            <circle class="seen" r="4" cy="23" [attr.cx]="one.x">
              <title>{{ one.title }}</title>
            </circle>
          }
          @if (row.here !== undefined) {
            <circle class="here" r="5" cy="23" [attr.cx]="row.here" />
          }
        </g>
      }
      <line class="today" [attr.x1]="today()" [attr.x2]="today()" [attr.y1]="edge.top" [attr.y2]="height() - edge.bottom" />
    </svg>
    <p class="fn-small key">
      <span
        ><svg viewBox="0 0 26 14"><path class="begin" d="M8 1 l10 6 l-10 6 z" /></svg> begin to keep it off</span
      >
      <span
        ><svg viewBox="0 0 26 14"><rect class="range" x="2" y="2" width="22" height="10" rx="3" /></svg> due, nine times in ten</span
      >
      <span
        ><svg viewBox="0 0 26 14"><circle class="seen" cx="13" cy="7" r="4" /></svg> first seen in an earlier year</span
      >
      <span
        ><svg viewBox="0 0 26 14"><circle class="here" cx="13" cy="7" r="5" /></svg> here this year</span
      >
    </p>
  `,
})
export class DueChart {
  readonly #library = inject(Library);
  readonly #garden = inject(Garden);
  readonly rows = input.required<readonly DueRow[]>();
  /** first and last day of the season */
  readonly season = input.required<{ readonly from: string; readonly to: string }>();
  protected readonly width = width;
  protected readonly edge = edge;
  protected readonly height = computed(() => edge.top + this.rows().length * rowHeight + edge.bottom);
  protected readonly x = computed(() =>
    scaleUtc([dateOf(this.season().from), dateOf(this.season().to)], [edge.left, width - edge.right]).clamp(true),
  );
  protected readonly today = computed(() => this.#x(this.#garden.today()));
  protected readonly monthOf = (date: Date) => monthWord.format(date);
  readonly #x = (day: string) => this.x()(dateOf(day));
  /** a day of an earlier season, where it lies in this one */
  readonly #inSeason = (day: string) => {
    const year = Number(this.season().from.slice(0, 4));
    const same = `${year}${day.slice(4)}`;
    return this.#x(same < this.season().from ? `${year + 1}${day.slice(4)}` : same);
  };
  protected readonly drawn = computed(() =>
    this.rows().map((row, i) => ({
      name: this.#name(row),
      y: edge.top + i * rowHeight,
      due: row.due && {
        from: this.#x(row.due.earliest),
        to: this.#x(row.due.latest),
        expected: this.#x(row.due.expectedOn),
        begin: this.#x(row.beginOn!),
      },
      seen: row.seen
        .filter(({ on }) => on !== row.hereSince)
        .map(({ year, on }) => ({ year, x: this.#inSeason(on), title: `${year}: ${dayWord(on)}` })),
      here: row.hereSince && this.#x(row.hereSince),
    })),
  );
  protected readonly label = computed(() =>
    this.rows()
      .map((row) => `${this.#name(row)}${row.due ? `: due ${dayWord(row.due.expectedOn)}` : ''}`)
      .join('; '),
  );
  #name = ({ condition, host }: DueRow) => `${this.#library.conditionName(condition)}, ${this.#library.hostName(host).toLowerCase()}`;
}
