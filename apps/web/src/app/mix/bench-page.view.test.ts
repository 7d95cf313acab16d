import { mixFor } from '@field-nurse/core/dose';
import type { MixQuestion } from '@field-nurse/core/dose';
import { Calc } from '../calc/calc';
import { show } from '../testing/show';
import { shelfOfGarden } from '../testing/test-shelf';
import { BenchPage } from './bench-page';

const calc = {
  provide: Calc,
  useValue: {
    mix: async (question: MixQuestion) => {
      const answer = mixFor(question);
      if (!('mix' in answer)) throw new Error(answer.refused.text);
      return Promise.resolve(answer.mix);
    },
  },
};
/** The bench, and a way to choose from its lists: what one offers hangs beside the page. */
async function bench(garden: object = {}) {
  const shown = await show(BenchPage, {}, { garden: { ...shelfOfGarden, ...garden }, providers: [calc] });
  const pick = async (label: string, words: RegExp, nth = 0) => {
    const field = [...shown.element.querySelectorAll('mat-form-field')].filter(
      (one) => one.querySelector('mat-label')?.textContent.trim() === label,
    )[nth]!;
    field.querySelector<HTMLElement>('.mat-mdc-select-trigger')!.click();
    await shown.rest();
    [...document.querySelectorAll<HTMLElement>('mat-option')].find((one) => words.test(one.textContent))!.click();
    await shown.rest();
  };
  return { ...shown, pick };
}

test('a sum from the label in hand, in water, product and spoons', async () => {
  const { text, type } = await bench();
  await type('Rate', '20');
  await type(/^Mix to make/, '3');
  expect(text()).toContain('3 l water');
  expect(text()).toContain('× 20 ml to a litre of water');
  expect(text()).toContain('60 ml');
  expect(text()).toContain('4 tablespoons (15 ml)');
  expect(text()).toContain('No limit is known here');
  expect(text()).toContain('Never into a drain');
});

test('what stands in the sprayer is reckoned with; more than it holds is no sum', async () => {
  const { text, type } = await bench();
  await type(/^In it now/, '2');
  expect(text()).toContain('3 l of it to pour in');
  await type(/^In it now/, '7');
  expect(text()).toContain('From 0 to what it holds.');
  expect(text()).toContain('The sum waits');
});

test('a pack brings the lines of its label, and nothing is mixed above them', async () => {
  const { text, type, pick } = await bench();
  await pick('Which pack', /Marshlight/);
  expect(text()).toContain('Onion family (Alliaceae)');
  expect(text()).toContain('Its label allows 30 g.');
  expect(text()).toContain('× 20 g to 10 litres of water');
  expect(text()).toContain('990 g of Marshlight Sulphur 80 are left on the shelf. It takes 0.18 of its price.');
  await type('Rate', '31');
  expect(text()).toContain('Its label allows 30 at most. Nothing is mixed above it.');
});

test('on other terms its label still counts, and where it can’t be compared nothing is mixed', async () => {
  const { text, type, pick } = await bench();
  await pick('Which pack', /Marshlight/);
  // 20 g to one litre, where 30 g to ten are allowed.
  await type('to', '1');
  expect(text()).toContain('Its label allows 3 g.');
  expect(text()).toContain('Its label allows 3 at most. Nothing is mixed above it.');
  await type('Rate', '2');
  expect(text()).toContain('× 2 g to a litre of water');
  await pick('of', /^\s*m²/, 1);
  expect(text()).toContain('gives its rate on other terms than these');
  expect(text()).not.toContain('In this order');
});

test('two that may not meet are not mixed, and it says why', async () => {
  const oil = {
    ...shelfOfGarden.products[0]!,
    id: 'oil-pack',
    name: 'Tallow Oil',
    intervention: 'horticultural-oil',
    form: 'liquid' as const,
  };
  const { text, press, pick } = await bench({ products: [...shelfOfGarden.products, oil] });
  await pick('Which pack', /Marshlight/);
  await press('Another one into the same tank');
  await pick('Which pack', /Tallow/, 1);
  expect(text()).toContain('Not in one tank.');
  expect(text()).toContain('14 days apart: it burns.');
  expect(text()).not.toContain('In this order');
});

test('what only licensed people may apply is not mixed here', async () => {
  const labelCards = [{ ...shelfOfGarden.labelCards[0]!, soldTo: 'professional' as const }];
  const { text, pick } = await bench({ labelCards });
  await pick('Which pack', /Marshlight/);
  expect(text()).toContain('for people with a licence');
  expect(text()).not.toContain('In this order');
});

test('lime by a soil test becomes a rate on the ground', async () => {
  const { text, press, pick } = await bench();
  await pick('How it is put on', /Spread/);
  expect(text()).toContain('490 g of ground limestone to a square metre');
  await press('Reckon with it');
  expect(text()).toContain('× 490 g to a m²');
  expect(text()).toContain('4900 g');
});
