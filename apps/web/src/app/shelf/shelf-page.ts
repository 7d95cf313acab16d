import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Garden } from '../gardens/garden';
import type { OnShelf } from '../gardens/shelf-now';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';
import { stockWord } from '../shared/units';
import { advice } from '../shared/words';
import { PackDrawing } from './pack-drawing';
import { levelOf, saidOf, sourceOf } from './shelf-state';
import { strengthWord } from './shelf-words';

/** The shelf: what stands in the shed, filled to what is left, with what its label is worth and what speaks against it. */
@Component({
  selector: 'fn-shelf-page',
  imports: [RouterLink, MatButtonModule, PackDrawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './shelf-page.scss',
  templateUrl: './shelf-page.html',
})
export class ShelfPage {
  readonly #library = inject(Library);
  protected readonly garden = inject(Garden);
  protected readonly advice = advice;
  readonly #system = this.garden.summary().units;

  protected readonly boards = computed(() => {
    const rows = this.garden.shelf().map((one) => this.#row(one));
    const names = [...new Set(rows.map(({ keptIn }) => keptIn))].sort((a, b) => Number(a === '') - Number(b === '') || a.localeCompare(b));
    return names.map((name) => ({
      name: name || 'No place written down',
      packs: rows.filter(({ keptIn }) => keptIn === name).sort((a, b) => a.name.localeCompare(b.name)),
    }));
  });
  protected readonly summary = computed(() => {
    const packs = this.garden.shelf();
    const wants = packs.filter((one) => saidOf(one, this.garden.today()).length > 0).length;
    const typical = packs.filter(({ card }) => !card).length;
    return [
      `${packs.length} ${packs.length === 1 ? 'product' : 'products'}`,
      ...(wants > 0 ? [`${wants} ${wants === 1 ? 'wants' : 'want'} a look`] : []),
      ...(typical > 0 ? [`${typical} without a label`] : []),
    ].join(', ');
  });
  protected readonly gone = computed(() => this.garden.products().filter(({ endedOn }) => endedOn));
  protected readonly day = (day: string) => dayWord(day, this.garden.today());

  #row(one: OnShelf) {
    const { product, left, card } = one;
    const today = this.garden.today();
    const amount = (of: number) => stockWord(of, product.measuredIn, this.#system);
    return {
      id: product.id,
      name: product.name,
      form: product.form,
      keptIn: product.keptIn,
      ingredient: [this.#library.interventions().get(product.intervention)?.name ?? product.intervention, strengthWord(product)]
        .filter(Boolean)
        .join(' '),
      left: left === null ? 'How much is left was not written down' : `${amount(Math.max(0, left))} left`,
      level: levelOf(one),
      said: saidOf(one, today),
      source: sourceOf(card),
      readOn: card ? this.day(card.readOn) : '',
    };
  }
}
