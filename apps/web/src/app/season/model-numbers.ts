import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { requireTrouble } from '@field-nurse/core/season';
import type { TroubleModel } from '@field-nurse/core/season';
import type { SeasonModel } from '@field-nurse/library';
import { troubleOf } from '@field-nurse/library/season';

interface NumberRow {
  readonly name: string;
  readonly path: readonly (string | number)[];
  readonly value: number;
}

/** What the season is reckoned from: every number with its source, to be changed for this trial. */
@Component({
  selector: 'fn-model-numbers',
  imports: [MatButtonModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    details {
      display: grid;
      gap: 12px;
    }
    summary {
      min-height: 44px;
      padding: 10px 0;
      font-weight: 650;
      cursor: pointer;
    }
    .rows {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 330px), 1fr));
      gap: 6px 28px;
      margin: 12px 0;
    }
    label {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 108px;
      gap: 10px;
      align-items: center;
      font-size: 0.92rem;
    }
    ul {
      display: grid;
      gap: 6px;
      padding-left: 1.2em;
      max-width: 80ch;
    }
  `,
  template: `
    <details>
      <summary>The numbers behind it{{ changed() ? ', changed by you' : '' }}</summary>
      <ul class="fn-small">
        @for (line of entry().basis; track line) {
          <li>{{ line }}</li>
        }
      </ul>
      <div class="rows">
        @for (row of rows(); track row.name) {
          <label>
            <span>{{ row.name }}</span>
            <input class="fn-choice" type="number" step="any" [value]="row.value" (change)="set(row, $event)" />
          </label>
        }
      </div>
      @if (fault()) {
        <p class="fn-stop" role="alert">{{ fault() }}</p>
      }
      @if (changed()) {
        <button matButton="outlined" type="button" (click)="changed.set(null)">Back to the library’s numbers</button>
      }
    </details>
  `,
})
export class ModelNumbers {
  readonly entry = input.required<Exclude<SeasonModel, { kind: 'ground' }>>();
  /** the numbers as they were changed; nothing: as the library has them */
  readonly changed = model.required<TroubleModel | null>();
  protected readonly now = computed(() => this.changed() ?? troubleOf(this.entry()));
  protected readonly rows = computed(() => rowsOf(this.now()));
  protected readonly fault = model('');

  protected set({ path }: NumberRow, event: Event): void {
    const field = event.target as HTMLInputElement;
    const next = withNumber(this.now(), path, Number(field.value));
    try {
      if (field.value.trim() === '') throw new RangeError('A number is needed here.');
      requireTrouble(next);
      this.fault.set('');
      this.changed.set(next);
    } catch (error) {
      this.fault.set(`${(error as Error).message}. What was there before counts on.`);
    }
  }
}

const words: Readonly<Record<string, string>> = {
  lowerC: 'stands still below, °C',
  degreeDays: 'heat it takes, degree days',
  substages: 'steps (the more, the less its length scatters)',
  mortalityPerDay: 'die in a day, as a rate',
  feeds: 'eats, beside the worst',
  sheltered: 'sheltered from contact, share',
  eggsPerAdultDay: 'Eggs or young of a mother in a day at 20 °C',
  femaleShare: 'Females among the grown',
  upperC: 'Goes no faster above, °C',
  perDay: 'comes in on a day',
  count: 'come in the whole flight, on a plant',
  atDegreeDays: 'half have come at, degree days of the year',
  spread: 'spread of the flight, degree days',
  crowdedAt: 'Crowded from so many on a plant',
  mostPerDay: 'one eats in a day at most',
  halfAt: 'eats half of that at so many on a plant',
  youngPerPrey: 'young for each one eaten',
  lifeDays: 'lives for, days',
  arrivePerDay: 'come by themselves on a day',
  initial: 'on a plant to begin with',
  start: 'alleles that resist to begin with, share',
  dominance: 'how much one of them protects beside two',
  escapes: 'share of the kill that is escaped',
  halfLossAt: 'half of the loss at so many feeding days',
  mostLoss: 'most that can be lost, share',
  actAt: 'It pays to act from so many on',
  tMin: 'Stands still below, °C',
  tOpt: 'Best at, °C',
  tMax: 'Stands still above, °C',
  wetHours: 'Wet hours that it needs at best',
  latentDays: 'Days from infection to first spores',
  sporeDays: 'Days for which a spot bears spores',
  spreadPerDay: 'Leaf infected by one of leaf with spores in a day',
  spotGrowthPerDay: 'Spots grow in a day by, share',
  newLeafPerDay: 'New leaf in a day, share',
};
const parts: Readonly<Record<string, string>> = {
  arrivals: 'From outside',
  enemies: 'Helpers',
  resistance: 'Resistance',
  harm: 'Harm',
  eats: 'Helpers eat',
};

/** Every number of a model, with a name that says what it is. */
export function rowsOf(model: TroubleModel): NumberRow[] {
  const walk = (value: unknown, path: readonly (string | number)[], owner: string): NumberRow[] => {
    if (typeof value === 'number') {
      const key = String(path.at(-1));
      const name = words[key] ?? key;
      return [{ name: owner ? `${owner}: ${name}` : name, path, value }];
    }
    // Months are no measure.
    if (Array.isArray(value) && value.every((one) => typeof one === 'number')) return [];
    if (Array.isArray(value)) return value.flatMap((one: { id: string }, i) => walk(one, [...path, i], one.id));
    if (typeof value !== 'object' || value === null) return [];
    return Object.entries(value).flatMap(([key, one]) => walk(one, [...path, key], parts[key] ?? owner));
  };
  // What it is counted by stands first, what is the same for all last.
  const last = ['stages', 'arrivals', 'enemies', 'harm', 'resistance'];
  return Object.entries(model)
    .sort(([one], [other]) => last.indexOf(one) - last.indexOf(other))
    .flatMap(([key, value]) => walk(value, [key], parts[key] ?? ''));
}

/** A copy with another number at a place. */
export function withNumber<T>(model: T, path: readonly (string | number)[], value: number): T {
  const copy = structuredClone(model);
  let at = copy as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
  at[path.at(-1)!] = value;
  return copy;
}
