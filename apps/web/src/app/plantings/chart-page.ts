import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import { addDays, degreeDays, heatSum, infectionDays } from '@field-nurse/core/timing';
import { Garden } from '../gardens/garden';
import { PastYears } from '../gardens/past-years';
import { RestingGround } from '../prevention/resting-ground';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';
import { saveFile } from '../shared/save-file';
import type { ChartRow } from './chart-rows';
import type { Span } from './strips';
import { chartRows, chartSpan } from './chart-rows';
import { pictureOf } from './picture';
import { SeasonChart } from './season-chart';

// Plants, and most of what lives on them, begin at about this warmth.
const usualLowerC = 5;

/** The planting chart: every planting as one strip, through one season or ten. */
@Component({
  selector: 'fn-chart-page',
  imports: [RouterLink, MatButtonModule, MatFormFieldModule, MatSelectModule, SeasonChart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './chart-page.scss',
  templateUrl: './chart-page.html',
})
export class ChartPage {
  readonly #years = inject(PastYears);
  readonly #ground = inject(RestingGround);
  readonly #router = inject(Router);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  private readonly chart = viewChild(SeasonChart);

  /** without signal there is no sky over the strips */
  protected readonly days = computed(() => this.#years.answer()?.days ?? []);
  readonly #rain = computed(() => new Map(this.days().map(({ day, rainMm }) => [day, rainMm])));

  /** days on which leaves were wet for long enough, by plant, for the diseases that it has had here */
  readonly #infected = computed(() => {
    const had = new Map<string, Set<string>>();
    for (const { host, conditions } of this.garden.caseLines())
      for (const id of conditions) if (this.library.conditions().get(id)?.infection) had.set(host, (had.get(host) ?? new Set()).add(id));
    const days = new Map<string, readonly string[]>();
    const daysOf = (id: string) => {
      const known = days.get(id) ?? infectionDays(this.days(), this.library.conditions().get(id)!.infection!);
      days.set(id, known);
      return known;
    };
    return new Map([...had].map(([host, ids]) => [host, [...new Set([...ids].flatMap(daysOf))].sort()] as const));
  });

  protected readonly years = computed(() => [...this.garden.years()].reverse());
  protected readonly year = signal(this.garden.today().slice(0, 4));
  /** another season that is laid over; none */
  protected readonly other = signal('');
  protected readonly place = signal('');
  protected readonly asTable = signal(false);
  readonly #wanted = signal<readonly string[]>([this.year()]);
  /** the records of a year are on their way */
  protected readonly coming = computed(() => this.#wanted().some((year) => !this.garden.hasYear(year, true)));

  readonly #all = computed(() =>
    chartRows(
      {
        plantings: this.garden.plantings(),
        cases: this.garden.cases(),
        assessments: this.garden.assessments(),
        applications: this.garden.applied(),
        stops: this.garden.stops(),
        harvests: this.garden.harvests(),
      },
      {
        today: this.garden.today(),
        timeZone: this.garden.summary().timeZone,
        placeName: (id) => this.garden.place(id)?.name ?? '',
        intervention: (id) => this.library.interventions().get(id),
        rainOn: (day) => this.#rain().get(day) ?? null,
        infectedOn: (host) => this.#infected().get(host) ?? [],
        restsOf: (place, host) => this.#ground.against(place, host, this.garden.today()),
      },
    ),
  );
  protected readonly places = computed(() => [...new Set(this.#all().map(({ place }) => place))].sort((a, b) => a.localeCompare(b)));
  /** plantings that stood within what is shown, of the place that was chosen */
  protected readonly rows = computed(() => {
    const { from, to } = this.shown();
    return this.#all().filter(
      ({ grows, place }) => grows.from <= to && grows.to >= from && (this.place() === '' || place === this.place()),
    );
  });
  protected readonly shown = signal<Span>(this.#seasonOf(this.year()));
  protected readonly beside = computed(() => {
    const other = this.other();
    if (other === '') return undefined;
    const rows = new Map<string, ChartRow[]>();
    for (const row of this.#all())
      if (row.cases.some(({ openedOn }) => openedOn.startsWith(other)))
        rows.set(row.planting.host, [...(rows.get(row.planting.host) ?? []), row]);
    return { rows, years: Number(this.year()) - Number(other) };
  });
  /** heat of each day since its season began */
  protected readonly heat = computed(() => {
    const heat = degreeDays(
      this.days().map(({ minC, maxC }) => ({ min: minC, max: maxC })),
      'single-sine',
      { lower: usualLowerC },
    );
    const sums = new Map<string, number>();
    const start = this.garden.seasonStart();
    let sum = 0;
    this.days().forEach(({ day }, i) => {
      sum = day.slice(5) === start ? 0 : sum;
      sum += heat[i] ?? 0;
      if (heat[i] !== null) sums.set(day, sum);
    });
    return sums;
  });
  /** days of this season on which stages of troubles that the garden has had are reached, by their own heat */
  protected readonly stages = computed(() => {
    const had = new Set(this.garden.caseLines().flatMap(({ conditions }) => conditions));
    const days = this.days().filter(({ day }) => day.startsWith(this.year()));
    return [...had].flatMap((id) => {
      const { name, heat } = this.library.conditions().get(id) ?? {};
      if (!heat || heat.from === undefined) return [];
      const seen = this.garden.caseLines().filter((line) => line.conditions.includes(id) && line.openedOn.startsWith(this.year()));
      const biofix = heat.from === 'first-sight' ? seen.map(({ openedOn }) => openedOn).sort()[0] : undefined;
      if (heat.from === 'first-sight' && !biofix) return [];
      const sums = degreeDays(
        days.map(({ minC, maxC }) => ({ min: minC, max: maxC })),
        'single-sine',
        { lower: heat.lowerC, upper: heat.upperC },
      );
      const { reached } = heatSum(
        days.map(({ day }, i) => ({ date: day, dd: sums[i]! })),
        heat.stages,
        biofix ?? (heat.from === 'spring' ? `${this.year()}-03-01` : undefined),
      );
      return reached.flatMap(({ name: stage, date }) => (date ? [{ day: date, name: `${name}: ${stage}` }] : []));
    });
  });

  constructor() {
    this.#years.refresh();
    this.garden.openYear(this.year(), true);
  }

  #seasonOf(year: string): Span {
    return { from: `${year}-01-01`, to: `${year}-12-31` };
  }

  protected show(year: string): void {
    this.year.set(year);
    this.#open([year]);
    this.shown.set(this.#seasonOf(year));
  }

  protected compare(year: string): void {
    this.other.set(year);
    if (year) this.#open([year]);
  }

  /** "week", "month" around today; "season"; "all" years */
  protected zoom(to: 'week' | 'month' | 'season' | 'all'): void {
    const today = this.garden.today();
    if (to === 'all') {
      this.#open(this.garden.years());
      this.shown.set(chartSpan(this.#all(), today));
    } else if (to === 'season') this.shown.set({ ...this.#seasonOf(this.year()) });
    else this.shown.set({ from: addDays(today, to === 'week' ? -5 : -24), to: addDays(today, to === 'week' ? 2 : 7) });
  }

  #open(years: readonly string[]): void {
    this.#wanted.set([...new Set([...this.#wanted(), ...years])]);
    for (const year of years) this.garden.openYear(year, true);
  }

  protected closer(factor: number): void {
    this.chart()?.zoomBy(factor);
  }

  protected open(planting: string): void {
    void this.#router.navigate(['/g', this.garden.summary().id, 'plantings', planting]);
  }

  protected saveSvg(): void {
    const svg = this.chart()?.svg();
    if (svg) saveFile(`planting-chart-${this.year()}.svg`, 'image/svg+xml', svg);
  }

  protected async savePng(): Promise<void> {
    const svg = this.chart()?.svg();
    if (svg) await pictureOf(svg, `planting-chart-${this.year()}.png`);
  }

  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly looked = ({ looks }: ChartRow) => {
    const found = looks.filter((look) => look.found).length;
    if (looks.length === 0) return '–';
    return `on ${looks.length} ${looks.length === 1 ? 'round' : 'rounds'}${found > 0 ? `, something found on ${found}` : ''}`;
  };
  protected readonly cases = ({ cases }: ChartRow) => cases.map(({ openedOn }) => `opened ${this.day(openedOn)}`).join(', ') || '–';
  protected readonly ripe = ({ harvests }: ChartRow) => harvests.map(({ from }) => `from ${this.day(from)}`).join(', ') || '–';
  protected readonly worst = ({ cases }: ChartRow) => {
    const all = cases.flatMap(({ points }) => points.map(({ severity }) => severity));
    return all.length > 0 ? `${Math.round(Math.max(...all))} %` : '–';
  };
  protected readonly done = ({ treatments }: ChartRow) =>
    treatments.map(({ day, intervention }) => `${this.library.interventionName(intervention)} ${this.day(day)}`).join(', ') || '–';
  protected readonly kilograms = ({ picked }: ChartRow) => {
    const kg = picked.reduce((sum, one) => sum + one.kg, 0);
    return kg > 0 ? `${kg.toFixed(1)} kg` : '–';
  };
}
