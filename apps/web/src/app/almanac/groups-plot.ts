import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import type { PastSight } from '@field-nurse/contract';
import { scaleLinear } from 'd3';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { caseGroups, comparableTroubles, groupings, groupWords } from './case-groups';
import type { Grouping } from './case-groups';

const [width, left, right, rowHeight] = [720, 230, 30, 40];
const groupingWords: Readonly<Record<Grouping, string>> = {
  year: 'Year by year',
  method: 'By what was done',
  place: 'Place by place',
  kind: 'Kind by kind',
};

/** Cases of one trouble in groups beside each other: each a dot, their mean with its limits, and what that tells. */
@Component({
  selector: 'fn-groups-plot',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 12px;
      min-width: 0;
    }
    .wide {
      overflow-x: auto;
    }
    svg {
      width: 100%;
      min-width: 460px;
      max-width: 860px;
    }
    text {
      fill: var(--fn-ink);
      font: 13px var(--fn-text);
    }
    .tick {
      fill: var(--fn-faint-ink);
      font-size: 12px;
    }
    .line {
      stroke: var(--fn-line);
    }
    .range {
      stroke: var(--fn-green);
      stroke-width: 9;
      stroke-linecap: round;
      opacity: 0.35;
    }
    .case {
      fill: var(--fn-raised);
      stroke: var(--fn-green);
      stroke-width: 2;
    }
    .mean {
      stroke: var(--fn-ink);
      stroke-width: 3;
    }
    ul {
      display: grid;
      gap: 4px;
      padding-left: 20px;
    }
  `,
  template: `
    <div class="fn-actions">
      <select class="fn-choice" aria-label="Which trouble" (change)="condition.set(valueOf($event))">
        @for (id of troubles(); track id) {
          <option [value]="id" [selected]="id === condition()">{{ name(id) }}</option>
        }
      </select>
      @for (one of groupings; track one) {
        <button class="fn-pick" type="button" [attr.aria-pressed]="by() === one" (click)="by.set(one)">{{ words[one] }}</button>
      }
    </div>
    <div class="wide" tabindex="0">
      <svg [attr.viewBox]="'0 0 720 ' + drawn().height" role="img" [attr.aria-label]="label()">
        @for (tick of drawn().ticks; track tick.word) {
          <line class="line" y1="6" [attr.y2]="drawn().height - 24" [attr.x1]="tick.x" [attr.x2]="tick.x" />
          <text class="tick" text-anchor="middle" [attr.x]="tick.x" [attr.y]="drawn().height - 6">{{ tick.word }}</text>
        }
        @for (row of drawn().rows; track row.name) {
          <text x="0" [attr.y]="row.y + 5">
            {{ row.short }}
            <title>{{ row.name }}</title>
          </text>
          @if (row.range) {
            <line class="range" [attr.y1]="row.y" [attr.y2]="row.y" [attr.x1]="row.range[0]" [attr.x2]="row.range[1]" />
          }
          @for (x of row.cases; track $index) {
            <circle class="case" r="5" [attr.cx]="x" [attr.cy]="row.y" />
          }
          <line class="mean" [attr.y1]="row.y - 11" [attr.y2]="row.y + 11" [attr.x1]="row.mean" [attr.x2]="row.mean" />
        }
      </svg>
    </div>
    <ul>
      @for (line of told(); track line) {
        <li>{{ line }}</li>
      }
    </ul>
    <p class="fn-small">
      Each ring is a case: how much of the plant had it, on average over its looks. The upright line is the mean; from four cases on a band
      holds it nineteen times in twenty. Whatever else went with a group, the weather or the place, is in it too: only parts of one stand,
      drawn by lot, prove a method.
    </p>
  `,
})
export class GroupsPlot {
  readonly #library = inject(Library);
  readonly #garden = inject(Garden);
  readonly sights = input.required<readonly PastSight[]>();
  protected readonly groupings = groupings;
  protected readonly words = groupingWords;
  protected readonly troubles = computed(() => comparableTroubles(this.sights()));
  protected readonly condition = linkedSignal<string>(() => this.troubles()[0] ?? '');
  protected readonly by = signal<Grouping>('year');
  readonly #groups = computed(() =>
    caseGroups(this.sights(), this.condition(), this.by(), {
      intervention: (id) => this.#library.interventionName(id),
      place: (id) => this.#garden.place(id)?.name ?? 'a place that is gone',
      host: (id) => this.#library.hostName(id),
    }),
  );
  protected readonly told = computed(() => {
    const words = groupWords(this.#groups());
    return words.length > 0 ? words : ['There is one group only: nothing to set beside it yet.'];
  });
  protected readonly drawn = computed(() => {
    const groups = this.#groups();
    const most = Math.max(10, ...groups.flatMap(({ values }) => values));
    const x = scaleLinear([0, most], [left, width - right]).nice();
    return {
      height: groups.length * rowHeight + 30,
      ticks: x.ticks(5).map((tick) => ({ x: x(tick), word: `${tick} %` })),
      rows: groups.map(({ name, values, mean, interval }, i) => ({
        name,
        short: shortened(name),
        y: i * rowHeight + rowHeight / 2 + 4,
        cases: values.map((value) => x(value)),
        mean: x(mean),
        range: interval && ([x(interval[0]), x(interval[1])] as const),
      })),
    };
  });
  protected readonly label = computed(() =>
    this.#groups()
      .map(({ name, values, mean }) => `${name}: ${mean.toFixed(0)} % on average of ${values.length}`)
      .join('; '),
  );
  protected readonly name = (id: string) => this.#library.conditionName(id);
  protected readonly valueOf = (event: Event) => (event.target as HTMLSelectElement).value;
}

// As many letters as stand left of the plot.
const mostLetters = 32;
const shortened = (name: string) => (name.length > mostLetters ? `${name.slice(0, mostLetters - 1)}…` : name);
