import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { WeatherSource } from '@field-nurse/contract';
import type { WeatherHour } from '@field-nurse/core/timing';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { Calc } from '../calc/calc';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { firstLetters } from '../shared/first-letters';
import { dayWord, instantWord } from '../shared/days';
import { GardenWeather } from './garden-weather';
import { SeasonWeatherPanel } from './season-weather';
import { WeatherRibbon } from './weather-ribbon';

const mostBytes = 30_000_000;
// As many hours go in one call as the server takes.
const hoursInCall = 2000;

/** Where the garden's weather comes from: its station, and files. */
@Component({
  selector: 'fn-weather-page',
  imports: [RouterLink, MatButtonModule, SeasonWeatherPanel, WeatherRibbon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './weather-page.scss',
  templateUrl: './weather-page.html',
})
export class WeatherPage {
  readonly #api = inject(Api);
  readonly #calc = inject(Calc);
  readonly #records = inject(Records);
  protected readonly book = inject(GardenWeather);
  protected readonly garden = inject(Garden);
  readonly #id = this.garden.summary().id;
  protected readonly sources = signal<readonly WeatherSource[] | null>(null);
  protected readonly fault = signal('');
  /** what is being done, with the share done */
  protected readonly busy = signal<{ readonly word: string; readonly share: number } | null>(null);
  #cancelled = false;
  protected readonly station = computed(() => this.book.answer()?.station);
  protected readonly hasStation = computed(() => this.garden.summary().weatherStation !== null);
  protected readonly isOwner = this.garden.isOwner;

  constructor() {
    void this.#attempt(async () => this.sources.set(await firstValueFrom(this.#api.weatherSources(this.#id))));
  }

  protected readonly span = ({ firstAt, lastAt, hours }: WeatherSource) => {
    if (!firstAt || !lastAt) return 'no hours yet';
    const today = this.garden.today();
    return `${hours.toLocaleString('en-GB')} hours, ${dayWord(firstAt.slice(0, 10), today)} to ${dayWord(lastAt.slice(0, 10), today)}`;
  };
  protected readonly added = ({ addedAt }: WeatherSource) => instantWord(addedAt, this.garden.summary().timeZone);

  protected async read(): Promise<void> {
    this.busy.set({ word: 'Reading the station …', share: 0 });
    await this.#attempt(async () => this.sources.set(await firstValueFrom(this.#api.readStation(this.#id))));
    await this.book.load();
    this.busy.set(null);
  }

  protected async take(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    await this.#attempt(async () => {
      if (file.size > mostBytes) return this.fault.set(`This file has ${Math.round(file.size / 1e6)} megabytes; up to 30 can be read.`);
      const read = await this.#calc.readWeatherFile(await file.text(), this.garden.summary().timeZone);
      if ('refused' in read) return this.fault.set(read.refused);
      await this.#send(crypto.randomUUID(), firstLetters(file.name, 120), read.hours);
    });
    this.busy.set(null);
  }

  protected cancel(): void {
    this.#cancelled = true;
  }

  protected async remove({ id, name }: WeatherSource): Promise<void> {
    await this.#keep(id, false);
    if (!this.fault()) this.#records.sayWithUndo(`${name} is taken out.`, () => void this.#keep(id, true));
  }

  async #keep(id: string, kept: boolean): Promise<void> {
    await this.#attempt(async () => {
      this.sources.set(await firstValueFrom(this.#api.keepWeatherFile(this.#id, id, kept)));
      await this.book.load();
    });
  }

  async #send(id: string, name: string, hours: readonly WeatherHour[]): Promise<void> {
    this.#cancelled = false;
    try {
      for (let i = 0; i < hours.length && !this.#cancelled; i += hoursInCall) {
        this.busy.set({ word: `Taking in ${name} …`, share: i / hours.length });
        this.sources.set(await firstValueFrom(this.#api.addWeatherFile(this.#id, { id, name, hours: hours.slice(i, i + hoursInCall) })));
      }
    } catch (error) {
      // Half a file would mislead: what came of it does not count.
      await firstValueFrom(this.#api.keepWeatherFile(this.#id, id, false)).then(
        (sources) => this.sources.set(sources),
        () => undefined,
      );
      throw error;
    }
    if (this.#cancelled) {
      await this.#keep(id, false);
      return this.#records.say('Stopped; nothing of the file counts.');
    }
    await this.book.load();
    this.#records.sayWithUndo(`${hours.length} hours taken in from ${name}.`, () => void this.#keep(id, false));
  }

  async #attempt(work: () => Promise<void>): Promise<void> {
    this.fault.set('');
    try {
      await work();
    } catch (error) {
      this.fault.set(ApiError.from(error).message);
    }
  }
}
