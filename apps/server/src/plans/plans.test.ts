import type { NewToken, Stored } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { application, bed, fresh, labelCard, plannedApplication, planting, product, sickness, treatmentPlan } from '../testRecords';
import { refused, startGarden, startTestServer, wholeGarden } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

// What is planned, and what the labels and the other people say to it.

let server: TestServer;
let garden: TestGarden;
let place: string;
let pack: string;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
  place = await garden.add('places', bed);
  pack = await garden.add('products', product);
  await garden.add('labelCards', labelCard(pack));
}, 60_000);
afterAll(() => server.stop());

const put = <T>(subject: Parameters<TestGarden['path']>[0], value: object, id: string = randomUUID(), version = 0) =>
  garden.owner.send<T>('put', garden.path(subject, id), { ...fresh(value), version });
const planOn = async (host = 'potato') => {
  const plant = await garden.add('plantings', { ...planting(place), host });
  return { plant, plan: await garden.add('treatmentPlans', treatmentPlan(plant)) };
};
const round = (plan: string, change: object = {}) =>
  put<Stored<'plannedApplications'>>('plannedApplications', { ...plannedApplication(plan), productId: pack, ...change });

test('a plan, its rounds and somebody’s hours come with the garden as they were written', async () => {
  const { plan, plant } = await planOn();
  const stored = await round(plan);
  const hours = await put<Stored<'workTimes'>>('workTimes', {
    person: 'Wren',
    minutesPerDay: 90,
    exceptions: [{ on: '2026-07-20', minutes: 0 }],
    endedOn: null,
  });
  const { treatmentPlans, plannedApplications, workTimes } = await wholeGarden(garden.owner, `/api/v1/gardens/${garden.garden}`);
  expect(treatmentPlans).toContainEqual({ ...treatmentPlan(plant), id: plan, version: 1 });
  expect(plannedApplications).toContainEqual(stored);
  expect(workTimes).toEqual([hours]);
});

test.each<[string, object, RegExp]>([
  ['a plant that the label does not name', { host: 'tomato' }, /no line for this plant/],
  ['days that are too near to what was done', { plannedFor: '2026-07-20' }, /10 days between two/],
])('%s: the round is refused, and the line named', async (_, change, words) => {
  const { host, ...rest } = { host: 'potato', ...change };
  const { plan, plant } = await planOn(host);
  await put('applications', { ...application(plant), productId: pack, productG: 3, waterL: 1 });
  expect(await refused(round(plan, rest))).toMatch(/422/);
  expect(await refused(round(plan, rest))).toMatch(words);
});

test('a round is what its plan is for, once, and done only with its log entry', async () => {
  const { plan, plant } = await planOn();
  expect(await refused(round(plan, { intervention: 'sulphur', productId: null }))).toMatch(/The plan is for copper/);
  const first = await round(plan);
  expect(await refused(round(plan))).toMatch(/there already/);
  const { id, version, ...value } = first;
  expect(await refused(put('plannedApplications', { ...value, state: 'done' }, id, version))).toMatch(/log entry/);
  const entry = await garden.add('applications', application(plant));
  expect(await refused(put('plannedApplications', { ...value, state: 'done', applicationId: entry }, id, version))).toBe('not refused');
});

test('a case of another planting has no part in a plan', async () => {
  const { plant } = await planOn();
  const other = await garden.add('plantings', planting(place));
  const sick = await garden.add('cases', sickness(other));
  expect(await refused(put('treatmentPlans', treatmentPlan(plant, sick)))).toMatch(/another planting/);
});

test('two people who do the same job at once: one entry of the log, and the second is told', async () => {
  const { plan, plant } = await planOn();
  await round(plan);
  const entry = randomUUID();
  const log = (by: string) => garden.owner.send('put', garden.path('applications', entry), fresh({ ...application(plant), appliedBy: by }));
  expect(await refused(log('Wren'))).toBe('not refused');
  expect(await refused(log('Tam'))).toMatch(/409/);
});

test('the calendar holds what is still to be done; the feed opens by its own token, which opens nothing else', async () => {
  const { plan } = await planOn();
  await round(plan);
  await round(plan, { ordinal: 2, plannedFor: '2026-08-10', state: 'not-needed' });
  const base = `/api/v1/gardens/${garden.garden}`;
  const { text } = await garden.owner.answer('get', `${base}/plan.ics`);
  expect(text).toMatch(/^BEGIN:VCALENDAR[\s\S]*END:VCALENDAR\s*$/);
  expect(text).toMatch(/SUMMARY:Copperline 50: Potato/);
  // Half past six in the evening on the garden's clock.
  expect(text).toContain('DTSTART:20260728T173000Z');
  expect(text).not.toMatch(/20260810/);
  const made = await garden.owner.send<NewToken>('post', `${base}/tokens`, {
    id: randomUUID(),
    name: 'Phone',
    scope: 'calendar',
    expiresOn: null,
  });
  const asked = (path: string, headers: Record<string, string> = {}) => fetch(`${server.address}${path}`, { headers });
  const feed = await asked(`/api/v1/calendars/${made.secret}.ics`);
  expect([feed.status, feed.headers.get('content-type')]).toEqual([200, expect.stringContaining('text/calendar')]);
  expect(await feed.text()).toContain('SUMMARY:Copperline 50: Potato');
  expect((await asked(base, { Authorization: `Bearer ${made.secret}` })).status).toBe(403);
  expect((await asked(`/api/v1/calendars/${made.secret.slice(0, -1)}x`)).status).toBe(404);
  const reading = await garden.owner.send<NewToken>('post', `${base}/tokens`, {
    id: randomUUID(),
    name: 'Script',
    scope: 'read',
    expiresOn: null,
  });
  expect((await asked(`/api/v1/calendars/${reading.secret}`)).status).toBe(404);
});

test('the calendar leaves out what is over: a closed case, a planting that was cleared', async () => {
  const dates = async () =>
    (await garden.owner.answer('get', `/api/v1/gardens/${garden.garden}/plan.ics`)).text.match(/DTSTART:2026082\d/g) ?? [];
  const plant = await garden.add('plantings', { ...planting(place), host: 'potato' });
  const sick = await garden.add('cases', sickness(plant));
  const closed = await garden.add('cases', { ...sickness(plant), closedOn: '2026-07-15', outcome: 'recovered' });
  const cleared = await garden.add('plantings', { ...planting(place), host: 'potato', events: [{ kind: 'ended', on: '2026-08-01' }] });
  const before = (await dates()).length;
  await round(await garden.add('treatmentPlans', treatmentPlan(plant, closed)), { plannedFor: '2026-08-20' });
  await round(await garden.add('treatmentPlans', treatmentPlan(cleared)), { plannedFor: '2026-08-21' });
  expect(await dates()).toHaveLength(before);
  await round(await garden.add('treatmentPlans', treatmentPlan(plant, sick)), { plannedFor: '2026-08-22' });
  expect(await dates()).toEqual(expect.arrayContaining(['DTSTART:20260822']));
});
