import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { fieldWords, generalWord, lineWord, plantWord, protectWord, targetWord } from './card-words';
import type { Naming } from './card-words';
import type { ShownCard } from './typical-card';

const general = [
  'validUntil',
  'soldTo',
  'reEntryHours',
  'rainFastHours',
  'temperatureC',
  'maxWindKmh',
  'bufferM',
  'bees',
  'daysBeforeFlower',
  'apartFrom',
] as const;
const columns = ['rate', 'repeatDays', 'preHarvestDays', 'seasonMax', 'settings'] as const;

/** A label as a card: a row for each plant and trouble that it names, and below what holds for all of them. */
@Component({
  selector: 'fn-card-view',
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './card-view.scss',
  template: `
    <table class="fn-table">
      <thead>
        <tr>
          <th scope="col">On, and against</th>
          @for (column of columns; track column) {
            <th scope="col">{{ words[column] }}</th>
          }
        </tr>
      </thead>
      <tbody>
        @for (line of lines(); track $index) {
          <tr>
            <th scope="row">
              {{ line.plant }} <span class="fn-small">{{ line.target }}</span>
              @if (line.stages) {
                <span class="fn-small">{{ line.stages }}</span>
              }
            </th>
            @for (cell of line.cells; track $index) {
              <td [attr.data-label]="words[columns[$index]!]" [class.not]="cell === 'not on what is eaten'">{{ cell }}</td>
            }
          </tr>
        }
      </tbody>
    </table>
    <dl>
      @for (fact of facts(); track fact[0]) {
        <div>
          <dt>{{ fact[0] }}</dt>
          <dd [class.faint]="fact[1] === 'not said'">{{ fact[1] }}</dd>
        </div>
      }
    </dl>
  `,
})
export class CardView {
  readonly #library = inject(Library);
  readonly #garden = inject(Garden);
  readonly card = input.required<ShownCard>();
  protected readonly words = fieldWords;
  protected readonly columns = columns;
  readonly #naming = computed<Naming>(() => namingOf(this.#library, this.#garden));

  protected readonly lines = computed(() =>
    this.card().lines.map((line) => ({
      plant: plantWord(line, this.#naming()),
      target: targetWord(line, this.#naming()),
      stages: line.stages,
      cells: columns.map((column) => lineWord(column, line)),
    })),
  );
  protected readonly facts = computed(() => [
    ...general.map((field) => [fieldWords[field], generalWord(field, this.card()[field], this.#naming())] as const),
    [fieldWords.protect, protectWord(this.card())] as const,
  ]);
}

/** How the library and the garden call things. */
export const namingOf = (library: Library, garden: Garden): Naming => ({
  host: (id) => library.hosts().get(id)?.name,
  condition: (id) => library.conditionName(id),
  intervention: (id) => library.interventions().get(id)?.name ?? id,
  system: garden.summary().units,
  today: garden.today(),
});
