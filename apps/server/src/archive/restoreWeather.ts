import { weatherHour } from '@field-nurse/contract';
import { z } from 'zod';
import type { Tx } from '../records/recordStore.js';
import { keepFileHours } from '../weather/queries.js';
import { weatherSources } from '../weather/tables.js';
import { archive, weatherColumns } from './archiveFormat.js';
import { parsed } from './archivePart.js';
import type { ZipFile } from './zipFile.js';

const sourceSchema = z.object({ id: z.uuid(), name: z.string().trim().min(1).max(200), addedAt: z.iso.datetime({ offset: true }) });

// So many hours are written in one statement.
const batch = 500;

/** Hours of a station come as those of a file: here there may be no such station. */
export async function restoreWeather(tx: Tx, zip: ZipFile, gardenId: string): Promise<void> {
  if (!zip.has(archive.weatherSources)) return;
  const sources = parsed(z.array(sourceSchema).max(300), await zip.json(archive.weatherSources), archive.weatherSources);
  for (const { id: sourceId, name, addedAt } of sources) {
    const added = await tx
      .insert(weatherSources)
      .values({ gardenId: gardenId, id: sourceId, kind: 'file', name, addedAt })
      .onConflictDoNothing()
      .returning({ id: weatherSources.id });
    if (added.length > 0) await restoreHours(tx, zip, gardenId, sourceId);
  }
}

async function restoreHours(tx: Tx, zip: ZipFile, gardenId: string, sourceId: string): Promise<void> {
  const name = archive.weather(sourceId);
  let line = 0;
  let waiting: z.infer<typeof weatherHour>[] = [];
  const write = async () => {
    if (waiting.length > 0) await keepFileHours(tx, gardenId, sourceId, waiting);
    waiting = [];
  };
  for await (const text of zip.lines(name)) {
    line++;
    if (line === 1 || text === '') continue;
    const cells = text.split(',');
    const hour = Object.fromEntries(
      weatherColumns.map((column, i) => [column, column === 'at' ? cells[i] : cells[i] === '' ? null : Number(cells[i])]),
    );
    waiting.push(parsed(weatherHour, hour, name, line));
    if (waiting.length === batch) await write();
  }
  await write();
}
