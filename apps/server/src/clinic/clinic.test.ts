import type { ClinicOffer, ClinicReport, ClinicSample, Written } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { openDb } from '../db/client';
import { directCalculator } from '../calc/calculator';
import { startJobs } from '../jobs';
import { noMail } from '../mail/mail';
import { bed, fresh, planting, sample, settings, sickness } from '../testRecords';
import { refused, startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';
import { noStations } from '../weather/stations';
import { ClinicFault, clinicsOver } from './clinics';
import type { ClinicAnswer, Clinics, SampleForm } from './clinics';

const offer: ClinicOffer = {
  id: 'reedbank',
  name: 'Reedbank',
  simulated: true,
  methods: [{ kind: 'oomycete', name: 'bait', sensitivity: 0.8, specificity: 0.97, days: 5 }],
  packing: { leaves: [{ id: 'dry-paper', text: 'Dry paper.' }] },
};
const found: ClinicAnswer = {
  status: 'reported',
  since: '2026-07-16',
  results: [{ condition: 'late-blight', result: 'positive', sensitivity: 0.8, specificity: 0.97 }],
};

/** A clinic in the test's own hands. */
let silent = false;
let answer: ClinicAnswer = found;
const forms: SampleForm[] = [];
const asked: unknown[] = [];
const mind = async <T>(said: T): Promise<T> => {
  if (silent) throw new ClinicFault('silent');
  return said;
};
const clinics: Clinics = {
  list: () => mind([offer]),
  register: (_, form) => mind({ reference: `R-${forms.push(form)}`, receipt: `receipt of ${form.sample}` }),
  ask: (clinic, receipt, { sentOn, packed }, today) => {
    asked.push([clinic, receipt, sentOn, packed, today]);
    return mind(answer);
  },
};

let server: TestServer;
let garden: TestGarden;
let sick: string;
beforeAll(async () => {
  server = await startTestServer({ clinics });
  garden = await startGarden(server);
  sick = await garden.add('cases', sickness(await garden.add('plantings', planting(await garden.add('places', bed)))));
}, 60_000);
afterAll(() => server.stop());
beforeEach(() => {
  silent = false;
  answer = found;
});

const reports = () => garden.viewer.send<ClinicReport[]>('get', `/api/v1/gardens/${garden.garden}/clinic-reports`);
const reportOf = async (id: string) => (await reports()).find((one) => one.sample === id);
const ask = () => garden.member.send<ClinicReport[]>('post', `/api/v1/gardens/${garden.garden}/clinic-reports`, {});
const write = (id: string, version: number, change: Partial<Written<'clinicSamples'>> = {}) =>
  garden.member.send<ClinicSample>('put', garden.path('clinicSamples', id), {
    ...fresh({ ...sample(sick), ...change }),
    version,
  });

test('a sample is registered with what is thought of it, sent, and comes back', async () => {
  const id = randomUUID();
  await write(id, 0);
  expect(await reportOf(id)).toMatchObject({ reference: 'R-1', status: 'registered', results: [], failedAt: null });
  expect(forms[0]).toMatchObject({ sample: id, crop: 'Potato', material: 'leaves', requests: [{ code: 'late-blight', kind: 'oomycete' }] });
  expect(forms[0]!.requests[0]!.chance).toBeGreaterThan(0.3);
  expect(asked).toEqual([]);

  answer = { status: 'in-laboratory', since: '2026-07-13', results: [] };
  await write(id, 1, { packed: ['dry-paper'], sentOn: '2026-07-11' });
  expect(asked).toEqual([['reedbank', `receipt of ${id}`, '2026-07-11', ['dry-paper'], '2026-07-18']]);
  expect(await reportOf(id)).toMatchObject({ status: 'in-laboratory', since: '2026-07-13' });
  answer = found;
  await ask();
  expect(await reportOf(id)).toMatchObject(found);
  await ask();
  expect(asked).toHaveLength(2);
  expect(forms).toHaveLength(1);
});

test('what is registered can not be changed into another sample, and taking it back takes its report with it', async () => {
  const id = randomUUID();
  const change = randomUUID();
  await garden.member.send('put', garden.path('clinicSamples', id), { change, version: 0, value: sample(sick) });
  expect(await refused(write(id, 1, { material: 'root' }))).toContain('registered');
  await garden.member.send('post', `/api/v1/gardens/${garden.garden}/undo`, { change: randomUUID(), undoes: change });
  expect(await reportOf(id)).toBeUndefined();
});

test('a silent clinic: a new sample is refused with nothing lost, one that is sent stands and is asked after later', async () => {
  const id = randomUUID();
  silent = true;
  expect(await refused(write(id, 0))).toContain('clinic-silent');
  silent = false;
  await write(id, 0);
  silent = true;
  await write(id, 1, { sentOn: '2026-07-12' });
  expect(await reportOf(id)).toMatchObject({ status: 'registered', failedAt: '2026-07-18T09:30:00.000Z' });
  expect(await refused(ask())).toContain('does not answer');
  silent = false;
  await ask();
  expect(await reportOf(id)).toMatchObject({ ...found, failedAt: null });
});

test.each<[string, Partial<Written<'clinicSamples'>>, string]>([
  ['no such trouble', { testFor: ['moon-blight'] }, 'The library has no entry moon-blight.'],
  ['no such clinic', { clinic: 'elsewhere' }, 'This clinic is not there.'],
  ['a trouble that the clinic has no test for', { testFor: ['thrips'] }, 'Reedbank has no test for'],
  ['sent tomorrow', { sentOn: '2026-07-19' }, 'This day is yet to come.'],
  ['sent before it was registered', { sentOn: '2026-07-01' }, 'It cannot be sent before it was registered.'],
  ['a case of nobody', { caseId: '00000000-0000-4000-8000-000000000000' }, 'This case is not in the garden.'],
  ['the same trouble twice', { testFor: ['late-blight', 'late-blight'] }, 'each trouble once'],
])('refused: %s', async (_, change, words) => {
  expect(await refused(write(randomUUID(), 0, change))).toContain(words);
});

test('what must be reported never leaves the site', async () => {
  const notifiable = server.library.regions.find(({ id }) => id === 'tidal-march')!.notifiable[0]!;
  await garden.owner.send('put', `/api/v1/gardens/${garden.garden}`, { ...settings, region: 'tidal-march' });
  expect(await refused(write(randomUUID(), 0, { clinic: null, testFor: [notifiable] }))).toContain('they take the sample themselves');
});

test('the result of another clinic is typed in, and nobody is asked', async () => {
  const before = asked.length;
  const id = randomUUID();
  const typed = { clinic: null, clinicName: 'County clinic', sentOn: '2026-07-11', results: found.results, reportedOn: '2026-07-17' };
  expect(await write(id, 0, typed)).toMatchObject(typed);
  expect(await reportOf(id)).toBeUndefined();
  expect(asked).toHaveLength(before);
});

test('what is on its way is asked after by itself', async () => {
  const id = randomUUID();
  answer = { status: 'under-way', since: '2026-07-17', results: [] };
  await write(id, 0, { sentOn: '2026-07-17' });
  answer = found;
  const { pool, library } = server;
  const now = () => new Date('2026-07-18T09:30:00Z');
  const deps = {
    pool,
    db: openDb(pool),
    library,
    photoFiles: server.photoFiles,
    calculator: directCalculator(library),
    stations: noStations,
    clinics,
    now,
  };
  const jobs = await startJobs({ ...deps, log: pino({ level: 'silent' }) }, noMail);
  try {
    for (let tries = 0; tries < 200 && (await reportOf(id))?.status !== 'reported'; tries++)
      await new Promise((resolve) => setTimeout(resolve, 50));
    expect(await reportOf(id)).toMatchObject(found);
  } finally {
    await jobs.stop();
  }
}, 30_000);

test('over HTTP a clinic speaks its own words', async () => {
  const calls: unknown[] = [];
  const service = createServer((request, response) => {
    const pieces: Buffer[] = [];
    request.on('data', (piece: Buffer) => pieces.push(piece));
    request.on('end', () => {
      calls.push([request.method, request.url, JSON.parse(Buffer.concat(pieces).toString() || 'null')]);
      const body =
        request.url === '/clinics' ? { clinics: [offer] } : request.url!.endsWith('samples') ? { reference: 'R-9', receipt: 'r' } : course;
      response.writeHead(200, { 'Content-Type': 'application/json' }).end(JSON.stringify(body));
    });
  });
  const course = { ...found, results: [{ code: 'late-blight', result: 'positive', method: 'bait', sensitivity: 0.8, specificity: 0.97 }] };
  service.listen(0, '127.0.0.1');
  await new Promise((resolve) => service.once('listening', resolve));
  const over = clinicsOver(`http://127.0.0.1:${(service.address() as AddressInfo).port}`, { waitMs: 1, timeoutMs: 300 });
  const form = { sample: randomUUID(), crop: 'Potato', material: 'leaves', requests: [] };
  expect(await over.list()).toEqual([offer]);
  expect(await over.register('reedbank', form)).toEqual({ reference: 'R-9', receipt: 'r' });
  expect(await over.ask('reedbank', 'r', { sentOn: '2026-07-11', packed: ['dry-paper'] }, '2026-07-18')).toMatchObject(found);
  expect(calls).toEqual([
    ['GET', '/clinics', null],
    ['POST', '/clinics/reedbank/samples', form],
    ['POST', '/clinics/reedbank/enquiries', { receipt: 'r', sent_on: '2026-07-11', packed: ['dry-paper'], as_of: '2026-07-18' }],
  ]);
  service.close();
  service.closeAllConnections();
  await expect(over.list()).rejects.toThrow(ClinicFault);
});
