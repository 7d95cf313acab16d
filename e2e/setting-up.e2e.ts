import { expect, test } from '@playwright/test';
import { expectAccessible, goTo, newGarden } from './gardener';

const thirty = `3 tomatoes Ferry Red in the tunnel, 6 cucumbers in the tunnel, basil in the tunnel, 8 peppers in the tunnel, 4 aubergines in the tunnel
Long bed: 40 leeks, 2 rows of carrots, beetroot x 30, 25 onions, garlic 60
Top bed: 12 cabbages, 12 kale, 20 lettuces, 10 broccoli, chard 8
Bean row: 30 climbing beans, 20 broad beans, 40 peas
Front border: 5 roses, dahlias 9, sweet peas, 3 hydrangeas, lavender
9 pots on the sill, a monstera in the kitchen, 2 hoyas in the kitchen, moth orchid on the sill
strawberries 24 in pots, 3 apples against the south wall, back lawn`;

test('thirty plantings from a pasted list, put right, made, laid out, and taken back', async ({ page }) => {
  await newGarden(page, 'Ona Rush', 'List garden');
  await goTo(page, 'Ground');
  const began = Date.now();
  await page.getByRole('link', { name: 'Write a list of what grows' }).click();
  await page.getByLabel('What grows where').fill(`${thirty}\n7 flurbs by the gate`);
  await expect(page.getByRole('button', { name: /^Make \d+ places and 30 plantings$/ })).toBeVisible();
  await expect(page.getByText('One name was not understood.')).toBeVisible();
  await expectAccessible(page);
  const odd = page.getByRole('listitem').filter({ hasText: 'from “7 flurbs' });
  await odd.getByRole('combobox', { name: 'Plant' }).fill('courgettes');
  await odd.getByRole('combobox', { name: 'Plant' }).blur();
  await page.getByRole('button', { name: /and 31 plantings$/ }).click();
  await expect(page.getByText(/^\d+ places, 31 plantings in growth$/)).toBeVisible();
  test.info().annotations.push({ type: 'list', description: `${Date.now() - began} ms for 31 plantings from a pasted list` });
  await expect(page.getByRole('group', { name: 'Ground plan' }).getByRole('button', { name: /^Leek/ })).toBeVisible();
  await page.getByRole('link', { name: 'Moth orchid', exact: true }).click();
  const taken = page.getByRole('group', { name: 'What we take for granted' });
  await expect(taken.getByRole('button', { name: 'Indoors' })).toHaveAttribute('aria-pressed', 'true');
  await taken.getByRole('button', { name: 'In flower' }).click();
  await expect(page.getByText('in flower', { exact: true })).toBeVisible();
  await taken.getByRole('button', { name: 'All of it is so' }).click();
  await expect(taken).toBeHidden();
});

test('two hundred plantings: today is still two screens of a phone, and half an hour of the round is offered', async ({ page }) => {
  const fields = ['North field', 'South field', 'Tunnel', 'Glasshouse', 'River bed', 'Orchard', 'Gate bed', 'Long bed', 'Tide bed', 'Hill'];
  const crops =
    'tomatoes leeks kale lettuce courgettes potatoes onions beetroot carrots chard cucumbers peppers aubergines peas spinach'.split(' ');
  const more = ['broad beans', 'runner beans', 'strawberries', 'fennel', 'garlic'];
  const lines = fields.map((field) => `${field}: ${[...crops, ...more].map((crop, i) => `${10 + i} ${crop}`).join(', ')}`);
  await page.setViewportSize({ width: 390, height: 844 });
  await newGarden(page, 'Market Sallow', 'Market garden');
  await page.goto(page.url().replace('/today', '/ground/list'));
  await page.getByLabel('What grows where').fill(lines.join('\n'));
  await page.getByRole('button', { name: 'Make 10 places and 200 plantings' }).click();
  await expect(page.getByText('10 places, 200 plantings in growth')).toBeVisible({ timeout: 60_000 });
  await goTo(page, 'Today');
  await expect(page.getByText('Today: 200 plantings on the round.')).toBeVisible();
  expect(await page.evaluate(() => document.querySelector('main')!.scrollHeight)).toBeLessThan(2 * 844);
  await goTo(page, 'Round');
  await expect(page.getByText(/^200 stops, about 5 hours/)).toBeVisible();
  await expect(page.getByText('young plants have nothing to spare')).toHaveCount(0);
  await page.getByRole('button', { name: 'Half an hour: the 20 most pressing' }).click();
  await expect(page.getByText('1 of 20', { exact: false })).toBeVisible();
});

test('the name of a new place tells its kind, until somebody says otherwise', async ({ page }) => {
  await newGarden(page, 'Alma Reed', 'Sill garden');
  await page.goto(page.url().replace('/today', '/ground/new-place'));
  const kind = page.getByRole('combobox', { name: /kind|what/i }).first();
  await page.getByLabel('Name').fill('Kitchen sill');
  await expect(kind).toContainText('Windowsill');
  await expect(page.getByText('Indoors', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Save the place' }).click();
  await expect(page.getByText('Windowsill · Indoors')).toBeVisible();
});

test('a table from a file is read; a file that is none is refused in words', async ({ page }) => {
  await page.setViewportSize({ width: 360, height: 740 });
  await newGarden(page, 'Bram Sedge', 'File garden');
  await page.goto(page.url().replace('/today', '/ground/list'));
  const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await page.getByLabel('Take it from a file').setInputFiles(file('odd.geojson', '{"a": 1}'));
  await expect(page.getByRole('alert')).toContainText('no GeoJSON');
  await page.getByLabel('Take it from a file').setInputFiles(file('beds.csv', 'crop,number,bed\nTomato,3,Tunnel\nLeek,40,Long bed\n'));
  await expect(page.getByRole('alert')).toBeHidden();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await page.getByRole('button', { name: 'Make 2 places and 2 plantings' }).dblclick();
  await expect(page.getByText('2 places, 2 plantings in growth')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'What grows where?' })).toBeVisible();
});
