import { answerOptions } from '@field-nurse/library/answers';
import { productsAtHand } from '@field-nurse/core/label';
import { reference, show } from '../testing/show';
import { shelfOfGarden, sulphurCard, sulphurPack } from '../testing/test-shelf';
import { OptionCard } from './option-card';
import { TradeOff } from './trade-off';

const judged = (cards = [sulphurCard], of: object = {}) =>
  answerOptions(reference, {
    host: 'leek',
    conditions: ['leek-rust'],
    setting: 'outdoor',
    stance: 'organic',
    edible: true,
    daysToHarvest: 30,
    plants: 220,
    on: '2026-07-18',
    shelf: productsAtHand([sulphurPack], cards),
    ...of,
  }).options;
const card = (options: ReturnType<typeof judged>, id: string, garden: object = shelfOfGarden) =>
  show(OptionCard, { option: options.find((one) => one.id === id), plants: 220, host: 'leek' }, { garden });

test('what is in stock comes with how much and for how many times, by the label in hand', async () => {
  const { text } = await card(judged(), 'sulphur');
  expect(text()).toContain('Marshlight Sulphur 80 : 1 kg left, enough for 30 times.');
  expect(text()).toContain('3 d to harvest');
});

test('a pack without its label says that its figures are typical', async () => {
  const { text } = await card(judged([]), 'sulphur', { ...shelfOfGarden, labelCards: [] });
  expect(text()).toContain('Typical figures only: copy its label before you mix.');
});

test('what is not there would have to be bought', async () => {
  const other = judged().find(({ id, products }) => products.length === 0 && reference.interventions.find((one) => one.id === id)!.sold)!;
  const { text } = await card(judged(), other.id);
  expect(text()).toContain('it would have to be bought');
});

test('a label without a line for the plant rules its option out, by name', () => {
  const roses = { ...sulphurCard, lines: [sulphurCard.lines[1]!] };
  const sulphur = judged([roses]).find(({ id }) => id === 'sulphur')!;
  expect(sulphur).toMatchObject({
    verdict: 'ruled-out',
    products: [{ name: 'Marshlight Sulphur 80', source: 'copied', verdict: 'ruled-out' }],
  });
  expect(sulphur.reasons.map(({ code }) => code)).toContain('no-crop-line');
});

test('days to harvest that stand on a label are no guess', () => {
  const guesses = (cards: (typeof sulphurCard)[]) =>
    judged(cards)
      .find(({ id }) => id === 'sulphur')!
      .reasons.some(({ code }) => code === 'harvest-guess');
  expect([guesses([]), guesses([sulphurCard])]).toEqual([true, false]);
});

test('the label’s own harvest days, end of registration and licence rule out', () => {
  const codes = (of: object, question: object = {}) =>
    judged([{ ...sulphurCard, ...of }], question)
      .find(({ id }) => id === 'sulphur')!
      .reasons.flatMap(({ weight, code }) => (weight === 'ruled-out' ? [code] : []));
  expect(codes({})).toEqual([]);
  expect(codes({}, { daysToHarvest: 2 })).toEqual(['harvest']);
  expect(codes({ validUntil: '2026-07-17' })).toEqual(['expired']);
  expect(codes({ soldTo: 'professional' })).toEqual(['licence']);
  expect(codes({ soldTo: 'professional' }, { hasLicence: true })).toEqual([]);
  expect(codes({}, { forecast: { windKmh: 16 } })).toContain('wind-line');
});

test('the plot stands beside a table of the same, by work and by money', async () => {
  const { text, press, page, element } = await show(TradeOff, { options: judged(), plants: 220 });
  const open = judged().filter(({ verdict }) => verdict !== 'ruled-out');
  expect(element.querySelectorAll('.dot')).toHaveLength(open.length);
  await press(`Show all ${open.length}`);
  expect(page.getAllByRole('row')).toHaveLength(open.length + 1);
  expect(text()).toContain('work on all plants');
  await press('Money');
  expect(text()).toContain('money for all plants');
});
