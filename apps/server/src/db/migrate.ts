import { migrate } from 'drizzle-orm/node-postgres/migrator';
import { openDb, openPool } from './client.js';

/** Bring the database to the newest version; does nothing when it is there. */
export async function migrateDatabase(databaseUrl: string, migrationsFolder: string): Promise<void> {
  const pool = openPool(databaseUrl);
  try {
    await migrate(openDb(pool), { migrationsFolder });
  } finally {
    await pool.end();
  }
}
