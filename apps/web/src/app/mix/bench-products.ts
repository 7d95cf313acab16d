import { computed, inject, signal } from '@angular/core';
import type { Way } from '@field-nurse/core/dose';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { plantWord, rateWord, targetWord } from '../shelf/card-words';
import type { BenchProduct } from './bench-product';
import { freshProduct, mostOf, rateOfLine, typicalRate } from './bench-product';
import type { BenchRate } from './bench-sum';
import { benchUnits } from './bench-sum';

const most = 3;

/** The products that go into one tank, as they are chosen and typed at the bench. Make it where things are injected. */
export class BenchProducts {
  readonly #library = inject(Library);
  readonly #garden = inject(Garden);
  readonly #system = this.#garden.summary().units;
  readonly #way = signal<Way>('spray');
  readonly #all = signal<readonly BenchProduct[]>([freshProduct('spray', this.#system)]);

  readonly packs = this.#garden.shelf;
  readonly ingredients = computed(() =>
    [...this.#library.interventions().values()]
      .filter(({ sold, rate }) => sold || rate)
      .map(({ id, name, names }) => ({ id, name, names })),
  );
  readonly mayAdd = computed(() => this.#all().length < most);

  /** each product with what is known of it */
  readonly lines = computed(() =>
    this.#all().map((product, i) => {
      const pack = this.packs().find((one) => one.product.id === product.packId);
      const entry = this.#library.interventions().get(pack?.product.intervention ?? product.intervention ?? '');
      const limit = mostOf(product);
      return {
        ...product,
        rate: { ...product.rate, most: limit === 'other-terms' ? null : limit } satisfies BenchRate,
        /** its label gives the rate on terms that can't be compared with these */
        isOnOtherTerms: limit === 'other-terms',
        index: i,
        pack,
        entry,
        name: pack?.product.name ?? entry?.name ?? `product ${i + 1}`,
        isKnown: Boolean(pack ?? entry),
        shut: entry?.restricted || pack?.card?.soldTo === 'professional',
        labelLines: (pack?.card?.lines ?? []).flatMap((line, index) =>
          line.rate ? [{ index, word: `${plantWord(line, this.#naming)}, ${targetWord(line, this.#naming)}: ${rateWord(line.rate)}` }] : [],
        ),
      };
    }),
  );
  readonly #naming = {
    host: (id: string) => this.#library.hosts().get(id)?.name,
    condition: (id: string) => this.#library.conditionName(id),
    intervention: (id: string) => this.#library.interventions().get(id)?.name ?? id,
    system: this.#system,
    today: this.#garden.today(),
  };

  /** One product that nothing is known of, for another way to put it on. */
  beginAnew(way: Way): void {
    this.#way.set(way);
    this.#all.set([freshProduct(way, this.#system)]);
  }

  add(): void {
    this.#all.update((all) => [...all, freshProduct(this.#way(), this.#system)]);
  }

  drop(index: number): void {
    this.#all.update((all) => all.filter((_, i) => i !== index));
  }

  changeRate(index: number, to: Partial<BenchRate>): void {
    const { rate } = this.#all()[index]!;
    const parts = to.unit === 'parts' ? { perUnit: 'parts' as const, per: rate.per === 1 ? 9 : rate.per } : {};
    const isNoPart = to.unit !== undefined && to.unit !== 'parts' && rate.perUnit === 'parts';
    const water = isNoPart ? { perUnit: benchUnits(this.#system).water, per: 1 } : {};
    this.#change(index, { rate: { ...rate, ...parts, ...water, ...to } });
  }

  choosePack(index: number, packId: string | null): void {
    const pack = this.packs().find((one) => one.product.id === packId);
    const entry = this.#library.interventions().get(pack?.product.intervention ?? '');
    const line = pack?.card?.lines.findIndex(({ rate }) => rate) ?? -1;
    const known = pack && (line >= 0 ? rateOfLine(pack, line) : entry && !pack.card ? typicalRate(entry, pack) : undefined);
    this.#change(index, { packId, intervention: null, line: line >= 0 ? line : null, limit: null, ...known });
  }

  chooseLine(index: number, line: number): void {
    const pack = this.lines()[index]!.pack;
    const known = pack && rateOfLine(pack, line);
    if (known) this.#change(index, { line, ...known });
  }

  chooseIngredient(index: number, id: string | null): void {
    const entry = this.#library.interventions().get(id ?? '');
    this.#change(index, { intervention: id, limit: null, ...(entry && typicalRate(entry, undefined)) });
  }

  takeLime(gramsPerM2: number): void {
    const rate = { amount: gramsPerM2, unit: 'g', per: 1, perUnit: 'm2' } as const;
    this.#change(0, { packId: null, intervention: null, line: null, rate, limit: null });
  }

  #change(index: number, to: Partial<BenchProduct>): void {
    this.#all.update((all) => all.map((one, i) => (i === index ? { ...one, ...to } : one)));
  }
}
