import { expect, test } from '@playwright/test';
import { expectAccessible } from './gardener';

const diary = [
  'Sprays of the far field;;;;;',
  '',
  'Date;Crop;Bed;What we used;Amount;Who',
  '13.5.2024;Leeks;Far field;Sulphur;0,5 kg;Isa',
  '27.5.2024;Leeks;Far field;Grandmother’s wash;0,5 l;Isa',
  '31.6.2024;Leeks;Far field;Sulphur;25 g;Isa',
].join('\r\n');
const file = { name: 'diary.csv', mimeType: 'text/csv', buffer: Buffer.from(diary, 'utf8') };

test('a spray diary comes in: matched, put right, written once, and taken out again', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look round a demo garden' }).click();
  await page.waitForURL(/\/g\//);
  const garden = /.*\/g\/[^/]+/.exec(page.url())![0];
  await page.goto(`${garden}/log`);
  await page.getByRole('link', { name: 'Bring in a list' }).click();

  // What it is and how it is written is found by itself.
  const choose = page.getByLabel('List as CSV');
  await choose.setInputFiles(file);
  await expect(page.getByText('1 of 3 rows can be brought in; 2 can’t be read.')).toBeVisible();
  await expect(page.getByText('“31.6.2024” is no day of the calendar.')).toBeVisible();
  await page.getByRole('button', { name: 'more that the file may have' }).click();
  await expectAccessible(page);

  // A name that only this garden knows is said once.
  await page.getByLabel('Which treatment is it?').fill('insecticidal soap');
  await page.getByRole('option', { name: 'Insecticidal soap' }).click();
  await expect(page.getByText('2 of 3 rows can be brought in')).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 2 rows' }).click();
  await expect(page.getByRole('heading', { name: '2 rows are in the garden' })).toBeVisible();
  await expectAccessible(page);

  const log = async () =>
    (await (await page.request.get(`/api/v1/gardens/${garden.split('/').at(-1)}/tables/treatments`)).text()).split('\r\n');
  const written = (await log()).filter((line) => line.includes('Far field'));
  expect(written).toHaveLength(2);
  expect(written[0]).toMatch(/^[^,]+,2024-05-13T11:00:00.000Z,Far field,Leek,.*Sulphur,,500,g/);

  // The same list again adds nothing; all of it can be taken out again.
  await page.reload();
  await choose.setInputFiles(file);
  await page.getByRole('button', { name: 'Leave these rows out' }).click();
  await page.getByRole('button', { name: 'Bring in 1 row' }).click();
  await expect(page.getByText('1 of their records was here already')).toBeVisible();
  expect((await log()).filter((line) => line.includes('Far field'))).toHaveLength(2);
});

test('a list that is none is refused in words', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Look round a demo garden' }).click();
  await page.waitForURL(/\/g\//);
  await page.goto(page.url().replace(/\/today.*/, '/bring-in'));
  const choose = page.getByLabel('List as CSV');
  await choose.setInputFiles({ ...file, buffer: Buffer.from('PK\u0003\u0004 a workbook') });
  await expect(page.getByRole('alert')).toContainText('Save the sheet as CSV first');
  await choose.setInputFiles({ ...file, buffer: Buffer.from('who,knows\nwhat,this is') });
  await expect(page.getByText(/Still to choose:/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Bring in 0 rows/ })).toBeDisabled();
});
