import { reference, show, wordsOf } from '../testing/show';
import { sickness } from '../testing/test-garden';
import { ConditionEntry } from './condition-entry';
import { Disputes } from './disputes';
import { EntryLink } from '../library/entry-link';
import { SeasonStrip } from './season-strip';
import { StageList } from './stage-list';
import { WeighedList } from './own/weighed-list';

const condition = (id: string) => reference.conditions.find((one) => one.id === id)!;

test('a name leads to its entry; one that the library lacks stands by its id', async () => {
  const { page, set } = await show(EntryLink, { kind: 'conditions', entry: 'spider-mite' });
  expect(page.getByRole('link', { name: 'Spider mite' }).getAttribute('href')).toBe('/g/g/library/conditions/spider-mite');
  await set({ entry: 'gone' });
  expect(page.getByRole('link').textContent).toBe('gone');
});

test('the season turns with the half of the earth', async () => {
  const { page, set } = await show(SeasonStrip, { months: [6, 7] });
  const inSeason = () => page.getAllByText(/: in season$/).map((one) => one.textContent.split(':')[0]);
  expect(inSeason()).toEqual(['June', 'July']);
  await set({ south: true });
  expect(inSeason()).toEqual(['January', 'December']);
});

test('stages are told from egg to adult, drawn where they have a form, with where they hide', async () => {
  const { page } = await show(StageList, { stages: condition('allium-leaf-miner').stages });
  const items = page.getAllByRole('listitem').map(wordsOf);
  expect(items[1]).toBe('Maggots · larva · inside the leaf Mine down the leaf to the shank.');
  expect(page.getAllByRole('listitem').every((item) => item.querySelector('svg'))).toBe(true);
});

test('where growers differ, both schools stand with their reasons, and what we would do', async () => {
  const { page, text, set } = await show(Disputes, { disputes: condition('late-blight').disputes });
  expect(page.getByRole('heading', { level: 3 }).textContent).toBe('Cut blighted tops, or leave them to the end?');
  expect(page.getAllByRole('listitem')).toHaveLength(2);
  expect(text()).toContain('Our default:');
  await set({ disputes: [] });
  expect(text()).toBe('');
});

test('the weights of a list are set, entries added by any of their names, and taken out', async () => {
  const entries = reference.signs.map(({ id, name }) => ({ id, name }));
  const rows = [{ id: 'leaf-webbing', name: 'Fine webbing', weight: 'often' }];
  const weights = [
    ['always', 'nearly always'],
    ['often', 'often'],
  ] as const;
  const { page, told, press, type, set } = await show(WeighedList, {
    legend: 'Signs',
    addLabel: 'Add a sign',
    rows,
    entries,
    weights,
    atFirst: 'often',
  });
  const put = told('put');
  const select = page.getByRole<HTMLSelectElement>('combobox', { name: 'Fine webbing' });
  expect(select.value).toBe('often');
  select.value = 'always';
  select.dispatchEvent(new Event('change'));
  await press('Take out Fine webbing');
  await type('Add a sign', 'sticky');
  expect(put).toEqual([
    { id: 'leaf-webbing', weight: 'always' },
    { id: 'leaf-webbing', weight: null },
  ]);
  await set({ weights: [] });
  expect(page.queryByRole('combobox', { name: 'Fine webbing' })).toBeNull();
});

describe('the page of a trouble', () => {
  test('says in sentences how it stays, how it spreads, and when to act', async () => {
    const { text } = await show(ConditionEntry, { entry: 'aster-yellows' });
    expect(text()).toContain('When to act: Take each sick plant out as you see it.');
    expect(text()).toContain('Spreads: Hoppers carry it from sick plants to sound ones; seed and tools do not.');
  });

  test('says how long its ground rests, in years', async () => {
    const { text } = await show(ConditionEntry, { entry: 'pea-moth' });
    expect(text()).toContain('Ground rests 1 year from the families that take it.');
  });

  test('leads to the cases in which it is at work, and not to closed ones', async () => {
    const open = { ...sickness, id: 'open' };
    const closed = { ...sickness, id: 'closed', closedOn: '2026-07-10' };
    const { page, text } = await show(ConditionEntry, { entry: 'leek-rust' }, { garden: { cases: [open, closed] } });
    expect(text()).toContain('At work in your garden now:');
    const links = page.getAllByRole('link', { name: 'Leek Spar, Bed, since 1 Jul' });
    expect(links.map((link) => link.getAttribute('href'))).toEqual(['/g/g/cases/open']);
  });
});
