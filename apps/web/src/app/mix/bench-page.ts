import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, resource, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatIconModule } from '@angular/material/icon';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { calibrated, clashesInTank, fillingOrder, ways } from '@field-nurse/core/dose';
import type { Way } from '@field-nurse/core/dose';
import { Calc } from '../calc/calc';
import { Garden } from '../gardens/garden';
import { AmountField } from '../shared/amount-field';
import { keepLatest } from '../shared/keep-latest';
import { amountWord, fromField, inGardenUnits, measures, toField, unitWord } from '../shared/units';
import { advice, protectWords } from '../shared/words';
import { afterMix } from './after-mix';
import { BenchProductFields } from './bench-product-fields';
import { BenchProducts } from './bench-products';
import type { BenchRate, BenchSum } from './bench-sum';
import { benchUnits, freshSum, goesByNothing, isFilled, isWet, sumFaults, sumQuestion, treatedBy } from './bench-sum';
import { clashWord, leftOverWords, mixByOf, mixByWords, perUnits, wayWords } from './bench-words';
import { LimeTest } from './lime-test';
import { MixFills } from './mix-fills';
import { tankMember } from './tank-member';

/** Any sum of the shed: whatever a label goes by, and however it is put on. */
@Component({
  selector: 'fn-bench-page',
  imports: [
    RouterLink,
    MatButtonModule,
    MatFormFieldModule,
    MatIconModule,
    MatSelectModule,
    AmountField,
    BenchProductFields,
    LimeTest,
    MixFills,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrls: ['./mix-page.scss', './bench-page.scss'],
  templateUrl: './bench-page.html',
})
export class BenchPage {
  readonly #calc = inject(Calc);
  protected readonly garden = inject(Garden);
  protected readonly advice = advice;
  protected readonly leftOverWords = leftOverWords;
  protected readonly amountWord = amountWord;
  protected readonly unitWord = unitWord;
  readonly #system = this.garden.summary().units;
  protected readonly units = benchUnits(this.#system);
  protected readonly ways = ways.map((way) => ({ way, word: wayWords[way] }));
  protected readonly mixBys = mixByOf(this.#system).map((by) => ({ by, word: mixByWords[by] }));

  protected readonly sum = signal<BenchSum>(freshSum('spray', this.#system));
  protected readonly products = new BenchProducts();
  protected readonly lines = this.products.lines;
  protected readonly sprayers = computed(() => this.garden.sprayers().filter(({ endedOn }) => !endedOn));
  /** the kept sprayer in hand; nothing for another one */
  protected readonly sprayerId = linkedSignal<string | null>(() => null);
  protected readonly isWet = computed(() => isWet(this.sum().way));
  protected readonly isFilled = computed(() => isFilled(this.sum().way));
  protected readonly asked = computed(() => treatedBy(this.sum(), this.#rates()));
  readonly #rates = computed(() => this.lines().map(({ rate }) => rate));
  protected readonly faults = computed(() => sumFaults(this.sum(), this.#rates()));
  /** why these may not meet in one tank */
  protected readonly clashes = computed(() =>
    clashesInTank(this.lines().flatMap(({ entry, pack }) => (entry ? [tankMember(entry, pack)] : []))).map(clashWord),
  );
  protected readonly shut = computed(() => this.lines().find(({ shut }) => shut));
  protected readonly onOtherTerms = computed(() => this.lines().find(({ isOnOtherTerms }) => isOnOtherTerms));
  readonly #questions = computed(() =>
    this.faults().size > 0 || this.clashes().length > 0 || this.shut() || this.onOtherTerms()
      ? undefined
      : this.lines().map(({ rate, pack }) => sumQuestion(this.sum(), rate, this.#system, pack?.product.densityGPerMl ?? null)),
  );
  readonly #answers = resource({
    params: () => this.#questions(),
    loader: ({ params }) => Promise.all(params.map((question) => this.#calc.mix(question))),
  });
  protected readonly refused = computed(() => (this.#questions() ? this.#answers.error()?.message : undefined));
  readonly #kept = keepLatest(
    // Of another pack or on other terms no older sum is shown, not even for a moment.
    () =>
      [
        this.sum().way,
        ...this.lines().map(({ packId, intervention, rate }) => [packId, intervention, rate.unit, rate.perUnit].join()),
      ].join(' '),
    () => (this.#answers.hasValue() ? this.#answers.value() : undefined),
  );
  protected readonly mixes = computed(() => (this.#questions() && !this.#answers.error() ? this.#kept() : undefined));
  /** each product with its sum, in the order in which they go into the water */
  protected readonly sums = computed(() => {
    const mixes = this.mixes();
    if (mixes?.length !== this.lines().length) return [];
    const all = this.lines().map((line, i) => ({
      ...line,
      mix: mixes[i]!,
      form: line.entry ? tankMember(line.entry, line.pack).form : ('other' as const),
    }));
    return fillingOrder(all).map((one) => ({ ...one, after: afterMix(one.mix.product, one.pack, this.#system) }));
  });
  protected readonly shown = computed(() => this.sums()[0]);
  protected readonly orderedMixes = computed(() => this.sums().map(({ mix }) => mix));
  protected readonly orderedNames = computed(() => this.sums().map(({ name }) => name));
  protected readonly protection = computed(() =>
    [...new Set(this.lines().flatMap(({ entry, pack }) => pack?.card?.protect ?? entry?.protect ?? []))]
      .map((one) => protectWords[one] ?? one)
      .join(', '),
  );
  protected readonly steps = computed(() => {
    const steps = this.shown()?.mix.steps ?? [];
    const names = this.orderedNames();
    if (names.length < 2) return steps;
    return steps.map((step) =>
      ['add-product', 'stir-in', 'cream'].includes(step.code)
        ? { ...step, text: `Stir in, one after the other: ${names.join(', then ')}.` }
        : step,
    );
  });
  protected readonly holdsL = computed(() => fromField('water', this.sum().holds, this.#system) ?? 0);
  protected readonly waterWord = measures.water[this.#system].unit;
  protected readonly water = (litres: number) => inGardenUnits('water', litres, this.#system);
  /** "25 m²", "8 plants", "20 pots of 2 l" */
  protected readonly treated = computed(() => {
    const [sum, asked] = [this.sum(), this.asked()];
    return [
      asked.has('pot') ? `${sum.plants} pots of ${sum.pot} ${unitWord(this.units.pot)}` : asked.has('plants') ? `${sum.plants} plants` : '',
      asked.has('area') ? `${sum.area} ${unitWord(this.units.area)}` : '',
      asked.has('length') ? `${sum.length} ${this.units.length}` : '',
      asked.has('weight') ? `${sum.weight} ${this.units.weight}` : '',
    ]
      .filter(Boolean)
      .join(', ');
  });
  protected readonly rateText = ({ amount, unit, per, perUnit }: BenchRate): string => {
    if (unit === 'parts') return `${amount} to ${per} parts`;
    if (goesByNothing({ unit })) return `${amount} ${unitWord(unit)}${unit === 'cm' || unit === 'in' ? ' deep' : ''}`;
    const words = perUnits.find((one) => one.unit === perUnit);
    return `${amount} ${unitWord(unit)} to ${per === 1 ? words?.one : `${per} ${words?.word}`}`;
  };

  protected set<K extends keyof BenchSum>(field: K, value: BenchSum[K]): void {
    this.sum.update((sum) => ({ ...sum, [field]: value }));
  }

  /** Another way to put it on: what there is to treat stays, the rest begins anew. */
  protected setWay(way: Way): void {
    const { plants, area, length, weight, pot, spoons } = this.sum();
    this.sum.set({ ...freshSum(way, this.#system), plants, area, length, weight, pot, spoons });
    this.products.beginAnew(way);
    this.sprayerId.set(null);
  }

  /** A kept sprayer brings its size, and what it gives on the ground where that was measured. */
  protected chooseSprayer(id: string | null): void {
    this.sprayerId.set(id);
    const sprayer = this.sprayers().find((one) => one.id === id);
    if (!sprayer) return;
    this.set('holds', toField('water', sprayer.holdsL, this.#system)!);
    const last = sprayer.calibrations.at(-1);
    const given = last && calibrated(last, sprayer.newFlowLPerMin);
    const each = (litres: number) => Number((this.#system === 'us' ? litres * 33.814 : litres * 1000).toPrecision(3));
    if (given?.litresPerM2) {
      this.set('mixBy', this.units.area);
      this.set('each', each(this.#system === 'us' ? given.litresPerM2 * 0.09290304 : given.litresPerM2));
    } else if (given?.litresPerPlant) {
      this.set('mixBy', 'plant');
      this.set('each', each(given.litresPerPlant));
    }
  }

  protected print(): void {
    window.print();
  }
}
