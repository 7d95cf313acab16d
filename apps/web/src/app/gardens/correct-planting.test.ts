import { Injector, runInInjectionContext } from '@angular/core';
import type { Place, Planting as PlantingRecord } from '@field-nurse/contract';
import { place, planting, today } from '../testing/test-garden';
import { CorrectPlanting } from './correct-planting';
import { Garden } from './garden';
import { plantingNow } from './plantings-now';
import { Records } from './records';

const taken: PlantingRecord = { ...planting, assumed: ['setting', 'eaten', 'inFlower', 'plants'], events: [] };

/** Corrections over a garden, with what was written. */
function start(record: PlantingRecord, places: readonly Place[] = [place]) {
  const written: { subject: string; value: PlantingRecord & Place }[] = [];
  const write = async (subject: string, _id: string, _version: number, value: PlantingRecord & Place) => {
    written.push({ subject, value });
    return 'saved';
  };
  const garden = {
    today: () => today,
    places: () => places,
    place: (id: string) => places.find((one) => one.id === id),
    planting: () => plantingNow(record, today),
    plantingRecord: () => record,
  };
  const injector = Injector.create({
    providers: [
      { provide: Garden, useValue: garden },
      { provide: Records, useValue: { saveOrQueue: write, saveOrKeep: write } },
    ],
  });
  return { put: runInInjectionContext(injector, () => new CorrectPlanting()), written };
}

test('it stands in a place of that kind from the first, and in one that is made where there is none', async () => {
  const sill: Place = { ...place, id: 'sill', setting: 'indoor' };
  const known = start(taken, [place, sill]);
  await known.put.correct(taken.id, { setting: 'indoor' });
  expect(known.written).toMatchObject([
    { subject: 'plantings', value: { placeId: 'sill', setting: 'indoor', assumed: ['eaten', 'inFlower', 'plants'] } },
  ]);
  const none = start(taken);
  await none.put.correct(taken.id, { setting: 'indoor' });
  expect(none.written.map(({ subject }) => subject)).toEqual(['places', 'plantings']);
});

test('one that was moved since is moved today', async () => {
  const moved = { kind: 'moved' as const, on: today, placeId: place.id, setting: 'outdoor' as const };
  const { put, written } = start({ ...taken, plantedOn: today, events: [moved] }, [place, { ...place, id: 'sill', setting: 'indoor' }]);
  await put.correct(taken.id, { setting: 'indoor' });
  expect(written[0]!.value.events).toEqual([moved, { kind: 'moved', on: today, placeId: 'sill', setting: 'indoor' }]);
});

test('flowering begins today, or was not there; eaten is said; and all of it may be so', async () => {
  const { put, written } = start(taken);
  await put.correct(taken.id, { inFlower: true });
  await put.correct(taken.id, { eaten: !taken.eaten });
  await put.confirm(taken.id);
  expect(written[0]!.value.events).toEqual([{ kind: 'flowering', on: today, until: null }]);
  expect(written[1]!.value.eaten).toBe(!taken.eaten);
  expect(written[2]!.value).toMatchObject({ assumed: [], eaten: taken.eaten, placeId: taken.placeId });
  const flowering = start({ ...taken, events: [{ kind: 'flowering', on: today, until: null }] });
  await flowering.put.correct(taken.id, { inFlower: false });
  expect(flowering.written[0]!.value.events).toEqual([]);
});

test('it is picked from today, or is not; a harvest that is planned for later stays', async () => {
  const later = { kind: 'harvest' as const, on: '2026-09-01', until: null };
  const { put, written } = start({ ...taken, assumed: ['picked'], events: [later] });
  await put.correct(taken.id, { picked: true });
  const now = { kind: 'harvest', on: today, until: null };
  expect(written[0]!.value).toMatchObject({ assumed: [], events: [later, now] });
  const picked = start({ ...taken, events: [{ ...later, on: today }, later] });
  await picked.put.correct(taken.id, { picked: false });
  expect(picked.written[0]!.value.events).toEqual([later]);
});
