import { createServer } from 'node:http';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { z } from 'zod';
import { askOutside } from './askOutside';

type Reply = { readonly status: number; readonly body: string; readonly afterMs?: number };

let server: Server;
let url: string;
let replies: Reply[] = [];
let asked: { method: string; body: string }[] = [];

beforeAll(async () => {
  server = createServer((request, response) => {
    let body = '';
    request.on('data', (part: Buffer) => (body += part.toString()));
    request.on('end', () => {
      asked.push({ method: request.method!, body });
      // The last reply stands for all that follow.
      const reply = replies.length > 1 ? replies.shift()! : replies[0]!;
      setTimeout(() => response.writeHead(reply.status, { 'Content-Type': 'application/json' }).end(reply.body), reply.afterMs ?? 0);
    });
  });
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => {
  server.closeAllConnections();
  server.close();
});
beforeEach(() => (asked = []));

const good = { status: 200, body: '{"wind":4}' };
const schema = z.object({ wind: z.number() });
const ask = (given: Reply[], body?: unknown) => {
  replies = given;
  return askOutside(url, schema, { waitMs: 1, timeoutMs: 200 }, body);
};

test('an answer is read by its schema', async () => {
  expect(await ask([good])).toEqual({ wind: 4 });
  expect(asked).toEqual([{ method: 'GET', body: '' }]);
});

test('a body is posted as JSON', async () => {
  await ask([good], { crop: 'leek' });
  expect(asked).toEqual([{ method: 'POST', body: '{"crop":"leek"}' }]);
});

test.each([429, 500, 503])('%d is asked for again', async (status) => {
  expect(await ask([{ status, body: '' }, good])).toEqual({ wind: 4 });
  expect(asked).toHaveLength(2);
});

test('three times and no more', async () => {
  await expect(ask([{ status: 503, body: '' }])).rejects.toThrow('answered with 503');
  expect(asked).toHaveLength(3);
});

test.each([400, 404])('%d is a refusal, which asking again would not change', async (status) => {
  await expect(ask([{ status, body: '{}' }])).rejects.toThrow(`refused with ${status}`);
  expect(asked).toHaveLength(1);
});

test.each(['{"wind":"strong"}', 'no JSON', ''])('an answer in another form is refused at once: %s', async (body) => {
  await expect(ask([{ status: 200, body }])).rejects.toThrow('can not be read');
  expect(asked).toHaveLength(1);
});

test('who is too slow is asked again', async () => {
  expect(await ask([{ ...good, afterMs: 400 }, good])).toEqual({ wind: 4 });
});

test('who is not there gives no answer', async () => {
  await expect(askOutside('http://127.0.0.1:9', schema, { waitMs: 1, timeoutMs: 200 })).rejects.toThrow('no answer');
});
