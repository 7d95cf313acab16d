import { computed, inject, Injectable, resource } from '@angular/core';
import type { DifferentialRequest, OptionsRequest } from '@field-nurse/contract';
import { deepEqual } from 'fast-equals';
import { Calc } from '../calc/calc';
import { chipsOf, evidenceOf } from '../cases/case-findings';
import { Library } from '../library/library';
import { keepLatest } from '../shared/keep-latest';
import { DoorDrafts } from './door-draft';
import { factsTold } from '../gardens/told-planting';

// From this chance on, a cause is worth choosing a treatment for, and a second one beside the first.
const worthTreating = 0.3;
const mostTreated = 2;

/** Where clocks go forward in January the summer is then. Where they don't, nothing is known, and most gardens lie in the north. */
function hemisphereOfClock(year: number): 'north' | 'south' {
  const offset = (month: number) => new Date(year, month, 1).getTimezoneOffset();
  return offset(0) < offset(6) ? 'south' : 'north';
}

/** What the words at the door come to: signs, causes, the next look and the options, all reckoned on this device. */
@Injectable()
export class DoorReckoning {
  readonly #calc = inject(Calc);
  readonly #library = inject(Library);
  readonly #draft = inject(DoorDrafts).draft;
  readonly #today = new Date();

  readonly host = computed(() => this.#library.hosts().get(this.#draft().host ?? ''));
  /** as it was assumed, or as it was put right */
  readonly planting = computed(() => {
    const plant = this.host();
    return plant && factsTold(plant, this.#draft());
  });

  readonly #key = () => this.#draft().host ?? '';
  readonly #reading = resource({
    params: () => (this.host() ? { words: this.#draft().words, host: this.#key() } : undefined),
    loader: ({ params }) => this.#calc.readWords(params.words, params.host),
  });
  readonly read = keepLatest(this.#key, () => (this.#reading.hasValue() ? this.#reading.value() : undefined));
  readonly chips = computed(() => chipsOf(this.#draft().findings, this.read()?.read ?? []));

  readonly #question = computed(
    (): DifferentialRequest | undefined => {
      const [planting, read, { host, words }] = [this.planting(), this.read(), this.#draft()];
      if (!host || !planting || !read || (words.trim() === '' && this.chips().length === 0)) return undefined;
      return {
        host,
        setting: planting.setting,
        month: this.#today.getMonth() + 1,
        hemisphere: hemisphereOfClock(this.#today.getFullYear()),
        findings: evidenceOf(this.chips()),
        onset: read.onset,
        ...(words.trim() !== '' && { context: words }),
      };
    },
    { equal: deepEqual },
  );
  readonly #differential = resource({ params: () => this.#question(), loader: ({ params }) => this.#calc.differential(params) });
  readonly answer = keepLatest(this.#key, () =>
    this.#question() && this.#differential.hasValue() ? this.#differential.value() : undefined,
  );

  /** the causes that options are judged for */
  readonly treated = computed(() =>
    (this.answer()?.ranked ?? [])
      .filter(({ probability }) => probability >= worthTreating)
      .slice(0, mostTreated)
      .map(({ condition }) => condition),
  );
  readonly #situation = computed(
    (): OptionsRequest | undefined => {
      const [question, planting, conditions] = [this.#question(), this.planting(), this.treated()];
      if (!question || !planting || conditions.length === 0) return undefined;
      const { host, month, hemisphere } = question;
      return {
        host,
        conditions,
        stance: 'organic',
        setting: planting.setting,
        month,
        hemisphere,
        edible: planting.eaten,
        inFlower: planting.inFlower,
        plants: planting.plants,
        ...(planting.picked && { daysToHarvest: 0 }),
        findings: evidenceOf(this.chips().filter(({ confirmed }) => confirmed)).map(({ sign, state }) => ({ sign, state })),
      };
    },
    { equal: deepEqual },
  );
  readonly #judged = resource({ params: () => this.#situation(), loader: ({ params }) => this.#calc.options(params) });
  readonly options = keepLatest(
    () => `${this.#key()} ${this.treated().join(' ')}`,
    () => (this.#situation() && this.#judged.hasValue() ? this.#judged.value() : undefined),
  );
  readonly failure = computed(() => this.#reading.error()?.message ?? this.#differential.error()?.message ?? this.#judged.error()?.message);
  readonly busy = computed(() => this.#reading.isLoading() || this.#differential.isLoading() || this.#judged.isLoading());
}
