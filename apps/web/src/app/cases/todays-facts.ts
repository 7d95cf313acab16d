import { computed, inject, Injectable, signal } from '@angular/core';
import type { OptionsRequest } from '@field-nurse/contract';
import { Garden } from '../gardens/garden';

/** Facts about a planting that are asked with yes or no where they decide. */
export type AskedFact = 'flowersInDays' | 'bare' | 'waterNear' | 'animalsNear';
export type Answers = Partial<Record<AskedFact, boolean>>;

export const isAsked = (fact: string): fact is AskedFact => ['flowersInDays', 'bare', 'waterNear', 'animalsNear'].includes(fact);

// "Within the next two weeks", as days.
const soon = 7;
const later = 60;

/** What was answered of one planting today; it holds for the day. */
@Injectable({ providedIn: 'root' })
export class TodaysFacts {
  readonly #garden = inject(Garden);
  readonly #kept = signal<{ of: string; answers: Readonly<Record<string, Answers>> }>({ of: '', answers: {} });
  readonly #of = computed(() => `${this.#garden.summary().id} ${this.#garden.today()}`);
  readonly #answers = computed(() => (this.#kept().of === this.#of() ? this.#kept().answers : {}));

  answersOf(planting: string): Answers {
    return this.#answers()[planting] ?? {};
  }

  answer(planting: string, fact: AskedFact, yes: boolean): void {
    const answers = { ...this.answersOf(planting), [fact]: yes };
    this.#kept.set({ of: this.#of(), answers: { ...this.#answers(), [planting]: answers } });
  }
}

/** The answers as the options ask for them. */
export const asked = ({ flowersInDays, ...others }: Answers): Pick<OptionsRequest, AskedFact> => ({
  ...others,
  ...(flowersInDays !== undefined && { flowersInDays: flowersInDays ? soon : later }),
});
