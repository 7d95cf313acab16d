import { gardenSettings, tableName } from '@field-nurse/contract';
import { and, asc, eq, gt, sql } from 'drizzle-orm';
import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import { PassThrough } from 'node:stream';
import type { Readable } from 'node:stream';
import { z } from 'zod';
import { clinicReports } from '../clinic/tables.js';
import type { Deps } from '../deps.js';
import { changes, gardens } from '../gardens/tables.js';
import { gardenLibrary } from '../library/gardenLibrary.js';
import { people } from '../people/tables.js';
import type { FileStore } from '../photos/fileStore.js';
import { readPhoto } from '../photos/photoFiles.js';
import { photos } from '../photos/tables.js';
import { recordJson } from '../records/recordJson.js';
import type { Tx } from '../records/recordStore.js';
import { subjectTables } from '../records/subjects.js';
import { namesIn, writeTable } from '../tables/writeTable.js';
import { sourcesOf } from '../weather/queries.js';
import { stationHours, weatherHours, weatherSources } from '../weather/tables.js';
import { archive, recordSchema, subjectsInOrder, weatherColumns } from './archiveFormat.js';

// So many rows are in memory at once.
const page = 1000;

type ArchiveDeps = Pick<Deps, 'db' | 'library' | 'photoFiles'>;

/**
 * Everything in a garden as a zip: settings and people, every record and its history, the weather, the photos, and the JSON Schema of it all. One
 * state of the garden, and made while it is sent: a large garden needs no more memory than a small one.
 *
 * @param about - people, and who asked for it
 */
export function writeArchive({ db, library, photoFiles }: ArchiveDeps, gardenId: string, about: object): Readable {
  const out = new PassThrough();
  const zip = new Zip((error, chunk, last) => {
    if (error) out.destroy(error);
    else if (last) out.end(chunk);
    else out.write(chunk);
  });
  const whole = db.transaction((tx) => fill(tx, new Entries(zip, out), { library, photoFiles }, gardenId, about), {
    isolationLevel: 'repeatable read',
    accessMode: 'read only',
  });
  void whole.then(() => zip.end()).catch((error: Error) => out.destroy(error));
  return out;
}

/** Entries of a zip, put in one after the other as fast as they are fetched. */
class Entries {
  readonly #zip: Zip;
  readonly #out: PassThrough;

  constructor(zip: Zip, out: PassThrough) {
    this.#zip = zip;
    this.#out = out;
  }

  async bytes(name: string, content: Uint8Array): Promise<void> {
    const file = new ZipPassThrough(name);
    this.#zip.add(file);
    file.push(content, true);
    await this.#room();
  }

  json = (name: string, value: unknown) => this.text(name, [JSON.stringify(value, null, 1)]);

  /** A list with one value a line: it is JSON, and can be read line by line. */
  async list(name: string, values: AsyncIterable<unknown>): Promise<void> {
    async function* lines() {
      let before = '[\n';
      for await (const value of values) {
        yield `${before}${JSON.stringify(value)}`;
        before = ',\n';
      }
      yield before === '[\n' ? '[]\n' : '\n]\n';
    }
    await this.text(name, lines());
  }

  async text(name: string, parts: AsyncIterable<string> | Iterable<string>): Promise<void> {
    const file = new ZipDeflate(name, { level: 6 });
    this.#zip.add(file);
    const encoder = new TextEncoder();
    for await (const part of parts) {
      file.push(encoder.encode(part));
      await this.#room();
    }
    file.push(new Uint8Array(), true);
  }

  async #room(): Promise<void> {
    if (this.#out.destroyed) throw new Error('Nobody takes the archive any more.');
    if (this.#out.writableNeedDrain)
      await new Promise<void>((resolve) => {
        const goOn = () => {
          this.#out.off('drain', goOn).off('close', goOn);
          resolve();
        };
        this.#out.on('drain', goOn).on('close', goOn);
      });
  }
}

async function fill(
  tx: Tx,
  entries: Entries,
  { library, photoFiles }: Omit<ArchiveDeps, 'db'>,
  gardenId: string,
  about: object,
): Promise<void> {
  const [garden] = await tx.select().from(gardens).where(eq(gardens.id, gardenId));
  const { id, fixedNow, createdAt, lastSequence, photoCount: _, photoBytes: __, recordCount: ___, ...settings } = garden!;
  await entries.json(archive.about, {
    format: archive.format,
    version: archive.version,
    garden: { id, fixedNow, createdAt, lastSequence },
    settings,
    ...about,
  });
  await entries.json(archive.schema, {
    [archive.about]: z.toJSONSchema(gardenSettings, { io: 'input', unrepresentable: 'any' }),
    ...Object.fromEntries(
      subjectsInOrder.map((subject) => [
        archive.records(subject),
        { type: 'array', items: z.toJSONSchema(recordSchema(subject), { io: 'input', unrepresentable: 'any' }) },
      ]),
    ),
  });
  for (const subject of subjectsInOrder) {
    const table = subjectTables[subject];
    const from = (after: string | undefined) =>
      tx
        .select({ id: sql<string>`${table.id}`, value: recordJson(subject) })
        .from(table)
        .where(and(eq(table.gardenId, gardenId), after === undefined ? undefined : gt(table.id, after)))
        .orderBy(table.id)
        .limit(page);
    await entries.list(
      archive.records(subject),
      paged(
        from,
        ({ id: last }) => last,
        ({ value }) => value,
      ),
    );
  }
  const names = await namesIn(tx, await gardenLibrary({ db: tx, library }, gardenId), gardenId);
  for (const table of tableName.options) await entries.text(archive.table(table), writeTable(tx, names, gardenId, table));
  await entries.list(archive.history, history(tx, gardenId));
  const reports = await tx.select().from(clinicReports).where(eq(clinicReports.gardenId, gardenId)).orderBy(clinicReports.sampleId);
  await entries.json(
    archive.clinicReports,
    reports.map(({ gardenId: _of, ...report }) => report),
  );
  await writeWeather(tx, entries, gardenId);
  await writePhotos(tx, photoFiles, entries, gardenId);
}

/** Rows in pages, each from where the one before ended. */
async function* paged<R, V, K>(
  from: (after: K | undefined) => Promise<R[]>,
  keyOf: (row: R) => K,
  valueOf: (row: R) => V,
): AsyncGenerator<V> {
  let after: K | undefined;
  for (;;) {
    const rows = await from(after);
    for (const row of rows) yield valueOf(row);
    if (rows.length < page) return;
    after = keyOf(rows.at(-1)!);
  }
}

const history = (tx: Tx, gardenId: string) =>
  paged(
    (after: number | undefined) =>
      tx
        .select({ change: changes, by: people.name })
        .from(changes)
        .leftJoin(people, eq(people.id, changes.personId))
        .where(and(eq(changes.gardenId, gardenId), after === undefined ? undefined : gt(changes.sequence, after)))
        .orderBy(asc(changes.sequence))
        .limit(page),
    ({ change }) => change.sequence,
    ({ change: { gardenId: _, ...change }, by }) => ({ ...change, by }),
  );

/** The hours of each source by itself, of a station as of a file: elsewhere there may be no such station. */
async function writeWeather(tx: Tx, entries: Entries, gardenId: string): Promise<void> {
  const kept = await sourcesOf(tx, gardenId);
  await entries.json(archive.weatherSources, kept);
  const columns = (table: typeof stationHours | typeof weatherHours) => ({
    at: table.at,
    temperatureC: table.temperatureC,
    humidityPercent: table.humidityPercent,
    rainMm: table.rainMm,
    windKmh: table.windKmh,
    leafWetMinutes: table.leafWetMinutes,
  });
  for (const { id, kind } of kept) {
    const [{ station } = { station: null }] = await tx
      .select({ station: weatherSources.station })
      .from(weatherSources)
      .where(and(eq(weatherSources.gardenId, gardenId), eq(weatherSources.id, id)));
    const ofStation = (after: string | undefined) =>
      tx
        .select(columns(stationHours))
        .from(stationHours)
        .where(and(eq(stationHours.station, station ?? ''), after === undefined ? undefined : gt(stationHours.at, after)))
        .orderBy(stationHours.at)
        .limit(page);
    const ofFile = (after: string | undefined) =>
      tx
        .select(columns(weatherHours))
        .from(weatherHours)
        .where(
          and(
            eq(weatherHours.gardenId, gardenId),
            eq(weatherHours.sourceId, id),
            after === undefined ? undefined : gt(weatherHours.at, after),
          ),
        )
        .orderBy(weatherHours.at)
        .limit(page);
    const hours = paged(
      kind === 'station' ? ofStation : ofFile,
      ({ at }) => at,
      (hour) => weatherColumns.map((name) => (name === 'at' ? new Date(hour.at).toISOString() : (hour[name] ?? ''))).join(','),
    );
    async function* lines() {
      yield `${weatherColumns.join(',')}\r\n`;
      for await (const line of hours) yield `${line}\r\n`;
    }
    await entries.text(archive.weather(id), lines());
  }
}

async function writePhotos(tx: Tx, files: FileStore, entries: Entries, gardenId: string): Promise<void> {
  const rows = await tx
    .select({ id: photos.id, width: photos.width, height: photos.height, addedAt: photos.addedAt })
    .from(photos)
    .where(eq(photos.gardenId, gardenId))
    .orderBy(photos.id);
  // A picture that was lost from the store keeps nobody from taking the rest home.
  const [kept, lost]: [typeof rows, typeof rows] = [[], []];
  for (const row of rows) {
    const image = await readPhoto(tx, files, gardenId, row.id);
    if (image) await entries.bytes(archive.photo(row.id), image);
    (image ? kept : lost).push(row);
  }
  await entries.json(archive.photos, kept);
  if (lost.length > 0) await entries.json(archive.lostPhotos, lost);
}
