import { computed, inject, Injectable } from '@angular/core';
import { bedRestsOf, restsAgainst } from '@field-nurse/core/ground';
import type { BedRest } from '@field-nurse/core/ground';
import { Garden } from '../gardens/garden';
import type { Planting } from '../gardens/plantings-now';
import { Library } from '../library/library';
import { dayWord } from '../shared/days';

const mostNamed = 3;

/** Places whose ground stays closed to plant families for years, because of what lasts in it. */
@Injectable({ providedIn: 'root' })
export class RestingGround {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);
  readonly #family = (host: string) => this.#library.hosts().get(host)?.family;
  readonly tests = computed(() =>
    this.#garden
      .groundEvents()
      .flatMap(({ placeId, condition, happenedOn, kind }) =>
        condition && kind.startsWith('tested') ? [{ placeId, condition, on: happenedOn, found: kind === 'tested-there' }] : [],
      ),
  );
  readonly all = computed(() => bedRestsOf(this.#garden.caseLines(), this.#library.conditions(), this.#family, this.tests()));

  /** What the ground of a place has against a plant on a day. @param host - by its id */
  against(placeId: string, host: string, day: string): BedRest[] {
    return restsAgainst(this.all(), placeId, this.#family(host) ?? host, day);
  }

  /** The same in a sentence, with places that are open to it; empty where nothing is against it. */
  word(placeId: string, host: string, day: string): string {
    const rests = this.against(placeId, host, day);
    const place = this.#garden.place(placeId);
    if (rests.length === 0 || !place) return '';
    const today = this.#garden.today();
    const why = rests.map(
      ({ condition, until }) => `${this.#library.conditionName(condition)} lasts in its soil until ${dayWord(until, today)}`,
    );
    const open = this.#garden
      .places()
      .filter((one) => one.id !== placeId && !one.endedOn && one.setting === place.setting && this.against(one.id, host, day).length === 0);
    const rather = open.slice(0, mostNamed).map(({ name }) => name);
    const plant = this.#library.hostName(host).toLowerCase();
    return `${place.name} should rest from ${plant}. ${why.join(', ')}.${rather.length > 0 ? ` Open to it: ${rather.join(', ')}.` : ''}`;
  }

  /** Plantings that were set into ground that rests from them. */
  readonly broken = computed(() => {
    const today = this.#garden.today();
    return this.#garden.plantings().filter((planting) => !planting.endedOn && this.isBroken(planting, today));
  });

  /** It was planted after the rest began: what fell ill there first is no breach. */
  isBroken({ placeId, host, plantedOn }: Pick<Planting, 'placeId' | 'host' | 'plantedOn'>, day: string): boolean {
    return this.against(placeId, host, day).some(({ from }) => plantedOn > from);
  }
}
