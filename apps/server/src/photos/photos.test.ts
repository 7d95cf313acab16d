import { randomUUID } from 'node:crypto';
import sharp from 'sharp';
import { smallPhoto } from '../testRecords';
import { refused, startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

let server: TestServer;
let garden: TestGarden;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
}, 60_000);
afterAll(() => server.stop());

const path = (id: string) => `/api/v1/gardens/${garden.garden}/photos/${id}`;
const send = (file: Uint8Array, id: string = randomUUID(), type = 'image/jpeg') =>
  garden.owner.sendFile<{ id: string; width: number; height: number }>(path(id), file, type);

test('a photo is kept without what its file said of place and owner', async () => {
  const file = await smallPhoto();
  expect((await sharp(file).metadata()).exif).toBeDefined();
  const id = randomUUID();
  expect(await send(file, id)).toEqual({ id, width: 60, height: 40 });
  const kept = await server.photoFiles.read(`${garden.garden}/${id}.jpg`);
  const { exif, format } = await sharp(kept).metadata();
  expect([exif, format]).toEqual([undefined, 'jpeg']);
});

test('sent twice it is kept once, and as it was first', async () => {
  const id = randomUUID();
  const first = await send(await smallPhoto(), id);
  const other = await sharp({ create: { width: 10, height: 10, channels: 3, background: 'red' } })
    .png()
    .toBuffer();
  expect(await send(other, id)).toEqual(first);
  expect((await server.pool.query('select 1 from photos where id = $1', [id])).rowCount).toBe(1);
});

test('forty megapixels are made smaller, lying ones are turned upright', async () => {
  const big = await sharp({ create: { width: 7300, height: 5500, channels: 3, background: 'green' } })
    .jpeg()
    .toBuffer();
  expect(await send(big)).toMatchObject({ width: 1600, height: 1205 });
  const lying = await sharp({ create: { width: 60, height: 40, channels: 3, background: 'green' } })
    .withMetadata({ orientation: 6 })
    .jpeg()
    .toBuffer();
  expect(await send(lying)).toMatchObject({ width: 40, height: 60 });
}, 30_000);

test('what a file is, is told by its content', async () => {
  expect(await refused(send(Buffer.from('dear diary')))).toMatch(/415.*not-a-picture/);
  expect(await refused(send(Buffer.from('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>')))).toMatch(/415.*not-a-picture/);
  expect(await refused(send((await smallPhoto()).subarray(0, 300)))).toMatch(/415.*(broken-picture|not-a-picture)/);
  const png = await sharp({ create: { width: 9, height: 9, channels: 3, background: 'green' } })
    .png()
    .toBuffer();
  expect(await send(png, randomUUID(), 'text/plain')).toMatchObject({ width: 9 });
});

test('more pixels or bytes than can be opened are refused with the limit', async () => {
  const huge = await sharp({ create: { width: 9000, height: 7000, channels: 3, background: 'green' } })
    .png()
    .toBuffer();
  expect(await refused(send(huge))).toMatch(/413.*up to 60/);
  expect(await refused(send(Buffer.alloc(12_000_001)))).toMatch(/413.*12 megabytes/);
}, 30_000);

test('a photo that is not there', async () => {
  expect(await garden.owner.status('get', path(randomUUID()))).toBe(404);
});
