import { show, wordsOf } from '../testing/show';
import { application, place, plantingRecord } from '../testing/test-garden';
import { shelfOfGarden, sulphurPack } from '../testing/test-shelf';
import { LogPage } from './log-page';

const own = { ...application.targets[0]! };
const sprayed = { ...application, productId: sulphurPack.id };
const picked = {
  ...application,
  id: 'picked',
  intervention: 'hand-picking',
  appliedAt: '2026-07-10T08:00:00.000Z',
  reEntryAt: '2026-07-10T08:00:00.000Z',
  productG: null,
  waterL: null,
  collected: 14,
  appliedBy: 'Ash',
  why: 'leek moth',
  targets: [{ ...own, plantingId: 'garlic', caseId: null, notPickedBefore: null }],
};
const last = { ...application, id: 'last', appliedAt: '2025-06-02T18:00:00.000Z', reEntryAt: '2025-06-03T18:00:00.000Z', why: 'last year' };

const log = (garden: object = {}, inputs: object = {}) =>
  show(
    LogPage,
    { ...inputs },
    {
      garden: {
        ...shelfOfGarden,
        places: [{ ...place, areaM2: 4 }],
        plantings: [plantingRecord, { ...plantingRecord, id: 'garlic', host: 'garlic', cultivar: '', eaten: false }],
        applications: [sprayed, picked, last],
        ...garden,
      },
    },
  );
const rows = (element: HTMLElement) => [...element.querySelector('table')!.querySelectorAll('tbody tr')].map(wordsOf);

test('each line says when, on what, how much, why, by whom, and how long to keep off', async () => {
  const { element } = await log();
  const [first, second] = rows(element).sort((a) => (a.includes('Sulphur') ? -1 : 1));
  expect(first).toMatch(/Leek Spar Bed · 20 plants · leaves Sulphur 6 g in 2 l rust Wren 3 Jul, 19:00 3 Jul typical figure/);
  expect(second).toMatch(/Garlic .*leek moth Ash – not eaten/);
});

test('a line of another year is shown with its year alone', async () => {
  expect(rows((await log()).element)).toHaveLength(2);
  const { element, text } = await log({}, { season: '2025' });
  expect(rows(element)).toHaveLength(1);
  expect(text()).toContain('last year');
});

test('what is searched for stays, and where nothing is left the way back is shown', async () => {
  const { element, type, press, text } = await log();
  await type('Search', 'moth');
  expect(rows(element)).toHaveLength(1);
  await type('Search', 'moth sulphur nowhere');
  expect(text()).toContain('Nothing of that kind 2 lines are left out.');
  await press('Show all');
  expect(rows(element)).toHaveLength(2);
});

test('sums count passes, product, area and what is active in it', async () => {
  const { page } = await log();
  const sums = wordsOf(page.getByRole('region', { name: 'Sums' }));
  // 80 % of 6 g, over 4 m²: 4.8 g, 12 kg on a hectare.
  expect(sums).toContain('Sulphur Marshlight Sulphur 80 1 20 6 g 4 m² 4.80 g 12.0 kg');
});

test('who keeps out or leaves it unpicked now sees it; an empty log says what belongs there', async () => {
  const { element } = await log({ applications: [{ ...sprayed, reEntryAt: '2026-07-18T18:00:00.000Z' }] });
  expect(element.querySelector('td.shut')!.textContent).toContain('18 Jul, 19:00');
  const { text, page } = await log({ applications: [], plantings: [] });
  expect(text()).toContain('Nothing logged in 2026');
  expect(page.getByRole('link', { name: 'Begin with a planting' })).toBeTruthy();
  expect(page.queryByRole('button', { name: 'Print' })).toBeNull();
});
