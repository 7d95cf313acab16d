import { provideRouter } from '@angular/router';
import { ApiError } from '../api/api-error';
import { Records } from '../gardens/records';
import { quiet } from '../testing/answers';
import { show } from '../testing/show';
import { place, plantingRecord, today } from '../testing/test-garden';
import { PlantingEditPage } from './planting-edit-page';

const tunnel = { ...place, id: 'tunnel', name: 'Tunnel', kind: 'tunnel' as const, setting: 'greenhouse' as const };

/** The form of a planting, and what it writes. */
async function form(planting?: string, garden: object = {}, refusal?: ApiError) {
  const saved: { id: string; version: number; value: Record<string, unknown>; said: string }[] = [];
  const save = async (_subject: string, id: string, version: number, value: Record<string, unknown>, said: string) => {
    if (refusal) throw refusal;
    saved.push({ id, version, value, said });
  };
  const shown = await show(PlantingEditPage, planting ? { planting } : {}, {
    garden: { places: [place, tunnel], ...garden },
    providers: [...quiet(), { provide: Records, useValue: { save } }, provideRouter([{ path: '**', children: [] }])],
  });
  const tick = async (label: RegExp) => {
    shown.page.getByLabelText<HTMLInputElement>(label).click();
    await shown.rest();
  };
  const choose = async (name: string, words: RegExp) => {
    shown.element.querySelector<HTMLElement>(`mat-select[formControlName=${name}] .mat-mdc-select-trigger`)!.click();
    await shown.rest();
    [...document.querySelectorAll<HTMLElement>('mat-option')].find((one) => words.test(one.textContent))!.click();
    await shown.rest();
  };
  return { ...shown, saved, tick, choose };
}

test('a plant by any of its names stands in the first place, as that place is, and is eaten if it is', async () => {
  const { type, press, saved, page, rest } = await form();
  await type(/^Plant, by any/, 'cherry tomato');
  page.getByLabelText(/^Plant, by any/).dispatchEvent(new Event('blur'));
  await rest();
  await type('How many plants', '12');
  await press('Save the planting');
  expect(saved).toMatchObject([
    { version: 0, said: 'Planting added.', value: { host: 'tomato', placeId: 'bed', setting: 'outdoor', plants: 12, eaten: true } },
  ]);
  expect(saved[0]!.value).toMatchObject({ plantedOn: today, quarantine: null, assumed: [], events: [] });
});

test('what is missing or no number is named at its field, and nothing is sent', async () => {
  const { type, press, saved, text } = await form();
  await type('How many plants', '1.5');
  await press('Save the planting');
  expect(text()).toContain('Name the plant.');
  expect(text()).toContain('A whole number from 1 to 100,000.');
  expect(saved).toEqual([]);
});

test('in another place it was moved there, or it was noted wrongly', async () => {
  const moved = await form('leeks');
  await moved.choose('placeId', /Tunnel/);
  expect(moved.text()).toContain('It was moved there: what was noted before belongs to the old place');
  await moved.press('Save the planting');
  expect(moved.saved[0]!.value).toMatchObject({
    placeId: 'bed',
    setting: 'outdoor',
    events: [
      { kind: 'moved', on: today, placeId: 'tunnel', setting: 'greenhouse' },
      { kind: 'harvest', on: '2026-07-22' },
    ],
  });
  const corrected = await form('leeks');
  await corrected.choose('placeId', /Tunnel/);
  await corrected.tick(/^It was moved there/);
  await corrected.press('Save the planting');
  expect(corrected.saved[0]!.value).toMatchObject({ placeId: 'tunnel', setting: 'greenhouse' });
  expect(corrected.saved[0]!.value['events']).toEqual([expect.objectContaining({ kind: 'harvest' })]);
});

test('a new arrival is held apart for the days and looks that are said', async () => {
  const { tick, type, press, saved } = await form('leeks');
  await tick(/^It came in from elsewhere/);
  await type('For how many days', '28');
  await press('Save the planting');
  expect(saved[0]!.value['quarantine']).toEqual({ from: today, days: 28, looks: 3, releasedOn: null });
});

test('a planting ends today, and keeps all else that was noted', async () => {
  const { press, saved } = await form('leeks');
  await press('End it today');
  expect(saved).toMatchObject([{ id: 'leeks', version: 1, said: 'Planting ended.' }]);
  const { id: _, version: __, events, ...value } = plantingRecord;
  expect(saved[0]!.value).toEqual({ ...value, events: [...events, { kind: 'ended', on: today }] });
});

test('what the server refuses stands at its field', async () => {
  const refusal = new ApiError(400, 'invalid', 'That is not right.', new Map([['rows', 'More rows than plants.']]));
  const { press, text } = await form('leeks', {}, refusal);
  await press('Save the planting');
  expect(text()).toContain('More rows than plants.');
});
