import { eq } from 'drizzle-orm';
import { existsSync } from 'node:fs';
import { migrateDatabase } from '../db/migrate.js';
import { openDb, openPool } from '../db/client.js';
import { people } from '../people/tables.js';
import { folderStore } from '../photos/fileStore.js';
import { restoreGarden } from './restoreGarden.js';

// Brings a garden back from its archive, for somebody who has an account here.
const { DATABASE_URL, MIGRATIONS_FOLDER, PHOTOS_FOLDER } = process.env;
if (!DATABASE_URL || !MIGRATIONS_FOLDER || !PHOTOS_FOLDER) throw new Error('Set DATABASE_URL, MIGRATIONS_FOLDER and PHOTOS_FOLDER.');
const [file, email, as] = process.argv.slice(2);
await migrateDatabase(DATABASE_URL, MIGRATIONS_FOLDER);
const pool = openPool(DATABASE_URL);
const db = openDb(pool);
try {
  const [person] = email ? await db.select({ id: people.id }).from(people).where(eq(people.email, email)) : [];
  if (!file || !existsSync(file) || !person) {
    console.error(`${whyNot()}\n  npm run restore -- <file.zip> <e-mail address> [new id]`);
    process.exitCode = 1;
  } else {
    const { garden, records, photos } = await restoreGarden({ db, photoFiles: folderStore(PHOTOS_FOLDER) }, file, person, {
      as,
      now: new Date(),
    });
    console.log(`Garden ${garden}: ${records} records and ${photos} photos came back.`);
  }
} catch (error) {
  console.error((error as Error).message);
  process.exitCode = 1;
} finally {
  await pool.end();
}

function whyNot(): string {
  if (!file || !email) return 'Say which file, and whose garden it shall be:';
  return existsSync(file) ? `Nobody here has the address ${email}.` : `There is no file ${file}.`;
}
