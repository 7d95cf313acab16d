import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { openDb } from '../db/client';
import { purge } from '../purge';
import { settings, smallPhoto } from '../testRecords';
import { startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';
import { removeStrayFiles } from './tidyPhotos';

let server: TestServer;
let garden: TestGarden;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
}, 60_000);
afterAll(() => server.stop());

const testNow = new Date('2026-07-18T09:30:00Z');
const deps = (now = testNow) => ({ db: openDb(server.pool), photoFiles: server.photoFiles, now: () => now });
const inTwoDays = () => new Date(Date.now() + 2 * 24 * 3_600_000);
const path = (of: string, id: string) => `/api/v1/gardens/${of}/photos/${id}`;
async function photograph(of = garden.garden): Promise<string> {
  const id = randomUUID();
  await garden.owner.sendFile(path(of, id), await smallPhoto(), 'image/jpeg');
  return id;
}
const picture = async (id: string, size = 'whole') => {
  const answer = await fetch(`${server.address}${path(garden.garden, id)}?size=${size}`, { headers: { Cookie: garden.owner.cookies() } });
  return Buffer.from(await answer.arrayBuffer());
};

test('a picture is a file, its row has none; the small one is made when it is asked for', async () => {
  const id = randomUUID();
  const big = await sharp({ create: { width: 1600, height: 800, channels: 3, background: 'green' } })
    .jpeg()
    .toBuffer();
  await garden.owner.sendFile(path(garden.garden, id), big, 'image/jpeg');
  expect((await server.pool.query('select image from photos where id = $1', [id])).rows).toEqual([{ image: null }]);
  expect(await sharp(await picture(id)).metadata()).toMatchObject({ width: 1600, height: 800 });
  expect(await server.photoFiles.list(garden.garden)).toHaveLength(1);
  for (const _ of [1, 2])
    expect(await sharp(await picture(id, 'small')).metadata()).toMatchObject({ width: 320, height: 160, format: 'jpeg' });
  expect((await server.photoFiles.list(garden.garden)).map(({ name }) => name).sort()).toEqual(
    [`${garden.garden}/${id}-small.jpg`, `${garden.garden}/${id}.jpg`].sort(),
  );
});

test('what an earlier version kept in a row is served from there, and goes to the store byte for byte', async () => {
  const id = await photograph();
  const image = await picture(id);
  await server.pool.query('update photos set image = $2 where id = $1', [id, image]);
  await server.photoFiles.remove(`${garden.garden}/${id}.jpg`);
  expect(await picture(id)).toEqual(image);
  await purge(deps());
  expect((await server.pool.query('select image from photos where id = $1', [id])).rows).toEqual([{ image: null }]);
  expect(await picture(id)).toEqual(image);
});

test('pictures of a deleted garden go with the next tidying; of one that came back they stay', async () => {
  const [gone, back] = [randomUUID(), randomUUID()];
  for (const id of [gone, back]) {
    await garden.owner.send('post', '/api/v1/gardens', { id, settings: { ...settings, name: id } });
    await photograph(id);
    await garden.owner.send('delete', `/api/v1/gardens/${id}`, { name: id });
  }
  await garden.owner.send('post', '/api/v1/gardens', { id: back, settings: { ...settings, name: 'again' } });
  await purge(deps());
  expect(await server.photoFiles.list(gone)).toEqual([]);
  expect(await server.photoFiles.list(back)).toHaveLength(1);
  expect((await server.pool.query('select * from deleted_gardens')).rows).toEqual([]);
});

test('files without a photo go after a day; those of gardens that are not here stay', async () => {
  const id = await photograph();
  const [stray, foreign] = [`${garden.garden}/${randomUUID()}.jpg`, `${randomUUID()}/${randomUUID()}.jpg`];
  for (const name of [stray, foreign]) await server.photoFiles.write(name, Buffer.from('x'));
  await removeStrayFiles(deps(new Date()));
  expect(await server.photoFiles.read(stray)).toBeDefined();
  await removeStrayFiles(deps(inTwoDays()));
  expect(await server.photoFiles.read(stray)).toBeUndefined();
  expect(await server.photoFiles.read(foreign)).toBeDefined();
  expect((await picture(id)).length).toBeGreaterThan(100);
});
