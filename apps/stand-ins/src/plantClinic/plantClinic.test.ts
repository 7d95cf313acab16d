import { randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { addDays } from '@field-nurse/core/timing';
import { createStandIns } from '../standIns';
import { methods, packing } from './catalog';
import { courseOf } from './course';
import type { Registered } from './course';

const sent = '2026-07-06';
const later = '2026-09-01';
const careful = packing['leaves']!.map(({ id }) => id);
const registered = (index: number, chance: number): Registered => ({
  sample: `${(index * 2654435761).toString(16).padStart(8, '0').slice(-8)}-0000-4000-8000-000000000000`,
  crop: 'Tomato',
  material: 'leaves',
  requests: [{ code: 'early-blight', kind: 'fungus', chance }],
});
const many = (chance: number, packed: readonly string[] = careful) =>
  Array.from({ length: 1500 }, (_, i) => courseOf(registered(i + 1, chance), sent, packed, later));
const share = (of: readonly { readonly results: readonly { readonly result: string }[] }[], result: string) =>
  of.filter(({ results }) => results[0]?.result === result).length / of.filter(({ results }) => results.length > 0).length;

test('the tests err as often as they say', () => {
  const { sensitivity, specificity } = methods['fungus']!;
  const clear = (one: ReturnType<typeof courseOf>) => one.results[0]?.result !== 'inconclusive';
  expect(share(many(1).filter(clear), 'positive')).toBeCloseTo(sensitivity, 1);
  expect(share(many(0).filter(clear), 'negative')).toBeCloseTo(specificity, 1);
});

test('some are lost, some tell nothing, and a careless parcel far more often', () => {
  const lost = many(0.5).filter(({ status }) => status === 'lost').length / 1500;
  expect(lost).toBeGreaterThan(0.03);
  expect(lost).toBeLessThan(0.1);
  expect(share(many(0.5), 'inconclusive')).toBeCloseTo(0.05, 1);
  expect(share(many(0.5, []), 'inconclusive')).toBeGreaterThan(0.45);
});

test('a sample goes its way one step after the other, and never back', () => {
  const order = ['registered', 'under-way', 'in-laboratory', 'reported', 'lost'];
  for (let i = 1; i <= 60; i++) {
    const steps = Array.from({ length: 25 }, (_, day) => courseOf(registered(i, 0.4), sent, careful, addDays(sent, day - 1)));
    const ranks = steps.map(({ status }) => order.indexOf(status));
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b));
    expect(steps[0]).toEqual({ status: 'registered', since: null, results: [] });
    expect(['reported', 'lost']).toContain(steps.at(-1)!.status);
    expect(steps.at(-1)).toEqual(courseOf(registered(i, 0.4), sent, careful, later));
  }
  expect(courseOf(registered(1, 0.4), null, careful, later).status).toBe('registered');
});

describe('over HTTP', () => {
  let server: Server;
  let address: string;
  beforeAll(async () => {
    server = createServer(createStandIns().callback()).listen(0, '127.0.0.1');
    await new Promise((resolve) => server.once('listening', resolve));
    address = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  });
  afterAll(() => void server.close());
  const post = async (path: string, body: unknown) => {
    const answer = await fetch(address + path, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
    return { status: answer.status, body: (await answer.json().catch(() => ({}))) as Record<string, unknown> };
  };

  test('registered, asked after, refused when it is nonsense, and now and then turned away', async () => {
    const sample = { ...registered(1, 0.5), sample: randomUUID() };
    const first = await post('/clinics/reedbank/samples', sample);
    expect(first).toMatchObject({ status: 201, body: { reference: expect.stringMatching(/^RB-[0-9A-F]{6}$/) as string } });
    const again = await post('/clinics/reedbank/samples', sample);
    expect(again.body).toEqual(first.body);
    const enquiry = { receipt: first.body['receipt'], sent_on: sent, packed: careful, as_of: later };
    const course = await post('/clinics/reedbank/enquiries', enquiry);
    expect(course).toEqual({ status: 200, body: courseOf(sample, sent, careful, later) });
    expect((await post('/clinics/reedbank/enquiries', { ...enquiry, receipt: 'bm9uc2Vuc2U' })).status).toBe(404);
    expect((await post('/clinics/reedbank/samples', { ...sample, material: 'wishes' })).status).toBe(503);
    expect((await post('/clinics/reedbank/samples', { ...sample, material: 'wishes' })).status).toBe(400);
    expect((await post('/clinics/elsewhere/samples', sample)).status).toBe(404);
  });
});
