import { of, throwError } from 'rxjs';
import { Api } from '../api/api';
import { ApiError } from '../api/api-error';
import { Records } from '../gardens/records';
import { reference, show } from '../testing/show';
import { application } from '../testing/test-garden';
import { shelfOfGarden, sulphurCard, sulphurPack } from '../testing/test-shelf';
import { partsOf } from '@field-nurse/library/parts';
import type { PartName } from '@field-nurse/library/parts';
import { ProductPage } from './product-page';
import { RegisterSearch } from './register-search';
import { ShelfPage } from './shelf-page';

const register = (products: () => unknown) => ({
  provide: Api,
  useValue: { libraryPart: (part: PartName) => of(partsOf(reference)[part]), labelRegister: products },
});
const { id: _, version: __, productId: ___, photos: ____, note: _____, ...card } = sulphurCard;
const entry = {
  number: 'TM-0877',
  name: 'Marshlight Sulphur 80',
  barcode: '',
  intervention: 'sulphur',
  strength: null,
  form: 'powder',
  measuredIn: 'g',
  amendedOn: '2026-06-15',
  card: { ...card, source: 'register', reEntryHours: 24 },
  unread: ['moonflower'],
};

describe('the shelf', () => {
  test('a pack with what is left of it, where it stands and whose label counts', async () => {
    const used = { ...application, productId: 'sulphur-pack', productG: 60 };
    const { text, page } = await show(ShelfPage, {}, { garden: { ...shelfOfGarden, applications: [used] } });
    expect(page.getByRole('heading', { level: 2 }).textContent).toBe('Tool shed');
    expect(text()).toContain('Sulphur 80 %');
    expect(text()).toContain('940 g left');
    expect(text()).toContain('Label copied, 12 Apr');
  });

  test('what speaks against a pack is said on it', async () => {
    const products = [{ ...sulphurPack, soldTo: 'professional' as const, bestBefore: '2026-07-01', lowAt: 2000 }];
    const { text } = await show(ShelfPage, {}, { garden: { ...shelfOfGarden, products, labelCards: [] } });
    for (const line of ['For professionals only', 'Past its date', 'Running low', 'Typical figures only']) expect(text()).toContain(line);
    expect(text()).toContain('1 product, 1 wants a look, 1 without a label');
  });

  test('an empty shelf says what it is good for', async () => {
    const { text } = await show(ShelfPage);
    expect(text()).toContain('Put the first product on it');
  });
});

describe('a product', () => {
  const shown = (garden: object = {}, providers: { provide: unknown; useValue: unknown }[] = []) =>
    show(
      ProductPage,
      { product: 'sulphur-pack' },
      { garden: { ...shelfOfGarden, ...garden }, providers: [{ provide: Records, useValue: {} }, ...providers] as never },
    );

  test('its label counts, line by line, and the typical figures can be looked at', async () => {
    const { text, press } = await shown();
    for (const cell of [
      'Onion family (Alliaceae)',
      '20 to 30 g in 10 l',
      '7 to 14 days',
      '3 days',
      '6 times',
      'not on what is eaten',
      '1 to 2 %',
    ])
      expect(text()).toContain(cell);
    expect(text()).toContain('14 days of Horticultural oil');
    await press(/^typical figures/i);
    expect(text()).not.toContain('Onion family');
  });

  test('without a label it says so', async () => {
    const { text } = await shown({ labelCards: [] });
    expect(text()).toContain('These are typical figures of the ingredient, and no label.');
    expect(text()).toContain('Copy the label from the pack');
  });

  test('what the register says otherwise is shown, and overwrites nothing by itself', async () => {
    const written: unknown[] = [];
    const records = { provide: Records, useValue: { save: (...of: unknown[]) => Promise.resolve(written.push(of)) } };
    const { text, press } = await shown(
      { labelCards: [sulphurCard, { ...sulphurCard, id: 'r', source: 'register', readOn: '2026-04-02' }] },
      [records, register(() => of({ products: [entry], simulated: true }))],
    );
    await press('Read the register again');
    expect(text()).toContain('The register was amended on 15 Jun.');
    expect(text()).toContain('Keep out: was 12 hours, now 24 hours.');
    expect(text()).toContain('moonflower');
    expect(written).toEqual([]);
    await press('Take it over');
    expect(written).toMatchObject([
      ['labelCards', 'r', 1, { source: 'register', reEntryHours: 24, productId: 'sulphur-pack' }, expect.any(String)],
    ]);
  });

  test('a register that is down is told of', async () => {
    const down = new ApiError(503, 'register-down', 'The register of labels does not answer now.');
    const { text, press } = await shown({}, [register(() => throwError(() => down))]);
    await press('Read the register');
    expect(text()).toContain('does not answer now');
  });
});

test('the register is asked by number or name, and what is found can be taken over', async () => {
  const { text, press, told, type } = await show(
    RegisterSearch,
    {},
    { providers: [register(() => of({ products: [entry], simulated: true })) as never] },
  );
  const taken = told('taken');
  await press('Look it up');
  expect(text()).toContain('at least three letters');
  await type('Number, barcode or name', 'sulphur');
  await press('Look it up');
  await press('Take over Marshlight Sulphur 80');
  expect(taken).toEqual([entry]);
  expect(text()).toContain('a simulated one');
});
