import { readLibrary } from '@field-nurse/library/files';
import { randomUUID } from 'node:crypto';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { Pool } from 'pg';
import { pino } from 'pino';
import { createApp } from './app';
import { openDb, openPool } from './db/client';
import { migrateDatabase } from './db/migrate';

/** A server over a database of its own, on a free port. */
export async function startTestServer() {
  const base = process.env['TEST_DATABASE_URL'];
  if (!base) throw new Error('Set TEST_DATABASE_URL; npm test does.');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const admin = new Pool({ connectionString: base });
  await admin.query(`create database ${name}`);
  await admin.end();
  const url = base.replace(/\/[^/]*$/, `/${name}`);
  await migrateDatabase(url, join(import.meta.dirname, 'db/migrations'));
  const pool = openPool(url);
  const library = readLibrary(join(import.meta.dirname, '../../../packages/library/data'));
  const app = createApp({
    db: openDb(pool),
    pool,
    library,
    now: () => new Date('2026-07-18T09:30:00Z'),
    log: pino({ level: 'silent' }),
    secret: 'x'.repeat(40),
    secureCookies: false,
    openCalc: true,
    signInTries: 5,
  });
  const server = createServer(app.callback()).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    stop: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await pool.end();
    },
  };
}
