import { computed, inject, resource, signal } from '@angular/core';
import { Calc } from '../calc/calc';
import { Garden } from '../gardens/garden';
import { fromField, toField } from '../shared/units';
import type { JobInHand } from './job-in-hand';
import { jobTank, keptAmount } from './job-tank';
import type { JobTarget } from './job-tank';

const usualSprayerL = { metric: 5, us: 3.785411784 } as const;

/** What a job mixes, in the sprayer that is said. Make it where things are injected. */
export class JobMix {
  readonly #job: JobInHand;
  readonly #calc = inject(Calc);
  readonly #system = inject(Garden).summary().units;

  constructor(job: JobInHand) {
    this.#job = job;
  }

  /** in the garden's unit of water */
  readonly sprayer = signal(toField('water', usualSprayerL[this.#system], this.#system) ?? 5);
  readonly #tank = computed(() => {
    const [entry, targets] = [this.#job.entry(), this.#job.targets()];
    if (!entry || targets.length === 0) return undefined;
    const of: JobTarget[] = targets.map(({ plantingId, plants, host, against }) => ({ plantingId, plants, host, against }));
    const sprayerL = fromField('water', this.sprayer(), this.#system) ?? 0;
    return sprayerL > 0 ? jobTank(entry, this.#job.pack(), of, sprayerL, this.#system === 'us' ? 'us' : 'metric') : undefined;
  });
  readonly #mix = resource({
    params: () => {
      const tank = this.#tank();
      return tank && 'question' in tank ? tank.question : undefined;
    },
    loader: ({ params }) => this.#calc.mix(params),
  });
  readonly answer = computed(() => (this.#mix.hasValue() ? this.#mix.value() : undefined));
  readonly fault = computed(() => this.#mix.error()?.message);
  /** why nothing is reckoned */
  readonly why = computed(() => {
    const tank = this.#tank();
    if (!tank || !('why' in tank)) return '';
    return {
      'no-rate': 'How much goes by the label, on the ground or by the piece.',
      strength: 'Nothing is reckoned before the strength of the pack is known. Put the pack on the shelf, or reckon at the mix.',
      'other-terms': 'The label names its rate on other terms than ours: go by the label.',
    }[tank.why];
  });
  readonly strictest = computed(() => {
    const tank = this.#tank();
    const id = tank && 'tank' in tank ? tank.tank.strictest : undefined;
    return id ? this.#job.targets().find(({ plantingId }) => plantingId === id)?.name : undefined;
  });
  readonly unit = computed(() => (this.answer() ? keptAmount(this.answer()!.product).unit : (this.#job.pack()?.product.measuredIn ?? 'g')));
}
