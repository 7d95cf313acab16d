import { provideRouter } from '@angular/router';
import { ApiError } from '../api/api-error';
import { Records } from '../gardens/records';
import { quiet } from '../testing/answers';
import { show } from '../testing/show';
import { application, plantingRecord, sickness } from '../testing/test-garden';
import { shelfOfGarden } from '../testing/test-shelf';
import { ApplicationFormPage } from './application-form-page';

/** The form, and what it writes. */
async function form(inputs: Readonly<Record<string, unknown>> = {}, garden: object = {}, refusal?: ApiError) {
  const saved: { writes: readonly { subject: string; id: string; version: number; value: Record<string, unknown> }[]; said: string }[] = [];
  const saveAll = async (writes: (typeof saved)[number]['writes'], said: string) => {
    if (refusal) throw refusal;
    saved.push({ writes, said });
  };
  const shown = await show(ApplicationFormPage, inputs, {
    garden: { applications: [], ...garden },
    person: 'Wren',
    providers: [...quiet(), { provide: Records, useValue: { saveAll } }, provideRouter([{ path: '**', children: [] }])],
  });
  return { ...shown, saved, value: (name: RegExp | string) => shown.page.getByLabelText<HTMLInputElement>(name).value };
}

const fromCase = { case: 'rust', intervention: 'sulphur', amount: '6', unit: 'g', water: '2' };

test('what a link says is filled in: the case’s planting, who it is, when, and how much', async () => {
  const { text, value, page } = await form(fromCase);
  expect([value(/^What was done/), value(/^By whom/), value(/^Product used/), value(/^Water/)]).toEqual(['Sulphur', 'Wren', '6', '2']);
  expect(value(/^Why/)).toBe('Leek and garlic rust');
  expect(page.getByRole('list', { name: 'Plantings that it went to' }).textContent).toContain('Leek · Spar · Bed');
  expect(text()).toMatch(/Keep out until .* Not to be picked before .*, by typical figures: the label in hand decides\. Not again before/);
});

test('it is logged as it was done, for the case, in its own words', async () => {
  const { type, press, saved } = await form(fromCase);
  await type('How many plants', '12');
  await type('Sky', 'overcast');
  await press('Log this');
  expect(saved).toMatchObject([
    {
      said: 'Application logged.',
      writes: [
        {
          subject: 'applications',
          version: 0,
          value: {
            intervention: 'sulphur',
            appliedAt: '2026-07-18T09:30:00Z',
            productG: 6,
            productMl: null,
            waterL: 2,
            appliedBy: 'Wren',
            sky: 'overcast',
            targets: [{ plantingId: 'leeks', caseId: 'rust', plants: 12 }],
          },
        },
      ],
    },
  ]);
});

test('what is missing is named, and nothing is sent or lost', async () => {
  const { type, press, saved, text, value } = await form({ ...fromCase, intervention: undefined });
  await type('By whom', '');
  await type('How many plants', '0');
  await press('Log this');
  expect(saved).toEqual([]);
  expect(text()).toContain('Name what was done.');
  expect(text()).toContain('Name who did it, in up to 120 letters.');
  expect(text()).toContain('A whole number from 1 to 100,000.');
  expect(value(/^Product used/)).toBe('6');
});

test('more than the pack’s own card allows is said, and logged as it happened', async () => {
  const { text, press, saved } = await form({ ...fromCase, product: 'sulphur-pack', amount: '60' }, shelfOfGarden);
  expect(text()).toContain('Past the card. More than the label allows, which is 30 g in 10 l at most.');
  expect(text()).toContain('It is logged as it happened.');
  // The pack says three days to harvest, and its card needs no "typical".
  expect(text()).toContain('Not to be picked before 21 Jul.');
  await press('Log this');
  expect(saved[0]!.writes[0]!.value).toMatchObject({ productId: 'sulphur-pack', productG: 60 });
});

test('one tank goes to several plantings, each with its plants', async () => {
  const more = { ...plantingRecord, id: 'garlic', host: 'garlic', cultivar: '', plants: 30 };
  const { element, rest, press, saved, text } = await form(fromCase, { plantings: [plantingRecord, more] });
  element.querySelector<HTMLElement>('mat-select[formControlName=plantings] .mat-mdc-select-trigger')!.click();
  await rest();
  [...document.querySelectorAll<HTMLElement>('mat-option')].find((one) => one.textContent.includes('Garlic'))!.click();
  await rest();
  expect(text()).toContain('Garlic · Bed');
  await press('Log this');
  expect(saved[0]!.writes[0]!.value['targets']).toMatchObject([
    { plantingId: 'leeks', caseId: 'rust', plants: 20 },
    { plantingId: 'garlic', caseId: null, plants: 30 },
  ]);
});

test('a correction begins with what was logged, and is written over it', async () => {
  const { text, type, press, saved, value } = await form({ application: 'a' }, { applications: [application] });
  expect(text()).toContain('Correct the log entry');
  expect([value('At'), value(/^Product used/), value(/^Why/)]).toEqual(['19:00', '6', 'rust']);
  await type(/^Product used/, '5');
  await press('Save the entry');
  expect(saved).toMatchObject([{ said: 'Log entry corrected.', writes: [{ id: 'a', version: 1, value: { productG: 5 } }] }]);
});

test('an entry that is not there any more says so', async () => {
  const { text } = await form({ application: 'gone' });
  expect(text()).toContain('This entry is not in the log.');
});

test('what the server refuses stands at its field, and all that was typed is kept', async () => {
  const refusal = new ApiError(400, 'invalid', 'That is not right.', new Map([['intervention', 'There is no such treatment.']]));
  const { press, text, value } = await form(fromCase, {}, refusal);
  await press('Log this');
  expect(text()).toContain('There is no such treatment.');
  expect(value(/^Product used/)).toBe('6');
});

test('a closed case is not offered, and a garden that is only read logs nothing', async () => {
  const closed = { ...sickness, id: 'old', closedOn: '2026-06-01' };
  const { page } = await form({ planting: 'leeks' }, { cases: [closed] });
  expect(page.queryByText('For the case')).toBeNull();
});
