import type { GardenContents, GivenRole, Subject, Written } from '@field-nurse/contract';
import type { Library } from '@field-nurse/library';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { Pool } from 'pg';
import { pino } from 'pino';
import { createApp } from './app';
import { directCalculator } from './calc/calculator';
import type { Calculator } from './calc/calculator';
import { openDb, openPool } from './db/client';
import type { Patience } from './db/client';
import { migrateDatabase } from './db/migrate';
import { ApiClient } from './demo/apiClient';
import type { Deps } from './deps';
import type { Mail } from './mail/mail';
import { limitsOver } from './people/limits';
import { memoryStore } from './photos/memoryStore';
import { noClinics } from './clinic/clinics';
import type { Clinics } from './clinic/clinics';
import { noRegister } from './shelf/registers';
import type { LabelRegister } from './shelf/registers';
import { noStations } from './weather/stations';
import type { Stations } from './weather/stations';
import { directStrategies } from './season/strategies';
import type { Strategies } from './season/strategies';
import { fresh, settings } from './testRecords';

export type TestServer = Awaited<ReturnType<typeof startTestServer>>;

/** A database of its own on the tests' PostgreSQL. @returns its address */
export async function emptyDatabase(): Promise<string> {
  const base = process.env['TEST_DATABASE_URL'];
  if (!base) throw new Error('Set TEST_DATABASE_URL; npm test does.');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const admin = new Pool({ connectionString: base });
  await admin.query(`create database ${name}`);
  await admin.end();
  return base.replace(/\/[^/]*$/, `/${name}`);
}

/** The library as the build compiles it: reading its own files takes seconds, for each file of tests. */
export const compiledLibrary = (): Library =>
  JSON.parse(readFileSync(join(import.meta.dirname, '../../../packages/library/generated/index.json'), 'utf8')) as Library;

/** A server over a database of its own, on a free port. */
export async function startTestServer({
  signInTries = 1000,
  calculationsPerSecond = 10_000,
  webFolder,
  stations = noStations,
  clinics = noClinics,
  labelRegister = noRegister,
  calculator,
  strategies = directStrategies,
  url: given,
  reachedBy,
  patience,
  ...set
}: {
  /** a database to start over; without it one is made */
  url?: string;
  /** another way to the same database */
  reachedBy?: string;
  patience?: Patience;
  signInTries?: number;
  calculationsPerSecond?: number;
  webFolder?: string;
  stations?: Stations;
  clinics?: Clinics;
  labelRegister?: LabelRegister;
  calculator?: Calculator;
  strategies?: Strategies;
} & Partial<Pick<Deps, 'secureCookies' | 'proxies' | 'openCalc' | 'pressedParts'>> = {}) {
  const url = given ?? (await emptyDatabase());
  await migrateDatabase(url, join(import.meta.dirname, 'db/migrations'));
  const pool = openPool(reachedBy ?? url, patience);
  const library = compiledLibrary();
  const letters: Mail[] = [];
  const photoFiles = memoryStore();
  const app = createApp({
    db: openDb(pool),
    pool,
    library,
    calculator: calculator ?? directCalculator(library),
    strategies,
    now: () => new Date('2026-07-18T09:30:00Z'),
    log: pino({ level: 'silent' }),
    secret: 'x'.repeat(40),
    publicUrl: 'https://garden.test.example',
    photoFiles,
    secureCookies: false,
    proxies: 0,
    openCalc: true,
    limits: limitsOver(pool, { signInTries, calculationsPerSecond }),
    stations,
    clinics,
    labelRegister,
    mail: { works: true, send: (mail) => Promise.resolve(void letters.push(mail)) },
    checkAnswers: true,
    ...set,
    ...(webFolder && { webFolder }),
  });
  const server = createServer(app.callback()).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  return {
    pool,
    library,
    photoFiles,
    /** what was sent by mail */
    letters,
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    stop: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await pool.end();
    },
  };
}

/** Somebody with an account, signed in. */
export async function somebody(server: TestServer, name: string): Promise<ApiClient> {
  const client = new ApiClient(server.address);
  await client.signUp({ name, email: `${name}@test.example`, password: 'long enough words' });
  return client;
}

/** A garden with its five kinds of people, and somebody who has nothing to do with it. */
export async function startGarden(server: TestServer, named = '') {
  const garden = randomUUID();
  const owner = await somebody(server, `owner${named}`);
  const member = await somebody(server, `member${named}`);
  const viewer = await somebody(server, `viewer${named}`);
  const adviser = await somebody(server, `adviser${named}`);
  const stranger = await somebody(server, `stranger${named}`);
  const nobody = new ApiClient(server.address);
  await nobody.send('get', '/api/v1/session');
  await owner.send('post', '/api/v1/gardens', { id: garden, settings });
  for (const [role, guest] of Object.entries({ member, viewer, adviser } as const)) await owner.invite(garden, guest, role as GivenRole);
  const path = (subject: Subject, id: string) => `/api/v1/gardens/${garden}/${subject}/${id}`;
  /** Write a new record as the owner. @returns its id */
  const add = async <S extends Subject>(subject: S, value: Written<S>): Promise<string> => {
    const id = randomUUID();
    await owner.send('put', path(subject, id), fresh(value));
    return id;
  };
  return { garden, owner, member, viewer, adviser, stranger, nobody, path, add };
}

export type TestGarden = Awaited<ReturnType<typeof startGarden>>;

/** What the server said when it refused; a test that is not refused must see so. */
export const refused = async (work: Promise<unknown>): Promise<string> =>
  work.then(
    () => 'not refused',
    (error: Error) => error.message,
  );

/** A garden with its earlier seasons, each record once. */
export async function wholeGarden(client: ApiClient, path: string): Promise<GardenContents> {
  const whole = await client.send<GardenContents>('get', path);
  const lists = whole as unknown as Record<string, { id: string }[]>;
  for (let year = Number(whole.firstSeason.slice(0, 4)); `${year}-${whole.season.from.slice(5)}` <= whole.season.from; year++) {
    const season = await client.send<Record<string, { id: string }[]>>('get', `${path}/seasons/${year}-${whole.season.from.slice(5)}`);
    for (const [name, list] of Object.entries(season)) {
      const known = new Set(lists[name]!.map(({ id }) => id));
      lists[name]!.push(...list.filter(({ id }) => !known.has(id)));
    }
  }
  return whole;
}
