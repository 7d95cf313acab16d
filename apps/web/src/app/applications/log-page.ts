import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatIconModule } from '@angular/material/icon';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { dayAt } from '@field-nurse/core/timing';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { dayWord, instantWord, longDay } from '../shared/days';
import { amountWord, inGardenUnits, inOtherUnits } from '../shared/units';
import { saveFile } from '../shared/save-file';
import { advice } from '../shared/words';
import type { LogLine } from './log-rows';
import { logLines } from './log-rows';

/** The record of all applications: to read, to print, to hand over. */
@Component({
  selector: 'fn-log-page',
  imports: [RouterLink, MatButtonModule, MatFormFieldModule, MatIconModule, MatSelectModule],
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

  protected readonly years = computed(() =>
    [
      ...new Set([
        this.garden.today().slice(0, 4),
        ...this.garden.applications().map(({ appliedAt }) => dayAt(appliedAt, this.#zone).slice(0, 4)),
      ]),
    ]
      .sort()
      .reverse(),
  );
  protected readonly year = signal<string | undefined>(this.garden.today().slice(0, 4));
  protected readonly lines = computed(() =>
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
  protected readonly printedOn = computed(() => longDay(this.garden.today()));

  protected readonly when = (instant: string) => instantWord(instant, this.#zone);
  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly isShut = ({ reEntryAt }: LogLine) => reEntryAt > this.garden.now();
  protected readonly isUnsafe = ({ harvestSafeOn }: LogLine) => harvestSafeOn !== null && harvestSafeOn > this.garden.today();
  protected readonly product = ({ productAmount, productUnit }: LogLine) =>
    productAmount === null || productUnit === null ? '' : amountWord({ amount: productAmount, unit: productUnit });
  protected readonly water = ({ waterL }: LogLine) => (waterL === null ? '' : `in ${inGardenUnits('water', waterL, this.#system)}`);
  protected readonly waterHover = ({ waterL }: LogLine) => (waterL === null ? null : inOtherUnits('water', waterL, this.#system));
  protected readonly weather = ({ temperatureC, windKmh, sky }: LogLine) =>
    [
      temperatureC === null ? '' : inGardenUnits('temperature', temperatureC, this.#system),
      windKmh === null ? '' : `wind ${inGardenUnits('wind', windKmh, this.#system)}`,
      sky,
    ]
      .filter(Boolean)
      .join(', ');

  protected print(): void {
    window.print();
  }

  protected async download(): Promise<void> {
    const { logCsv } = await import('./log-csv');
    const csv = logCsv(
      this.lines().map((line) => ({
        applied: line.appliedAt,
        place: line.place,
        plant: line.plant,
        cultivar: line.cultivar,
        plants: line.plants,
        treatment: line.treatment,
        product: line.productAmount,
        unit: line.productUnit,
        waterL: line.waterL,
        part: line.coveredPart,
        why: line.why,
        by: line.appliedBy,
        temperatureC: line.temperatureC,
        windKmh: line.windKmh,
        sky: line.sky,
        reEntry: line.reEntryAt,
        harvestSafeOn: line.harvestSafeOn,
      })),
    );
    saveFile(`applications-${this.year() ?? 'all'}.csv`, 'text/csv', csv);
  }
}
