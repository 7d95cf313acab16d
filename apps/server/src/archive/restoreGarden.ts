import { gardenSettings } from '@field-nurse/contract';
import type { Subject } from '@field-nurse/contract';
import { and, eq } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { clinicReports } from '../clinic/tables.js';
import type { Deps } from '../deps.js';
import type { FileStore } from '../photos/fileStore.js';
import { changes, gardens, members } from '../gardens/tables.js';
import { ApiError } from '../http/apiError.js';
import { people } from '../people/tables.js';
import { withConstraintsNamed } from '../records/brokenConstraint.js';
import { logChange, takeTurn } from '../records/changeLog.js';
import { refuseBeyondQuota } from '../records/quotas.js';
import { putRecord, putRecords, recordById } from '../records/recordStore.js';
import type { Row, Tx } from '../records/recordStore.js';
import { subjectTables } from '../records/subjects.js';
import { archive, recordSchema, subjectsInOrder } from './archiveFormat.js';
import { parsed, wrong } from './archivePart.js';
import { restorePhotos } from './restorePhotos.js';
import { restoreWeather } from './restoreWeather.js';
import { ZipFile } from './zipFile.js';

const id = z.uuid();
const instant = z.iso.datetime({ offset: true });

const aboutSchema = z.object({
  format: z.literal(archive.format),
  version: z.int().max(archive.version),
  garden: z.object({ id, fixedNow: instant.nullable(), createdAt: instant, lastSequence: z.int().min(0) }),
  settings: gardenSettings,
});

const changeSchema = z.object({
  id,
  sequence: z.int().min(1),
  subject: z.enum(subjectsInOrder as [Subject, ...Subject[]]),
  recordId: id,
  version: z.int().min(1),
  before: z.record(z.string(), z.unknown()).nullable(),
  after: z.record(z.string(), z.unknown()).nullable(),
  undoes: id.nullable(),
  personId: id.nullable(),
  madeAt: instant,
});

const reportSchema = z.object({
  sampleId: id,
  reference: z.string(),
  receipt: z.string(),
  status: z.string(),
  since: z.string().nullable(),
  results: z.array(z.unknown()),
  askedAt: z.string(),
  failedAt: z.string().nullable(),
});

// So many are written in one statement.
const batch = 500;

/** What came of it. */
export interface Restored {
  readonly garden: string;
  /** new, or newer than what was here */
  readonly records: number;
  readonly photos: number;
}

/**
 * Bring a garden back from its archive, whole or not at all. Where it is here already and the person owns it, what is missing or older here is
 * brought up to what the archive has; the rest stays, so that a second time changes nothing.
 *
 * @param as - id that it shall have; its own, where it is left out
 * @throws ApiError that names the file and the line that is wrong
 */
export async function restoreGarden(
  { db, photoFiles }: Pick<Deps, 'db' | 'photoFiles'>,
  path: string,
  person: { readonly id: string },
  { as, now }: { readonly as?: string | undefined; readonly now: Date },
): Promise<Restored> {
  const zip = await ZipFile.open(path);
  try {
    const about = parsed(aboutSchema, await zip.json(archive.about), archive.about);
    const gardenId = as ?? about.garden.id;
    return await db.transaction(async (tx) => {
      const isNew = await openGarden(tx, gardenId, about, person.id);
      const restore = new Restoring(tx, photoFiles, zip, gardenId, { isNew, person: person.id, now });
      return await restore.all(about.garden.lastSequence);
    });
  } finally {
    zip.close();
  }
}

/** Make the garden, or take the one that is here. @returns whether it is new */
async function openGarden(tx: Tx, gardenId: string, { garden, settings }: z.infer<typeof aboutSchema>, personId: string): Promise<boolean> {
  const { fixedNow, createdAt, lastSequence } = garden;
  const added = await tx
    .insert(gardens)
    .values({ ...settings, id: gardenId, createdAt: new Date(createdAt), fixedNow: fixedNow ? new Date(fixedNow) : null, lastSequence })
    .onConflictDoNothing()
    .returning({ id: gardens.id });
  if (added.length > 0) {
    const own = await tx.$count(members, and(eq(members.personId, personId), eq(members.role, 'owner')));
    refuseBeyondQuota('gardens', own + 1);
    await tx.insert(members).values({ gardenId, personId, role: 'owner', since: new Date(createdAt) });
    return true;
  }
  const [membership] = await tx
    .select()
    .from(members)
    .where(and(eq(members.gardenId, gardenId), eq(members.personId, personId)));
  if (membership?.role !== 'owner')
    throw new ApiError(409, 'garden-exists', 'This garden is here already and belongs to somebody else. Restore it as a new garden.');
  await takeTurn(tx, gardenId);
  return false;
}

/** Under which circumstances. */
interface Circumstances {
  readonly isNew: boolean;
  readonly person: string;
  readonly now: Date;
}

class Restoring {
  readonly #tx: Tx;
  readonly #photoFiles: FileStore;
  readonly #zip: ZipFile;
  readonly #gardenId: string;
  readonly #about: Circumstances;
  /** whether somebody whom the archive names is known here, too */
  readonly #isKnown = new Map<string, boolean>();

  constructor(tx: Tx, photoFiles: FileStore, zip: ZipFile, gardenId: string, about: Circumstances) {
    this.#tx = tx;
    this.#photoFiles = photoFiles;
    this.#zip = zip;
    this.#gardenId = gardenId;
    this.#about = about;
  }

  async all(lastSequence: number): Promise<Restored> {
    let records = 0;
    for (const subject of subjectsInOrder)
      if (this.#zip.has(archive.records(subject))) records += await withConstraintsNamed(subject, () => this.#records(subject));
    if (this.#about.isNew) {
      refuseBeyondQuota('records', records);
      await this.#history(lastSequence);
      await this.#tx.update(gardens).set({ recordCount: records }).where(eq(gardens.id, this.#gardenId));
    }
    await this.#clinicReports();
    await restoreWeather(this.#tx, this.#zip, this.#gardenId);
    return { garden: this.#gardenId, records, photos: await restorePhotos(this.#tx, this.#photoFiles, this.#zip, this.#gardenId) };
  }

  async #records(subject: Subject): Promise<number> {
    const table = subjectTables[subject];
    const versions = new Map<string, number>();
    if (!this.#about.isNew)
      for (const row of await this.#tx
        .select({ id: table.id, version: table.version })
        .from(table)
        .where(eq(table.gardenId, this.#gardenId)))
        versions.set(row.id as string, row.version as number);
    const name = archive.records(subject);
    let count = 0;
    let waiting: Row[] = [];
    const write = async () => {
      if (this.#about.isNew) await putRecords(this.#tx, subject, this.#gardenId, waiting);
      else for (const record of waiting) await this.#update(subject, record);
      count += waiting.length;
      waiting = [];
    };
    for await (const [line, value] of this.#zip.list(name)) {
      const record = parsed(recordSchema(subject), value, name, line) as Row & { readonly id: string; readonly version: number };
      if ((versions.get(record.id) ?? 0) >= record.version) continue;
      waiting.push(await this.#withPerson(record));
      if (waiting.length === batch) await write();
    }
    await write();
    return count;
  }

  /** A record of a garden that is here already: written down like any change, so that devices hear of it. */
  async #update(subject: Subject, record: Row): Promise<void> {
    const [gardenId, recordId] = [this.#gardenId, String(record['id'])];
    const before = await recordById(this.#tx, subject, gardenId, recordId);
    await putRecord(this.#tx, subject, gardenId, record);
    const garden = await takeTurn(this.#tx, gardenId);
    const write = { gardenId, personId: this.#about.person, at: this.#about.now, change: randomUUID() };
    await logChange(this.#tx, garden, write, { subject, recordId, version: Number(record['version']), before, after: record });
  }

  /** People of another server are nobody here; the names that were written down stay. */
  #withPerson = async (record: Row): Promise<Row> =>
    typeof record['personId'] === 'string' ? { ...record, personId: await this.#personHere(record['personId']) } : record;

  async #personHere(personId: string | null): Promise<string | null> {
    if (personId === null) return null;
    if (!this.#isKnown.has(personId)) this.#isKnown.set(personId, (await this.#tx.$count(people, eq(people.id, personId))) > 0);
    return this.#isKnown.get(personId) ? personId : null;
  }

  async #history(lastSequence: number): Promise<void> {
    if (!this.#zip.has(archive.history)) return;
    let waiting: (typeof changes.$inferInsert)[] = [];
    const write = async () => {
      if (waiting.length > 0) await this.#tx.insert(changes).values(waiting);
      waiting = [];
    };
    for await (const [line, value] of this.#zip.list(archive.history)) {
      const { personId, madeAt, ...change } = parsed(changeSchema, value, archive.history, line);
      if (change.sequence > lastSequence) throw wrong(archive.history, line, 'its number is above the last one of the garden');
      waiting.push({ ...change, personId: await this.#personHere(personId), madeAt: new Date(madeAt), gardenId: this.#gardenId });
      if (waiting.length === batch) await write();
    }
    await write();
  }

  async #clinicReports(): Promise<void> {
    if (!this.#zip.has(archive.clinicReports)) return;
    const reports = parsed(z.array(reportSchema), await this.#zip.json(archive.clinicReports), archive.clinicReports);
    for (const report of reports)
      await this.#tx
        .insert(clinicReports)
        .values({ ...report, gardenId: this.#gardenId })
        .onConflictDoNothing();
  }
}
