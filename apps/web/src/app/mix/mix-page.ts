import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, resource } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatIconModule } from '@angular/material/icon';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import { labelMost, rateAt, sprayPerPlant } from '@field-nurse/core/dose';
import { preHarvestFor } from '@field-nurse/core/label';
import { convert } from '@field-nurse/core/units';
import type { UnitName } from '@field-nurse/core/units';
import { cautionsOf } from '@field-nurse/library/texts';
import { Calc } from '../calc/calc';
import { CaseHead } from '../cases/case-head';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { caseOptions } from '../cases/case-options';
import { amountWord, fromField, inGardenUnits, inOtherUnits, measures, toField, unitWord } from '../shared/units';
import { keepLatest } from '../shared/keep-latest';
import { advice, protectWords } from '../shared/words';
import { LeafTest } from '../gardens/leaf-test';
import { packInHand } from '../gardens/pack-in-hand';
import type { BenchInput, CardRate } from './mix-question';
import { benchFaults, isByArea, isSpread, mixQuestion } from './mix-question';
import { MixFills } from './mix-fills';
import { afterMix } from './after-mix';

// A common hand-pumped size in each system: five litres, one gallon.
const usualSprayerL = { metric: 5, us: 3.785411784 } as const;

/** The mix as a sum: plants times spray, spray times rate, in fills and spoons, and never above the card. */
@Component({
  selector: 'fn-mix-page',
  imports: [RouterLink, MatButtonModule, MatFormFieldModule, MatIconModule, MatInputModule, MatSelectModule, CaseHead, LeafTest, MixFills],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './mix-page.scss',
  templateUrl: './mix-page.html',
})
export class MixPage {
  readonly #calc = inject(Calc);
  readonly #library = inject(Library);
  protected readonly garden = inject(Garden);
  /** id of the case in the address */
  readonly case = input.required<string>();
  protected readonly options = caseOptions(this.case);
  /** id of the intervention in the address */
  readonly intervention = input.required<string>();
  protected readonly advice = advice;
  protected readonly system = this.garden.summary().units;
  protected readonly sprayerUnit = measures.water[this.system].unit;
  protected readonly amountWord = amountWord;
  protected readonly unitWord = unitWord;

  protected readonly entry = computed(() => this.#library.interventions().get(this.intervention()));
  protected readonly card = computed(() => this.entry()?.rate);
  protected readonly verdict = computed(() => this.options.answer()?.options.find(({ id }) => id === this.intervention()));
  protected readonly ruledOut = computed(() => this.verdict()?.reasons.filter(({ weight }) => weight === 'ruled-out') ?? []);
  protected readonly cares = computed(() => this.verdict()?.reasons.filter(({ weight }) => weight === 'care') ?? []);
  protected readonly notACase = computed(() => this.options.answer() !== undefined && this.verdict() === undefined);

  /** packs of it on the shelf that may be used here, best first */
  protected readonly packs = computed(() =>
    (this.verdict()?.products ?? [])
      .filter(({ verdict }) => verdict !== 'ruled-out')
      .flatMap(({ id }) => this.garden.shelf().find(({ product }) => product.id === id) ?? []),
  );
  /** id of the pack in hand; nothing for one that is not on the shelf */
  protected readonly packId = linkedSignal<string | null>(() => this.packs()[0]?.product.id ?? null);
  protected readonly pack = computed(() => this.packs().find(({ product }) => product.id === this.packId()));
  readonly #inHand = computed(() => {
    const [pack, entry, planting] = [this.pack(), this.entry(), this.options.planting()];
    const host = this.#library.hosts().get(planting?.host ?? '');
    return pack && entry && planting && host ? packInHand(entry, pack, host, this.verdict()?.covers ?? [], planting.plants) : undefined;
  });
  /** the most that the label of the pack allows, in the rate's own unit; nothing without such a label */
  protected readonly labelMost = computed(() => {
    const [card, allowed] = [this.card(), this.pack()?.card && this.#inHand()?.card.allowedRate];
    if (!card || !allowed) return undefined;
    return labelMost(allowed, { unit: card.unit as UnitName, per: { amount: card.per.amount, unit: card.per.unit as UnitName } });
  });
  /** the label names a rate on other terms than ours: nothing is reckoned past it */
  protected readonly otherTerms = computed(
    () => Boolean(this.pack()?.card && this.#inHand()?.card.allowedRate) && this.labelMost() === undefined,
  );

  /** what was set by hand, for this card and this case */
  readonly #set = linkedSignal<string, Partial<BenchInput>>({
    source: () => `${this.case()} ${this.intervention()} ${this.packId()}`,
    computation: () => ({}),
  });
  protected readonly bench = computed<BenchInput | undefined>(() => {
    const [card, planting] = [this.card(), this.options.planting()];
    return card && planting
      ? {
          plants: planting.plants,
          each: card.coverage?.amount ?? sprayPerPlant(this.#habit(planting.host)),
          areaM2: null,
          // What is no product has no pack to read it from.
          strength: this.entry()?.sold ? this.#strengthOnPack(card) : card.strength.amount,
          rate: this.#usualRate(card),
          sprayerL: usualSprayerL[this.system],
          spoons: this.system === 'us' ? 'us' : 'metric',
          ...this.#set(),
        }
      : undefined;
  });
  #strengthOnPack({ strength: meant }: CardRate): number | null {
    const onPack = this.pack()?.product.strength;
    return onPack?.unit === meant.unit ? onPack.amount : null;
  }

  /** The typical rate for the strength in hand, and never more than its label allows. */
  #usualRate(card: CardRate): number {
    const strength = this.#set().strength || this.#strengthOnPack(card) || card.strength.amount;
    return Math.min(rateAt(card, strength).rate, this.labelMost() ?? Infinity);
  }

  #habit(host: string) {
    return this.#library.hosts().get(host)?.habit ?? 'bush';
  }

  protected readonly byArea = computed(() => Boolean(this.card() && isByArea(this.card()!)));
  protected readonly coverageUnit = computed(() => this.card()?.coverage?.unit ?? 'l');
  protected readonly most = computed(() => {
    const [card, bench] = [this.card(), this.bench()];
    const most = card && bench ? (this.labelMost() ?? rateAt(card, bench.strength || card.strength.amount).most) : 0;
    return Number(most.toPrecision(3));
  });
  protected readonly spread = computed(() => Boolean(this.card() && isSpread(this.card()!)));
  protected readonly faults = computed(() => {
    const [card, bench] = [this.card(), this.bench()];
    return card && bench ? benchFaults(card, bench, this.labelMost()) : new Map<keyof BenchInput, string>();
  });
  readonly #question = computed(() => {
    const [card, bench] = [this.card(), this.bench()];
    const may = this.verdict() && this.ruledOut().length === 0 && !this.entry()?.restricted && !this.otherTerms();
    return card && bench && may && this.faults().size === 0 ? mixQuestion(card, bench, this.labelMost()) : undefined;
  });
  readonly #answer = resource({ params: () => this.#question(), loader: ({ params }) => this.#calc.mix(params) });
  readonly #kept = keepLatest(this.intervention, () => (this.#answer.hasValue() ? this.#answer.value() : undefined));
  readonly #value = computed(() => (this.#question() ? this.#kept() : undefined));
  protected readonly mix = computed(() => (this.#answer.error() ? undefined : this.#value()));
  protected readonly refused = computed(() => this.#answer.error()?.message);
  /** its rounds wait in the plan */
  protected readonly isPlanned = computed(() => this.garden.planOf(this.case(), this.intervention()) !== undefined);
  protected readonly protection = computed(() => (this.entry()?.protect ?? []).map((one) => protectWords[one] ?? one).join(', '));
  protected readonly logLink = computed(() => {
    const mix = this.mix();
    return {
      case: this.case(),
      intervention: this.intervention(),
      plants: this.bench()?.plants,
      product: this.packId() ?? undefined,
      amount: mix && Number(mix.product.amount.toPrecision(4)),
      unit: mix?.product.unit,
      water: mix && !this.spread() ? Number(mix.water.amount.toPrecision(4)) : undefined,
    };
  });

  protected set(field: keyof BenchInput, value: number | string): void {
    this.#set.update((set) => ({ ...set, [field]: field === 'spoons' ? value : Number(value) }));
  }

  protected setSprayer(typed: string): void {
    this.set('sprayerL', fromField('water', Number(typed), this.system) ?? 0);
  }

  protected readonly sprayer = computed(() => toField('water', this.bench()?.sprayerL ?? usualSprayerL[this.system], this.system));
  protected readonly litres = (litres: number) => inGardenUnits('water', litres, this.system);
  protected readonly otherLitres = (litres: number) => inOtherUnits('water', litres, this.system);

  protected readonly strengthWord = (unit: string) => (unit === 'percent' ? '%' : unit);
  protected readonly cautions = computed(() => {
    const [entry, planting] = [this.entry(), this.options.planting()];
    return entry && planting ? cautionsOf(entry, planting.setting, this.#habit(planting.host)) : [];
  });
  protected readonly harvestDays = computed(() => {
    const [entry, host] = [this.#inHand()?.card ?? this.entry(), this.#library.hosts().get(this.options.planting()?.host ?? '')];
    return entry && host ? preHarvestFor(entry, host) : (entry?.preHarvestDays ?? 0);
  });
  protected readonly harvestWord = (days: number) =>
    days === 0 ? 'It may be picked once it is dry, and washed.' : `Nothing is picked for ${days} ${days === 1 ? 'day' : 'days'}.`;

  /** A rate of the card in a US garden's own words; nothing for what is not so much per litre. */
  protected readonly rateInUs = (unit: string, rate: number): string => {
    const gallonL = convert({ amount: 1, unit: 'gal-us' }, 'l').amount;
    if (this.spread() || !(rate > 0)) return '';
    if (unit === 'ml') return `${amountWord(convert({ amount: rate * gallonL, unit }, 'tsp-us'))} per gal`;
    return unit === 'g' ? `${amountWord(convert({ amount: rate * gallonL, unit }, 'oz'))} per gal` : '';
  };

  protected readonly keepOutHours = computed(() => (this.#inHand()?.card ?? this.entry())?.reEntryHours ?? 0);
  /** "After it 474 g are left on the shelf." */
  protected readonly stockAfter = computed(() => (this.mix() ? afterMix(this.mix()!.product, this.pack(), this.system) : ''));

  /** a spray that this planting has not shown yet that it bears */
  protected readonly mayMark = computed(
    () => this.options.planting() !== undefined && this.entry()?.order === 'spray' && this.entry()?.reach !== 'living',
  );

  protected print(): void {
    window.print();
  }
}
