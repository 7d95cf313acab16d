import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { stockWord } from '../shared/units';
import type { JudgedIntervention } from './ladder';
import { packInHand } from '../gardens/pack-in-hand';

/** What of an option stands on the shelf: how much, for how many times, by whose figures; or that it would have to be bought. */
@Component({
  selector: 'fn-on-shelf',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    ul {
      display: grid;
      gap: 3px;
      list-style: none;
      font-size: 0.93rem;
    }
    li.out {
      color: var(--fn-faint-ink);
    }
    li::before {
      content: '';
      display: inline-block;
      width: 9px;
      height: 11px;
      margin-right: 8px;
      border: 1.5px solid var(--fn-ink);
      border-radius: 1px 1px 3px 3px;
      background: linear-gradient(to top, var(--fn-green) var(--full, 0%), transparent var(--full, 0%));
    }
  `,
  template: `
    @if (packs().length > 0) {
      <ul aria-label="On the shelf">
        @for (pack of packs(); track pack.id) {
          <li [class.out]="pack.out" [style.--full.%]="pack.full">
            <a [routerLink]="['/g', garden.summary().id, 'shelf', pack.id]">{{ pack.name }}</a>{{ pack.says }}
          </li>
        }
      </ul>
    } @else if (isBought()) {
      <p class="fn-small">Not on your shelf: it would have to be bought.</p>
    }
  `,
})
export class OnShelfNote {
  readonly #library = inject(Library);
  protected readonly garden = inject(Garden);
  readonly option = input.required<JudgedIntervention>();
  readonly plants = input.required<number>();
  /** id of the plant */
  readonly host = input.required<string>();

  readonly #entry = computed(() => this.#library.interventions().get(this.option().id));
  protected readonly isBought = computed(() => this.#entry()?.sold !== undefined && this.garden.products().length > 0);
  protected readonly packs = computed(() => {
    const [entry, host] = [this.#entry(), this.#library.hosts().get(this.host())];
    if (!entry || !host) return [];
    return this.option().products.flatMap(({ id, name, source, verdict, reasons }) => {
      const one = this.garden.shelf().find(({ product }) => product.id === id);
      if (!one) return [];
      const against = reasons.find(({ weight }) => weight === 'ruled-out');
      const { needed, times } = packInHand(entry, one, host, this.option().covers, this.plants());
      const amount = (of: number) => stockWord(of, one.product.measuredIn, this.garden.summary().units);
      const left = one.left === null ? 'how much is left was not written down' : `${amount(one.left)} left`;
      const enough =
        times === undefined || needed === undefined
          ? ''
          : times === 0
            ? `, and one treatment takes ${amount(needed)}`
            : `, enough for ${times === 1 ? 'one time' : `${times} times`}`;
      const by = source === 'typical' ? ' Typical figures only: copy its label before you mix.' : '';
      return {
        id,
        name,
        out: verdict === 'ruled-out',
        full: one.product.packAmount && one.left !== null ? Math.min(100, Math.max(0, (one.left / one.product.packAmount) * 100)) : 0,
        says: against ? `: ${against.text}` : `: ${left}${enough}.${by}`,
      };
    });
  });
}
