import type { PartName } from '@field-nurse/library/parts';
import { partsOf } from '@field-nurse/library/parts';
import { NEVER, of } from 'rxjs';
import { Api } from '../api/api';
import { reference, show } from '../testing/show';
import { Records } from '../gardens/records';
import { SittingPage } from './sitting-page';

const records = () => {
  const kept: { subject: string; value: { answers: { kind: string; truth: unknown; guess: unknown }[] } }[] = [];
  const saveOrKeep = async (subject: string, _id: string, _version: number, value: never) => void kept.push({ subject, value });
  return { kept, providers: [{ provide: Records, useValue: { saveOrKeep } }] };
};

test('leaves are judged one after the other, each is told, and stopping keeps them', async () => {
  const { kept, providers } = records();
  const { page, text, press, type } = await show(SittingPage, { kind: 'leaf' }, { providers });
  expect(text()).toMatch(/How much of this leaf is (marked|gone)\?/);
  await type('Of the leaf', '40');
  await press('Say 40 %');
  expect(text()).toMatch(/There is( gone)? [\d.]+ % ?\. You said 40 %/);
  expect(page.getByRole('img', { name: 'The same leaf with all damage at its foot' })).toBeTruthy();
  await press('Next');
  await type('Of the leaf', '2,5');
  await press('Say 2.5 %');
  await press('Stop here');
  expect(text()).toMatch(/\d of 2 well: Damage on a leaf/);
  expect(kept).toHaveLength(1);
  expect(kept[0]).toMatchObject({
    subject: 'drills',
    value: {
      by: 'Somebody',
      answers: [
        { kind: 'leaf', guess: 40 },
        { kind: 'leaf', guess: 2.5 },
      ],
    },
  });
});

test('a number that is none is not taken', async () => {
  const { type, press, text } = await show(SittingPage, { kind: 'leaf' }, { providers: records().providers });
  for (const wrong of ['', 'much', '101', '-3', '0']) {
    await type('Of the leaf', wrong);
    await press('Say how much');
    expect(text()).not.toContain('You said');
  }
});

test('a stage is chosen from five, and told with the life of the animal', async () => {
  const { kept, providers } = records();
  const { press, text } = await show(SittingPage, { kind: 'stage' }, { providers });
  await press('The adult');
  expect(text()).toMatch(/Right: the adult|You said the adult/);
  expect(text()).toContain('from its beginning:');
  await press('Stop here');
  expect(kept[0]!.value.answers).toMatchObject([{ kind: 'stage', guess: 'adult' }]);
});

test('looks are counted, worth something, and end in a name', async () => {
  const { kept, providers } = records();
  const { element, press, text, rest } = await show(SittingPage, { kind: 'look-alikes' }, { providers });
  expect(text()).toContain('Look for … 3 looks');
  for (const left of ['2 looks', 'one more look', 'no more']) {
    const open = [...element.querySelectorAll<HTMLButtonElement>('.looks button')].find(({ disabled }) => !disabled)!;
    open.click();
    await rest();
    expect(text()).toContain(`Look for … ${left}`);
  }
  expect(element.querySelectorAll('.looks button:not(:disabled)')).toHaveLength(0);
  await press(element.querySelector('.choices button')!.textContent.trim());
  expect(text()).toMatch(/bits expected/);
  await press('Stop here');
  const [answer] = kept[0]!.value.answers as unknown as { looks: number; bits: number; bestBits: number }[];
  expect(answer).toMatchObject({ kind: 'look-alikes', looks: 3 });
  expect(answer!.bits).toBeLessThanOrEqual(answer!.bestBits + 1e-9);
});

test('it waits for the second part of the library, without which no stage can be asked', async () => {
  const { diagnosis } = partsOf(reference);
  const api = { libraryPart: (part: PartName) => (part === 'diagnosis' ? of(diagnosis) : NEVER) };
  const { text } = await show(SittingPage, { kind: 'stage' }, { providers: [...records().providers, { provide: Api, useValue: api }] });
  expect(text()).toContain('The library is on its way');
  expect(text()).not.toContain('Nothing was asked');
});

test('who may only look keeps nothing, and is told so', async () => {
  const { kept, providers } = records();
  const { press, text } = await show(SittingPage, { kind: 'stage' }, { providers, canWrite: false });
  await press('The adult');
  await press('Stop here');
  expect(text()).toContain('this sitting is not kept');
  expect(kept).toEqual([]);
});

test('where nothing was answered nothing is kept', async () => {
  const { kept, providers } = records();
  const { press, text } = await show(SittingPage, { kind: 'fresh' }, { providers });
  await press('Stop here');
  expect(text()).toContain('Nothing was asked');
  expect(kept).toEqual([]);
});
