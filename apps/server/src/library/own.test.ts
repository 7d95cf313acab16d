import { randomUUID } from 'node:crypto';
import { bed, fresh, ownTrouble, planting, settings, sickness } from '../testRecords';
import { compiledLibrary, startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

let server: TestServer;
let garden: TestGarden;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
}, 60_000);
afterAll(() => server.stop());

const put = (value: object) =>
  garden.owner.send<{ entry: Record<string, unknown> }>('put', garden.path('ownEntries', randomUUID()), fresh(value));
const refused = (value: object) =>
  put(value).then(
    () => 'taken',
    (error: Error) => error.message,
  );

test('a trouble of one’s own is kept with its defaults filled in, and cases may name it from then on', async () => {
  const plant = await garden.add('plantings', planting(await garden.add('places', bed)));
  const named = { ...sickness(plant), diagnoses: [{ on: '2026-07-10', conditions: ['tide-scorch'], why: '' }] };
  const path = garden.path('cases', randomUUID());
  expect(await garden.owner.status('put', path, fresh(named))).toBe(400);
  const { entry } = await put(ownTrouble);
  expect(entry).toMatchObject({ id: 'tide-scorch', names: [], follows: [], levels: [] });
  expect(await garden.owner.status('put', path, fresh(named))).toBe(200);
});

test('the same schema judges it as the library’s own, and says where it is wrong', async () => {
  const line = await refused({ ...ownTrouble, entry: { ...ownTrouble.entry, id: 'other', months: [13] } });
  expect(line).toContain('"months"');
  expect(await refused({ ...ownTrouble, entry: { id: 'bare', name: 'Bare' } })).toContain('"invalid"');
});

test.each([
  ['sign', { signs: { 'purple-smoke': 'always' } }, 'unknown sign purple-smoke'],
  ['plant', { hosts: { often: ['triffid'] } }, 'unknown host triffid'],
  ['look', { checks: ['crystal-ball'] }, 'unknown check crystal-ball'],
  [
    'treatment',
    { treat: [{ intervention: 'moonlight', stages: ['any'], efficacy: [0, 1], evidence: 'folk' }] },
    'unknown intervention moonlight',
  ],
])('a %s that is nowhere is refused', async (_, change, words) => {
  expect(await refused({ ...ownTrouble, entry: { ...ownTrouble.entry, id: 'elsewhere', ...change } })).toContain(words);
});

test('one entry counts for one id; taken out, another may come', async () => {
  const trouble = { ...ownTrouble, entry: { ...ownTrouble.entry, id: 'gull-peck', name: 'Gull peck' } };
  const id = randomUUID();
  const path = garden.path('ownEntries', id);
  await garden.owner.send('put', path, fresh(trouble));
  expect(await refused(trouble)).toContain('an entry of its own');
  await garden.owner.send('put', path, { change: randomUUID(), version: 1, value: { ...trouble, endedOn: '2026-07-18' } });
  expect(await refused(trouble)).toBe('taken');
});

test('a library entry is changed for this garden alone', async () => {
  const [other, place] = [randomUUID(), randomUUID()];
  await garden.owner.send('post', '/api/v1/gardens', { id: other, settings });
  await garden.owner.send('put', `/api/v1/gardens/${other}/places/${place}`, fresh(bed));
  const host = {
    kind: 'hosts' as const,
    entry: {
      id: 'osier-bean',
      name: 'Osier bean',
      family: 'fabaceae',
      kind: 'vegetable',
      names: [],
      eaten: true,
      leaf: 'heart',
      habit: 'climber',
    },
    why: '',
    endedOn: null,
  };
  await put(host);
  const bean = (place: string) => ({ ...planting(place), host: 'osier-bean' });
  expect(await garden.owner.status('put', garden.path('plantings', randomUUID()), fresh(bean(await garden.add('places', bed))))).toBe(200);
  expect(await garden.owner.status('put', `/api/v1/gardens/${other}/plantings/${randomUUID()}`, fresh(bean(place)))).toBe(400);
});

test('a product, a look and the rules of a region of one’s own are kept; a rate that can’t be is refused at its field', async () => {
  const library = compiledLibrary();
  const copy = (kind: 'interventions' | 'checks' | 'regions', id: string, change: object) => ({
    kind,
    entry: { ...library[kind].find((one) => one.id === id)!, ...change },
    why: '',
    endedOn: null,
  });
  const soap = (rate: object) =>
    copy('interventions', 'insecticidal-soap', { id: 'shed-soap', name: 'Shed soap', like: 'insecticidal-soap', rate });
  const { rate } = library.interventions.find(({ id }) => id === 'insecticidal-soap')!;
  expect(await refused(soap({ ...rate, labelMax: { amount: 1, unit: 'ml' } }))).toContain('labelMax');
  expect(await refused(soap(rate!))).toBe('taken');
  expect(await refused(copy('checks', 'turn-leaves', { id: 'sniff', name: 'Sniff at it' }))).toBe('taken');
  expect(await refused(copy('regions', 'neutral', { id: 'ness', name: 'The Ness' }))).toBe('taken');
});

test('the rules that hold in the garden stay until others do', async () => {
  const region = { ...compiledLibrary().regions[0]!, id: 'holm', name: 'The Holm' };
  const [id, value] = [randomUUID(), { kind: 'regions', entry: region, why: '', endedOn: null }];
  const path = garden.path('ownEntries', id);
  const choose = (name: string) => garden.owner.status('put', `/api/v1/gardens/${garden.garden}`, { ...settings, region: name });
  expect(await choose('holm')).toBe(400);
  const made = fresh(value);
  await garden.owner.send('put', path, made);
  expect(await choose('holm')).toBe(200);
  const out = { change: randomUUID(), version: 1, value: { ...value, endedOn: '2026-07-18' } };
  expect(await garden.owner.status('put', path, out)).toBe(409);
  expect(await garden.owner.status('post', `/api/v1/gardens/${garden.garden}/undo`, { change: randomUUID(), undoes: made.change })).toBe(
    409,
  );
  expect(await choose('neutral')).toBe(200);
  expect(await garden.owner.status('put', path, out)).toBe(200);
});
