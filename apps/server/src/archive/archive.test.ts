import type { GardenSummary, Session } from '@field-nurse/contract';
import { strToU8, unzipSync, zipSync } from 'fflate';
import type { Zippable } from 'fflate';
import { randomUUID } from 'node:crypto';
import { readdirSync } from 'node:fs';
import { request } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ApiClient } from '../demo/apiClient';
import { loadDemo } from '../demo/loadDemo';
import { bed, fresh, smallPhoto } from '../testRecords';
import { emptyDatabase, somebody, startTestServer } from '../testServer';
import type { TestServer } from '../testServer';

// A garden goes out as one file, and comes back on another server as it was.

let home: TestServer;
let elsewhere: TestServer;
let wren: ApiClient;
let garden: string;
let zipped: Uint8Array;
let files: Record<string, Uint8Array>;

beforeAll(async () => {
  const url = await emptyDatabase();
  const folder = import.meta.dirname;
  await loadDemo({
    databaseUrl: url,
    migrationsFolder: join(folder, '../db/migrations'),
    libraryFile: join(folder, '../../../../packages/library/generated/index.json'),
    stationsUrl: undefined,
    clinicsUrl: undefined,
  });
  [home, elsewhere] = await Promise.all([startTestServer({ url }), startTestServer()]);
  wren = new ApiClient(home.address);
  await wren.send('get', '/api/v1/session');
  const session = await wren.send<Session>('post', '/api/v1/session', { email: 'wren@osier-reach.example', password: 'willow-and-water' });
  garden = session.gardens[0]!.id;
  await wren.sendFile(`/api/v1/gardens/${garden}/photos/${randomUUID()}`, await smallPhoto(), 'image/jpeg');
  await wren.send('post', `/api/v1/gardens/${garden}/weather/files`, {
    id: randomUUID(),
    name: 'Old book',
    hours: [
      { at: '2024-05-01T05:00:00.000Z', temperatureC: 8.25, rainMm: 0 },
      { at: '2024-05-01T06:00:00.000Z', humidityPercent: 91 },
    ],
  });
  const answer = await fetch(`${home.address}/api/v1/gardens/${garden}/download`, { headers: { Cookie: wren.cookies() } });
  zipped = new Uint8Array(await answer.arrayBuffer());
  files = unzipSync(zipped);
}, 120_000);
afterAll(() => Promise.all([home.stop(), elsewhere.stop()]));

interface Restored {
  readonly garden: GardenSummary;
  readonly records: number;
  readonly photos: number;
}
const restore = (who: ApiClient, zip: Uint8Array, as?: string) =>
  who.sendFile<Restored>(`/api/v1/restore${as ? `?as=${as}` : ''}`, zip, 'application/zip', 'post');
const refusal = (who: ApiClient, zip: Uint8Array) => restore(who, zip).then(() => 'taken', String);
const changed = (name: string, change: (text: string) => string): Uint8Array =>
  zipSync({ ...files, [name]: strToU8(change(new TextDecoder().decode(files[name]))) });

/** Every row that a garden owns, without the people of its server. */
async function rowsOf({ pool }: TestServer, of: string): Promise<Record<string, unknown[]>> {
  const tables = await pool.query<{ name: string }>(
    `select table_name as name from information_schema.columns where column_name = 'garden_id' and table_schema = 'public' order by 1`,
  );
  const people = new Set(['members', 'invitations', 'tokens', 'security_events', 'weather_sources']);
  const all: Record<string, unknown[]> = {};
  for (const { name } of tables.rows.filter((one) => !people.has(one.name))) {
    const { rows } = await pool.query<{ row: unknown }>(
      `select to_jsonb(t) - 'person_id' - 'garden_id' as row from "${name}" t where garden_id = $1 order by 1`,
      [of],
    );
    all[name] = rows.map(({ row }) => row);
  }
  return all;
}

test('on another server it is the same row for row, and picture for picture; a second time adds nothing', async () => {
  const tam = await somebody(elsewhere, 'tam');
  const restored = await restore(tam, zipped);
  expect(restored).toMatchObject({ garden: { id: garden, name: 'Osier Reach', role: 'owner' }, photos: 1 });
  const [here, there] = [await rowsOf(home, garden), await rowsOf(elsewhere, garden)];
  expect(there).toEqual(here);
  for (const name of ['plantings', 'cases', 'applications', 'changes', 'planting_events', 'weather_hours', 'photos'])
    expect([name, here[name]!.length > 0]).toEqual([name, true]);
  expect(await restore(tam, zipped)).toMatchObject({ records: 0, photos: 0 });
  expect(await rowsOf(elsewhere, garden)).toEqual(here);
  // It goes on from there: changes are numbered on, devices ask for what is new.
  await tam.send('put', `/api/v1/gardens/${garden}/places/${randomUUID()}`, fresh(bed));
  expect((await tam.send<{ places: unknown[] }>('get', `/api/v1/gardens/${garden}`)).places.length).toBe(here['places']!.length + 1);
});

test('what was changed here since stays; what is newer in the archive comes', async () => {
  const eve = await somebody(elsewhere, 'eve');
  const as = randomUUID();
  await restore(eve, zipped, as);
  const { places } = await eve.send<{ places: { id: string; version: number; name: string }[] }>('get', `/api/v1/gardens/${as}`);
  const [one, other] = places as [(typeof places)[0], (typeof places)[0]];
  const { id: _, version: __, ...value } = one;
  await eve.send('put', `/api/v1/gardens/${as}/places/${one.id}`, {
    change: randomUUID(),
    version: one.version,
    value: { ...value, name: 'Changed here' },
  });
  const newer = changed('records/places.json', (text) =>
    text
      .split('\n')
      .map((line) =>
        line.includes(other.id)
          ? line.replace('"version":1', '"version":4').replace(`"name":"${other.name}"`, '"name":"Newer there"')
          : line,
      )
      .join('\n')
      .replaceAll(`"version" : 1`, `"version":1`),
  );
  await restore(eve, newer, as);
  const after = await eve.send<typeof places extends infer P ? { places: P } : never>('get', `/api/v1/gardens/${as}`);
  const nameOf = (id: string) => after.places.find((place) => place.id === id)?.name;
  expect(nameOf(one.id)).toBe('Changed here');
  expect(nameOf(other.id)).toBe('Newer there');
});

test('somebody else’s garden is not taken over: it can be had as a new one', async () => {
  const max = await somebody(elsewhere, 'max');
  await restore(await somebody(elsewhere, 'first'), zipped, garden).catch(() => undefined);
  expect(await refusal(max, zipped)).toMatch(/409.*garden-exists.*as a new garden/);
  const as = randomUUID();
  expect((await restore(max, zipped, as)).garden).toMatchObject({ id: as, role: 'owner' });
});

describe('a file that is none, or broken, changes nothing and says where', () => {
  let who: ApiClient;
  const before = async () => (await elsewhere.pool.query<{ count: string }>('select count(*) from gardens')).rows[0]!.count;
  beforeAll(async () => {
    who = await somebody(elsewhere, 'sam');
    // From here on a garden of this id would be seen.
    files = { ...files, 'garden.json': strToU8(new TextDecoder().decode(files['garden.json']).replaceAll(garden, randomUUID())) };
  });

  test.each<[string, () => Uint8Array, RegExp]>([
    ['no zip', () => strToU8('hello'), /400.*not a zip/],
    ['cut short', () => zipped.slice(0, zipped.length / 2), /400.*not a zip, or it ends too early/],
    ['another zip', () => zipSync({ 'a.txt': strToU8('a') }), /400.*garden\.json is missing/],
    ['of a later version', () => changed('garden.json', (text) => text.replace('"version": 2', '"version": 99')), /garden\.json: version/],
    [
      'a line that is no JSON',
      () => changed('records/places.json', (text) => text.replace('{"id"', '{"id')),
      /records\/places\.json, line 2: this is not one JSON value/,
    ],
    [
      'a field that is wrong',
      () => changed('records/plantings.json', (text) => text.replace(/"plants":\d+/, '"plants":-3')),
      /records\/plantings\.json, line 2: plants/,
    ],
    ['a record that refers to nothing', () => changed('records/places.json', () => '[]'), /4\d\d/],
    [
      'hours that are none',
      () =>
        changed(
          Object.keys(files).find((name) => name.startsWith('weather/') && name.endsWith('.csv'))!,
          (text) => text.replace('8.25', 'warm'),
        ),
      /line 2: temperatureC/,
    ],
    [
      'a picture that is none',
      () => zipSync({ ...files, [Object.keys(files).find((name) => name.endsWith('.jpg'))!]: strToU8('GIF89a') }),
      /is not a photo/,
    ],
    ['a bomb', () => bomb(), /not a zip|more than a garden can be|longer than|broken|missing/],
    ['zeros in the words', () => changed('records/places.json', (text) => text.replace(/"name":"[^"]*"/, '"name":"a\\u0000b"')), /line 2/],
  ])('%s', async (_, zip, words) => {
    const count = await before();
    expect(await refusal(who, zip())).toMatch(words);
    expect(await before()).toBe(count);
  });

  test('an upload that breaks off leaves nothing behind', async () => {
    const count = await before();
    const call = request(`${elsewhere.address}/api/v1/restore`, {
      method: 'POST',
      headers: {
        'Content-Type': 'application/zip',
        'Content-Length': zipped.length,
        Cookie: who.cookies(),
        'X-XSRF-TOKEN': who.siteToken(),
      },
    });
    call.on('error', () => undefined);
    await new Promise((resolve) => call.write(zipped.slice(0, 4000), resolve));
    await new Promise((resolve) => setTimeout(resolve, 200));
    call.destroy();
    await new Promise((resolve) => setTimeout(resolve, 300));
    expect(await before()).toBe(count);
    expect(readdirSync(tmpdir()).filter((name) => name.startsWith('field-nurse-archive-'))).toEqual([]);
  });
});

/** Sixty megabytes of nothing in a small file, where a few lines belong. */
function bomb(): Uint8Array {
  const nothing = new Uint8Array(60_000_000);
  const entries: Zippable = { ...files, 'garden.json': [nothing, { level: 9 }] };
  return zipSync(entries);
}

test('what it holds is described by JSON Schema', () => {
  const schema = JSON.parse(new TextDecoder().decode(files['schema.json'])) as Record<string, { items?: { properties?: object } }>;
  expect(Object.keys(schema['records/cases.json']!.items!.properties!)).toEqual(expect.arrayContaining(['openedOn', 'findings', 'parts']));
});
