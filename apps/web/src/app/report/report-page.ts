import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatSelectModule } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import { dayAt, seasonOf } from '@field-nurse/core/timing';
import { Garden } from '../gardens/garden';
import { PastYears } from '../gardens/past-years';
import type { Planting } from '../gardens/plantings-now';
import { Library } from '../library/library';
import { PlantingStrip } from '../plantings/planting-strip';
import { stripsWithin } from '../plantings/strips';
import { dayWord, longDay } from '../shared/days';
import { MeasuredWidth } from '../shared/measured-width';
import { reportText } from './report-words';
import { seasonReport } from './season-report';

const mostStrips = 12;
// On a phone names stand above their strips.
const [stripHeight, nameWidth, nameAbove] = [50, 170, 560];

/** A season of one place, one crop or the whole garden on a page: what happened, what was done, what it cost, what helped, what to change. */
@Component({
  selector: 'fn-report-page',
  imports: [RouterLink, MatButtonModule, MatFormFieldModule, MatSelectModule, MeasuredWidth, PlantingStrip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './report-page.scss',
  templateUrl: './report-page.html',
})
export class ReportPage {
  readonly #router = inject(Router);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  protected readonly past = inject(PastYears);
  /** from the address: "place <id>" or "crop <id>"; nothing for the whole garden */
  readonly of = input<string>();
  readonly year = input<string>();

  protected readonly chosenYear = computed(() => this.year() ?? this.garden.today().slice(0, 4));
  protected readonly chosen = computed(() => this.of() ?? '');
  protected readonly years = computed(() => [...this.garden.years()].reverse());
  protected readonly season = computed(() => seasonOf(`${this.chosenYear()}-${this.garden.seasonStart()}`, this.garden.seasonStart()));
  protected readonly coming = computed(() => !this.garden.hasYear(this.chosenYear(), true));
  protected readonly places = computed(() => this.garden.places().toSorted((a, b) => a.name.localeCompare(b.name)));
  protected readonly crops = computed(() => {
    const ids = [...new Set(this.garden.plantings().map(({ host }) => host))];
    return ids.map((id) => ({ id, name: this.library.hostName(id) })).sort((a, b) => a.name.localeCompare(b.name));
  });
  protected readonly subject = computed(() => {
    const [kind, id = ''] = this.chosen().split(' ');
    if (kind === 'place') return this.garden.place(id)?.name ?? 'A place';
    return kind === 'crop' ? this.library.hostName(id) : this.garden.summary().name;
  });
  protected readonly title = computed(() => `${this.subject()}, season ${this.seasonWord()}`);
  protected readonly seasonWord = computed(() => {
    const { from, to } = this.season();
    return from.slice(0, 4) === to.slice(0, 4) ? from.slice(0, 4) : `${from.slice(0, 4)}/${to.slice(2, 4)}`;
  });

  readonly #isOf = computed(() => {
    const [kind, id] = this.chosen().split(' ');
    return ({ host, placeId }: Planting) => (kind === 'place' ? placeId === id : kind === 'crop' ? host === id : true);
  });
  protected readonly report = computed(() => {
    const { timeZone } = this.garden.summary();
    return seasonReport(
      {
        plantings: this.garden.plantings(),
        sights: this.past.answer()?.sights ?? [],
        applications: this.garden.applications(),
        harvests: this.garden.harvests(),
        lessons: this.garden.lessons(),
        looks: this.garden.stops().map(({ plantingId, lookedAt, found }) => ({ plantingId, day: dayAt(lookedAt, timeZone), found })),
      },
      this.season(),
      this.#isOf(),
      {
        interventions: this.library.interventions(),
        products: new Map(this.garden.products().map((one) => [one.id, one])),
        timeZone,
        today: this.garden.today(),
      },
    );
  });

  readonly #names = {
    condition: (id: string) => this.library.conditionName(id),
    intervention: (id: string) => this.library.interventionName(id),
    planting: (id: string) => this.plantingWord(id),
  };
  protected plantingWord(id: string): string {
    const planting = this.garden.planting(id);
    if (!planting) return 'a planting that is gone';
    const place = this.garden.place(planting.placeId)?.name;
    return [this.library.hostName(planting.host).toLowerCase(), planting.cultivar, place ? `in ${place}` : ''].filter(Boolean).join(' ');
  }

  /** All of it in words, as it is read, printed and sent. */
  protected readonly text = computed(() =>
    reportText(this.report(), this.#names, {
      title: this.title(),
      madeOn: `${this.garden.summary().name}, ${longDay(this.garden.today())}`,
    }),
  );

  protected readonly width = signal(600);
  /** from the month in which something happened first, up to the season's end or today */
  protected readonly span = computed(() => {
    const { from, to } = this.season();
    const { troubles, plantings } = this.report();
    const ids = new Set(plantings.map(({ id }) => id));
    const done = this.garden.applied().filter(({ plantingId, appliedAt }) => ids.has(plantingId) && appliedAt >= from);
    const [first = from] = [...troubles.map(({ openedOn }) => openedOn), ...done.map(({ appliedAt }) => appliedAt.slice(0, 10))].sort();
    const begin = `${first.slice(0, 7)}-01`;
    return { from: begin > from ? begin : from, to: to < this.garden.today() ? to : this.garden.today() };
  });
  protected readonly strips = computed(() => {
    const ids = new Set(this.report().plantings.map(({ id }) => id));
    return stripsWithin(
      this.span(),
      {
        plantings: this.garden.plantings().filter(({ id }) => ids.has(id)),
        cases: this.garden.cases(),
        assessments: this.garden.assessments(),
        applications: this.garden.applied(),
        stops: this.garden.stops(),
      },
      this.garden.today(),
      this.garden.summary().timeZone,
    )
      .filter(({ cases, opened, treatments }) => cases.length + opened.length + treatments.length > 0)
      .slice(0, mostStrips);
  });
  protected readonly stripWidth = computed(() => (this.width() < nameAbove ? this.width() : this.width() - nameWidth));
  protected readonly stripHeight = stripHeight;
  protected readonly making = signal(false);
  protected readonly refusal = signal('');
  protected readonly day = (day: string) => dayWord(day, this.garden.today());

  constructor() {
    this.past.refresh();
    effect(() => this.garden.openYear(this.chosenYear(), true));
  }

  protected choose(change: { readonly of?: string; readonly year?: string }): void {
    const queryParams = { of: this.chosen() || null, year: this.chosenYear(), ...change };
    void this.#router.navigate([], { queryParams: { ...queryParams, of: queryParams.of || null }, replaceUrl: true });
  }

  protected print(): void {
    window.print();
  }

  protected async save(): Promise<void> {
    this.making.set(true);
    this.refusal.set('');
    try {
      const [{ reportDocument }, { savePdf }] = await Promise.all([import('./report-document'), import('../shared/save-pdf')]);
      await savePdf(reportDocument(this.text()), `report ${this.title()}`);
    } catch {
      this.refusal.set('The PDF could not be made here. Print the page, or try again with signal.');
    } finally {
      this.making.set(false);
    }
  }
}
