import { Injectable, signal } from '@angular/core';

/** What the gardener says of the weather; kept while the page is open, since it is true for today only. */
export interface SaidWeather {
  readonly temperatureC: number | null;
  readonly warmestC: number | null;
  readonly windKmh: number | null;
  readonly rainInHours: number | null;
  readonly daysToFrost: number | null;
}

@Injectable({ providedIn: 'root' })
export class TodaysWeather {
  readonly said = signal<SaidWeather>({ temperatureC: null, warmestC: null, windKmh: null, rainInHours: null, daysToFrost: null });

  set(field: keyof SaidWeather, value: number | null): void {
    this.said.update((said) => ({ ...said, [field]: value }));
  }
}
