import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { ApiError } from '../api/api-error';
import { DayField } from '../gardens/day-field';
import { Garden } from '../gardens/garden';
import { Records } from '../gardens/records';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';

/** What was picked of what, in a year, with its sums, and a line to write the next down. */
@Component({
  selector: 'fn-harvest-panel',
  imports: [MatButtonModule, MatFormFieldModule, MatInputModule, MatSelectModule, DayField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    :host {
      display: grid;
      gap: 12px;
    }
    ul {
      list-style: none;
    }
    li {
      display: flex;
      gap: 14px;
      padding: 6px 0;
      border-top: 1px solid var(--fn-line);
    }
    li span:first-child {
      flex: 1;
    }
    form {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
      gap: 4px 12px;
      align-items: start;
    }
  `,
  template: `
    <ul>
      @for (crop of crops(); track crop.name) {
        <li>
          <span
            ><b>{{ crop.name }}</b
            >&ngsp;<span class="fn-small">{{ crop.days }}</span></span
          >
          <b>{{ crop.kg.toFixed(1) }} kg</b>
          <span class="fn-small">{{ crop.waste > 0 ? crop.waste.toFixed(1) + ' kg not usable' : '' }}</span>
        </li>
      } @empty {
        <li class="fn-small">Nothing picked is written down{{ year() ? ' in ' + year() : '' }}.</li>
      }
    </ul>
    @if (garden.canWrite() && pickable().length > 0) {
      <form class="fn-no-print" (submit)="$event.preventDefault(); add()" novalidate>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Picked of</mat-label>
          <mat-select [value]="planting()" (selectionChange)="planting.set($event.value)">
            @for (one of pickable(); track one.id) {
              <mat-option [value]="one.id">{{ one.name }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <fn-day-field label="On" [required]="true" [value]="on()" [max]="garden.today()" (valueChange)="on.set($event)" />
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>Kilograms</mat-label>
          <input matInput #kgs type="number" min="0" step="0.1" [value]="kg()" (input)="kg.set(kgs.value)" />
        </mat-form-field>
        <mat-form-field subscriptSizing="dynamic">
          <mat-label>of it not usable</mat-label>
          <input matInput #wastes type="number" min="0" step="0.1" [value]="waste()" (input)="waste.set(wastes.value)" />
        </mat-form-field>
        <button matButton="outlined" [disabled]="!isWhole() || busy()">Write it down</button>
      </form>
      @if (refusal(); as line) {
        <p class="fn-stop" role="alert">{{ line }} What you entered is still here.</p>
      }
    }
  `,
})
export class HarvestPanel {
  readonly #records = inject(Records);
  readonly #library = inject(Library);
  protected readonly garden = inject(Garden);
  /** none for all years */
  readonly year = input.required<string | undefined>();
  protected readonly planting = signal('');
  protected readonly on = signal<string | null>(this.garden.today());
  protected readonly kg = signal('');
  protected readonly waste = signal('');
  protected readonly busy = signal(false);
  protected readonly refusal = signal('');

  readonly #nameOf = (plantingId: string) => {
    const planting = this.garden.planting(plantingId);
    return [this.#library.hostName(planting?.host ?? ''), planting?.cultivar, this.garden.place(planting?.placeId ?? '')?.name]
      .filter(Boolean)
      .join(', ');
  };
  protected readonly pickable = computed(() =>
    this.garden
      .plantings()
      .filter(({ eaten, endedOn }) => eaten && !endedOn)
      .map(({ id }) => ({ id, name: this.#nameOf(id) }))
      .sort((a, b) => a.name.localeCompare(b.name)),
  );
  protected readonly crops = computed(() => {
    const year = this.year();
    const crops = new Map<string, { kg: number; waste: number; days: string[] }>();
    for (const { plantingId, pickedOn, kg, wasteKg } of this.garden.harvests()) {
      if (year && !pickedOn.startsWith(year)) continue;
      const name = this.#nameOf(plantingId);
      const crop = crops.get(name) ?? { kg: 0, waste: 0, days: [] };
      crops.set(name, crop);
      crop.kg += kg ?? 0;
      crop.waste += wasteKg ?? 0;
      crop.days.push(pickedOn);
    }
    return [...crops].map(([name, crop]) => ({ ...crop, name, days: this.#span(crop.days) })).sort((a, b) => b.kg - a.kg);
  });
  #span(days: readonly string[]): string {
    const sorted = [...days].sort();
    const word = (day: string) => dayWord(day, this.garden.today());
    return sorted.length === 1 ? word(sorted[0]!) : `${sorted.length} times, ${word(sorted[0]!)} to ${word(sorted.at(-1)!)}`;
  }
  readonly #numbers = computed(() => [Number(this.kg() || NaN), this.waste() === '' ? null : Number(this.waste())] as const);
  protected readonly isWhole = computed(() => {
    const [kg, waste] = this.#numbers();
    return this.planting() !== '' && this.on() !== null && kg >= 0 && kg <= 1_000_000 && (waste === null || (waste >= 0 && waste <= kg));
  });

  protected async add(): Promise<void> {
    if (!this.isWhole() || this.busy()) return;
    const [kg, wasteKg] = this.#numbers();
    this.busy.set(true);
    this.refusal.set('');
    try {
      await this.#records.save(
        'harvests',
        crypto.randomUUID(),
        0,
        { plantingId: this.planting(), pickedOn: this.on()!, kg, wasteKg, pieces: null, by: '', note: '' },
        'Harvest written down.',
      );
      this.kg.set('');
      this.waste.set('');
    } catch (error) {
      this.refusal.set(ApiError.from(error).message);
    } finally {
      this.busy.set(false);
    }
  }
}
