import { library } from '@field-nurse/library';
import { eq } from 'drizzle-orm';
import { createWriteStream, readFileSync } from 'node:fs';
import { rename } from 'node:fs/promises';
import { pipeline } from 'node:stream/promises';
import { openDb, openPool } from '../db/client.js';
import { gardens, members } from '../gardens/tables.js';
import { folderStore } from '../photos/fileStore.js';
import { membersOf } from '../sharing/memberQueries.js';
import { writeArchive } from './writeArchive.js';

// Writes the archive of a garden: by its name or id, into a file. Without a name it tells which gardens there are.
const { DATABASE_URL, LIBRARY_FILE, PHOTOS_FOLDER } = process.env;
if (!DATABASE_URL || !LIBRARY_FILE || !PHOTOS_FOLDER) throw new Error('Set DATABASE_URL, LIBRARY_FILE and PHOTOS_FOLDER.');
const [wanted, file] = process.argv.slice(2);
const pool = openPool(DATABASE_URL);
const db = openDb(pool);
try {
  // The one that demo gardens are copied from belongs to nobody.
  const all = await db
    .selectDistinct({ id: gardens.id, name: gardens.name })
    .from(gardens)
    .innerJoin(members, eq(members.gardenId, gardens.id))
    .orderBy(gardens.name);
  const found = all.filter(({ id, name }) => wanted === id || wanted === name);
  if (!wanted || !file || found.length !== 1) {
    const known = found.length > 0 ? found : all;
    console.error(
      [whyNot(found.length), ...known.map(({ id, name }) => `  ${id}  ${name}`), '', '  npm run export -- <name or id> <file.zip>'].join(
        '\n',
      ),
    );
    process.exitCode = 1;
  } else {
    const people = await membersOf(db, found[0]!.id, true);
    // A file that is there is a whole one.
    const known = library.parse(JSON.parse(readFileSync(LIBRARY_FILE, 'utf8')));
    await pipeline(
      writeArchive({ db, library: known, photoFiles: folderStore(PHOTOS_FOLDER) }, found[0]!.id, {
        exportedAt: new Date().toISOString(),
        people,
      }),
      createWriteStream(`${file}.part`),
    );
    await rename(`${file}.part`, file);
    console.log(`${found[0]!.name} is in ${file}.`);
  }
} finally {
  await pool.end();
}

function whyNot(found: number): string {
  if (!wanted || !file) return 'Say which garden, and into which file:';
  return found === 0 ? 'There is no such garden. There are:' : 'There are several of that name; say the id:';
}
