import type { ClinicOffer, ClinicReport, ClinicSample } from '@field-nurse/contract';
import { fireEvent } from '@testing-library/dom';
import { Records } from '../gardens/records';
import { ApiError } from '../api/api-error';
import { answerTo } from '../testing/answers';
import { show } from '../testing/show';
import { sample } from '../testing/test-garden';
import { ClinicSamples } from '../clinic/clinic-samples';
import { ClinicPanel } from '../clinic/clinic-panel';
import { NewSample } from './new-sample';
import { ResultsForm } from '../clinic/results-form';
import { SampleCard } from '../clinic/sample-card';
import { sampleState } from '../clinic/sample-state';

const answer = answerTo({ host: 'leek', month: 7, findings: [{ sign: 'leaf-silvering', state: 'seen' }] });
const kinds = [...new Set(answer.ranked.map(({ kind }) => kind))];
const offer: ClinicOffer = {
  id: 'reedbank',
  name: 'Reedbank plant clinic',
  simulated: true,
  methods: kinds.map((kind) => ({ kind, name: 'Under the lens', sensitivity: 0.9, specificity: 0.95, days: 5 })),
  packing: {
    leaves: [
      { id: 'dry', text: 'Dry leaves between paper.' },
      { id: 'label', text: 'Label it.' },
    ],
  },
};

/** Records that keep what they are given, or refuse it. */
function records(refusal?: ApiError) {
  const saved: { kind: string; id: string; version: number; value: Partial<ClinicSample>; said?: string }[] = [];
  const useValue = {
    save: async (kind: string, id: string, version: number, value: Partial<ClinicSample>, said?: string) => {
      if (refusal) throw refusal;
      saved.push({ kind, id, version, value, ...(said && { said }) });
    },
  };
  return { saved, providers: [{ provide: Records, useValue }] };
}

describe('a new sample', () => {
  const inputs = { case: 'rust', answer, offers: [offer] };

  test('says that a clinic is simulated, and what each answer would make of a cause', async () => {
    const { text } = await show(NewSample, inputs, records());
    expect(text()).toContain('its results are drawn by chance, not from a plant');
    expect(text()).toMatch(/now <? ?\d+ % if found >? ?\d+ % if not <? ?\d+ %/);
    expect(text()).toContain('Under the lens');
  });

  test('wants at least one trouble to test for', async () => {
    const kept = records();
    const { press, page } = await show(NewSample, inputs, kept);
    await press('Register the sample');
    expect(page.getByRole('alert').textContent).toBe('Tick one trouble at least, 6 at most.');
    expect(kept.saved).toEqual([]);
  });

  test('is registered with what was ticked', async () => {
    const kept = records();
    const { page, press, told } = await show(NewSample, inputs, kept);
    const done = told('kept');
    fireEvent.click(page.getAllByRole('checkbox')[0]!);
    await press('Register the sample');
    expect(kept.saved).toMatchObject([
      {
        kind: 'clinicSamples',
        version: 0,
        said: 'Sample registered.',
        value: { caseId: 'rust', clinic: 'reedbank', registeredOn: '2026-07-18', sentOn: null },
      },
    ]);
    expect(kept.saved[0]!.value.testFor).toHaveLength(1);
    expect(done).toHaveLength(1);
  });

  test('goes to another clinic by its name, which must be given', async () => {
    const kept = records();
    const { page, press, type } = await show(NewSample, { ...inputs, offers: [] }, kept);
    fireEvent.click(page.getAllByRole('checkbox')[0]!);
    await press('Register the sample');
    expect(kept.saved).toEqual([]);
    await type('Its name', ' Old Mill laboratory ');
    await press('Register the sample');
    expect(kept.saved).toMatchObject([{ value: { clinic: null, clinicName: 'Old Mill laboratory' } }]);
  });

  test('goes to a clinic that answered late, though its name was missed before', async () => {
    const kept = records();
    const { page, press, set } = await show(NewSample, { ...inputs, offers: [] }, kept);
    await press('Register the sample');
    await set({ offers: [offer] });
    fireEvent.click(page.getAllByRole('checkbox')[0]!);
    await press('Register the sample');
    expect(kept.saved).toMatchObject([{ value: { clinic: 'reedbank', clinicName: 'Reedbank plant clinic' } }]);
  });

  test('that is refused keeps what was entered, and says why', async () => {
    const { page, press } = await show(NewSample, inputs, records(new ApiError(503, 'offline', 'The server does not answer.')));
    fireEvent.click(page.getAllByRole('checkbox')[0]!);
    await press('Register the sample');
    expect(page.getByRole('alert').textContent).toContain('The server does not answer.');
    expect(page.getAllByRole<HTMLInputElement>('checkbox')[0]!.checked).toBe(true);
  });
});

describe('the card of a sample', () => {
  const at = (change: Partial<ClinicSample> = {}, report?: Parameters<typeof sampleState>[1]) =>
    sampleState({ ...sample, ...change }, report);
  const report: ClinicReport = {
    sample: 's',
    reference: 'RB-1',
    status: 'reported',
    since: '2026-07-14',
    results: [],
    askedAt: '',
    failedAt: null,
  };

  test('lists what is to pack, counts what is open, and keeps each tick', async () => {
    const kept = records();
    const { page, text, set, rest } = await show(SampleCard, { state: at(), offer }, kept);
    expect(text()).toContain('2 lines are open.');
    fireEvent.click(page.getByLabelText('Label it.'));
    await rest();
    expect(kept.saved).toMatchObject([{ id: 's', value: { packed: ['label'] } }]);
    await set({ state: at({ packed: ['dry', 'label'] }) });
    expect(text()).toContain('All of it is done.');
  });

  test('is sent on a day', async () => {
    const kept = records();
    const { press } = await show(SampleCard, { state: at(), offer }, kept);
    await press('It is on its way');
    expect(kept.saved).toMatchObject([{ value: { sentOn: '2026-07-18' }, said: 'Sample sent.' }]);
  });

  test('shows how far it is', async () => {
    const { page, set, text } = await show(SampleCard, { state: at({ sentOn: '2026-07-07' }) }, records());
    const here = () => page.getByRole('list', { name: 'How far it is' }).querySelector('[aria-current]')?.textContent;
    expect(here()).toMatch(/^On its way/);
    await set({ state: at({ sentOn: '2026-07-07' }, { ...report, status: 'in-laboratory', failedAt: '2026-07-15' }) });
    expect(here()).toMatch(/^In the laboratory/);
    expect(text()).toContain('The clinic did not answer when it was last asked.');
    await set({ state: at({ sentOn: '2026-07-07' }, { ...report, status: 'lost' }) });
    expect(text()).toContain('It never arrived.');
  });

  test('says what was found and how far to trust it; what told nothing changes nothing', async () => {
    const results = [
      { condition: 'leek-rust', result: 'positive', sensitivity: 0.9, specificity: 0.95 },
      { condition: 'onion-thrips', result: 'inconclusive', sensitivity: 0.8, specificity: 0.9 },
    ] as const;
    const { text } = await show(SampleCard, { state: at({ sentOn: '2026-07-07' }, { ...report, results: [...results] }) }, records());
    expect(text()).toContain('Number RB-1');
    expect(text()).toContain('Leek and garlic rust found finds 90 of 100 that have it; 5 of 100 without it are taken for ill');
    expect(text()).toContain('Onion thrips told nothing');
    expect(text()).toContain('What told nothing changes nothing');
  });

  test('that may not be changed offers nothing to change', async () => {
    const { page } = await show(SampleCard, { state: at(), offer }, { ...records(), canWrite: false });
    expect(page.queryByRole('button')).toBeNull();
    expect(page.getAllByRole<HTMLInputElement>('checkbox').every(({ disabled }) => disabled)).toBe(true);
  });

  test('says what the server refuses', async () => {
    const refusal = new ApiError(400, 'invalid', 'That is not right.', new Map([['sentOn', 'Not before it was registered.']]));
    const { press, page } = await show(SampleCard, { state: at(), offer }, records(refusal));
    await press('It is on its way');
    expect(page.getByRole('alert').textContent).toBe('That is not right. Not before it was registered.');
  });
});

test('what another clinic wrote is kept as shares, once each is said', async () => {
  const { press, told, element, type } = await show(ResultsForm, { sample: { ...sample, clinic: null, sentOn: '2026-07-07' } });
  const kept = told('kept');
  await press('Keep the result');
  expect(kept).toEqual([]);
  expect(element.textContent).toContain('Say what they found.');
  await type('Finds, of 100 that have it', '120');
  await press('Keep the result');
  expect(kept).toEqual([]);
  expect(element.textContent).toContain('0 to 100.');
});

test('the panel beside a case tells of its samples in a few words', async () => {
  const results = [{ condition: 'leek-rust', result: 'negative', sensitivity: 0.9, specificity: 0.95 }] as const;
  const states = [sampleState({ ...sample, reportedOn: '2026-07-16', results: [...results] }, undefined)];
  const of = (found: typeof states) => ({ providers: [{ provide: ClinicSamples, useValue: { of: () => found } }] });
  const { text } = await show(ClinicPanel, { case: 'rust' }, of(states));
  expect(text()).toBe('Plant clinic Result · 16 Jul Leek and garlic rust: not found See the samples');
});
