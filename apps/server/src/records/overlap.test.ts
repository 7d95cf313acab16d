import fc from 'fast-check';
import type { GardenContents, Place } from '@field-nurse/contract';
import { randomUUID } from 'node:crypto';
import { bed, fresh } from '../testRecords';
import { startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

// Writes that overlap, on a real PostgreSQL: every answer must be right, not some of them.

let server: TestServer;
let garden: TestGarden;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
}, 60_000);
afterAll(() => server.stop());

type Body = ReturnType<typeof fresh>;
const put = async (id: string, body: Body, who = garden.owner) => {
  const { status, text } = await who.answer('put', garden.path('places', id), body);
  return { status, body: JSON.parse(text) as Place & { error?: { code: string; current: Place } } };
};
const at = (version: number, name: string): Body => ({ change: randomUUID(), version, value: { ...bed, name } });
const undo = async (undoes: string, change: string = randomUUID()) =>
  (await garden.owner.answer('post', `/api/v1/gardens/${garden.garden}/undo`, { change, undoes })).status;
const placeNow = async (id: string) =>
  (await garden.owner.send<GardenContents>('get', `/api/v1/gardens/${garden.garden}`)).places.find((one) => one.id === id);

test('one new change eight times at once: eight times the same answer, twenty times over', async () => {
  for (let round = 0; round < 20; round++) {
    const [id, body] = [randomUUID(), at(0, 'Bed')];
    const answers = await Promise.all(Array.from({ length: 8 }, () => put(id, body)));
    for (const answer of answers) expect(answer).toEqual({ status: 200, body: { ...bed, id, version: 1, name: 'Bed' } });
  }
});

test('one change of a record four times at once: four times the same answer', async () => {
  const id = await garden.add('places', bed);
  for (let version = 1; version <= 20; version++) {
    const body = at(version, `Bed ${version}`);
    const answers = await Promise.all(Array.from({ length: 4 }, () => put(id, body)));
    for (const { status, body: stored } of answers)
      expect([status, stored.version, stored.name]).toEqual([200, version + 1, `Bed ${version}`]);
  }
});

test('two different adds of one record: one is taken, the other gets that one to merge with', async () => {
  for (let round = 0; round < 20; round++) {
    const id = randomUUID();
    const answers = await Promise.all([put(id, at(0, 'Ours')), put(id, at(0, 'Theirs'), garden.member)]);
    const [taken, refused] = answers.toSorted((a, b) => a.status - b.status);
    expect([taken!.status, refused!.status]).toEqual([200, 409]);
    expect(refused!.body.error).toMatchObject({ code: 'changed-elsewhere', current: { name: taken!.body.name, version: 1 } });
    expect((await placeNow(id))?.name).toBe(taken!.body.name);
  }
});

test('an id in capitals is the same id', async () => {
  const [id, body] = [randomUUID(), at(0, 'Bed')];
  const first = await put(id.toUpperCase(), body);
  expect(first).toMatchObject({ status: 200, body: { id, version: 1 } });
  expect(await put(id, body)).toEqual(first);
});

test('a change id names one thing: a put under the id of an undo, and the other way round, is refused', async () => {
  const [id, body, taken] = [randomUUID(), at(0, 'Bed'), randomUUID()];
  await put(id, body);
  expect(await undo(body.change, taken)).toBe(200);
  expect((await put(id, { ...at(0, 'Bed'), change: taken })).body.error?.code).toBe('change-id-used');
  const other = at(0, 'Other');
  await put(randomUUID(), other);
  expect(await undo(body.change, other.change)).toBe(409);
});

test('versions never restart: a record that was taken out and added again is not undone by what came before', async () => {
  const [id, first, second] = [randomUUID(), at(0, 'First'), at(0, 'Second')];
  await put(id, first);
  await undo(first.change);
  expect((await put(id, second)).body.version).toBe(3);
  expect(await undo(first.change)).toBe(409);
  expect((await placeNow(id))?.name).toBe('Second');
});

/** What a device does: adds, changes from the version that it saw last, sends something again, or takes its last change back. */
const step = fc.record({
  device: fc.nat(2),
  record: fc.nat(2),
  kind: fc.constantFrom('write', 'write', 'write', 'again', 'undo'),
  copies: fc.integer({ min: 1, max: 3 }),
});

test('whatever devices do at once, nothing acknowledged is lost or doubled, and versions and numbers only grow', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.array(step, { minLength: 1, maxLength: 6 }), { minLength: 3, maxLength: 8 }), async (waves) => {
      const records = [randomUUID(), randomUUID(), randomUUID()];
      const seen = Array.from({ length: 3 }, () => new Map<string, number>());
      const sent = Array.from({ length: 3 }, () => [] as { id: string; body: Body; answer: string }[]);
      const acknowledged = new Map<string, string>();
      for (const wave of waves)
        await Promise.all(
          wave.map(async ({ device, record, kind, copies }) => {
            const id = records[record]!;
            const last = sent[device]!.at(-1);
            if (kind === 'undo') {
              if (last) expect([200, 409]).toContain(await undo(last.body.change));
              return;
            }
            const known = kind === 'again' && last;
            const body = known ? last.body : at(seen[device]!.get(id) ?? 0, `${device} ${randomUUID()}`);
            const to = known ? last.id : id;
            const answers = await Promise.all(Array.from({ length: copies }, () => put(to, body)));
            const taken = answers.filter(({ status }) => status === 200);
            for (const { status } of answers) expect([200, 409]).toContain(status);
            // Copies of one change are all taken, or all refused; but an add may meet the record before it is taken out, and then not.
            const mayMeetBoth = body.version === 0 && wave.some((other) => other.kind === 'undo');
            if (!mayMeetBoth) expect([0, answers.length]).toContain(taken.length);
            for (const one of answers) {
              const version = one.status === 200 ? one.body.version : (one.body.error?.current?.version ?? 0);
              seen[device]!.set(to, version);
            }
            for (const { body: stored } of taken) {
              const text = JSON.stringify(Object.entries(stored).toSorted());
              expect(acknowledged.get(body.change) ?? text).toBe(text);
              acknowledged.set(body.change, text);
              sent[device]!.push({ id: to, body, answer: text });
            }
          }),
        );
      await agrees(records, acknowledged);
    }),
    { numRuns: 12, endOnFailure: true },
  );
}, 120_000);

/** The log holds every acknowledged change once; its numbers have no gap; each record stands as its newest change left it. */
async function agrees(records: readonly string[], acknowledged: ReadonlyMap<string, string>): Promise<void> {
  const { rows } = await server.pool.query<{ id: string; record_id: string; version: number; sequence: string; after: Place | null }>(
    `select id, record_id, version, sequence, after from changes where garden_id = $1 order by sequence`,
    [garden.garden],
  );
  rows.forEach(({ sequence }, i) => expect(Number(sequence)).toBe(i + 1));
  const known = new Set(rows.map(({ id }) => id));
  for (const change of acknowledged.keys()) expect(known.has(change)).toBe(true);
  for (const record of records) {
    const own = rows.filter(({ record_id }) => record_id === record);
    own.forEach(({ version }, i) => expect(version).toBe(i + 1));
    const after = own.at(-1)?.after;
    expect(await placeNow(record)).toEqual(after ?? undefined);
  }
}
