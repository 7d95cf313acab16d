import { show } from '../testing/show';
import { application, decision, assessment, sample, sickness, summary } from '../testing/test-garden';
import { ClinicSamples } from '../clinic/clinic-samples';
import { sampleState } from '../clinic/sample-state';
import { CaseHead } from './case-head';
import { CaseTimeline } from './case-timeline';
import { EvidenceBars } from './evidence-bars';
import { NotifiableNotice } from './notifiable-notice';
import { WorkingDiagnosis } from './working-diagnosis';

const book = (...states: ReturnType<typeof sampleState>[]) => ({ provide: ClinicSamples, useValue: { of: () => states } });

test('a notice says what to do, what not to do, and whom to call in this region', async () => {
  const { page, text } = await show(NotifiableNotice, { suspects: ['colorado-beetle', 'plum-pox'] });
  expect(page.getByRole('alert')).toBeTruthy();
  expect(text()).toMatch(/^Report it: Colorado beetle , Plum pox is possible/);
  expect(text()).toMatch(/Call [A-Z]?.+\./);
  expect(text()).toContain('Don’t move plants, soil, fruit or tools off the site');
});

test('in a region that nobody knows it sends to the plant-health authority', async () => {
  const { text } = await show(NotifiableNotice, { suspects: ['plum-pox'] }, { garden: { garden: { ...summary, region: 'atlantis' } } });
  expect(text()).toContain('Call your plant-health authority.');
});

test('the working diagnosis keeps what it was taken for before, with day and reason', async () => {
  const history = [
    { on: '2026-07-01', conditions: ['leek-rust'], why: 'orange dust' },
    { on: '2026-07-08', conditions: ['leek-moth', 'onion-thrips'], why: 'a grub' },
  ];
  const { page, text, told, type, set } = await show(WorkingDiagnosis, { history });
  const explained = told('explained');
  const [first, second] = page.getAllByRole('listitem').map((item) => item.textContent);
  expect(first).toMatch(/Leek and garlic rust.*1 Jul, at first.*orange dust/);
  expect(second).toMatch(/Leek moth and Onion thrips.*8 Jul/);
  await type('Why (if you like)', '  a net cocoon ');
  expect(explained).toEqual(['a net cocoon']);
  await set({ readonly: true });
  expect(page.queryByLabelText('Why (if you like)')).toBeNull();
  expect(text()).toContain('a grub');
  await set({ history: [] });
  expect(text()).toMatch(/^Nothing is settled yet\./);
});

test('reasons stand by their weight, for and against, with circumstances among them', async () => {
  const evidence = [
    { sign: 'leaf-webbing', state: 'seen', decibans: 6 },
    { sign: 'sticky-leaves', state: 'absent', decibans: -12 },
  ];
  const { page } = await show(EvidenceBars, { evidence, circumstances: [{ code: 'host', decibans: 40 }] });
  const rows = page.getAllByRole('listitem');
  expect(rows[0]!.textContent).toMatch(/^For:/);
  expect(rows[1]!.textContent).toBe('Against:Not there: Sticky shine');
  expect(rows[2]!.textContent).toBe('For:Fine webbing');
  expect(page.getByTitle('Against: 12.0 decibans, odds × 0.063')).toBeTruthy();
  // A bar is never longer than its track.
  expect(rows.map((row) => row.querySelector<HTMLElement>('.bar')!.style.width)).toEqual(['100%', '48%', '24%']);
});

test('the head names what the case is taken for, its plant, and its end', async () => {
  const { page, text } = await show(CaseHead, { case: 'rust' });
  expect(page.getByRole('heading', { level: 1 }).textContent).toBe('Leek and garlic rust');
  expect(text()).toContain('opened 1 Jul');
  expect(page.getByRole('navigation', { name: 'Case' }).querySelectorAll('a')).toHaveLength(5);
});

test('a case without a diagnosis asks; a closed one says how it ended', async () => {
  const closed = { ...sickness, diagnoses: [], closedOn: '2026-07-17', outcome: 'recovered' as const };
  const { page, text } = await show(CaseHead, { case: 'rust' }, { garden: { cases: [closed] } });
  expect(page.getByRole('heading', { level: 1 }).textContent).toBe('What is it?');
  expect(text()).toMatch(/closed 17 Jul: \w+/);
});

test('the story goes by days: found, taken for, chosen, done, looked, sent', async () => {
  const found = { sign: 'rust-pustules', state: 'seen', source: 'tap', phrase: null, on: '2026-07-01' } as const;
  const one = { ...sickness, findings: [found, { ...found, sign: 'leaf-dot-rows', state: 'absent' as const }] };
  const sent = sampleState({ ...sample, sentOn: '2026-07-07' }, undefined);
  const { page } = await show(
    CaseTimeline,
    { case: 'rust' },
    { garden: { cases: [one], decisions: [decision], applications: [application], assessments: [assessment] }, providers: [book(sent)] },
  );
  const days = page.getByRole('region', { name: 'How it went' }).querySelectorAll('ol > li');
  const lines = [...days].map((day) => day.textContent.replace(/\s+/g, ' ').trim());
  expect(lines[0]).toMatch(/^1 Jul.*Opened/);
  for (const words of ['Orange or brown pustules', 'Not there: Neat row of pale dots', 'Taken for Leek and garlic rust', 'Chosen: Sulphur'])
    expect(lines[0]).toContain(words);
  expect(lines.slice(1).join(' | ')).toMatch(/2 Jul.*Done: Sulphur.*3 Jul.*Looked: 10 %.*7 Jul.*Sample sent to Reedbank plant clinic/);
});
