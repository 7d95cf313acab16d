import type { GardenContents } from '@field-nurse/contract';
import { fireEvent } from '@testing-library/dom';
import { Offline } from '../offline/offline';
import { Records } from '../gardens/records';
import { show } from '../testing/show';
import { contents, place, plantingRecord } from '../testing/test-garden';
import { WrongPage } from './wrong-page';

/** The page over the test garden, and what it writes. */
async function wrong(inputs: Readonly<Record<string, unknown>> = {}, garden: Partial<GardenContents> = {}) {
  const saved: { subject: string; value: Record<string, unknown> }[] = [];
  const saveOrQueue = (subject: string, _id: string, _version: number, value: Record<string, unknown>) => {
    saved.push({ subject, value });
    return Promise.resolve('saved');
  };
  sessionStorage.clear();
  const shown = await show(WrongPage, inputs, {
    garden,
    providers: [
      { provide: Offline, useValue: { photo: async () => undefined } },
      { provide: Records, useValue: { saveOrQueue } },
    ],
  });
  const name = async (plant: string) => {
    await shown.type(/^Which plant/, plant);
    fireEvent.blur(shown.page.getByLabelText(/^Which plant/));
    await shown.rest();
  };
  return { ...shown, saved, name };
}

test('a plant that is not written down yet is, on the way to its case', async () => {
  const { saved, name, type, press } = await wrong();
  await name('moth orchid');
  await type('What do you see?', 'white fluff in the joints');
  await press('What is it?');
  expect(saved.map(({ subject }) => subject).filter((subject) => subject !== 'places')).toEqual(['plantings', 'cases']);
  expect(saved.find(({ subject }) => subject === 'plantings')!.value).toMatchObject({
    host: 'moth-orchid',
    setting: 'indoor',
    eaten: false,
  });
  expect(saved.at(-1)!.value).toMatchObject({ words: 'white fluff in the joints' });
});

test('a planting that was met on the way is chosen already', async () => {
  const [planting] = contents.plantings;
  const { saved, type, press } = await wrong({ planting: planting!.id });
  await type('What do you see?', 'black lice');
  await press('What is it?');
  expect(saved).toMatchObject([{ subject: 'cases', value: { plantingId: planting!.id, words: 'black lice' } }]);
});

describe('another one of a plant that grows there', () => {
  const tunnel = { ...place, id: 'tunnel', name: 'Long tunnel', setting: 'greenhouse' as const };
  const flowering = { kind: 'flowering' as const, on: '2026-07-01', until: null };
  const courgette = { ...plantingRecord, host: 'courgette', placeId: 'tunnel', setting: 'greenhouse' as const, events: [flowering] };
  const garden = { places: [place, tunnel], plantings: [courgette] };

  test('stands beside it and flowers as it does, until somebody says otherwise', async () => {
    const { saved, name, press, page } = await wrong({}, garden);
    await name('courgette');
    fireEvent.click(page.getByLabelText('Another one'));
    await press('What is it?');
    expect(saved[0]).toMatchObject({
      subject: 'plantings',
      value: { placeId: 'tunnel', setting: 'greenhouse', events: [{ kind: 'flowering' }] },
    });
    expect(saved[0]!.value['assumed']).toEqual(expect.arrayContaining(['setting', 'inFlower', 'plantedOn']));
  });

  test('stands in the place whose name was said', async () => {
    const { saved, name, type, press } = await wrong({}, garden);
    await name('kale');
    await type('What do you see?', 'holes, in the long tunnel');
    await press('What is it?');
    expect(saved[0]).toMatchObject({ subject: 'plantings', value: { placeId: 'tunnel', setting: 'greenhouse' } });
    expect(saved[0]!.value['assumed']).not.toContain('setting');
  });
});

test('without a plant it says what is wanted', async () => {
  const { saved, press, text } = await wrong();
  await press('What is it?');
  expect(text()).toContain('Name the plant, by any name');
  expect(saved).toEqual([]);
});

test('it arrives with what was noted on the way, and begins its case with that', async () => {
  const [planting] = contents.plantings;
  const { saved, text, press } = await wrong({
    planting: planting!.id,
    signs: 'leaf-webbing,no-such-sign',
    words: 'by the door',
    photos: 'p1',
  });
  expect(text()).toContain('Noted already: Fine webbing.');
  await press('What is it?');
  expect(saved.at(-1)!.value).toMatchObject({
    words: 'by the door',
    findings: [{ sign: 'leaf-webbing', state: 'seen' }],
    photos: ['p1'],
  });
});

test('what is taken for granted of a new plant is shown, and put right in one tap', async () => {
  const { saved, name, press, page } = await wrong();
  await name('moth orchid');
  expect(page.getByRole('button', { name: 'Indoors' }).getAttribute('aria-pressed')).toBe('true');
  await press('Under cover');
  await press('What is it?');
  const made = saved.find(({ subject }) => subject === 'plantings')!.value;
  expect(made).toMatchObject({ setting: 'greenhouse', assumed: ['inFlower', 'plants', 'plantedOn'] });
});

test('what was typed is there again after a reload; a session that has ended loses nothing', async () => {
  const first = await wrong();
  await first.name('leek');
  await first.type('What do you see?', 'orange dust');
  await first.rest();
  const shown = await show(
    WrongPage,
    {},
    {
      providers: [
        { provide: Offline, useValue: {} },
        { provide: Records, useValue: {} },
      ],
    },
  );
  expect(shown.page.getByLabelText<HTMLTextAreaElement>('What do you see?').value).toBe('orange dust');
});
