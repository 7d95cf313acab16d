import { drizzle } from 'drizzle-orm/node-postgres';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { migrate } from 'drizzle-orm/node-postgres/migrator';
import type { PoolClient } from 'pg';
import { openPool, unhurried } from './client.js';

// Any number, as long as it is always the same.
const lockNumber = 4_310_001;

/**
 * Bring the database to the newest version; does nothing when it is there. Of several servers that start at once one migrates, and the others
 * wait for it.
 *
 * @throws Error when the data was written by a newer version than this one
 */
export async function migrateDatabase(databaseUrl: string, migrationsFolder: string): Promise<void> {
  const pool = openPool(databaseUrl, unhurried);
  try {
    const client = await pool.connect();
    try {
      await client.query('select pg_advisory_lock($1)', [lockNumber]);
      await refuseNewer(client, migrationsFolder);
      await migrate(drizzle(client), { migrationsFolder });
    } finally {
      // Ending the connection gives the lock back.
      client.release(true);
    }
  } finally {
    await pool.end();
  }
}

async function refuseNewer(client: PoolClient, migrationsFolder: string): Promise<void> {
  const { rows } = await client.query<{ there: boolean }>(`select to_regclass('drizzle.__drizzle_migrations') is not null as there`);
  if (!rows[0]?.there) return;
  const done = await client.query<{ newest: string | null }>('select max(created_at) as newest from drizzle.__drizzle_migrations');
  const known = Math.max(...readMigrationFiles({ migrationsFolder }).map(({ folderMillis }) => folderMillis));
  if (Number(done.rows[0]?.newest ?? 0) > known)
    throw new Error(
      'The database was written by a newer version of Field Nurse than this one. Start that version, or restore an older backup.',
    );
}
