import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { LabelCard, RegisterEntry } from '@field-nurse/contract';
import { cardDifferences } from '@field-nurse/core/label';
import { firstValueFrom } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Garden } from '../gardens/garden';
import { PhotoTaker } from '../gardens/photo-taker';
import { Records } from '../gardens/records';
import { shelfNow } from '../gardens/shelf-now';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';
import { stockWord } from '../shared/units';
import { advice } from '../shared/words';
import { CardView, namingOf } from './card-view';
import { differenceWord } from './card-words';
import { PackDrawing } from './pack-drawing';
import { levelOf, saidOf } from './shelf-state';
import { formWords, soldToWords, sourceWords, strengthWord } from './shelf-words';
import { StockLedger } from './stock-ledger';
import { typicalCard } from './typical-card';

type Source = LabelCard['source'] | 'typical';

/** One product: what is left of it, and its label from three sources, of which one counts. */
@Component({
  selector: 'fn-product-page',
  imports: [RouterLink, MatButtonModule, CardView, PackDrawing, PhotoTaker, StockLedger],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './product-page.scss',
  templateUrl: './product-page.html',
})
export class ProductPage {
  readonly #library = inject(Library);
  readonly #records = inject(Records);
  readonly #api = inject(Api);
  protected readonly garden = inject(Garden);
  /** id of the product in the address */
  readonly product = input.required<string>();
  protected readonly advice = advice;
  protected readonly sourceWords = sourceWords;
  protected readonly one = computed(() => this.garden.products().find(({ id }) => id === this.product()));
  readonly #entry = computed(() => this.#library.interventions().get(this.one()?.intervention ?? ''));
  readonly #naming = computed(() => namingOf(this.#library, this.garden));
  protected readonly day = (day: string) => dayWord(day, this.garden.today());

  readonly #onShelf = computed(() => {
    const [one] = shelfNow(
      {
        products: [{ ...this.one()!, endedOn: null }],
        labelCards: this.garden.labelCards(),
        stockMoves: this.garden.stockMoves(),
        applications: this.garden.applications(),
      },
      this.garden.today(),
    );
    return one!;
  });
  protected readonly said = computed(() => saidOf(this.#onShelf(), this.garden.today()));
  protected readonly level = computed(() => levelOf(this.#onShelf()));
  protected readonly left = computed(() => {
    const { left, product } = this.#onShelf();
    return left === null ? 'not written down' : stockWord(left, product.measuredIn, this.garden.summary().units);
  });
  protected readonly facts = computed(() => {
    const one = this.one()!;
    const amount = (of: number) => stockWord(of, one.measuredIn, this.garden.summary().units);
    const facts: readonly (readonly [string, string | false | null])[] = [
      ['Left', this.left()],
      ['A full pack', one.packAmount !== null && amount(one.packAmount)],
      ['It is a', formWords[one.form]],
      ['Stands', one.keptIn],
      ['Opened', one.openedOn && this.day(one.openedOn)],
      ['Best before', one.bestBefore && this.day(one.bestBefore)],
      ['Batch', one.batch],
      ['Registration', one.registration],
      ['Sold to', soldToWords[one.soldTo]],
      ['Price of a pack', one.price !== null && one.price.toFixed(2)],
    ];
    return facts.filter((fact): fact is readonly [string, string] => Boolean(fact[1]));
  });
  protected readonly ingredient = computed(() => ({
    id: this.one()!.intervention,
    name: [this.#entry()?.name ?? this.one()!.intervention, strengthWord(this.one()!)].filter(Boolean).join(' '),
  }));

  protected readonly cards = computed(() => this.garden.labelCards().filter(({ productId }) => productId === this.product()));
  protected readonly counts = computed<Source>(() => this.#onShelf().card?.source ?? 'typical');
  protected readonly copied = computed(() => this.cards().find(({ source }) => source === 'copied'));
  protected readonly fromRegister = computed(() => this.cards().find(({ source }) => source === 'register'));
  /** whose figures are looked at: those that count, until another is chosen */
  protected readonly looked = linkedSignal<Source>(() => this.counts());
  protected readonly sources = computed(() =>
    (['copied', 'register', 'typical'] as const).map((source) => {
      const card = this.cards().find((one) => one.source === source);
      return { source, isThere: source === 'typical' || card !== undefined, readOn: card ? this.day(card.readOn) : '' };
    }),
  );
  protected readonly shown = computed(() => {
    const card = this.cards().find(({ source }) => source === this.looked());
    const entry = this.#entry();
    return card ?? (entry ? typicalCard(entry) : undefined);
  });
  protected readonly note = computed(() => this.cards().find(({ source }) => source === this.looked())?.note);
  protected readonly photos = computed(() => this.cards().find(({ source }) => source === this.looked())?.photos ?? []);
  /** what the register says otherwise than the copy from the pack */
  protected readonly otherwise = computed(() => {
    const [copied, register] = [this.copied(), this.fromRegister()];
    return copied && register ? cardDifferences(copied, register).map((one) => differenceWord(one, this.#naming())) : [];
  });

  protected readonly asking = signal(false);
  protected readonly fault = signal('');
  /** what the register says now, until it is taken over or left */
  protected readonly answer = signal<{ entry: RegisterEntry; changes: readonly string[] } | null>(null);

  protected async askRegister(): Promise<void> {
    const one = this.one()!;
    this.fault.set('');
    this.answer.set(null);
    this.asking.set(true);
    try {
      const { products } = await firstValueFrom(this.#api.labelRegister(this.garden.summary().id, one.registration));
      const entry = products.find(({ number }) => number === one.registration);
      if (!entry) return this.fault.set(`Nothing is registered under ${one.registration}. The number stands on the label.`);
      const before = this.fromRegister();
      const changes = before ? cardDifferences(before, entry.card) : [];
      this.answer.set({ entry, changes: changes.map((change) => differenceWord(change, this.#naming())) });
    } catch (error) {
      this.fault.set(ApiError.from(error).message);
    } finally {
      this.asking.set(false);
    }
  }

  protected async takeOver(): Promise<void> {
    const [answer, before] = [this.answer()!, this.fromRegister()];
    const value = { ...answer.entry.card, productId: this.product(), photos: before?.photos ?? [], note: before?.note ?? '' };
    await this.#write(() =>
      this.#records.save(
        'labelCards',
        before?.id ?? crypto.randomUUID(),
        before?.version ?? 0,
        value,
        'The register’s label is taken over.',
      ),
    );
    if (!this.fault()) this.answer.set(null);
  }

  protected async giveUp(endedOn: string | null): Promise<void> {
    const { id, version, ...value } = this.one()!;
    await this.#write(() =>
      this.#records.save('products', id, version, { ...value, endedOn }, endedOn ? 'Taken off the shelf.' : 'Back on the shelf.'),
    );
  }

  async #write(work: () => Promise<unknown>): Promise<void> {
    this.fault.set('');
    try {
      await work();
    } catch (error) {
      this.fault.set(ApiError.from(error).message);
    }
  }
}
