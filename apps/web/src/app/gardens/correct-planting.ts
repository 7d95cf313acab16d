import { inject, Injectable } from '@angular/core';
import type { Planting as PlantingRecord } from '@field-nurse/contract';
import { Garden } from './garden';
import type { PlantingFacts } from './plantings-now';
import { Records } from './records';
import { firstPlace, placeOf } from './told-planting';

type Fact = PlantingRecord['assumed'][number];
type Value = Omit<PlantingRecord, 'id' | 'version'>;

/** Putting right what was taken for granted of a planting, or saying that it is so. */
@Injectable({ providedIn: 'root' })
export class CorrectPlanting {
  readonly #garden = inject(Garden);
  readonly #records = inject(Records);

  /** It stands elsewhere than was taken for granted, and in a place of that kind. */
  async #stands(id: string, setting: PlantingFacts['setting']): Promise<void> {
    const here = this.#garden.planting(id);
    if (!here) return;
    const at = this.#garden.place(here.placeId);
    let place = at?.setting === setting ? at.id : placeOf(this.#garden.places(), setting)?.id;
    if (!place) {
      place = crypto.randomUUID();
      await this.#records.saveOrQueue('places', place, 0, firstPlace(setting), undefined, null);
    }
    // Where it was never moved since, it has stood there from the first.
    await this.#change(id, ['setting'], ({ events, ...value }) =>
      events.some(({ kind }) => kind === 'moved')
        ? { ...value, events: [...events, { kind: 'moved', on: this.#garden.today(), placeId: place, setting }] }
        : { ...value, events, placeId: place, setting },
    );
  }

  #eaten(id: string, eaten: boolean): Promise<void> {
    return this.#change(id, ['eaten'], (value) => ({ ...value, eaten }));
  }

  /** Flowering or harvest begins today, or was not there. */
  #goesOn(id: string, fact: Fact, kind: 'flowering' | 'harvest', is: boolean): Promise<void> {
    const on = this.#garden.today();
    return this.#change(id, [fact], ({ events, ...value }) => ({
      ...value,
      events: is
        ? [...events, { kind, on, until: null }]
        : events.filter((event) => !(event.kind === kind && event.until === null && event.on <= on)),
    }));
  }

  /** Put right whatever was said. */
  async correct(id: string, { setting, eaten, inFlower, picked }: Partial<PlantingFacts>): Promise<void> {
    if (setting) await this.#stands(id, setting);
    if (eaten !== undefined) await this.#eaten(id, eaten);
    if (inFlower !== undefined) await this.#goesOn(id, 'inFlower', 'flowering', inFlower);
    if (picked !== undefined) await this.#goesOn(id, 'picked', 'harvest', picked);
  }

  /** It is so: all of it, or what was asked. */
  confirm(id: string, facts: readonly Fact[] = ['setting', 'eaten', 'inFlower', 'picked', 'plants']): Promise<void> {
    return this.#change(id, facts, (value) => value);
  }

  async #change(id: string, known: readonly Fact[], change: (value: Value) => Value): Promise<void> {
    const record = this.#garden.plantingRecord(id);
    if (!record) return;
    const { id: _, version, ...before } = record;
    const value = change({ ...before, assumed: before.assumed.filter((fact) => !known.includes(fact)) });
    await this.#records.saveOrKeep('plantings', id, version, value, 'Put right.', record);
  }
}
