import { signal } from '@angular/core';
import { PastYears } from '../gardens/past-years';
import { show } from '../testing/show';
import { assessment, sickness } from '../testing/test-garden';
import { ReportPage } from './report-page';

const sight = {
  case: 'rust',
  planting: 'leeks',
  place: 'bed',
  host: 'leek',
  cultivar: '',
  plants: 20,
  conditions: ['leek-rust'],
  openedOn: '2026-07-01',
  closedOn: null,
  outcome: null,
  peak: 30,
  meanSeverity: 12,
  lastSeverity: 4,
  done: [{ intervention: 'sulphur', on: '2026-07-02', plants: 20 }],
};
const past = (sights: unknown[], fault = '') => ({
  provide: PastYears,
  useValue: { answer: signal({ days: [], sights }), fault: signal(fault), refresh: () => undefined },
});

test('the garden’s season on a page: sums, what happened, what was done, what helped', async () => {
  const { text, element } = await show(
    ReportPage,
    {},
    { providers: [past([sight])], garden: { cases: [sickness], assessments: [assessment] } },
  );
  expect(text()).toContain('Test bed, season 2026');
  expect(text()).toContain('Leek and garlic rust on leek Spar in Bed, seen 1 Jul, at worst 30 %; still open at 4 %.');
  expect(text()).toContain('Sulphur: once, 20 plants in all');
  expect(text()).toContain('went back with sulphur');
  expect(element.querySelectorAll('fn-planting-strip')).toHaveLength(1);
});

test('a place without anything says so; what could not be fetched is said', async () => {
  const { text } = await show(ReportPage, { of: 'place nowhere', year: '2025' }, { providers: [past([sight], 'No signal.')] });
  expect(text()).toContain('A place, season 2025');
  expect(text()).toContain('No signal. Troubles of the season are missing below.');
  expect(text()).toContain('Nothing was applied.');
});
