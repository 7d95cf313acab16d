import { drizzle } from 'drizzle-orm/node-postgres';
import type { NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';

export type Db = NodePgDatabase;

export function openPool(databaseUrl: string): Pool {
  const pool = new Pool({ connectionString: databaseUrl, max: 10, connectionTimeoutMillis: 5000 });
  // An idle connection that PostgreSQL cuts (restart, kill) must not end the process: the next query takes a fresh one.
  pool.on('error', () => {});
  // Nor must one that is cut while it is lent out and idle: its next query fails, and is answered for there.
  pool.on('connect', (client) => client.on('error', () => {}));
  return pool;
}

export const openDb = (pool: Pool): Db => drizzle(pool);
