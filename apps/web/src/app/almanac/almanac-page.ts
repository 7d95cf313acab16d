import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { addDays, seasonOf, weatherDays } from '@field-nurse/core/timing';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { PastYears } from '../gardens/past-years';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';
import { GardenWeather } from '../weather/garden-weather';
import type { DueRow } from './almanac-rows';
import { dueRows, helpedRows, pressureRows } from './almanac-rows';
import { comparableTroubles } from './case-groups';
import { DueChart } from './due-chart';
import { GroupsPlot } from './groups-plot';
import { LessonsPanel } from './lessons-panel';
import { PressureCalendar } from './pressure-calendar';
import { WetSpells } from './wet-spells';

/** What all years say: when troubles are due, what pressed whom in which month, what helped at what cost, and what was learnt. */
@Component({
  selector: 'fn-almanac-page',
  imports: [MatButtonModule, DueChart, GroupsPlot, LessonsPanel, PressureCalendar, WetSpells],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './almanac-page.scss',
  templateUrl: './almanac-page.html',
})
export class AlmanacPage {
  readonly #records = inject(Records);
  readonly #library = inject(Library);
  readonly #weather = inject(GardenWeather);
  protected readonly garden = inject(Garden);
  protected readonly refusal = signal('');

  readonly #years = inject(PastYears);
  protected readonly answer = this.#years.answer;
  protected readonly fault = this.#years.fault;
  readonly #forecast = computed(() => {
    const hours = this.#weather.forecast();
    const { timeZone } = this.garden.summary();
    const last = hours.at(-1)?.at.slice(0, 10);
    const from = addDays(this.garden.today(), 1);
    // A day of which half is not forecast is none.
    return last && last >= from ? weatherDays(hours, timeZone, from, last).filter(({ missing }) => missing < 6) : [];
  });
  protected readonly season = computed(() => seasonOf(this.garden.today(), this.garden.seasonStart()));
  protected readonly due = computed(() => {
    const answer = this.answer();
    const conditions = this.#library.conditions();
    return answer
      ? dueRows(answer, this.#forecast(), conditions, { today: this.garden.today(), seasonStart: this.garden.seasonStart() })
      : [];
  });
  protected readonly pressure = computed(() => pressureRows(this.answer()?.sights ?? [], this.garden.today()));
  protected readonly helped = computed(() => helpedRows(this.answer()?.sights ?? [], this.#library.interventions()));
  protected readonly isComparable = computed(() => comparableTroubles(this.answer()?.sights ?? []).length > 0);
  /** due again, and not here yet */
  protected readonly coming = computed(() => this.due().filter(({ due, hereSince }) => due && !hereSince));

  constructor() {
    this.#years.refresh();
  }

  protected readonly condition = (id: string) => this.#library.conditionName(id);
  protected readonly host = (id: string) => this.#library.hostName(id);
  protected readonly intervention = (id: string) => this.#library.interventionName(id);
  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly isListed = (row: DueRow) =>
    this.garden.lessons().some(({ condition, host, doneOn }) => condition === row.condition && host === row.host && !doneOn);

  /** When it is due, and how that is known. */
  protected readonly told = ({ seen, due, beginOn, hereSince }: DueRow) => {
    const years = seen.filter(({ on }) => on !== hereSince).map(({ on }) => this.day(on));
    return `First seen ${years.join(', ')}. Due ${this.day(due!.expectedOn)}, between ${this.day(due!.earliest)} and ${this.day(due!.latest)}, by ${due!.by === 'heat' ? 'this year’s warmth' : 'the calendar: too little weather is known'}. Begin by ${this.day(beginOn!)}.`;
  };

  /** Put what keeps it off on the list, for the day on which to begin. */
  protected async list(row: DueRow): Promise<void> {
    const { today } = this.garden;
    const due = row.beginOn! < today() ? today() : row.beginOn!;
    const text = `Keep ${this.condition(row.condition).toLowerCase()} off the ${this.host(row.host).toLowerCase()}: it is due about ${this.day(row.due!.expectedOn)}.`;
    this.refusal.set('');
    await this.#records
      .save(
        'lessons',
        crypto.randomUUID(),
        0,
        { writtenOn: today(), text, condition: row.condition, host: row.host, dueOn: due, doneOn: null },
        'Put on the list.',
      )
      .catch((error: unknown) => this.refusal.set(ApiError.from(error).message));
  }
}
