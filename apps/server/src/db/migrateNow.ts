import { fileURLToPath } from 'node:url';
import { migrateDatabase } from './migrate.js';

const url = process.env['DATABASE_URL'];
if (!url) throw new Error('Set DATABASE_URL to the database to migrate.');
await migrateDatabase(url, fileURLToPath(new URL('./migrations', import.meta.url)));
