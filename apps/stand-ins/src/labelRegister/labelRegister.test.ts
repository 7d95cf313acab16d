import { createServer } from 'node:http';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createStandIns } from '../standIns';
import { registered } from './catalog';
import { entryOn } from './routes';

let server: Server;
let address: string;
beforeAll(async () => {
  server = createServer(createStandIns().callback()).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/register/products`;
});
afterAll(() => void server.close());

/** Every fifth is turned away: asked again, as the server does. */
async function found(query: string): Promise<string[]> {
  const answer = await fetch(`${address}?${query}`);
  if (answer.status === 503) return found(query);
  if (!answer.ok) return [String(answer.status)];
  return ((await answer.json()) as { products: { product: string }[] }).products.map(({ product }) => product);
}

test('by number however it is typed, by barcode, by part of the name', async () => {
  for (const q of ['TM-1042', 'tm1042', '2900000010420', 'sedgewash'])
    expect(await found(`q=${q}&as_of=2026-07-18`)).toEqual(['Sedgewash Soap']);
  expect(await found('q=copperline&as_of=2026-07-18')).toEqual(['Copperline 50', 'Copperline Haulm']);
  expect(await found('q=moonlight&as_of=2026-07-18')).toEqual([]);
  expect(await found('q=e&as_of=2026-07-18')).toEqual([]);
});

test('as it stood on the day: before it was registered it is not there', async () => {
  expect(await found('q=TM-2210&as_of=2024-07-18')).toEqual([]);
  expect(await found('q=TM-2210&as_of=yesterday')).toEqual(['400']);
  const sulphur = registered.find(({ number }) => number === 'TM-0877')!;
  expect(['2026-06-14', '2026-06-15'].map((on) => entryOn(sulphur, on)!.card.crops[0]!.waiting_days)).toEqual([1, 5]);
});

test('numbers and barcodes are each product’s own, with a right check digit', () => {
  expect(new Set(registered.map(({ number }) => number)).size).toBe(registered.length);
  for (const { barcode } of registered) {
    const digits = [...barcode].map(Number);
    const sum = digits.slice(0, -1).reduce((all, digit, i) => all + digit * (i % 2 ? 3 : 1), 0);
    expect(`${barcode}: ${(10 - (sum % 10)) % 10}`).toBe(`${barcode}: ${digits.at(-1)}`);
  }
});
