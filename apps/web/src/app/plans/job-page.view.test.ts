import { Router } from '@angular/router';
import { mixFor } from '@field-nurse/core/dose';
import type { MixQuestion } from '@field-nurse/core/dose';
import { waitFor } from '@testing-library/dom';
import { Calc } from '../calc/calc';
import { TodaysWeather } from '../cases/todays-weather';
import { Records } from '../gardens/records';
import { show } from '../testing/show';
import { sulphurPlan, sulphurRound } from '../testing/test-plan';
import { shelfOfGarden } from '../testing/test-shelf';
import { JobPage } from './job-page';

// There is nowhere to go in a test.
Router.prototype.navigate = () => Promise.resolve(true);

const calm = { temperatureC: 18, warmestC: 20, windKmh: 4, rainInHours: null, daysToFrost: null };
const mix = (question: MixQuestion) => {
  const answer = mixFor(question);
  return 'mix' in answer ? Promise.resolve(answer.mix) : Promise.reject(new Error(answer.refused.text));
};
async function job(rounds: object[] = [sulphurRound], weather: object = calm) {
  localStorage.clear();
  const kept: unknown[][] = [];
  const all: { subject: string; value: Record<string, unknown>; reckoned?: Record<string, unknown> }[] = [];
  const records = {
    keep: (...write: unknown[]) => Promise.resolve(void kept.push(write)),
    saveAllOrKeep: (written: typeof all) => Promise.resolve(void all.push(...written)),
  };
  const shown = await show(
    JobPage,
    { job: sulphurRound.id },
    {
      garden: { ...shelfOfGarden, treatmentPlans: [sulphurPlan], plannedApplications: rounds as never },
      providers: [
        { provide: Records, useValue: records },
        { provide: Calc, useValue: { mix } },
        { provide: TodaysWeather, useValue: { said: () => weather } },
      ],
    },
  );
  /** Go on to a step. */
  const upTo = async (title: string) => {
    for (let steps = 0; steps < 9 && shown.element.querySelector('#step')?.textContent !== title; steps++)
      await shown.press(/^(Begin|Done, next)$/);
    expect(shown.element.querySelector('#step')?.textContent).toBe(title);
  };
  return { kept, all, upTo, ...shown };
}
test('what to wear comes first, and who begins is known to the others', async () => {
  const { text, press, kept } = await job();
  expect(text()).toContain('gloves');
  expect(text()).toContain('dust mask');
  await press('Begin');
  expect(kept[0]?.slice(0, 2)).toEqual(['plannedApplications', sulphurRound.id]);
  expect(kept[0]?.[3]).toMatchObject({ state: 'under-way' });
  expect(text()).toContain('Nobody else is in the place');
});

test('the mix is reckoned within the label, and what was used is written with the waits that follow', async () => {
  const { text, upTo, type, press, all } = await job();
  await upTo('Mix');
  await waitFor(() => expect(text()).toMatch(/g of Marshlight Sulphur 80 in/));
  await upTo('Write down what was done');
  await type('What was covered', 'both sides');
  await type('Done by', 'Wren');
  await press('Write it into the log');
  const [application, round] = all;
  expect(application).toMatchObject({
    subject: 'applications',
    value: { intervention: 'sulphur', productId: 'sulphur-pack', appliedBy: 'Wren' },
  });
  expect(application!.reckoned).toMatchObject({
    card: { source: 'copied' },
    targets: [{ plantingId: 'leeks', notPickedBefore: '2026-07-21' }],
  });
  expect(round).toMatchObject({ subject: 'plannedApplications', value: { state: 'done', plannedFor: '2026-07-18' } });
  expect(round!.value['applicationId']).toBeTruthy();
});

test('a line of the label that forbids it now stops it, and is named', async () => {
  const { text, element } = await job([sulphurRound], { ...calm, temperatureC: 33 });
  expect(element.querySelector('[role=alert]')?.textContent).toMatch(/28/);
  expect(text()).not.toContain('Begin');
});

test.each([
  [{ state: 'done', applicationId: 'log-entry' }, 'This is done'],
  [{ state: 'not-needed', note: 'Rust is gone' }, 'This is not needed any more Rust is gone'],
])('what is over says so: %j', async (change, words) => {
  expect((await job([{ ...sulphurRound, ...change }])).text()).toContain(words);
});

test('a job that is not in the plan says so', async () => {
  expect((await job([])).text()).toContain('This job is not in the plan');
});
