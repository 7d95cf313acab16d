import { gone } from '@field-nurse/core/recovery';
import { show } from '../testing/show';
import { today } from '../testing/test-garden';
import { GonePanel } from './gone-panel';
import { LeafTally } from './leaf-tally';
import { PartsPanel } from './parts-panel';
import { PlantsFollowed } from './plants-followed';
import { WhyFailsPanel } from './why-fails-panel';

describe('counts one by one', () => {
  test('the next leaf begins at nothing; the last can be taken back', async () => {
    const { press, text, told } = await show(LeafTally, { what: 'leaf', counts: [3, 5] });
    expect(text()).toContain('8 on 2: 4.0 on each.');
    const counts = told('counts');
    await press('Next leaf');
    await press('Take the last back');
    await press('Take the last back');
    expect(counts).toEqual([[3, 5, 0], [3, 5], [3]]);
    expect(text()).toContain('3 on 1: 3.0 on each.');
  });

  test('nothing is summed while nothing is written', async () => {
    const { text } = await show(LeafTally, { what: 'plant', counts: [] });
    expect(text()).toContain('None written yet.');
    expect(text()).not.toContain('on each');
  });
});

describe('parts of a stand', () => {
  const inputs = { parts: [], treatments: ['sulphur'], plants: 21, hasLooks: false, canWrite: true };

  test('two halves: one treated, one left alone, with every plant in one of them', async () => {
    const { press, told } = await show(PartsPanel, inputs);
    const changed = told('changed') as { intervention: string | null; plants: number; strips: number[] }[][];
    await press('Divide it');
    expect(changed[0]!.map(({ intervention, plants }) => [intervention, plants])).toEqual([
      ['sulphur', 11],
      [null, 10],
    ]);
  });

  test('divided, it says what is done where, and how many to count; with looks it stays divided', async () => {
    const part = (id: string, name: string, intervention: string | null, strips: number[]) => ({
      id,
      name,
      intervention,
      plants: 10,
      strips,
    });
    const parts = [part('a', 'Sulphur', 'sulphur', [1, 4]), part('b', 'Left alone', null, [2, 3])];
    const { text, set, press, told } = await show(PartsPanel, { ...inputs, parts });
    expect(text()).toContain('Sulphur strips 1, 4 · 10 plants');
    expect(text()).toMatch(/count about \d+ leaves or plants on each side/);
    const changed = told('changed');
    await press('Look at it as a whole again');
    expect(changed).toEqual([[]]);
    await set({ hasLooks: true });
    expect(text()).toContain('The parts have looks of their own: they stay.');
  });

  test('nothing to compare before anything is decided; nothing to change for who only looks', async () => {
    expect((await show(PartsPanel, { ...inputs, treatments: [] })).text()).toContain('Decide first what is done');
    expect((await show(PartsPanel, { ...inputs, canWrite: false })).text()).toBe('');
  });
});

describe('gone?', () => {
  const look = (on: string, found: boolean) => ({ on, found, plants: 20 });
  const facts = { plants: 20, hiddenDays: 10, comesByItself: true, arrivals: [], today };

  test('it says how sure the looks have made it, and draws that', async () => {
    const looks = [look('2026-07-01', true), look('2026-07-08', false), look('2026-07-15', false)];
    const { text, page } = await show(GonePanel, { gone: gone({ ...facts, looks }) });
    expect(text()).toContain('since the last find on 1 Jul');
    expect(page.getByRole('img').getAttribute('aria-label')).toMatch(/15 Jul: \d+ in 100/);
  });
});

describe('why it does not get better', () => {
  const facts = {
    chanceOfCause: 0.9,
    stageShare: 1,
    isContact: true,
    hides: false,
    coveredAll: false,
    sameMode: 1,
    rainMm: 0,
    sources: 0,
    cameBack: false,
  };

  test('the likeliest first, in parts of a hundred, each with the look that would tell', async () => {
    const { element, page } = await show(WhyFailsPanel, { case: 'rust', facts });
    const shares = [...element.querySelectorAll('[role=img]')].map((one) => Number.parseInt(one.getAttribute('aria-label')!, 10));
    expect(shares.length).toBeGreaterThan(2);
    expect(shares).toEqual(shares.toSorted((a, b) => b - a));
    expect(page.getByText('Look at the case again').getAttribute('href')).toBe('/g/g/cases/rust');
  });

  test('rain after the spray moves what is to blame', async () => {
    const first = (await show(WhyFailsPanel, { case: 'rust', facts: { ...facts, coveredAll: true } })).element.querySelector(
      'b',
    )!.textContent;
    const wet = await show(WhyFailsPanel, { case: 'rust', facts: { ...facts, coveredAll: true, rainMm: 30 } });
    expect(wet.element.querySelector('b')!.textContent).not.toBe(first);
  });
});

test('plants that lag are named and drawn where they stand; very many plants are not drawn', async () => {
  const plants = [
    { plant: 2, looks: 2, first: 40, last: 10, lags: false },
    { plant: 5, looks: 2, first: 40, last: 38, lags: true },
  ];
  const { element, text, set } = await show(PlantsFollowed, { plants, of: 12, rows: 2 });
  expect(element.querySelectorAll('circle')).toHaveLength(12);
  expect([...element.querySelectorAll('circle')].findIndex((one) => one.classList.contains('lags'))).toBe(4);
  expect(text()).toContain('Plant 5 40 % at first, 38 % now lags behind');
  await set({ of: 4000 });
  expect(element.querySelectorAll('circle')).toHaveLength(0);
});
