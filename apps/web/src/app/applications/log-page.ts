import { ChangeDetectionStrategy, Component, computed, effect, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatIconModule } from '@angular/material/icon';
import { MatInputModule } from '@angular/material/input';
import { MatMenuModule } from '@angular/material/menu';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { dayWord, instantWord, longDay } from '../shared/days';
import { inGardenUnits, inOtherUnits } from '../shared/units';
import { saveFile } from '../shared/save-file';
import { advice } from '../shared/words';
import { HarvestPanel } from './harvest-panel';
import type { LogFilter } from './log-filter';
import { choicesOf, filtered, noFilter } from './log-filter';
import { logTotals } from './log-totals';
import { soilSums, trapSums } from './season-sums';
import type { SoilSum, TrapSum } from './season-sums';
import type { LogLine, LogTarget } from './log-rows';
import { productWord } from './product-amount';
import { logLines } from './log-rows';
import type { RecordLayout } from './record-document';
import { layoutWords, usedWord } from './record-document';

/** The record of all applications: to read, to print, to hand over. */
@Component({
  selector: 'fn-log-page',
  imports: [RouterLink, MatButtonModule, MatFormFieldModule, MatIconModule, MatInputModule, MatMenuModule, MatSelectModule, HarvestPanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './log-page.scss',
  templateUrl: './log-page.html',
})
export class LogPage {
  readonly #library = inject(Library);
  protected readonly garden = inject(Garden);
  protected readonly advice = advice;
  readonly #system = this.garden.summary().units;
  readonly #zone = this.garden.summary().timeZone;

  protected readonly years = computed(() => [...this.garden.years()].reverse());
  /** the year that it opens with; the running one where it is left out */
  readonly season = input<string>();
  protected readonly year = linkedSignal<string | undefined>(() => this.season() ?? this.garden.today().slice(0, 4));
  /** records of these years are on their way */
  protected readonly coming = computed(
    () => !(this.year() ? [this.year()!] : this.garden.years()).every((year) => this.garden.hasYear(year)),
  );
  /** of the year */
  protected readonly all = computed(() =>
    logLines(
      this.garden.applications(),
      this.year(),
      {
        planting: this.garden.planting,
        place: this.garden.place,
        host: this.#library.hostName,
        intervention: this.#library.interventionName,
      },
      this.#zone,
    ),
  );
  protected readonly noFilter = noFilter;
  protected readonly filter = signal<LogFilter>(noFilter);
  protected readonly choices = computed(() => choicesOf(this.all()));
  protected readonly columns = [
    { key: 'place', word: 'Place' },
    { key: 'plant', word: 'Crop' },
    { key: 'treatment', word: 'Treatment' },
    { key: 'by', word: 'By whom' },
  ] as const;
  protected readonly lines = computed(() => filtered(this.all(), this.filter()));
  readonly #products = computed(() => new Map(this.garden.products().map((one) => [one.id, one])));
  protected readonly totals = computed(() =>
    logTotals(this.lines(), this.#products(), (id) => this.garden.place(this.garden.planting(id)?.placeId ?? '')?.areaM2 ?? undefined),
  );
  /** caught in traps, beside what was picked and sprayed */
  protected readonly traps = computed(() => trapSums(this.garden.traps(), this.garden.catches(), this.year()));
  /** what stays in the soil, by place */
  protected readonly soil = computed(() =>
    soilSums(this.lines(), {
      products: this.#products(),
      countsAs: (id) => this.#library.interventions().get(id)?.countsAs,
      areaOf: (name) => this.garden.places().find((place) => place.name === name)?.areaM2 ?? undefined,
    }),
  );
  protected readonly caughtWord = ({ caught, readings }: TrapSum) =>
    `${caught.map(({ what, count }) => `${count} ${what}`).join(', ') || 'nothing'}, read ${readings === 1 ? 'once' : `${readings} times`}`;
  protected readonly soilWord = ({ ingredient, activeG, gPerM2, times, unknown }: SoilSum) =>
    [
      `${activeG.toPrecision(2)} g of ${ingredient} by the strength on the pack, in ${times === 1 ? '1 pass' : `${times} passes`}`,
      gPerM2 === undefined ? 'its area is not known' : `${gPerM2.toPrecision(2)} g to the square metre`,
      unknown > 0 ? `${unknown === 1 ? '1 pass' : `${unknown} passes`} more whose amount or strength nobody wrote down` : '',
    ]
      .filter(Boolean)
      .join('; ');
  protected readonly used = usedWord;
  protected readonly layouts = Object.entries(layoutWords) as [RecordLayout, string][];
  protected readonly making = signal(false);
  protected readonly refusal = signal('');

  protected readonly printedOn = computed(() => longDay(this.garden.today()));

  protected readonly when = (instant: string) => instantWord(instant, this.#zone);
  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly isShut = ({ reEntryAt }: LogLine) => reEntryAt > this.garden.now();
  protected readonly isUnsafe = ({ notPickedBefore }: LogTarget) => notPickedBefore !== null && notPickedBefore > this.garden.today();
  protected readonly product = (line: LogLine) => productWord(line, this.#system);
  protected readonly water = ({ waterL }: LogLine) => (waterL === null ? '' : `in ${inGardenUnits('water', waterL, this.#system)}`);
  protected readonly waterHover = ({ waterL }: LogLine) => (waterL === null ? null : inOtherUnits('water', waterL, this.#system));
  /** as it was noted; where nobody did, as the station measured it in that hour */
  protected readonly weather = ({ temperatureC, windKmh, sky, measured }: LogLine) => {
    const noted = this.#weatherWord(temperatureC, windKmh, sky);
    return noted || !measured ? noted : `${this.#weatherWord(measured.temperatureC, measured.windKmh, '')} (station)`;
  };
  #weatherWord = (temperatureC: number | null, windKmh: number | null, sky: string) =>
    [
      temperatureC === null ? '' : inGardenUnits('temperature', temperatureC, this.#system),
      windKmh === null ? '' : `wind ${inGardenUnits('wind', windKmh, this.#system)}`,
      sky,
    ]
      .filter(Boolean)
      .join(', ');

  constructor() {
    effect(() => this.season() && this.garden.openYear(this.season()!));
  }

  protected change(change: Partial<LogFilter>): void {
    this.filter.update((filter) => ({ ...filter, ...change }));
  }

  protected choose(column: keyof LogFilter, value: string): void {
    this.change({ [column]: value });
  }

  protected async record(layout: RecordLayout): Promise<void> {
    this.making.set(true);
    this.refusal.set('');
    try {
      const [{ recordDocument }, { savePdf }] = await Promise.all([import('./record-document'), import('../shared/save-pdf')]);
      const { plant, place } = this.filter();
      const of = [plant, place].filter(Boolean).join(', ');
      const period = `${this.year() ?? 'all years'}${of ? `, ${of}` : ''}`;
      const facts = {
        garden: this.garden.summary().name,
        period,
        printedOn: this.garden.today(),
        lines: this.lines(),
        totals: this.totals(),
        products: this.#products(),
        when: this.when,
        day: this.day,
        amount: this.product,
        water: this.water,
        weather: this.weather,
      };
      await savePdf(recordDocument(facts, layout), `record ${period}`);
    } catch {
      this.refusal.set('The PDF could not be made here. Print the page, or try again with signal.');
    } finally {
      this.making.set(false);
    }
  }

  protected show(year: string | undefined): void {
    this.year.set(year);
    for (const one of year ? [year] : this.garden.years()) this.garden.openYear(one);
  }

  protected print(): void {
    window.print();
  }

  protected async download(): Promise<void> {
    const { csvOf, headsOf, linesOf } = await import('@field-nurse/library/tables');
    const names = {
      planting: (id: string) => this.garden.planting(id),
      place: (id: string) => this.garden.place(id)?.name ?? '',
      host: (id: string) => this.#library.hostName(id),
      intervention: (id: string) => this.#library.interventionName(id),
      condition: (id: string) => this.#library.conditionName(id),
      sign: (id: string) => id,
      product: (id: string) => this.garden.products().find((one) => one.id === id)?.name ?? '',
      trap: (id: string) => id,
    };
    const rows = this.lines().flatMap((line) => linesOf('treatments', { ...line, targets: [...line.targets] }, names));
    saveFile(`applications-${this.year() ?? 'all'}.csv`, 'text/csv', csvOf([headsOf('treatments'), ...rows]));
  }
}
