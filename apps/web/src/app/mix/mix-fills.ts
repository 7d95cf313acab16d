import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { CalculationAnswer } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';
import { amountWord, inGardenUnits } from '../shared/units';
import { Sprayer } from './sprayer';

type Mix = CalculationAnswer<'mix'>;

/** The fills of a sprayer, drawn to their levels, those that are alike together. */
@Component({
  selector: 'fn-mix-fills',
  imports: [Sprayer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    ul {
      display: flex;
      flex-wrap: wrap;
      gap: 12px 36px;
      list-style: none;
    }
    li {
      display: flex;
      gap: 12px;
      align-items: center;
    }
  `,
  template: `
    <ul aria-label="Fills">
      @for (one of fills(); track $index) {
        <li>
          <fn-sprayer [full]="fullness(one.fill.water.amount)" [label]="'Sprayer filled with ' + litres(one.fill.water.amount)" />
          <div>
            <b>{{ one.times }} × {{ litres(one.fill.water.amount) }}</b>
            @if (one.fill.pour.amount < one.fill.water.amount) {
              <p>{{ litres(one.fill.pour.amount) }} of it to pour in</p>
            }
            @for (product of one.products; track $index) {
              <p>{{ product.amount }} {{ product.of }}</p>
              @if (product.spoons; as spoons) {
                <p>
                  {{ spoons.text }}
                  @if (spoons.errorPercent !== 0) {
                    <span class="fn-small">({{ spoons.errorPercent.toFixed(1) }} %)</span>
                  }
                </p>
              }
            }
          </div>
        </li>
      }
    </ul>
  `,
})
export class MixFills {
  readonly #system = inject(Garden).summary().units;
  /** one for each product; their fills are of the same water */
  readonly mixes = input.required<readonly Mix[]>();
  /** of the products, in the same order; of one alone none is said */
  readonly names = input<readonly string[]>([]);
  readonly holdsL = input.required<number>();
  protected readonly fills = computed(() => {
    const kinds = new Map<
      string,
      { fill: Mix['fills'][number]; products: { amount: string; of: string; spoons: Mix['inSpoons'] }[]; times: number }
    >();
    (this.mixes()[0]?.fills ?? []).forEach((fill, i) => {
      const own = this.mixes().map((mix) => mix.fills[i]!);
      const key = [fill.water.amount, fill.pour.amount, ...own.map(({ product }) => product.amount)].join(' ');
      const products = own.map(({ product, inSpoons }, n) => ({
        amount: amountWord(product),
        of: this.mixes().length > 1 ? `of ${this.names()[n]}` : 'in each',
        spoons: inSpoons,
      }));
      kinds.set(key, { fill, products, times: (kinds.get(key)?.times ?? 0) + 1 });
    });
    return [...kinds.values()];
  });
  protected readonly litres = (litres: number) => inGardenUnits('water', litres, this.#system);
  protected readonly fullness = (litres: number) => Math.min(1, litres / (this.holdsL() || litres));
}
