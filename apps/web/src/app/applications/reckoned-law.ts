import { inject, Injectable } from '@angular/core';
import type { Written } from '@field-nurse/contract';
import { cardThatCounts } from '@field-nurse/core/label';
import { dayAt } from '@field-nurse/core/timing';
import { applicationLaw } from '@field-nurse/library/texts';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';

/** What the server will make of a log entry, reckoned on the device: without signal, people must know how long to keep out. */
@Injectable({ providedIn: 'root' })
export class ReckonedLaw {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);

  of(value: Required<Written<'applications'>>) {
    const [{ timeZone }, { interventions, hosts }] = [this.#garden.summary(), this.#library];
    const day = dayAt(value.appliedAt, timeZone);
    const product = this.#garden.products().find(({ id }) => id === value.productId);
    const targets = value.targets.map(({ plantingId, caseId }) => {
      const diagnoses = (caseId ? this.#garden.case(caseId) : undefined)?.diagnoses ?? [];
      return {
        planting: this.#garden.planting(plantingId),
        against: (diagnoses.findLast(({ on }) => on <= day) ?? diagnoses[0])?.conditions ?? [],
        others: this.#garden.appliedDays(plantingId),
      };
    });
    const law = applicationLaw({
      library: { interventions: [...interventions().values()], hosts: [...hosts().values()] },
      value,
      product: product && {
        name: product.name,
        card: cardThatCounts(this.#garden.labelCards().filter((card) => card.productId === product.id)),
      },
      targets,
      timeZone,
      seasonStart: this.#garden.seasonStart(),
      measured: null,
    });
    return { ...law, measured: null, personId: null };
  }
}
