import { computed, inject, Injectable } from '@angular/core';
import { susceptibility } from '@field-nurse/core/diagnosis';
import { boundsOf, companionsNow } from '@field-nurse/core/ground';
import type { NeedyPlanting } from '@field-nurse/core/ground';
import { northernMonth } from '@field-nurse/core/timing';
import { workingConditions } from '../cases/case-diagnoses';
import { growingOn, planShapes } from '../gardens/plan-shapes';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';

/** A kind that resists a trouble which this garden has had. */
interface ResistantKind {
  readonly condition: string;
  readonly hosts: readonly string[];
  readonly efficacy: readonly [number, number];
  readonly evidence: string;
}

/** What stands, or could stand, beside what grows here: companions by the troubles of this month, and kinds that resist what was had. */
@Injectable({ providedIn: 'root' })
export class CompanionGround {
  readonly #garden = inject(Garden);
  readonly #library = inject(Library);

  readonly companions = computed(() => this.#library.index()?.companions ?? []);
  readonly month = computed(() =>
    northernMonth(Number(this.#garden.today().slice(5, 7)), (this.#garden.summary().latitude ?? 0) < 0 ? 'south' : 'north'),
  );

  readonly #plantings = computed<readonly NeedyPlanting[]>(() => {
    const today = this.#garden.today();
    const shapes = planShapes(this.#garden.places(), this.#garden.plantings(), today);
    const wanted = new Set(this.companions().flatMap((one) => one.for));
    const troubles = [...wanted].flatMap((id) => this.#library.conditions().get(id) ?? []);
    const soon = [this.month(), (this.month() % 12) + 1];
    return this.#garden
      .plantings()
      .filter((planting) => growingOn(today, planting))
      .flatMap((planting): NeedyPlanting[] => {
        const host = this.#library.hosts().get(planting.host);
        const place = this.#garden.place(planting.placeId);
        const shape = shapes.plantings.get(planting.id);
        if (!host || !place) return [];
        const comes = troubles.filter(
          (one) => ['often', 'sometimes'].includes(susceptibility(one, host)) && one.months.some((month) => soon.includes(month)),
        );
        return [
          {
            id: planting.id,
            placeId: place.id,
            host: host.id,
            family: host.family,
            setting: place.setting,
            troubles: comes.map(({ id }) => id),
            // Where a place is not drawn, the plan shows it somewhere.
            bounds: shape && place.shape ? boundsOf(shape) : null,
          },
        ];
      });
  });

  readonly uses = computed(() => companionsNow(this.companions(), this.#plantings(), this.month()));

  /** How far each companion that stands works, round its planting, metres. */
  readonly reaches = computed(() =>
    this.uses()
      .filter(({ when }) => when === 'stands')
      .flatMap(({ companion, serves }) => {
        const { reachM, name } = this.companions().find(({ id }) => id === companion)!;
        const standing = new Set(serves.flatMap((one) => one.standing));
        return this.#plantings()
          .filter(({ id, bounds }) => bounds && standing.has(id))
          .map(({ id, bounds }) => ({ id: `${companion} ${id}`, name, reachM, bounds: bounds! }));
      }),
  );

  /** Kinds that resist what this garden has had this season and grows still. */
  readonly kinds = computed<readonly ResistantKind[]>(() => {
    const had = new Map<string, Set<string>>();
    for (const one of this.#garden.cases()) {
      const host = this.#garden.planting(one.plantingId)?.host;
      if (host) for (const condition of workingConditions(one.diagnoses)) had.set(condition, (had.get(condition) ?? new Set()).add(host));
    }
    return [...had].flatMap(([condition, hosts]) => {
      const way = this.#library
        .conditions()
        .get(condition)
        ?.treat.find(({ intervention }) => intervention === 'resistant-variety');
      return way ? [{ condition, hosts: [...hosts], efficacy: way.efficacy, evidence: way.evidence }] : [];
    });
  });
}
