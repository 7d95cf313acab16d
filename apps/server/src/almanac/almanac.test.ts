import type { AlmanacAnswer } from '@field-nurse/contract';
import { hourMs } from '@field-nurse/core/timing';
import { randomUUID } from 'node:crypto';
import { application, assessment, bed, planting, sickness } from '../testRecords';
import { startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

let server: TestServer;
let garden: TestGarden;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
}, 60_000);
afterAll(() => server.stop());

const almanac = () => garden.owner.send<AlmanacAnswer>('get', `/api/v1/gardens/${garden.garden}/almanac`);
const hours = (from: string, count: number, temperatureC: number) =>
  Array.from({ length: count }, (_, i) => ({ at: new Date(Date.parse(from) + i * hourMs).toISOString(), temperatureC, rainMm: 0 }));
const addFile = (id: string, list: ReturnType<typeof hours>) =>
  garden.owner.send('post', `/api/v1/gardens/${garden.garden}/weather/files`, { id, name: 'Book', hours: list });
const kept = async () =>
  Number(
    (await server.pool.query<{ count: string }>('select count(*) from weather_day_sums where garden_id = $1', [garden.garden])).rows[0]!
      .count,
  );

test('without weather and cases it is empty', async () => expect(await almanac()).toEqual({ days: [], sights: [] }));

test('each case is summed up: its worst look, its burden, and what was done for how many plants', async () => {
  const plant = await garden.add('plantings', planting(await garden.add('places', bed)));
  const sick = await garden.add('cases', sickness(plant));
  for (const [assessedOn, severity] of [
    ['2026-07-12', 10],
    ['2026-07-16', 30],
  ] as const)
    await garden.add('assessments', { ...assessment(sick, plant), partId: null, plant: null, assessedOn, severity });
  await garden.add('applications', application(plant, sick));
  const { sights } = await almanac();

  expect(sights).toMatchObject([
    {
      case: sick,
      planting: plant,
      conditions: ['late-blight'],
      openedOn: '2026-07-10',
      closedOn: null,
      peak: 30,
      meanSeverity: 20,
      lastSeverity: 30,
    },
  ]);
  expect(sights[0]!.done).toHaveLength(1);
});

describe('weather by days', () => {
  const file = randomUUID();
  test('is worked out from the first hour on, and what is settled is kept', async () => {
    await addFile(file, hours('2026-06-01T00:00:00Z', 48, 14));
    const { days } = await almanac();
    expect(days[0]!.day <= '2026-06-01').toBe(true);
    expect(days.at(-1)!.day).toBe('2026-07-18');
    expect(days.find(({ day }) => day === '2026-06-02')).toMatchObject({ minC: 14, maxC: 14 });
    expect(await kept()).toBe(days.length - 5);
    expect(await almanac()).toMatchObject({ days });
  });

  test('hours that come later, or are taken out, are in it at once', async () => {
    await addFile(randomUUID(), hours('2026-06-05T00:00:00Z', 48, 25));
    const of = async (wanted: string) => (await almanac()).days.find(({ day }) => day === wanted);
    expect(await of('2026-06-06')).toMatchObject({ maxC: 25 });
    await garden.owner.send('post', `/api/v1/gardens/${garden.garden}/weather/files/kept`, { id: file, kept: false });
    expect(await of('2026-06-01')).toBeUndefined();
  });
});
