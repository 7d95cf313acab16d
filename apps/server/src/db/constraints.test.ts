import { bed, planting, sickness } from '../testRecords';
import { startGarden, startTestServer } from '../testServer';
import type { TestGarden, TestServer } from '../testServer';

// The database holds its own line: what slips past the checks of the server does not get in.
let server: TestServer;
let garden: TestGarden;
let plant: string;
let sick: string;
beforeAll(async () => {
  server = await startTestServer();
  garden = await startGarden(server);
  plant = await garden.add('plantings', planting(await garden.add('places', bed)));
  sick = await garden.add('cases', sickness(plant));
}, 60_000);
afterAll(() => server.stop());

const broken = async (sql: string, values: unknown[] = []): Promise<string> => {
  try {
    await server.pool.query(sql, values);
    return 'it went in';
  } catch (error) {
    return (error as { code: string }).code;
  }
};
const checkViolation = '23514';
const foreignKeyViolation = '23503';
const uniqueViolation = '23505';

test('a planting has at least one plant, and what happens to it ends no earlier than it begins', async () => {
  expect(await broken('update plantings set plants = 0 where id = $1', [plant])).toBe(checkViolation);
  const event = (rest: string) => `insert into planting_events select garden_id, id, 0, ${rest} from plantings where id = $1`;
  expect(await broken(event(`'flowering', '2026-06-02', '2026-06-01'`), [plant])).toBe(checkViolation);
  expect(await broken(event(`'moved', '2026-06-02'`), [plant])).toBe(checkViolation);
  expect(await broken(event(`'withered', '2026-06-02'`), [plant])).toBe(checkViolation);
});

test('a closed case has an outcome, an open one none', async () => {
  expect(await broken("update cases set closed_on = '2026-07-12' where id = $1", [sick])).toBe(checkViolation);
  expect(await broken("update cases set outcome = 'recovered' where id = $1", [sick])).toBe(checkViolation);
});

test('what others hang on does not go', async () => {
  expect(await broken('delete from plantings where id = $1', [plant])).toBe(foreignKeyViolation);
});

test('nothing hangs on a record of another garden', async () => {
  const { rows } = await server.pool.query<{ id: string }>(
    "insert into gardens (id, name, time_zone, units, stance, region, created_at) values (gen_random_uuid(), 'Other', 'UTC', 'metric', 'organic', 'neutral', now()) returning id",
  );
  expect(await broken('update cases set garden_id = $1 where id = $2', [rows[0]!.id, sick])).toBe(foreignKeyViolation);
});

test('an address has one account', async () => {
  expect(await broken('insert into people select gen_random_uuid(), name, email, password_hash, created_at from people limit 1')).toBe(
    uniqueViolation,
  );
});
