import { ApiError } from '../../api/api-error';
import { Records } from '../../gardens/records';
import { reference, show } from '../../testing/show';
import { OwnEntryPage } from './own-entry-page';

interface Saved {
  readonly id: string;
  readonly version: number;
  readonly value: { readonly kind: string; readonly why: string; readonly entry: Readonly<Record<string, unknown>> };
}

function records(refusal?: ApiError) {
  const saved: Saved[] = [];
  const useValue = {
    save: async (_: string, id: string, version: number, value: Saved['value']) => {
      if (refusal) throw refusal;
      saved.push({ id, version, value });
    },
  };
  return { saved, providers: [{ provide: Records, useValue }] };
}

const drought = reference.conditions.find(({ id }) => id === 'drought')!;

test('a new trouble begins as a copy, under a name of its own', async () => {
  const kept = records();
  const { press, type, page } = await show(OwnEntryPage, { kind: 'conditions', entry: 'new' }, kept);
  expect(page.getByRole('heading', { level: 1 }).textContent).toBe('A new trouble');
  await type('Name', 'Shed wilt');
  await type('Other names, parted by commas', 'shed sulk,  , door wilt ');
  await type('In a sentence', 'Wilts by the shed door.');
  await press(/^Keep it/);
  expect(kept.saved).toHaveLength(1);
  expect(kept.saved[0]).toMatchObject({ version: 0, value: { kind: 'conditions' } });
  expect(kept.saved[0]!.value.entry).toMatchObject({
    id: 'shed-wilt',
    name: 'Shed wilt',
    names: ['shed sulk', 'door wilt'],
    summary: 'Wilts by the shed door.',
    signs: drought.signs,
  });
});

test('it begins from another one on asking', async () => {
  const { type, page } = await show(OwnEntryPage, { kind: 'conditions', entry: 'new' }, records());
  expect(page.getByRole('combobox', { name: 'Wilting or drooping' })).toBeTruthy();
  await type('Begin from a copy of', 'spider mite');
  expect(page.getByRole<HTMLSelectElement>('combobox', { name: 'Fine webbing' }).value).toBe('often');
});

test('signs, plants and months are changed one by one', async () => {
  const kept = records();
  const { press, page, type } = await show(OwnEntryPage, { kind: 'conditions', entry: 'spider-mite' }, kept);
  expect(page.getByRole('heading', { level: 1 }).textContent).toBe('Spider mite, as it is here');
  await press('Take out Fine webbing');
  await press('Take out Cucumber');
  await press('May');
  await press('Dec');
  await type(/^Why/, 'Never seen webs here.');
  await press(/^Keep it/);
  const { entry, why } = kept.saved[0]!.value;
  expect(why).toBe('Never seen webs here.');
  expect(entry).not.toHaveProperty(['signs', 'leaf-webbing']);
  expect(entry).toHaveProperty(['hosts', 'often'], expect.not.arrayContaining(['cucumber']));
  expect(entry).toMatchObject({ months: [6, 7, 8, 9, 12] });
});

test('without a name nothing is sent', async () => {
  const kept = records();
  const { press, type, text } = await show(OwnEntryPage, { kind: 'conditions', entry: 'new' }, kept);
  await type('Name', '   ');
  await press(/^Keep it/);
  expect(text()).toContain('Give it a name.');
  expect(kept.saved).toEqual([]);
});

test('what the schema refuses is told by its field, and nothing typed is lost', async () => {
  const refusal = new ApiError(400, 'invalid', 'Not right.', new Map([['summary', 'at most 4000 letters']]));
  const { press, type, text, page } = await show(OwnEntryPage, { kind: 'conditions', entry: 'new' }, records(refusal));
  await type('Name', 'Shed wilt');
  await press(/^Keep it/);
  expect(text()).toContain('summary: at most 4000 letters');
  expect(page.getByLabelText<HTMLInputElement>('Name').value).toBe('Shed wilt');
});

test('a sign and a plant of one’s own have the fields of their kind', async () => {
  const { page, text, set } = await show(OwnEntryPage, { kind: 'signs', entry: 'leaf-webbing' }, records());
  expect(page.getByRole('heading', { level: 1 }).textContent).toBe('Fine webbing, as it is here');
  expect(text()).toContain('Part of the plant');
  await set({ kind: 'hosts', entry: 'leek' });
  expect(page.getByRole('heading', { level: 1 }).textContent).toBe('Leek, as it is here');
});

test('what helps begins as a copy, is offered where its model is, and has the limits of its own label', async () => {
  const kept = records();
  const { press, type, text } = await show(OwnEntryPage, { kind: 'interventions', entry: 'new' }, kept);
  expect(text()).toContain('It is offered wherever Insecticidal soap is offered');
  await type('Name', 'Shed soap');
  await type('How, a step on each line', 'Stir it.\nSpray both sides.');
  await type('Days to harvest', '2');
  await type('At most so often a season', '3');
  await type(/^Rate, ml/, '15');
  await press('Indoors');
  await press(/^Keep it/);
  const { entry } = kept.saved[0]!.value;
  expect(entry).toMatchObject({
    id: 'shed-soap',
    like: 'insecticidal-soap',
    steps: ['Stir it.', 'Spray both sides.'],
    preHarvestDays: 2,
    seasonMax: 3,
    rate: { amount: 15 },
  });
  expect(entry.settings).not.toContain('indoor');
});

test('a fault stands at its field', async () => {
  const refusal = new ApiError(
    400,
    'invalid',
    'Not right.',
    new Map([['labelMax', 'The most that is allowed can’t be less than the rate.']]),
  );
  const { press, type, page } = await show(OwnEntryPage, { kind: 'interventions', entry: 'new' }, records(refusal));
  await type('Name', 'Shed soap');
  await press(/^Keep it/);
  const most = page.getByLabelText(/^The most that the label allows/);
  expect(most.closest('fn-own-text')!.textContent).toContain('can’t be less than the rate');
});

test('a look and the rules of a region have the fields of their kind', async () => {
  const kept = records();
  const { page, press, set, text, type } = await show(OwnEntryPage, { kind: 'checks', entry: 'turn-leaves' }, kept);
  await type('Minutes', '4');
  await type('You need, parted by commas', 'a lens, a torch');
  await press('Take out Fine webbing');
  await press(/^Keep it/);
  expect(kept.saved[0]!.value.entry).toMatchObject({ minutes: 4, tools: ['a lens', 'a torch'] });
  expect(kept.saved[0]!.value.entry.reveals).not.toContain('leaf-webbing');
  await set({ kind: 'regions', entry: 'tidal-march' });
  expect(page.getByRole('heading', { level: 1 }).textContent).toBe('The Tidal March (invented), as it is here');
  expect(text()).toContain('not allowed within fifty paces of tidal water');
  await press('Take out Fire blight');
  await press(/^Keep it/);
  expect(kept.saved[1]!.value.entry).toMatchObject({ notifiable: [] });
});
