import type { RegisterEntry } from '@field-nurse/contract';
import { createServer } from 'node:http';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { refused, startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';
import { inGardenWords } from './inGardenWords';
import { noRegister, registerOver } from './registers';
import type { Registered } from './registers';

// The register is somebody else's: it can be down, and it can say nonsense.

const [line] = registered().card.crops;

let outside: Server;
let server: TestServer;
let garden: TestGarden;
/** what it answers; nothing: it turns everybody away */
let answer: object | undefined;
const asked: string[] = [];
beforeAll(async () => {
  outside = createServer((request, response) => {
    asked.push(request.url!);
    if (!answer) response.statusCode = 503;
    response.end(JSON.stringify(answer ?? {}));
  }).listen(0, '127.0.0.1');
  await new Promise((resolve) => outside.once('listening', resolve));
  const address = `http://127.0.0.1:${(outside.address() as AddressInfo).port}`;
  server = await startTestServer({ labelRegister: registerOver(address, { waitMs: 1, timeoutMs: 500 }) });
  garden = await startGarden(server);
}, 60_000);
afterAll(async () => {
  await server.stop();
  outside.close();
});

const ask = (q: string) =>
  garden.owner.send<{ products: RegisterEntry[] }>('get', `/api/v1/gardens/${garden.garden}/register?q=${encodeURIComponent(q)}`);

test('a product of the register, in the words of the garden, as it stands on its day', async () => {
  answer = { products: [registered()] };
  expect(await ask('TM-0877')).toMatchObject({
    simulated: true,
    products: [
      {
        name: 'X',
        intervention: 'copper',
        card: { source: 'register', readOn: '2026-07-18', lines: [{ host: 'potato', seasonMax: null }] },
      },
    ],
  });
  expect(asked.at(-1)).toBe('/register/products?q=TM-0877&as_of=2026-07-18');
  expect(await refused(ask('TM'))).toMatch(/400/);
});

test.each<[string, object | undefined]>([
  ['nothing', undefined],
  ['no list', { products: 'many' }],
  ['a product without a label', { products: [{ number: 'X1', product: 'X' }] }],
])('a register that answers with %s does not answer', async (_, nonsense) => {
  answer = nonsense;
  expect(await refused(ask('TM-0877'))).toMatch(/503.*What you copied from the pack stands/);
});

test('none is set up: the label is copied', async () => {
  await expect(noRegister.find('x', '2026-07-18')).rejects.toThrow(/Copy the label/);
});

describe('in the garden’s words', () => {
  const read = (of: object = {}, card: object = {}) => inGardenWords(server.library, registered(of, card), '2026-07-18');
  test('a crop that nobody knows is named and left out, and widens no line', () => {
    const entry = read({}, { crops: [line, { ...line, crop: 'moonflower', target: 'late-blight' }] })!;
    expect(entry.unread).toEqual(['moonflower, late-blight']);
    expect(entry.card.lines.map(({ host }) => host)).toEqual(['potato']);
  });

  test('what it may not meet is named too, where nobody knows it', () => {
    const entry = read({}, { not_within: ['insecticidal-soap', 'moonlight'].map((active) => ({ active, days: 5, why: 'it burns' })) })!;
    expect(entry.card.apartFrom.map(({ intervention }) => intervention)).toEqual(['insecticidal-soap']);
    expect(entry.unread).toEqual(['not within 5 days of moonlight']);
  });

  test('an ingredient that nobody knows is left open', () => {
    expect(read({ active: 'moonlight' })!.intervention).toBeNull();
  });

  test.each<[string, object, object]>([
    ['no crop that is known', {}, { crops: [{ ...line, crop: 'moonflower' }] }],
    ['a rate upside down', {}, { crops: [{ ...line, dose: { ...line!.dose, low: 9 } }] }],
    ['a unit that nobody knows', {}, { crops: [{ ...line, dose: { ...line!.dose, unit: 'thimbles' } }] }],
    ['half a use in a season', {}, { crops: [{ ...line, max_per_season: 0.5 }] }],
    ['years to wait', {}, { re_entry_hours: 90_000 }],
    ['a barcode of letters', { barcode: 'ABC' }, {}],
  ])('%s: no label is made of it', (_, of, card) => {
    expect(read(of, card)).toBeUndefined();
  });
});

function registered(of: object = {}, card: object = {}): Registered {
  return {
    number: 'X1',
    product: 'X',
    barcode: '',
    active: 'copper',
    strength: null,
    form: 'powder',
    measured_in: 'g',
    amended_on: '2026-01-01',
    ...of,
    card: {
      valid_until: '2029-12-31',
      sold_to: 'amateur',
      re_entry_hours: 1,
      rain_fast_hours: null,
      temperature_c: null,
      max_wind_kmh: null,
      buffer_m: null,
      bees: 'none',
      days_before_flower: 0,
      not_within: [],
      wear: [],
      crops: [
        {
          crop: 'potato',
          target: null,
          dose: { low: 1, high: 2, unit: 'g', per: { amount: 1, unit: 'l' } },
          water_l_per_m2: null,
          waiting_days: 1,
          interval_days: null,
          max_per_season: null,
          grown: ['outdoor'],
          stages: '',
        },
      ],
      ...card,
    },
  };
}
