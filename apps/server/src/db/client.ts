import { drizzle } from 'drizzle-orm/node-postgres';
import type { NodePgDatabase } from 'drizzle-orm/node-postgres';
import { Pool } from 'pg';

export type Db = NodePgDatabase;

/** How long is waited for the database, milliseconds. */
export interface Patience {
  readonly connectionTimeoutMillis: number;
  readonly statement_timeout?: number;
  readonly lock_timeout?: number;
  readonly idle_in_transaction_session_timeout?: number;
  readonly query_timeout?: number;
}

/** No request waits longer than these: a database that is frozen or overloaded is answered for. */
const usual: Patience = {
  connectionTimeoutMillis: 5000,
  statement_timeout: 10_000,
  lock_timeout: 8000,
  idle_in_transaction_session_timeout: 15_000,
  // The driver's own, for a server that does not even say that it took too long.
  query_timeout: 12_000,
};

/** For migrations, which may take as long as they need. */
export const unhurried: Patience = { connectionTimeoutMillis: 5000 };

export function openPool(databaseUrl: string, patience = usual): Pool {
  // Compiling a query takes longer than any of these takes to run.
  const pool = new Pool({ connectionString: databaseUrl, max: 10, options: '-c jit=off', ...patience });
  // An idle connection that PostgreSQL cuts (restart, kill) must not end the process: the next query takes a fresh one.
  pool.on('error', () => {});
  // Nor must one that is cut while it is lent out and idle: its next query fails, and is answered for there.
  pool.on('connect', (client) => client.on('error', () => {}));
  return pool;
}

export const openDb = (pool: Pool): Db => drizzle(pool);
